import { createHash } from 'node:crypto';
import { cleanSvg } from '@rinnovo/core/format';
import { evaluateChoice, evaluatePlan, judgeGate, judgeStep, optionsFor } from '@rinnovo/core/house';
import type { Choice, Evaluation, Plan, PlanState } from '@rinnovo/core/check';
import type { CutToJudge, JobInHand, StepOutcome, StepRefusal, StepToLog } from '@rinnovo/core/job';
import type { Option, OwnerRequest } from '@rinnovo/core/remedy';

/** What the ways out of a choice are asked from. */
export interface OptionsAsked {
  readonly state: PlanState;
  readonly plan: Plan;
  readonly choice: Choice;
  readonly request: OwnerRequest;
}

/** A step that is to be judged, with the job and the day. */
export interface StepAsked {
  readonly job: JobInHand;
  readonly state: PlanState;
  readonly said: StepToLog;
  readonly today: Date;
}

/** A sum without the working behind each number: that is not sent from thread to thread. */
function plain(e: Evaluation): Evaluation {
  return { ...e, verdicts: e.verdicts.map((v) => ({ ...v, working: null })) };
}

/** Every long sum of the server: plain data in, plain data out. They run in threads of their own. */
export const TASKS = {
  options: ({ state, plan, choice, request }: OptionsAsked): readonly Option[] =>
    optionsFor(state, plan, choice, request).map((o) => ({ ...o, evaluation: plain(o.evaluation) })),
  evaluation: ({ state, plan }: { readonly state: PlanState; readonly plan: Plan }): Evaluation => plain(evaluatePlan(state, plan)),
  gate: ({ job, cut }: { readonly job: JobInHand; readonly cut: CutToJudge }): ReturnType<typeof judgeGate> => {
    const { evaluation, gate } = judgeGate(job, cut);
    return { evaluation: plain(evaluation), gate };
  },
  choice: ({ state, choice }: { readonly state: PlanState; readonly choice: Choice }): Evaluation => plain(evaluateChoice(state, choice)),
  /** Why no verdict can be made of a choice; null where they can. */
  cannotBe: ({ state, choice }: { readonly state: PlanState; readonly choice: Choice }): string | null => {
    try {
      evaluateChoice(state, choice);
      return null;
    } catch (error) {
      if (error instanceof RangeError) return error.message;
      throw error;
    }
  },
  /** A large JSON body, and its hash as a write is known by; null for what is none. */
  parse: (bytes: Uint8Array): { readonly body: unknown; readonly hash: string } => {
    try {
      const body = JSON.parse(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength).toString('utf8')) as unknown;
      return { body, hash: createHash('sha256').update(JSON.stringify(body)).digest('hex') };
    } catch {
      return { body: null, hash: '' };
    }
  },
  /** An SVG's shapes and nothing that could run; null for what is no SVG. */
  cleanSvg: (text: string): string | null => {
    try {
      return cleanSvg(text);
    } catch {
      return null;
    }
  },
  step: ({ job, state, said, today }: StepAsked): StepOutcome | StepRefusal => judgeStep(job, state, said, today),
};

export type TaskId = keyof typeof TASKS;
