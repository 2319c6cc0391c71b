import { fixed, withUnit } from '../locale.js';
import type { OperationWords } from './row.js';

export const routePasses: OperationWords = {
  kind: 'routePasses',
  name: 'Route to the template, in passes',
  steps: {
    setDepth: {
      card: (n) =>
        `Set the bit for a depth of ${withUnit(fixed(Number(n['depth']), 1), 'mm')}, ${n['guide'] === 'template' ? 'base on the template' : 'template off, base on the wood'}.`,
      logged: 'depth set',
    },
    cut: {
      card: (n) =>
        `Pass ${n['pass']} of ${n['of']}: rout clockwise inside the route, ${n['guide'] === 'template' ? 'bearing on the template' : 'bearing on the cut wall'}.`,
      logged: 'pass',
    },
    measureDepth: {
      card: (n) => `Measure the depth: ${n['level']}.`,
      logged: 'depth measured',
    },
    templateOff: {
      card: () => 'Remove the template. The bearing now runs on the cut wall.',
      logged: 'template removed',
    },
  },
};
