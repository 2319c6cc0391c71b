import type { Tool } from '@rinnovo/core/part';
import { ids } from './ids.js';

/** What is in the demo workshop's drawers. */
export const tools: readonly Tool[] = [
  { id: ids.calliper, kind: 'calliper', name: 'Digital calliper 150', limit: 0.05 },
  { id: ids.depthGauge, kind: 'depth gauge', name: 'Depth gauge', limit: 0.05 },
  { id: ids.rule, kind: 'rule', name: 'Steel rule 300', limit: 0.25 },
  { id: ids.forstner32, kind: 'boring', name: '25 mm Forstner bit', diameter: 25, spur: 2.5 },
  { id: ids.forstner6, kind: 'boring', name: '6 mm brad-point bit', diameter: 6, spur: 1.5 },
  { id: ids.straight6, kind: 'straight', name: '6 mm straight bit', diameter: 6, cuttingLength: 20, reach: 30, sharpened: '2026-08-14' },
  {
    id: ids.templateShort,
    kind: 'template',
    name: '3/8 in template bit, short',
    diameter: 9.525,
    cuttingLength: 12.7,
    reach: 25,
    bearing: 9.525,
    sharpened: '2026-10-02',
  },
  {
    id: ids.templateLong,
    kind: 'template',
    name: '3/8 in template bit, long',
    diameter: 9.525,
    cuttingLength: 25,
    reach: 45,
    bearing: 9.525,
    sharpened: '2026-06-20',
  },
  { id: ids.holeTool(1), kind: 'drills', name: 'Brad-point set, 3 to 10', system: 'metric', from: 3, to: 10 },
  { id: ids.holeTool(2), kind: 'drills', name: 'Number drills 30 to 60', system: 'number', from: 1, to: 3.3 },
  { id: ids.holeTool(3), kind: 'step drill', name: 'Step drill', from: 4, to: 12, step: 1 },
  { id: ids.holeTool(4), kind: 'reamer', name: 'Taper reamer', from: 5, to: 13 },
  { id: ids.holeTool(5), kind: 'countersink', name: 'Countersink', diameter: 16 },
  { id: ids.holeTool(6), kind: 'plug cutter', name: 'Plug cutter', diameter: 10, sharpened: null },
];
