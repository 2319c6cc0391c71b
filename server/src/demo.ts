import { demoWorkshop } from '@rinnovo/demo';
import { targetKey } from '@rinnovo/core/quantity';
import type { Knex } from 'knex';

/** Fills an empty demo workshop; does nothing when anything is in it. */
export async function fillDemo(db: Knex): Promise<boolean> {
  return db.transaction(async (trx) => {
    const some = (await trx('people').first('id')) as unknown;
    if (some) return false;
    const d = demoWorkshop;
    // the invented workshop is shown at any hour: its own setting asks nobody whether a cut can wait
    await trx('shop').update({ locale: 'en-GB', time_zone: 'Europe/Rome', currency: 'EUR', own: JSON.stringify({ lateHour: 24 }) });
    await trx('people').insert([...d.people]);
    await trx('tools').insert(d.tools.map((t) => ({ id: t.id, document: JSON.stringify(t) })));
    await trx('parts').insert(d.parts.map((p) => ({ id: p.id, document: JSON.stringify(p) })));
    // how many lie there is the sum of what moved
    await trx('stock').insert(d.stock.map((x) => ({ id: x.id, document: JSON.stringify({ ...x, quantity: undefined }) })));
    await trx('movements').insert(d.stock.flatMap((x) => (x.quantity > 0 ? [{ item: x.id, amount: x.quantity, why: 'counted' }] : [])));
    await trx('instruments').insert(d.instruments.map((i) => ({ ...i, identity: JSON.stringify(i.identity) })));
    await trx('jobs').insert(
      d.jobs.map(({ ownerSays, ...j }) => ({ ...j, request: JSON.stringify(j.request), limits: JSON.stringify(j.limits), owner_says: ownerSays })),
    );
    await trx('revisions').insert(d.anatomies.map((a) => ({ ...a, aspect: 'anatomy', document: JSON.stringify(a.document) })));
    await trx('revisions').insert(
      d.circuits.map((c) => ({
        instrument: c.instrument,
        aspect: 'circuit',
        revision: 1,
        document: JSON.stringify(c.document),
        cause: 'correction',
        entry: null,
        person: d.people[0]?.id,
        at: d.anatomies[0]?.at,
      })),
    );
    await trx('surveys').insert(
      d.surveys.map(({ signed, skipped, work, ...x }) => ({
        ...x,
        skipped: JSON.stringify(skipped),
        work: JSON.stringify(work),
        signed_at: signed?.at ?? null,
        signed_by: signed?.by ?? null,
      })),
    );
    if (d.readings.length > 0)
      await trx('readings').insert(d.readings.map((r) => ({ ...r, target: JSON.stringify(r.target), target_key: targetKey(r.target) })));
    await trx('findings').insert([...d.findings]);
    await trx('profiles').insert(d.profiles.map((p) => ({ ...p, values: JSON.stringify(p.values) })));
    await trx('outlines').insert(
      d.outlines.map(({ source, limit, outline, ...o }) => ({
        ...o,
        outline: JSON.stringify(outline),
        edge_limit: limit,
        source_file: source?.file ?? null,
        source_kind: source?.kind ?? null,
        source_text: source?.text ?? null,
      })),
    );
    await trx('plans').insert(d.plans.map((p) => ({ job: p.job, document: JSON.stringify(p.plan), revisions: p.revisions })));
    return true;
  });
}
