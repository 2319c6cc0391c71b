import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { anatomy, setUp } from '../../testing/fixture';
import { drawAnatomy, drawLines, frameOfAnatomy, frameOfPosition } from './drawing';
import type { Placement, Point } from '@rinnovo/core/shape';
import type { ClickedLine, Move, Pull } from './hand';
import { PlanView } from './plan-view';
import { signPath } from './signs';

/** The part of the drawing that is seen: its view box through what its sheet is moved and scaled by. */
function seenIn(svg: SVGSVGElement): { x: number; y: number; width: number } {
  const { x, y, width } = svg.viewBox.baseVal;
  const { a: k, e, f } = svg.querySelector('g')!.transform.baseVal.consolidate()!.matrix;
  return { x: (x - e) / k, y: (y - f) / k, width: width / k };
}

describe('the plan view', () => {
  let fixture: ComponentFixture<PlanView>;
  const svg = (): SVGSVGElement => (fixture.nativeElement as HTMLElement).querySelector('svg')!;

  beforeEach(async () => {
    setUp();
    fixture = TestBed.createComponent(PlanView);
    fixture.componentRef.setInput('label', 'Map');
    fixture.componentRef.setInput('paths', drawAnatomy(anatomy, 'top'));
    fixture.componentRef.setInput('lines', drawLines(anatomy, frameOfAnatomy(anatomy)));
    fixture.componentRef.setInput('frame', frameOfPosition(anatomy, 'pickup'));
    fixture.componentRef.setInput('moving', [{ id: 'planned/main', kind: 'planned', d: 'M-10 -10L10 -10L10 10L-10 10Z', title: 'x' }]);
    fixture.componentRef.setInput('at', { x: 0, y: 105, turn: 0 });
    fixture.componentRef.setInput('movable', true);
    await fixture.whenStable();
  });

  function moves(): Move[] {
    const seen: Move[] = [];
    fixture.componentInstance.moved.subscribe((m) => seen.push(m));
    return seen;
  }

  it('draws what lies on the other face as hidden, on top of what is seen', () => {
    const kinds = [...svg().querySelectorAll('path')].map((p) => p.getAttribute('class'));
    expect(kinds).toContain('hidden');
    expect(kinds.indexOf('hidden')).toBeGreaterThan(kinds.indexOf('plate'));
    expect(drawAnatomy(anatomy, 'back').filter((p) => p.kind === 'hidden').length).toBe(2);
  });

  it('moves by 0.1 mm with an arrow key and 1 mm with Shift', () => {
    const seen = moves();
    svg().dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight' }));
    svg().dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp', shiftKey: true }));
    // the owner of the value has not answered yet: the second step goes on from the first
    expect(seen.map((m) => [m.to.x, m.to.y])).toEqual([
      [0.1, 105],
      [0.1, 104],
    ]);
  });

  it('moves the other way across when it is seen from the back', () => {
    fixture.componentRef.setInput('mirrored', true);
    const seen = moves();
    svg().dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight' }));
    expect(seen[0]?.to.x).toBe(-0.1);
  });

  it('tells at the edge of the worst mark that is out of sight, and brings it into view', async () => {
    const far = { id: 'floor', x: 30, y: 700, kind: 'clashes' as const, title: 'Floor', text: '−2.00', worst: true };
    const edge = (): SVGGElement | null => svg().querySelector('.beyond');
    for (const mirrored of [false, true]) {
      fixture.componentRef.setInput('mirrored', mirrored);
      fixture.componentRef.setInput('frame', frameOfPosition(anatomy, 'pickup'));
      fixture.componentRef.setInput('marks', [{ ...far, y: 105 }]);
      await fixture.whenStable();
      expect(edge()).withContext('in sight').toBeNull();
      fixture.componentRef.setInput('marks', [far]);
      await fixture.whenStable();
      expect(edge()?.querySelector('title')?.textContent).toBe('Floor, outside of the view');
      const seen: string[] = [];
      const subscription = fixture.componentInstance.picked.subscribe((id) => seen.push(id));
      edge()!.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true }));
      await fixture.whenStable();
      subscription.unsubscribe();
      expect(seen).toEqual(['floor']);
      expect(edge()).withContext('brought into view').toBeNull();
    }
  });

  it('pans by arrow keys where nothing can be moved, and with Alt', async () => {
    const seen = moves();
    const x = (): number => seenIn(svg()).x;
    const { x: before, width } = seenIn(svg());
    svg().dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', altKey: true }));
    await fixture.whenStable();
    expect(x()).toBeCloseTo(before + width / 12, 6);
    fixture.componentRef.setInput('movable', false);
    svg().dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowLeft' }));
    await fixture.whenStable();
    expect(x()).toBeCloseTo(before, 6);
    expect(seen).toEqual([]);
  });

  it('does not move what is locked', () => {
    fixture.componentRef.setInput('movable', false);
    const seen = moves();
    svg().dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight' }));
    expect(seen).toEqual([]);
  });

  it('zooms about its middle and fits again', async () => {
    const before = seenIn(svg());
    svg().dispatchEvent(new KeyboardEvent('keydown', { key: '+' }));
    await fixture.whenStable();
    const { x, width } = seenIn(svg());
    expect(width).toBeCloseTo(before.width / 1.25, 6);
    expect(x + width / 2).toBeCloseTo(before.x + before.width / 2, 6);
    svg().dispatchEvent(new KeyboardEvent('keydown', { key: '0' }));
    await fixture.whenStable();
    expect(seenIn(svg())).toEqual(before);
  });

  it('keeps what lies under the wheel where it is, and shows a new frame whole', async () => {
    const ctm = svg().getScreenCTM()!;
    const near = new DOMPoint(-20, 120).matrixTransform(ctm);
    // a mouse is at whole pixels
    const p = new DOMPoint(Math.round(near.x), Math.round(near.y));
    const { x, y } = p.matrixTransform(ctm.inverse());
    svg().dispatchEvent(new WheelEvent('wheel', { deltaY: -300, clientX: p.x, clientY: p.y, cancelable: true }));
    await fixture.whenStable();
    const under = new DOMPoint(p.x, p.y).matrixTransform(svg().querySelector('g')!.getScreenCTM()!.inverse());
    expect(under.x).toBeCloseTo(x, 3);
    expect(under.y).toBeCloseTo(y, 3);
    expect(svg().querySelector('g')!.getAttribute('transform')).not.toContain('scale(1)');
    fixture.componentRef.setInput('frame', { x: 0, y: 0, width: 50, height: 80 });
    await fixture.whenStable();
    expect(seenIn(svg())).toEqual({ x: 0, y: 0, width: 50 });
  });

  it('has a name for a screen reader and a sign beside each colour', async () => {
    fixture.componentRef.setInput('marks', [{ id: 'm', x: 0, y: 100, kind: 'clashes', title: 'Base in the route', text: '−9.15' }]);
    await fixture.whenStable();
    expect(svg().getAttribute('aria-label')).toBe('Map');
    // the cross of a clash: two strokes
    expect(svg().querySelector('.mark .sign')!.getAttribute('d')).toMatch(/^M0 100m\S+ \S+l\S+ \S+m0 \S+l\S+ \S+$/);
    expect(svg().querySelector('.mark title')!.textContent).toBe('Base in the route');
  });

  it('measures between two places on the drawing, and the hand then moves nothing', async () => {
    const seen = moves();
    const measure = [...(fixture.nativeElement as HTMLElement).querySelectorAll('button')].find((b) => b.textContent.trim() === 'Measure')!;
    measure.click();
    await fixture.whenStable();
    const ctm = svg().getScreenCTM()!;
    const press = (x: number, y: number): void => {
      const p = new DOMPoint(x, y).matrixTransform(ctm);
      svg().dispatchEvent(new PointerEvent('pointerdown', { clientX: p.x, clientY: p.y, pointerId: 1, isPrimary: true }));
    };
    press(-30, 100);
    press(0, 140);
    await fixture.whenStable();
    // 30 across and 40 along
    expect((fixture.nativeElement as HTMLElement).querySelector('.measured')!.textContent).toMatch(/50\.00\u202fmm\s*30\.00 across, 40\.00 along/);
    expect(seen).toEqual([]);
  });
});

describe('the hand on the plan view', () => {
  let fixture: ComponentFixture<PlanView>;
  const svg = (): SVGSVGElement => (fixture.nativeElement as HTMLElement).querySelector('svg')!;

  beforeEach(async () => {
    setUp();
    fixture = TestBed.createComponent(PlanView);
    fixture.componentRef.setInput('label', 'Map');
    fixture.componentRef.setInput('paths', [{ id: 'plate', kind: 'plate', d: 'M0 0H60V60H0Z', title: 'Plate' }]);
    fixture.componentRef.setInput('moving', [{ id: 'route', kind: 'cavity', d: 'M80 80H120V120H80Z', title: 'Route' }]);
    fixture.componentRef.setInput('handles', [{ id: '1 0', x: 120, y: 100, title: 'Pull', room: 40 }]);
    fixture.componentRef.setInput('movable', true);
    fixture.componentRef.setInput('frame', { x: -20, y: -20, width: 200, height: 200 });
    await fixture.whenStable();
  });

  /** A finger or mouse at a place of the drawing. */
  function touch(kind: 'pointerdown' | 'pointermove' | 'pointerup', at: { x: number; y: number }, on: Element = svg(), more: PointerEventInit = {}): void {
    const p = new DOMPoint(at.x, at.y).matrixTransform(svg().getScreenCTM()!);
    // a pointer that the browser does not know cannot be captured
    svg().setPointerCapture = () => undefined;
    on.dispatchEvent(new PointerEvent(kind, { bubbles: true, clientX: p.x, clientY: p.y, pointerId: 1, isPrimary: true, ...more }));
  }

  /** Fingers at places of the drawing as it lies in its view box. */
  function fingers(kind: 'touchstart' | 'touchmove' | 'touchend', ...at: readonly Point[]): void {
    const touches = at.map((one, identifier) => {
      const p = new DOMPoint(one.x, one.y).matrixTransform(svg().getScreenCTM()!);
      return new Touch({ identifier, target: svg(), clientX: p.x, clientY: p.y });
    });
    svg().dispatchEvent(new TouchEvent(kind, { bubbles: true, cancelable: true, touches, changedTouches: touches }));
  }

  it('tells which line was clicked and where, but not after a drag', async () => {
    const seen: ClickedLine[] = [];
    fixture.componentInstance.chosen.subscribe((c) => seen.push(c));
    const plate = svg().querySelector('[data-id=plate]')!;
    touch('pointerdown', { x: 10, y: 30 }, plate);
    touch('pointerup', { x: 10, y: 30 });
    expect(seen.length).toBe(1);
    expect(seen[0]!.id).toBe('plate');
    expect(seen[0]!.at.x).toBeCloseTo(10, 3);
    touch('pointerdown', { x: 10, y: 30 }, plate);
    touch('pointermove', { x: 40, y: 30 });
    touch('pointerup', { x: 40, y: 30 });
    await fixture.whenStable();
    expect(seen.length).toBe(1);
  });

  it('moves what lies under a mark when the mark is pressed and pulled, and opens the mark all the same', async () => {
    fixture.componentRef.setInput('marks', [{ id: 'clash', kind: 'clashes', x: 100, y: 100, title: 'Clash', text: '' }]);
    fixture.componentRef.setInput('at', { x: 0, y: 0, turn: 0 });
    await fixture.whenStable();
    // what lies under the hand is asked of the screen itself
    Object.assign((fixture.nativeElement as HTMLElement).style, { position: 'fixed', inset: '0 auto auto 0', width: '300px', height: '300px', zIndex: '9' });
    const seen: Move[] = [];
    const picked: string[] = [];
    fixture.componentInstance.moved.subscribe((m) => seen.push(m));
    fixture.componentInstance.picked.subscribe((id) => picked.push(id));
    const mark = svg().querySelector('.mark circle')!;
    touch('pointerdown', { x: 100, y: 100 }, mark);
    touch('pointermove', { x: 107, y: 95 });
    touch('pointerup', { x: 107, y: 95 });
    expect(picked).toEqual(['clash']);
    expect([seen.at(-1)?.to.x, seen.at(-1)?.to.y, seen.at(-1)?.dropped]).toEqual([7, -5, true]);
  });

  it('pulls a handle, tells every step and the last one, and snaps unless Alt is held', async () => {
    const pulls: Pull[] = [];
    fixture.componentInstance.pulled.subscribe((p) => pulls.push(p));
    fixture.componentRef.setInput('snapper', {
      move: (to: Placement) => ({ to, across: null, along: null }),
      pull: (_: string, to: Point, reach: number) =>
        Math.abs(to.x - 150) < reach ? { to: { ...to, x: 150 }, across: 150, along: null } : { to, across: null, along: null },
    });
    await fixture.whenStable();
    const handle = svg().querySelector('[data-handle="1 0"]')!;
    touch('pointerdown', { x: 120, y: 100 }, handle);
    touch('pointermove', { x: 149.8, y: 100 });
    await fixture.whenStable();
    expect(svg().querySelector('.guide')!.getAttribute('d')).toContain('M150 ');
    touch('pointermove', { x: 149.8, y: 100 }, svg(), { altKey: true });
    touch('pointerup', { x: 149.8, y: 100 });
    await fixture.whenStable();
    expect(pulls.map((p) => [p.id, p.to?.x, p.dropped])).toEqual([
      ['1 0', 150, false],
      ['1 0', 149.8, false],
      ['1 0', 149.8, true],
    ]);
    expect(svg().querySelector('.guide')).toBeNull();
  });

  it('has small handles on small things and none where nothing could be gripped between them', async () => {
    const reach = (): number => Number(svg().querySelector('[data-handle]')?.getAttribute('r') ?? 0);
    expect(reach()).toBeCloseTo(Math.min((1.6 * 200) / 60, 12), 6);
    fixture.componentRef.setInput('handles', [{ id: '1 0', x: 120, y: 100, title: 'Pull', room: 10 }]);
    await fixture.whenStable();
    expect(reach()).toBe(3);
    fixture.componentRef.setInput('handles', [{ id: '1 0', x: 120, y: 100, title: 'Pull', room: 6 }]);
    await fixture.whenStable();
    expect(reach()).toBe(0);
  });

  it('gives up what the first finger held when a second one comes', async () => {
    const pulls: Pull[] = [];
    fixture.componentInstance.pulled.subscribe((p) => pulls.push(p));
    touch('pointerdown', { x: 120, y: 100 }, svg().querySelector('[data-handle]')!);
    touch('pointermove', { x: 140, y: 100 });
    touch('pointerdown', { x: 20, y: 20 }, svg(), { pointerId: 2, isPrimary: false });
    expect(pulls.at(-1)).toEqual({ id: '1 0', to: null, dropped: true });
    touch('pointerup', { x: 20, y: 20 }, svg(), { pointerId: 2, isPrimary: false });
    touch('pointerup', { x: 140, y: 100 });
    await fixture.whenStable();
    expect(pulls.length).toBe(2);
  });

  it('makes the drawing larger between two fingers and moves nothing', async () => {
    const moved: Move[] = [];
    fixture.componentInstance.moved.subscribe((m) => moved.push(m));
    fingers('touchstart', { x: 60, y: 80 }, { x: 100, y: 80 });
    fingers('touchmove', { x: 40, y: 80 }, { x: 120, y: 80 });
    await fixture.whenStable();
    // twice as far apart about the same middle (80, 80): half the window
    expect(seenIn(svg()).width).toBeCloseTo(100, 3);
    expect(seenIn(svg()).x).toBeCloseTo(80 - 50, 3);
    expect(moved).toEqual([]);
  });
});

describe('paper in the hand', () => {
  let fixture: ComponentFixture<PlanView>;
  const svg = (): SVGSVGElement => (fixture.nativeElement as HTMLElement).querySelector('svg')!;

  beforeEach(async () => {
    setUp();
    fixture = TestBed.createComponent(PlanView);
    fixture.componentRef.setInput('label', 'Map');
    fixture.componentRef.setInput('paths', [{ id: 'plate', kind: 'plate', d: 'M0 0H60V60H0Z', title: 'Plate' }]);
    fixture.componentRef.setInput('moving', [{ id: 'route', kind: 'cavity', d: 'M80 80H120V120H80Z', title: 'Route' }]);
    fixture.componentRef.setInput('movable', true);
    fixture.componentRef.setInput('frame', { x: -20, y: -20, width: 200, height: 200 });
    await fixture.whenStable();
  });

  async function drag(on: Element, button = 0): Promise<void> {
    const ctm = svg().getScreenCTM()!;
    const mouse = (kind: string, x: number, target: EventTarget): void => {
      const p = new DOMPoint(x, 30).matrixTransform(ctm);
      target.dispatchEvent(new MouseEvent(kind, { bubbles: true, cancelable: true, view: window, clientX: p.x, clientY: p.y, button }));
    };
    mouse('mousedown', 30, on);
    mouse('mousemove', 50, window);
    mouse('mouseup', 50, window);
    // the click that ends a drag is nobody's
    await new Promise((then) => setTimeout(then));
    await fixture.whenStable();
  }

  it('goes along under the mouse, but not when the mouse holds the layer or measures', async () => {
    const before = seenIn(svg());
    await drag(svg().querySelector('[data-id=plate]')!);
    expect(seenIn(svg()).x).toBeCloseTo(before.x - 20, 3);
    await drag(svg().querySelector('[data-moving] path')!);
    await drag(svg(), 2);
    expect(seenIn(svg()).x).toBeCloseTo(before.x - 20, 3);
    [...(fixture.nativeElement as HTMLElement).querySelectorAll('button')].find((b) => b.textContent.trim() === 'Measure')!.click();
    await drag(svg());
    expect(seenIn(svg()).x).toBeCloseTo(before.x - 20, 3);
  });
});

describe('the signs of verdicts', () => {
  it('stand where their mark is, in its size', () => {
    expect(signPath('tooClose', { x: 10, y: 20 }, 5)).toBe('M10 20m0 -3l3 3l-3 3l-3 -3z');
    expect(signPath('thin', { x: 0, y: 0 }, 2)).toBe('M0 0m0 -1.3a1.3 1.3 0 0 0 0 2.6z');
  });
});
