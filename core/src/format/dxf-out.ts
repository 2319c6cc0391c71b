import { Colors, DxfWriter, LWPolylineFlags, point2d, Units } from '@tarikjabiri/dxf';
import type { DrawingLayer } from './svg-out.js';

/** A DXF file in mm with a layer for each group of outlines, lines and arcs as they are; y up, as CAD has it. An empty layer has its title for a name. Throws RangeError for an empty drawing. */
export function dxfFile(layers: readonly DrawingLayer[], title: string): string {
  if (layers.every((l) => l.outlines.length === 0)) throw new RangeError('there is nothing to draw');
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  const named = (name: string): string => name.replace(/[^\p{L}\p{N} _-]/gu, '_');
  for (const layer of layers) {
    const name = named(layer.name);
    dxf.addLayer(name, Colors.White);
    dxf.setCurrentLayerName(name);
    for (const { outline } of layer.outlines) {
      const vertices = outline.vertices.map((v) => ({ point: point2d(v.x, -v.y), ...(v.bulge === 0 ? {} : { bulge: -v.bulge }) }));
      dxf.addLWPolyline(vertices, { flags: LWPolylineFlags.Closed });
    }
  }
  dxf.addLayer(named(title), Colors.White);
  return dxf.stringify();
}
