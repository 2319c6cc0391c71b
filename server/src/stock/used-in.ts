import { idParam, noQuery, type UsedIn } from '@rinnovo/contract';
import { Router } from 'express';
import type { Knex } from 'knex';
import { readRoute } from '../http/read.js';

/** As many as anybody reads. */
const MOST = 100;

interface Row {
  readonly instrument: string;
  readonly label: string;
  readonly title: string;
  readonly amount: number | string;
  readonly at: Date | null;
}

/** A sum comes as a text where it is counted. */
const toUse = ({ at, amount, ...r }: Row): UsedIn => ({ ...r, amount: Number(amount), at: at?.toISOString() ?? null });

/** What went into instruments out of some drawers, by job: what came back is taken off. */
const WENT_IN = `SELECT l.instrument, i.label, j.title, -sum(m.amount) AS amount, max(m.at) AS at
  FROM movements m JOIN ledger l ON l.id = m.entry JOIN jobs j ON j.id = l.job JOIN instruments i ON i.id = l.instrument JOIN stock s ON s.id = m.item
  WHERE m.why IN ('fitted', 'used', 'returned') AND WHICH
  GROUP BY l.instrument, i.label, j.id, j.title HAVING sum(m.amount) < 0`;

/** Where a part is planned or went in: /api/parts/:id/used-in. */
export function partUseRoutes(db: Knex): Router {
  const router = Router({ mergeParams: true });
  router.get(
    '/',
    readRoute(idParam, noQuery, async ({ id }) => {
      const { rows } = (await db.raw(
        `SELECT * FROM (
           ${WENT_IN.replace('WHICH', `s.document->>'part' = ?`)}
           UNION ALL
           SELECT j.instrument, i.label, j.title, (SELECT count(*) FROM jsonb_array_elements(p.document->'choices') c WHERE c->>'part' = ?) AS amount, NULL AS at
           FROM plans p JOIN jobs j ON j.id = p.job JOIN instruments i ON i.id = j.instrument
           WHERE j.active AND p.document->'choices' @> jsonb_build_array(jsonb_build_object('part', ?::text))
         ) u ORDER BY at DESC NULLS FIRST, label LIMIT ?`,
        [id, id, id, MOST],
      )) as { rows: Row[] };
      return { body: { items: rows.map(toUse) } };
    }),
  );
  return router;
}

/** Where what lay in a drawer was used: /api/stock/:id/used-in. */
export function stockUseRoutes(db: Knex): Router {
  const router = Router({ mergeParams: true });
  router.get(
    '/',
    readRoute(idParam, noQuery, async ({ id }) => {
      const { rows } = (await db.raw(`${WENT_IN.replace('WHICH', 's.id = ?')} ORDER BY at DESC LIMIT ?`, [id, MOST])) as { rows: Row[] };
      return { body: { items: rows.map(toUse) } };
    }),
  );
  return router;
}
