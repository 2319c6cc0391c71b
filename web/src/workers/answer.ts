import { benchNow, cuttingFor, evaluateIn, evaluatePlan } from '@rinnovo/core/house';
import { cavityOfRoute } from '@rinnovo/core/house/lists';
import { choiceOf, type PlanState } from '@rinnovo/core/check';
import { routeFigures } from '@rinnovo/core/cut';
import type { Answer, LiveRequest } from './live-messages';

/** What the worker holds between requests. */
export interface Holding {
  key: string;
  state: PlanState;
}

/** Answers one request from what is held; null for one that only brings a new state. */
export function answer(held: Holding | null, request: Exclude<LiveRequest, { kind: 'state' }>): Answer {
  if (held?.key !== request.key) return { seq: request.seq, ok: false, message: 'the state for this request is not here' };
  const { state } = held;
  const { seq, plan } = request;
  const choice = choiceOf(plan, request.choice);
  try {
    switch (request.kind) {
      case 'evaluate': {
        const verdicts = choice ? evaluateIn(state, plan, choice).verdicts.map((v) => ({ ...v, working: null })) : [];
        return { seq, ok: true, kind: 'evaluate', result: { verdicts } };
      }
      case 'full': {
        const cavity = choice && cavityOfRoute(state.anatomy, choice);
        const figures = choice?.route && cavity ? routeFigures(state, cavity, choice.route) : null;
        return { seq, ok: true, kind: 'full', result: { ...evaluatePlan(state, plan), figures } };
      }
      case 'cutting':
        return { seq, ok: true, kind: 'cutting', result: choice && cuttingFor(state, choice) };
      case 'bench':
        return { seq, ok: true, kind: 'bench', result: benchNow({ ...request.input, state }) };
    }
  } catch (error) {
    return { seq, ok: false, message: error instanceof Error ? error.message : String(error) };
  }
}
