import { PAPERS, RULE, type PaperId } from '@rinnovo/core/cut';
import Joi from 'joi';
import { localId, uuid } from './scalars.js';

/** An RFC 9457 problem as the server sends it. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail?: string;
  readonly instance?: string;
  /** Where the input is wrong: JSON pointers and what is asked for. */
  readonly errors?: readonly { readonly pointer: string; readonly detail: string }[];
  /** 412 and 409: what the server has. */
  readonly current?: unknown;
  /** 412 and 409: what was sent. */
  readonly yours?: unknown;
}

export const idParam = Joi.object<{ id: string }, true>({ id: uuid.required() });
/** A tool is named by hand. */
export const toolParam = Joi.object<{ id: string }, true>({ id: localId.required() });
export const revisionParam = Joi.object<{ id: string; revision: number }, true>({
  id: uuid.required(),
  revision: Joi.number().integer().min(1).max(1_000_000).required(),
});

export const pageQuery = Joi.object<{ after?: string; limit: number }>({
  after: Joi.string().max(300),
  limit: Joi.number().integer().min(1).max(1000).default(50),
});
/** What the list of instruments is narrowed by. */
export const findQuery = Joi.object<{ after?: string; limit: number; find: string; archived: boolean }>({
  after: Joi.string().max(300),
  limit: Joi.number().integer().min(1).max(200).default(50),
  find: Joi.string().trim().allow('').max(100).default(''),
  archived: Joi.boolean().default(false),
});
export const jobsQuery = Joi.object<{ instrument?: string }>({ instrument: uuid });
/** A template to print: for which choice, or of which panel, on what paper, mirrored, and what its rules measured, mm. */
export interface TemplateQuery {
  readonly choice?: string;
  /** A plate or a cavity whose holes are copied, to wire outside the body. */
  readonly panel?: string;
  readonly paper: PaperId;
  readonly mirrored: boolean;
  readonly ruleX: number;
  readonly ruleY: number;
}
const rule = Joi.number()
  .greater(0)
  .less(2 * RULE)
  .default(RULE);
export const templateQuery = Joi.object<TemplateQuery>({
  choice: localId,
  panel: localId,
  paper: Joi.string()
    .valid(...Object.keys(PAPERS))
    .default('A4'),
  mirrored: Joi.boolean().default(false),
  ruleX: rule,
  ruleY: rule,
}).xor('choice', 'panel');
export const noQuery = Joi.object({});

/** The papers of a job. */
export const JOB_PAPERS = ['intake', 'estimate', 'job-card', 'holes', 'hand-over'] as const;
export type JobPaper = (typeof JOB_PAPERS)[number];

export const paperParam = Joi.object<{ id: string; paper: JobPaper }, true>({
  id: uuid.required(),
  paper: Joi.string()
    .valid(...JOB_PAPERS)
    .required(),
});
