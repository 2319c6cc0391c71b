import { actsOfChoice, isCutChoice, isHardwareChoice, isPickupChoice, type Choice, type CutChoice, type CutKind, type PlaceRef } from '@rinnovo/core/check';
import type { Anatomy } from '@rinnovo/core/instrument';
import type { Shelf } from '@rinnovo/core/part';

/** What things are called, by id; an id without a name stands for itself. */
export type Names = Readonly<Record<string, string>>;

/** The names of everything in an instrument and on the shelf. */
export function namesOf(anatomy: Anatomy | null, parts: Shelf): Names {
  const out: Record<string, string> = {
    body: 'back of the body',
    found: 'old route',
    planned: 'new route',
    screws: 'height screws',
    base: 'base',
    cover: 'cover',
    ears: 'ears',
  };
  for (const p of Object.values(parts)) out[p.id] = p.name;
  for (const c of anatomy?.cavities ?? []) out[c.id] = lowerFirst(c.name);
  for (const h of anatomy?.holes ?? []) out[h.id] = lowerFirst(h.name);
  for (const p of anatomy?.positions ?? []) out[p.id] = lowerFirst(p.name);
  for (const p of anatomy?.plates ?? []) {
    out[p.id] = lowerFirst(p.name);
    for (const o of p.openings) {
      out[o.id] = lowerFirst(o.name);
      if (o.insert) out[o.insert.id] = lowerFirst(o.insert.name);
    }
  }
  return out;
}

/** A hole that is planned: its kind, then a mark of its own. */
const FRESH = /^new (\w+) [0-9a-f]{8}$/;
/** What tells two things of one name apart: nobody reads it. */
const MARK = / [0-9a-f]{8}$/;

export function nameOf(names: Names, id: string | undefined): string {
  if (id === undefined) return '';
  if (id.startsWith('planned ')) return 'new route';
  const fresh = FRESH.exec(id);
  if (fresh) return `new ${fresh[1] ?? ''} hole`;
  return names[id] ?? id.replace(MARK, '');
}

export function lowerFirst(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}

export function upperFirst(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** Where a choice goes: a pickup place, a feature, a screw of a plate, or a hole that is not there yet; of a cut what it makes. */
export function placeOfChoice(c: Choice, names: Names): string {
  if (isPickupChoice(c)) return upperFirst(nameOf(names, c.position));
  if (isCutChoice(c)) return cutName(c, names);
  return isHardwareChoice(c) ? placeName(c.place, names) : upperFirst(nameOf(names, c.id));
}

function placeName(place: PlaceRef, names: Names): string {
  if (place.on === 'face') return `New ${place.hole} hole`;
  const feature = upperFirst(nameOf(names, place.feature));
  return place.screw === undefined ? feature : `${feature}, screw ${place.screw + 1}`;
}

function cutName(c: CutChoice, names: Names): string {
  if (c.cut === 'row' && c.place.on === 'face') return `Row of ${c.count} ${c.place.hole} holes`;
  if (c.cut === 'cavity') return upperFirst(actsOfChoice(c).flatMap((w) => (w.kind === 'addCavity' ? [w.cavity.name] : []))[0] ?? 'New cavity');
  return c.place.on === 'face' ? placeName(c.place, names) : `${upperFirst(nameOf(names, c.place.feature))}: ${CUT_NAMES[c.cut]}`;
}

const CUT_NAMES: Readonly<Record<CutKind, string>> = { deepen: 'deepen', channel: 'channel', relief: 'relief', row: 'row', cavity: 'cavity' };
