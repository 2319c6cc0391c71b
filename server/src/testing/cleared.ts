import { judgeGate } from '@rinnovo/core/house';
import { confirmKey, ONE_PERSON, overrideKey, printWidths, type GateItem } from '@rinnovo/core/gate';
import { dimensionAt, outlineAt, type Anatomy } from '@rinnovo/core/instrument';
import { targetKey, type Target } from '@rinnovo/core/quantity';
import { bounds } from '@rinnovo/core/shape';
import { choiceOf } from '@rinnovo/core/check';
import { demoWorkshop } from '@rinnovo/demo';
import { randomUUID } from 'node:crypto';
import type { Response } from 'supertest';
import { inHand, loadJobState, type JobState } from '../jobs/job-state.js';
import type { TestWorkshop } from './workshop.js';

/** What a target measures on an instrument as it is drawn. */
export function drawnAs(anatomy: Anatomy, t: Target): number {
  const at = dimensionAt(anatomy, t);
  if (at.exists && at.dimension) return at.dimension.value;
  const box = bounds([outlineAt(anatomy, t.feature, t.part)!.outline]);
  return t.quantity === 'checkWidthAcross' ? box.maxX - box.minX : box.maxY - box.minY;
}

/** Reads a target once, blind or not; throws unless it is kept. */
export async function readOnce(w: TestWorkshop, { instrument, target, value, blind }: Reading): Promise<void> {
  const tool = demoWorkshop.tools[0]!.id;
  const session = blind ? randomUUID() : null;
  if (session) await w.create(`/api/blind-sessions/${session}`, { id: session, instrument, target, tool, zeroed: true }).expect(201);
  const said = { instrument, target, value, limit: 0.05, raw: String(value), tool, session, survey: null, corrects: null };
  await w.create(`/api/readings/${randomUUID()}`, said).expect(201);
}

interface Reading {
  readonly instrument: string;
  readonly target: Target;
  readonly value: number;
  readonly blind: boolean;
}

/** What a decision is still missing at its gate, on what is said. */
function open(s: JobState, decision: string, said: Said): readonly GateItem[] {
  const choice = choiceOf(s.record.plan, s.decisions.find((d) => d.id === decision)!.choice)!;
  const cut = { decision, choice, plan: s.record.plan, state: s.state, said, today: new Date(), tired: null };
  return judgeGate(inHand(s), cut).gate.items.filter((i) => !i.ok);
}

interface Said {
  readonly accepted: readonly { readonly verdict: string; readonly reason: string }[];
  readonly print: { readonly across: number; readonly along: number } | null;
}

/** Reads twice what a decision's cut rests on, takes upon itself what may be taken, and sends its clearance; what else is missing stays missing. */
export async function clearForCut(w: TestWorkshop, job: string, decision: string): Promise<Response> {
  const before = await loadJobState(w.db, job);
  const { instrument } = before.job;
  for (const i of open(before, decision, { accepted: [], print: null })) {
    if (i.kind !== 'reading' && i.kind !== 'typical') continue;
    const value = drawnAs(before.state.anatomy, i.target);
    // what is typical is read once, where it need not be read twice
    if (i.kind === 'typical') {
      if ((await w.db('readings').where({ instrument, target_key: targetKey(i.target) })).length === 0)
        await readOnce(w, { instrument, target: i.target, value, blind: false });
      continue;
    }
    if (i.state === 'none') await readOnce(w, { instrument, target: i.target, value, blind: false });
    await readOnce(w, { instrument, target: i.target, value: value + 0.02, blind: true });
  }
  const s = await loadJobState(w.db, job);
  const choice = choiceOf(s.record.plan, s.decisions.find((d) => d.id === decision)!.choice)!;
  const print = printWidths(choice, s.state.settings);
  const accepted = open(s, decision, { accepted: [], print }).flatMap((i) => {
    if (i.kind === 'thin') return [{ verdict: i.verdict, reason: 'looked at, it holds' }];
    if (i.kind === 'onePerson') return [{ verdict: ONE_PERSON, reason: 'alone today' }];
    if (i.kind === 'verdict') return [{ verdict: overrideKey(i.verdict), reason: 'taken on' }];
    return i.kind === 'confirm' ? [{ verdict: confirmKey(i.confirm), reason: 'confirmed' }] : [];
  });
  const cut = { decision, choice, plan: s.record.plan, state: s.state, said: { accepted, print }, today: new Date(), tired: null };
  const seen = judgeGate(inHand(s), cut).evaluation.verdicts.map((v) => ({ id: v.id, clearance: v.clearance }));
  const body = { job, decision, planVersion: s.record.version, revisions: s.revisions, accepted, print, seen };
  return w.create(`/api/clearances/${randomUUID()}`, body);
}
