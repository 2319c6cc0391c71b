import { BY_HAND } from '@rinnovo/core/operation';
import { durationText } from '../duration.js';
import type { OperationWords } from './row.js';

export const byHand: OperationWords = {
  kind: BY_HAND,
  name: 'Own work',
  steps: {
    doOwn: { card: (n) => `${n['line'] ?? 'Do the work on your line.'}`, logged: 'own work done' },
    letRest: { card: (n) => `Let it rest for ${durationText(Number(n['minutes']))}.`, logged: 'rested' },
  },
};
