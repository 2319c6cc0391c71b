import type { GateItem } from '@rinnovo/core/gate';
import { targetKey } from '@rinnovo/core/quantity';

/** Where to go to do now what is missing. */
export interface Way {
  readonly text: string;
  readonly link: readonly string[];
  readonly query?: Readonly<Record<string, string>>;
}

const WOOD: ReadonlySet<string> = new Set(['offcut', 'dowel', 'glue']);

/** The way to what an open item of the gate waits for; null where it is done on the spot. */
export function wayNow(item: GateItem, instrument: string): Way | null {
  switch (item.kind) {
    case 'reading':
    case 'typical':
    case 'unfounded':
      return { text: 'Measure', link: ['/i', instrument, 'survey'], query: { measure: targetKey(item.target) } };
    case 'width':
      return { text: 'Check outline', link: ['/i', instrument, 'survey'], query: { measure: targetKey(item.target) } };
    case 'part':
      return { text: 'Open the part', link: ['/shelf', item.part] };
    case 'verdict':
      return { text: 'Options', link: ['/i', instrument, 'fit'] };
    case 'before':
      return { text: 'Open Bench', link: ['/i', instrument, 'bench'] };
    case 'need':
      if (item.need.need === 'part') return { text: 'Open drawers', link: ['/shop', 'drawers'] };
      return WOOD.has(item.need.need) ? { text: 'Open drawers', link: ['/shop', 'drawers'] } : { text: 'Open tools', link: ['/shop', 'tools'] };
    case 'print':
      return { text: 'Print template', link: ['/i', instrument, 'cut'], query: { show: 'template' } };
    default:
      return null;
  }
}
