import type { Point } from '@rinnovo/core/shape';
import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomTransform } from 'd3-zoom';
import type { Frame } from './drawing';

/** The narrowest and widest part of the drawing that is shown, mm. */
const NARROWEST = 8;
const WIDEST = 2000;

/** Wheel, two fingers, paper that is dragged: one hand on the drawing's window. */
export interface PanZoom {
  /** All of a frame is seen again; from here on it is what is zoomed. */
  readonly show: (frame: Frame) => void;
  /** Nearer (above 1) or further about the middle. */
  readonly nearer: (factor: number) => void;
  /** The window goes along the drawing, mm. */
  readonly along: (by: Point) => void;
}

/**
 * Lets wheel, pinch and drag zoom and pan a drawing whose view box is the frame; `seen` gets what its lines are moved and scaled by.
 * `holds` says that a hand came down on something of the drawing itself: that is no panning.
 */
export function panZoom(svg: SVGSVGElement, holds: (target: Element) => boolean, seen: (by: ZoomTransform) => void): PanZoom {
  const on = select<SVGSVGElement, unknown>(svg);
  const behaviour = zoom<SVGSVGElement, unknown>()
    .touchable(() => true)
    .filter((event: MouseEvent | TouchEvent | WheelEvent) => {
      if (event.type === 'wheel') return true;
      if ('touches' in event) return event.touches.length > 1 || !holds(event.target as Element);
      return !event.ctrlKey && event.button === 0 && !holds(event.target as Element);
    })
    .on('zoom', (event: { readonly transform: ZoomTransform }) => {
      seen(event.transform);
    });
  on.call(behaviour).on('dblclick.zoom', null);
  return {
    show: (frame) => {
      const [x, y] = [frame.x + frame.width, frame.y + frame.height];
      behaviour.extent([
        [frame.x, frame.y],
        [x, y],
      ]);
      behaviour.scaleExtent([frame.width / WIDEST, frame.width / NARROWEST]);
      on.call((s) => {
        behaviour.transform(s, zoomIdentity);
      });
    },
    nearer: (factor) => {
      on.call((s) => {
        behaviour.scaleBy(s, factor);
      });
    },
    along: ({ x, y }) => {
      on.call((s) => {
        behaviour.translateBy(s, -x, -y);
      });
    },
  };
}

/** The part of the drawing that is seen through a frame, mm. */
export function windowOf(frame: Frame, { x, y, k }: ZoomTransform): Frame {
  return { x: (frame.x - x) / k, y: (frame.y - y) / k, width: frame.width / k, height: frame.height / k };
}
