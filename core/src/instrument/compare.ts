import { QUANTITIES, targetKey, type QuantityId, type Target } from '../quantity/index.js';
import type { Anatomy, FeatureOutline } from './anatomy.js';
import { dimensionAt } from './dimension-at.js';

/** A difference between two revisions. */
export type Difference =
  | { readonly kind: 'levelAdded'; readonly cavity: string; readonly level: string; readonly set: string }
  | { readonly kind: 'levelGone'; readonly cavity: string; readonly level: string; readonly set: string }
  | { readonly kind: 'holeAdded'; readonly hole: string }
  | { readonly kind: 'holePlugged'; readonly hole: string }
  /** Plugged and drilled anew elsewhere. */
  | { readonly kind: 'holeMoved'; readonly hole: string }
  | { readonly kind: 'partChanged'; readonly place: string; readonly before: string | null; readonly after: string | null }
  /** A cover or a pickup set higher on a spacer, or let down again, mm. */
  | { readonly kind: 'raised'; readonly place: string; readonly by: number }
  | { readonly kind: 'partTrimmed'; readonly place: string; readonly part: string | null }
  /** A slot that was opened: its level is the old one, wider. */
  | { readonly kind: 'levelOpened'; readonly cavity: string; readonly level: string }
  /** A plate made anew: the old one is kept. */
  | { readonly kind: 'plateMade'; readonly plate: string }
  | { readonly kind: 'windowFiled'; readonly plate: string; readonly opening: string }
  | { readonly kind: 'insertChanged'; readonly plate: string; readonly opening: string; readonly fitted: boolean }
  | { readonly kind: 'resized'; readonly target: Target; readonly before: number | null; readonly after: number | null; readonly beyond: boolean };

/** What differs between as found and as left, in the order of the anatomy. Values under 0.001 mm apart are equal; a size is beyond when it differs by more than both limits of error explain. */
export function compareAnatomies(before: Anatomy, after: Anatomy): readonly Difference[] {
  const out: Difference[] = [];
  for (const c of after.cavities) {
    const old = before.cavities.find((x) => x.id === c.id);
    for (const p of c.levels) {
      if (!old?.levels.some((q) => q.id === p.id)) out.push({ kind: 'levelAdded', cavity: c.id, level: p.id, set: p.set });
    }
  }
  for (const c of before.cavities) {
    const now = after.cavities.find((x) => x.id === c.id);
    for (const p of c.levels) {
      if (!now?.levels.some((q) => q.id === p.id)) out.push({ kind: 'levelGone', cavity: c.id, level: p.id, set: p.set });
    }
  }
  for (const h of after.holes) {
    const old = before.holes.find((x) => x.id === h.id);
    if (!old) out.push({ kind: 'holeAdded', hole: h.id });
    else if (h.condition === 'plugged' && old.condition !== 'plugged') out.push({ kind: 'holePlugged', hole: h.id });
    else if (h.basis.kind === 'work' && Math.hypot(h.at.x - old.at.x, h.at.y - old.at.y) > 0.001) out.push({ kind: 'holeMoved', hole: h.id });
  }
  const was = partsIn(before);
  for (const [place, part] of partsIn(after)) {
    const old = was.get(place) ?? null;
    if (old !== part) out.push({ kind: 'partChanged', place, before: old, after: part });
  }
  out.push(...levelsOpened(before, after), ...raisedOrTrimmed(before, after), ...platesWorked(before, after));
  for (const plate of after.plates) {
    for (const o of plate.openings) {
      const old = before.plates.find((p) => p.id === plate.id)?.openings.find((q) => q.id === o.id)?.insert;
      if (o.insert && old && o.insert.fitted !== old.fitted) out.push({ kind: 'insertChanged', plate: plate.id, opening: o.id, fitted: o.insert.fitted });
    }
  }
  const plugged = new Set(out.flatMap((d) => (d.kind === 'holePlugged' ? [d.hole] : [])));
  for (const target of targetsOf(after)) {
    const a = dimensionAt(before, target);
    const b = dimensionAt(after, target);
    if (!a.exists || !b.exists || plugged.has(target.feature)) continue;
    const x = a.dimension?.value ?? null;
    const y = b.dimension?.value ?? null;
    if (x === null ? y !== null : y === null || Math.abs(x - y) > 0.001) {
      const limits = (a.dimension?.limit ?? 0) + (b.dimension?.limit ?? 0);
      out.push({ kind: 'resized', target, before: x, after: y, beyond: x !== null && y !== null && Math.abs(x - y) > limits });
    }
  }
  return out;
}

/** Covers and pickups that stand off otherwise than before, and pickups of which something was cut. */
function raisedOrTrimmed(before: Anatomy, after: Anatomy): readonly Difference[] {
  const old = new Map([...before.cavities, ...before.positions].map((f) => [f.id, f.raised?.value ?? 0]));
  const raised = [...after.cavities, ...after.positions].flatMap((f): readonly Difference[] => {
    const by = (f.raised?.value ?? 0) - (old.get(f.id) ?? 0);
    // what sank with its plate is stated by the relief that it sank into
    return Math.abs(by) > 0.001 && (f.raised?.value ?? 0) >= 0 ? [{ kind: 'raised', place: f.id, by }] : [];
  });
  const trimmed = after.positions.flatMap((p): readonly Difference[] => {
    const was = before.positions.find((q) => q.id === p.id);
    const as = (t: typeof p.trimmed): string => `${t?.ears ?? 0} ${t?.screws ?? 0} ${t?.bent ?? 0}`;
    return p.trimmed && (was?.part !== p.part || as(was.trimmed) !== as(p.trimmed)) ? [{ kind: 'partTrimmed', place: p.id, part: p.part }] : [];
  });
  return [...raised, ...trimmed];
}

/** Levels of old whose edge is another by work that was done. */
function levelsOpened(before: Anatomy, after: Anatomy): readonly Difference[] {
  return after.cavities.flatMap((c) => {
    const old = before.cavities.find((x) => x.id === c.id);
    return c.levels.flatMap((p): readonly Difference[] => {
      const was = old?.levels.find((q) => q.id === p.id);
      return was && p.outline.basis.kind === 'work' && was.outline.basis.kind !== 'work' ? [{ kind: 'levelOpened', cavity: c.id, level: p.id }] : [];
    });
  });
}

/** Plates whose outline or window is another by work that was done; a reading that corrects them is none. */
function platesWorked(before: Anatomy, after: Anatomy): readonly Difference[] {
  const worked = (now: FeatureOutline, was: FeatureOutline | undefined): boolean => now.basis.kind === 'work' && was?.basis.kind !== 'work';
  return after.plates.flatMap((plate): readonly Difference[] => {
    const old = before.plates.find((p) => p.id === plate.id);
    if (worked(plate.outline, old?.outline)) return [{ kind: 'plateMade', plate: plate.id }];
    return plate.openings.flatMap((o): readonly Difference[] => {
      const was = old?.openings.find((q) => q.id === o.id);
      const filed = worked(o.outline, was?.outline) || (o.insert !== null && worked(o.insert.slot, was?.insert?.slot));
      return filed ? [{ kind: 'windowFiled', plate: plate.id, opening: o.id }] : [];
    });
  });
}

/** What sits where: in positions, holes, cavities and plates. */
function partsIn(a: Anatomy): ReadonlyMap<string, string | null> {
  return new Map([...a.positions, ...a.holes, ...a.cavities, ...a.plates].map((f) => [f.id, f.part ?? null]));
}

/** The parts that sit on an instrument, each once. */
export function partsOf(a: Anatomy): readonly string[] {
  return [...new Set([...partsIn(a).values()].filter((p) => p !== null))];
}

/** Every value of an anatomy that can be read, each once. */
export function targetsOf(a: Anatomy): readonly Target[] {
  const widths: readonly QuantityId[] = ['checkWidthAcross', 'checkWidthAlong'];
  const outline = (feature: string, part?: string): Target[] =>
    widths.map((quantity) => (part === undefined ? { quantity, feature } : { quantity, feature, part }));
  const all: Target[] = [
    { quantity: 'bodyThickness', feature: 'body' },
    ...a.cavities.flatMap((c) =>
      c.levels.flatMap((p): Target[] => [
        { quantity: 'levelDepth', feature: c.id, part: p.id },
        ...(p.fall ? [{ quantity: 'floorFall' as const, feature: c.id, part: p.id }] : []),
        ...outline(c.id, p.id),
      ]),
    ),
    ...a.plates.flatMap((p): Target[] => [
      ...outline(p.id),
      { quantity: 'plateThickness', feature: p.id },
      ...p.openings.flatMap((o) => [...outline(p.id, o.id), ...(o.insert ? outline(p.id, o.insert.id) : [])]),
    ]),
    ...a.holes.flatMap((h): Target[] => [
      { quantity: 'holeDiameter', feature: h.id },
      ...(h.through ? [] : [{ quantity: 'holeDepth' as const, feature: h.id }]),
    ]),
    ...(a.body.carve.kind === 'flat' ? [] : [{ quantity: 'carveHeight' as const, feature: 'body' }]),
    { quantity: 'scaleLength', feature: 'neck' },
    ...(a.neck.scaleBass ? [{ quantity: 'scaleLengthBass' as const, feature: 'neck' }] : []),
    { quantity: 'firstToThirteenth', feature: 'neck' },
    { quantity: 'nutToTwelfth', feature: 'neck' },
    { quantity: 'nutToSaddle', feature: 'neck' },
    { quantity: 'nutToMouth', feature: 'neck' },
    ...(a.neck.jointHeight ? [{ quantity: 'jointHeight' as const, feature: 'neck' }] : []),
    ...a.positions.map((p): Target => ({ quantity: 'stringHeight', feature: p.id })),
    ...(a.neck.heelThickness ? [{ quantity: 'heelThickness' as const, feature: 'neck' }] : []),
    ...(a.neck.shim ? [{ quantity: 'shimThickness' as const, feature: 'neck' }] : []),
    { quantity: 'nutWidth', feature: 'neck' },
    { quantity: 'boardEndWidth', feature: 'neck' },
    { quantity: 'boardRadius', feature: 'neck' },
    { quantity: 'neckThickness', feature: 'neck', part: 'first' },
    { quantity: 'neckThickness', feature: 'neck', part: 'twelfth' },
    { quantity: 'headstockThickness', feature: 'headstock' },
    { quantity: 'spreadAtNut', feature: 'strings' },
    { quantity: 'spreadAtSaddles', feature: 'strings' },
    ...(a.strings.courses ? [{ quantity: 'courseApart' as const, feature: 'strings' }] : []),
  ];
  const seen = new Set<string>();
  return all.filter((t) => t.quantity in QUANTITIES && !seen.has(targetKey(t)) && seen.add(targetKey(t)));
}
