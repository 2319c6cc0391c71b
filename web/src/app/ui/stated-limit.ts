/** Limit of a size that was typed without a reading, mm [trade: docs/trade/part.md, tools: a steel rule's]. */
export const STATED_LIMIT = 0.25;
