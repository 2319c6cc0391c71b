import type { Knex } from 'knex';
import { workshop } from './0001-workshop.js';
import { drawer } from './0002-drawer.js';
import { surveys } from './0003-surveys.js';
import { shelf } from './0004-shelf.js';
import { choices } from './0005-choices.js';
import { consents } from './0006-consents.js';
import { mishaps } from './0007-mishaps.js';
import { plainNames } from './0008-plain-names.js';
import { locale } from './0009-locale.js';
import { ownWork } from './0010-own-work.js';
import { movements } from './0011-movements.js';
import { cutsApart } from './0012-cuts-apart.js';
import { aspects } from './0013-aspects.js';
import { units } from './0014-units.js';
import { workByHand } from './0015-work-by-hand.js';
import { yes } from './0016-yes.js';
import { reasons } from './0017-reasons.js';
import { needs } from './0018-needs.js';
import { away } from './0019-away.js';
import { mentions } from './0020-mentions.js';
import { corrections } from './0021-corrections.js';
import { letterhead } from './0022-letterhead.js';

interface Migration {
  readonly name: string;
  readonly up: (db: Knex) => Promise<void>;
}

/** Every migration in order, under plain names: the same in specs and in the build. */
const ALL: readonly Migration[] = [
  workshop,
  drawer,
  surveys,
  shelf,
  choices,
  consents,
  mishaps,
  plainNames,
  locale,
  ownWork,
  movements,
  cutsApart,
  aspects,
  units,
  workByHand,
  yes,
  reasons,
  needs,
  away,
  mentions,
  corrections,
  letterhead,
];

export const migrations: Knex.MigrationSource<Migration> = {
  getMigrations: () => Promise.resolve([...ALL]),
  getMigrationName: (m) => m.name,
  // there is no way down: a backup is the way back
  getMigration: (m) => Promise.resolve({ ...m, down: () => Promise.reject(new Error('restore the backup from before')) }),
};
