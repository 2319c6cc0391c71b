import { evaluatePlan, type Plan, type PlanState } from '@rinnovo/core/check';
import { planCutting, routeFigures } from '@rinnovo/core/cut';
import { benchNow } from '@rinnovo/core/gate';
import type { Tool } from '@rinnovo/core/part';
import { optionsFor } from '@rinnovo/core/remedy';
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
  try {
    switch (request.kind) {
      case 'evaluate': {
        const verdicts = evaluatePlan(state, plan).verdicts.map((v) => ({ ...v, working: null }));
        return { seq, ok: true, kind: 'evaluate', result: { verdicts } };
      }
      case 'full': {
        const cavity = cavityOf(state, plan);
        const figures = plan.route && cavity ? routeFigures(state, cavity, plan.route) : null;
        return { seq, ok: true, kind: 'full', result: { ...evaluatePlan(state, plan), figures } };
      }
      case 'options':
        return { seq, ok: true, kind: 'options', result: optionsFor(state, plan, tools, request.wish) };
      case 'cutting': {
        const cavity = cavityOf(state, plan);
        return { seq, ok: true, kind: 'cutting', result: plan.route && cavity ? planCutting(state, cavity, plan.route, tools) : null };
      }
      case 'bench':
        return { seq, ok: true, kind: 'bench', result: benchNow({ ...request.input, state, plan, tools }) };
    }
  } catch (error) {
    return { seq, ok: false, message: error instanceof Error ? error.message : String(error) };
  }
}

function cavityOf(state: PlanState, plan: Plan): PlanState['anatomy']['cavities'][number] | undefined {
  const position = state.anatomy.positions.find((p) => p.id === plan.position);
  return state.anatomy.cavities.find((c) => c.id === position?.cavity);
}
