import { choiceOf, evaluateIn, evaluatePlan, type PlanState } from '@rinnovo/core/check';
import { cuttingFor, routeFigures } from '@rinnovo/core/cut';
import { benchNow } from '@rinnovo/core/gate';
import { cavityOf } from '@rinnovo/core/instrument';
import type { Tool } from '@rinnovo/core/part';
import type { Answer, LiveRequest } from './live-messages';

/** What the worker holds between requests. */
export interface Holding {
  key: string;
  state: PlanState;
  tools: readonly Tool[];
}

/** Answers one request from what is held; null for one that only brings a new state. */
export function answer(held: Holding | null, request: Exclude<LiveRequest, { kind: 'state' }>): Answer {
  if (held?.key !== request.key) return { seq: request.seq, ok: false, message: 'the state for this request is not here' };
  const { state, tools } = held;
  const { seq, plan } = request;
  const choice = choiceOf(plan, request.choice);
  const pickup = choice?.kind === 'pickup' ? choice : null;
  try {
    switch (request.kind) {
      case 'evaluate': {
        const verdicts = choice ? evaluateIn(state, plan, choice).verdicts.map((v) => ({ ...v, working: null })) : [];
        return { seq, ok: true, kind: 'evaluate', result: { verdicts } };
      }
      case 'full': {
        const cavity = pickup && cavityOf(state.anatomy, pickup);
        const figures = pickup?.route && cavity ? routeFigures(state, cavity, pickup.route) : null;
        return { seq, ok: true, kind: 'full', result: { ...evaluatePlan(state, plan), figures } };
      }
      case 'cutting':
        return { seq, ok: true, kind: 'cutting', result: choice && cuttingFor(state, choice, tools) };
      case 'bench':
        return { seq, ok: true, kind: 'bench', result: benchNow({ ...request.input, state }) };
    }
  } catch (error) {
    return { seq, ok: false, message: error instanceof Error ? error.message : String(error) };
  }
}
