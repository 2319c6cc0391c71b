import { idParam, noQuery, plainInstrument } from '@rinnovo/contract';
import { partsOf } from '@rinnovo/core/instrument';
import { targetKey } from '@rinnovo/core/quantity';
import { undoRecipe } from '@rinnovo/core/record';
import { Router } from 'express';
import type { Knex } from 'knex';
import { asFound } from '../anatomy/as-found.js';
import { anatomyHistory, anatomyOf } from '../anatomy/queries.js';
import { withDimensionHidden } from '../anatomy/withhold.js';
import { consentsOf } from '../consents/queries.js';
import { decisionsOf } from '../decisions/queries.js';
import { readRoute } from '../http/read.js';
import { instrumentById } from '../instruments/queries.js';
import { activeJobOf } from '../jobs/jobs.js';
import { ledgerAfter, MOST_ENTRIES } from '../ledger/queries.js';
import { allParts } from '../parts/queries.js';
import { readingsOf, shown } from '../readings/queries.js';
import { openSessions } from '../readings/sessions.js';
import { withheld } from '../readings/withheld.js';
import { findingsOf, surveysOf } from '../surveys/queries.js';

/** The whole instrument as one JSON document: /api/instruments/:id/passport. */
export function passportRoutes(db: Knex): Router {
  const router = Router({ mergeParams: true });
  router.get(
    '/',
    readRoute(idParam, noQuery, async ({ id }) => {
      const instrument = plainInstrument(await instrumentById(db, id));
      const history = await anatomyHistory(db, id);
      const hidden = await openSessions(db, id);
      const keys = new Set(hidden.map(targetKey));
      const all = await Promise.all(history.map((h) => anatomyOf(db, id, h.revision)));
      const revisions = all.map((r) => ({ ...r, document: withDimensionHidden(r.document, hidden) }));
      const job = await activeJobOf(db, id);
      const fitted = new Set(revisions.flatMap((r) => partsOf(r.document)));
      const decisions = job ? await decisionsOf(db, job.id) : [];
      const { changes } = await asFound(db, id, hidden);
      return {
        body: {
          format: 2,
          instrument,
          revisions,
          readings: (await readingsOf(db, id)).map((r) => shown(r, keys, targetKey(r.target))),
          surveys: await surveysOf(db, id),
          findings: await findingsOf(db, id),
          job,
          decisions: withheld(decisions, hidden),
          consents: withheld(
            await consentsOf(
              db,
              decisions.map((d) => d.id),
            ),
            hidden,
          ),
          ledger: withheld(await ledgerAfter(db, id, null, MOST_ENTRIES), hidden),
          parts: Object.values(await allParts(db)).filter((p) => fitted.has(p.id)),
          differences: changes,
          undo: undoRecipe(changes),
        },
      };
    }),
  );
  return router;
}
