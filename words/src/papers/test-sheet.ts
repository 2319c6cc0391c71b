import { TEST_STAGE_HOW, TEST_STAGE_WORDS } from '../circuit.js';
import type { SheetGroup } from '../test-sheet.js';
import type { Paper, PaperBlock, PaperHead } from './paper.js';

/** The test sheet on paper: every line with its target, what was read, and room to write what was not. */
export function testSheetPaper(head: PaperHead, groups: readonly SheetGroup[]): Paper {
  return {
    title: 'Test sheet',
    head,
    blocks:
      groups.length === 0
        ? [{ kind: 'text', text: 'No circuit that is fully traced: nothing to test yet.' }]
        : groups.flatMap(({ stage, rows }): readonly PaperBlock[] => [
            { kind: 'heading', text: TEST_STAGE_WORDS[stage] },
            { kind: 'text', text: TEST_STAGE_HOW[stage] },
            {
              kind: 'table',
              head: ['Measure', 'Target', 'Reading', 'Result'],
              shares: [30, 28, 17, 25],
              rows: rows.map((r) => [
                r.title,
                r.target,
                r.reading ? `${r.reading.text}${r.reading.simulated ? ' (simulated)' : ''}` : '',
                [r.result?.word ?? '', ...r.meanings].filter(Boolean).join('. '),
              ]),
            },
          ]),
  };
}
