import { demoWorkshop } from '@rinnovo/demo';
import type { Target } from '@rinnovo/core/quantity';
import { benchOf, loadJobState } from '../../jobs/job-state.js';
import { decidedToRoute, logNext, logUpToCut } from '../at-the-cut.js';
import { clearForCut } from '../cleared.js';
import { ACTS, type Under } from './acts.js';
import { copied, dropped, labOn } from './lab.js';
import { keptComplaints, noteYes } from './oracle.js';

const job = demoWorkshop.jobs[0]!.id;
const instrument = demoWorkshop.instruments[0]!.id;
const people: readonly [string, string] = [demoWorkshop.people[0]!.id, demoWorkshop.people[1]!.id];
const tools = new Map(demoWorkshop.tools.flatMap((t) => ('limit' in t ? [[t.id, t.limit] as const] : [])));

/** One act of a sequence: whose, which, and which way. */
export interface Move {
  readonly who: number;
  readonly act: string;
  readonly n: number;
}

/** Where sequences begin: decided, cleared, and between two passes. */
export interface Beginnings {
  readonly decision: string;
  readonly names: readonly string[];
  readonly targets: readonly Target[];
  readonly close: () => Promise<void>;
}

/** Makes the beginnings once; each is a database that is copied for every sequence. */
export async function beginnings(): Promise<Beginnings> {
  const { w, decision } = await decidedToRoute(false);
  const here = ((await w.db.raw('SELECT current_database() AS name')) as { rows: { name: string }[] }).rows[0]!.name;
  const names: string[] = [];
  const keep = async (): Promise<void> => {
    await w.db.raw('SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = ? AND pid <> pg_backend_pid()', [here]).catch(() => undefined);
    await w.db.destroy();
    names.push(await copied(here));
    w.db.initialize();
  };
  await keep();
  const cleared = await clearForCut(w, job, decision);
  if (cleared.status !== 201) throw new Error(JSON.stringify(cleared.body));
  await keep();
  while (benchOf(await loadJobState(w.db, job)).operation?.kind !== 'routePasses') await logNext(w);
  await logUpToCut(w);
  await logNext(w);
  await keep();
  const { readings } = await loadJobState(w.db, job);
  const targets = [...new Map(readings.map((r) => [JSON.stringify(r.target), r.target as Target])).values()];
  await w.close();
  const close = async (): Promise<void> => {
    await Promise.all(names.map(dropped));
  };
  return { decision, names, targets, close };
}

/** Does a sequence and says everything that was wrong with it; with kills the server dies after every sixth act, in the middle of the next write. */
export async function follow(from: Beginnings, begin: number, moves: readonly Move[], kills: boolean): Promise<readonly string[]> {
  const lab = await labOn(from.names[begin % from.names.length]!, people, kills);
  try {
    const first = await loadJobState(lab.db, job);
    const choice = first.decisions.find((d) => d.id === from.decision)!.choice;
    const u: Under = {
      ...{ lab, job, instrument, decision: from.decision, choice, owner: demoWorkshop.people[2]!.id },
      ...{ calliper: demoWorkshop.tools[0]!.id, gauge: demoWorkshop.tools[1]!.id, rule: demoWorkshop.tools[2]!.id, targets: from.targets },
      ...{
        yes: new Map(first.consents.map((c) => [c.id, noteYes(first, choice)])),
        complaints: [],
        sessions: new Map(),
        typed: new Map(),
        held: new Map(),
        count: 0,
      },
    };
    for (const [i, { who, act, n }] of moves.entries()) {
      const hidden = [...u.sessions.values()].map((x) => ({
        ...x,
        secrets: u.typed.get(`${x.target.quantity}|${x.target.feature}|${x.target.part ?? ''}`) ?? [],
      }));
      const said = lab.told.length;
      const done = ACTS[act]!.act(u, who, n);
      if (kills && i % 6 === 5) {
        await new Promise((r) => setTimeout(r, n % 60));
        await lab.kill();
      }
      await done;
      // no answer, or one that says to ask again
      if (kills) for (const one of lab.book.filter((x) => x.answer.status === 0 || x.answer.status === 503)) await lab.resend(one);
      if (u.sessions.size > 0) await ACTS['lookAbout']!.act(u, 1 - who, n);
      // while a value is read again blind it comes out nowhere
      for (const { id, target, secrets } of hidden)
        if ([...u.sessions.values()].some((x) => x.id === id))
          for (const { text, path } of lab.told.slice(said))
            for (const secret of secrets) if (text.includes(secret)) u.complaints.push(`${path} told the hidden ${target.quantity} ${secret}`);
      lab.told.length = 0;
      if (u.complaints.length > 0) return u.complaints.map((c) => `after ${i + 1} ${act}: ${c}`);
    }
    return await keptComplaints(lab, instrument, tools);
  } finally {
    await lab.close();
  }
}
