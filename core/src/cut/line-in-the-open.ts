import { cutAt, intersections, length, regionContains, segmentsOf, type Outline, type Region } from '../shape/index.js';

/** How much of a line lies in cavities that are there already, mm: there a bearing has no wall to run on. A rectangle half over an old one of the same width has half its line in the open. */
export function lineInTheOpen(line: Outline, old: Region): number {
  const edges = old.flatMap((o) => [...segmentsOf(o)]);
  return segmentsOf(line)
    .flatMap((s) => [
      ...cutAt(
        s,
        edges.flatMap((e) => intersections(s, e)),
      ),
    ])
    .filter(({ middle }) => regionContains(old, middle))
    .reduce((sum, { piece }) => sum + length(piece), 0);
}
