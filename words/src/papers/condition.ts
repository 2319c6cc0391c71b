import type { Anatomy } from '@rinnovo/core/instrument';
import type { ConditionSheet } from '../sheet.js';
import { bothFaces, signed, type Paper, type PaperBlock, type PaperHead } from './paper.js';
import { numbersOn } from './place-on-paper.js';

/** What was found, numbered as it stands on the drawing. */
export const findingLines = (findings: ConditionSheet['findings']): PaperBlock => ({
  kind: 'lines',
  mark: 'number',
  lines: findings.map((f) => ({ text: `${f.text} (${f.severity})`, ...(f.detail === '' ? {} : { detail: f.detail }) })),
});

/** The condition sheet on paper: who and what, findings with their numbers on both faces, every reading, what was left out, and who signed. */
export function conditionPaper(sheet: ConditionSheet, anatomy: Anatomy, head: PaperHead): Paper {
  const faces = bothFaces(
    anatomy,
    numbersOn(
      anatomy,
      sheet.findings.map((f) => f.place),
    ),
  );
  return {
    title: 'Condition sheet',
    head: { ...head, about: [...head.about, ...sheet.identity] },
    blocks: [
      { kind: 'pairs', pairs: sheet.conditions },
      { kind: 'heading', text: 'Findings' },
      faces,
      sheet.findings.length === 0 ? { kind: 'text', text: 'Every reading is within its target.' } : findingLines(sheet.findings),
      { kind: 'heading', text: `Readings (${sheet.readings.length})` },
      {
        kind: 'table',
        head: ['Reading', 'Value', 'Target', 'Result', 'Person and time'],
        shares: [34, 15, 19, 16, 16],
        rows: sheet.readings.map((r) => [r.what, r.value, r.target, r.result, r.by]),
      },
      ...(sheet.skipped.length > 0
        ? ([
            { kind: 'heading', text: 'Not measured' },
            { kind: 'lines', mark: 'none', lines: sheet.skipped.map(([what, reason]) => ({ text: `${what}: ${reason}` })) },
          ] as const)
        : []),
      signed([{ kind: 'text', text: sheet.signature, strong: true }], 'Technician'),
    ],
  };
}
