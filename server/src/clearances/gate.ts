import type { Decision } from '@rinnovo/contract';
import type { Choice, Evaluation } from '@rinnovo/core/check';
import { cuttingFor } from '@rinnovo/core/cut';
import { atHand, beforeCut, clearToCut, confirmationsFor, type Clearance } from '@rinnovo/core/gate';
import { RULES } from '@rinnovo/core/order';
import { consentTo, type JobState } from '../jobs/job-state.js';

/** The gate as the server judges it, for a choice as it stands and what somebody took upon themselves. */
export function judgeGate(
  s: JobState,
  decision: Decision,
  choice: Choice,
  evaluation: Evaluation,
  accepted: readonly { readonly verdict: string }[],
): Clearance {
  const { anatomy } = s.state;
  return clearToCut({
    evaluation,
    found: anatomy,
    readings: s.readings,
    accepted: new Set(accepted.map((a) => a.verdict)),
    consent: consentTo(s, decision.id),
    asked: confirmationsFor(choice, evaluation, anatomy),
    before: beforeCut(decision.id, s.operations, RULES, s.waivers),
    needs: atHand(s.state, choice, cuttingFor(s.state, choice, s.tools), new Date()),
  });
}
