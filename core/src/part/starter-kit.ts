import { USUAL_LIMIT, type Tool } from './tool.js';

/** A tool as a kit names it: it gets its id when a workshop takes it. */
export type KitTool = Tool extends infer T ? (T extends Tool ? Omit<T, 'id'> : never) : never;

/** What a bench that works on guitars usually has: what measures, drills, bits and hand tools, with usual sizes, mm [memory: docs/trade/part.md, starter kit]. */
export const STARTER_KIT: readonly KitTool[] = [
  { kind: 'calliper', name: 'Digital calliper 150', limit: USUAL_LIMIT.calliper },
  { kind: 'depth gauge', name: 'Depth gauge', limit: USUAL_LIMIT['depth gauge'] },
  { kind: 'rule', name: 'Steel rule 300', limit: USUAL_LIMIT.rule },
  { kind: 'tape', name: 'Tape measure', limit: USUAL_LIMIT.tape },
  { kind: 'template', name: '1/2 in template bit, short', diameter: 12.7, cuttingLength: 12.7, reach: 26, bearing: 12.7, sharpened: null },
  { kind: 'template', name: '3/8 in template bit, short', diameter: 9.525, cuttingLength: 12.7, reach: 25, bearing: 9.525, sharpened: null },
  { kind: 'template', name: '3/8 in template bit, long', diameter: 9.525, cuttingLength: 25, reach: 45, bearing: 9.525, sharpened: null },
  { kind: 'straight', name: '6 mm straight bit', diameter: 6, cuttingLength: 20, reach: 30, sharpened: null },
  { kind: 'boring', name: '25 mm Forstner bit', diameter: 25, spur: 2.5, sharpened: null },
  { kind: 'boring', name: '16 mm Forstner bit', diameter: 16, spur: 2.5, sharpened: null },
  { kind: 'boring', name: '6 mm brad-point bit', diameter: 6, spur: 1.5, sharpened: null },
  { kind: 'drills', name: 'Brad-point set, 3 to 10', system: 'metric', from: 3, to: 10, sharpened: null },
  { kind: 'drills', name: 'Twist drills, 1 to 6', system: 'metric', from: 1, to: 6, sharpened: null },
  { kind: 'step drill', name: 'Step drill, 4 to 12', from: 4, to: 12, step: 1, sharpened: null },
  { kind: 'reamer', name: 'Taper reamer, 5 to 13', from: 5, to: 13, sharpened: null },
  { kind: 'countersink', name: 'Countersink', diameter: 16, sharpened: null },
  { kind: 'plug cutter', name: 'Plug cutter, 10', diameter: 10, sharpened: null },
  { kind: 'file', name: 'Needle files', sharpened: null },
];
