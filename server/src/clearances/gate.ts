import { atHand, beforeCut, confirmationsFor, cuttingFor } from '@rinnovo/core/house';
import type { ClearToCut, Decision } from '@rinnovo/contract';
import type { Choice, Evaluation } from '@rinnovo/core/check';
import { clearToCut, printWidths, type Clearance } from '@rinnovo/core/gate';
import { standingReadings } from '@rinnovo/core/work';
import { consentTo, type JobState } from '../jobs/job-state.js';

/** The gate as the server judges it, for a choice as it stands what somebody took upon themselves, and what was read on the print. */
export function judgeGate(s: JobState, decision: Decision, choice: Choice, evaluation: Evaluation, said: Pick<ClearToCut, 'accepted' | 'print'>): Clearance {
  const { anatomy, settings } = s.state;
  const drawn = printWidths(choice, settings);
  return clearToCut({
    evaluation,
    found: anatomy,
    readings: standingReadings(s.readings, s.operations, s.ledger),
    accepted: new Set(said.accepted.map((a) => a.verdict)),
    consent: consentTo(s, decision.id),
    asked: confirmationsFor(choice, evaluation, anatomy),
    print: drawn && { drawn, read: said.print },
    before: beforeCut(decision.id, s.operations, s.waivers),
    needs: atHand(s.state, choice, cuttingFor(s.state, choice), new Date()),
  });
}
