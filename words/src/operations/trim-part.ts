import { fixed, withUnit } from '../locale.js';
import { trimmedText } from '../remedies.js';
import type { OperationWords } from './row.js';

export const trimPart: OperationWords = {
  kind: 'trimPart',
  name: 'Trim the part',
  steps: {
    cutDown: {
      card: (n) =>
        n['ears'] === undefined
          ? `Clamp ${n['part']} between wood. Saw ${n['by'] === undefined ? 'it to length' : `${withUnit(fixed(Number(n['by']), 1), 'mm')} off`}. File the end.`
          : `Cover the coils of ${n['part']} against filings. Clamp it between wood. Then ${trimmedText({ ears: Number(n['ears']), screws: Number(n['screws']), bent: Number(n['bent'] ?? 0) })}. Break the edges.`,
      logged: 'part trimmed',
    },
  },
};
