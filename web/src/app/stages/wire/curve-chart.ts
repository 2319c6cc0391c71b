import { afterRenderEffect, ChangeDetectionStrategy, Component, computed, DestroyRef, inject, input, viewChild, type ElementRef } from '@angular/core';
import { Chart, Legend, LinearScale, LineController, LineElement, LogarithmicScale, PointElement, Tooltip } from 'chart.js';
import { fixed, hertzText } from '@rinnovo/words';

Chart.register(Legend, LinearScale, LogarithmicScale, LineController, LineElement, PointElement, Tooltip);

/** One curve over frequency, or over the turn of a pot. */
export interface Curve {
  readonly label: string;
  readonly levels: Float64Array;
  /** It is laid over for comparison. */
  readonly compared: boolean;
}

/** Dashes tell curves apart, not colour alone. */
const DASHES: readonly (readonly number[])[] = [[], [10, 4], [3, 3], [12, 4, 3, 4], [6, 6], [2, 6]];
const TICKS: Readonly<Record<number, string>> = {
  20: '20',
  50: '50',
  100: '100',
  200: '200',
  500: '500',
  1000: '1k',
  2000: '2k',
  5000: '5k',
  10_000: '10k',
  20_000: '20k',
};
/** What lies across. */
const OVER = {
  frequency: {
    says: 'Level over frequency: the table has peaks and levels',
    title: 'Frequency, Hz',
    type: 'logarithmic',
    from: 20,
    to: 20_000,
    markedEvery: 32,
    tick: (x: number): string => TICKS[x] ?? '',
    tip: hertzText,
  },
  turn: {
    says: 'Level over the turn of the knob: the table has the same',
    title: 'Knob',
    type: 'linear',
    from: 0,
    to: 10,
    markedEvery: 4,
    tick: (x: number): string => String(x),
    tip: (x: number): string => fixed(x, 1),
  },
} as const;
/** What the marks on a curve are called where nobody reads it. */
const MARKS = 'marks';
const POINTS = ['circle', 'rect', 'triangle', 'rectRot', 'cross', 'star'] as const;

/** Levels over frequency or over a turn, live: the table beside it says the same. */
@Component({
  selector: 'rn-curve-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<canvas #canvas role="img" [attr.aria-label]="says()"></canvas>`,
  styles: `
    :host {
      display: block;
      position: relative;
      height: 100%;
      min-height: 260px;
    }
  `,
})
export class CurveChart {
  readonly xs = input.required<Float64Array>();
  readonly over = input<keyof typeof OVER>('frequency');
  readonly curves = input.required<readonly Curve[]>();
  readonly theme = input.required<'light' | 'dark'>();
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  private chart: Chart<'line', { x: number; y: number }[]> | null = null;
  private drawnIn = '';
  protected readonly says = computed(() => OVER[this.over()].says);

  constructor() {
    // after the page is drawn: the colours are those that it has then
    afterRenderEffect(() => {
      this.draw(this.theme(), this.xs(), this.curves());
    });
    inject(DestroyRef).onDestroy(() => this.chart?.destroy());
  }

  private draw(theme: string, xs: Float64Array, curves: readonly Curve[]): void {
    const canvas = this.canvas().nativeElement;
    const style = getComputedStyle(canvas);
    const [ink = '', line = '', plan = ''] = ['--rn-ink', '--rn-line', '--rn-plan'].map((v) => style.getPropertyValue(v).trim());
    const over = OVER[this.over()];
    const datasets = curves.flatMap((c, i) => {
      const colour = c.compared ? plan : ink;
      const look = { borderColor: colour, backgroundColor: colour, pointStyle: POINTS[i % POINTS.length] ?? 'circle' };
      const data = Array.from(xs, (x, k) => ({ x, y: c.levels[k] ?? 0 }));
      // marks are few points of their own: a radius for each point of a curve would be looked up one by one, and take the slider's frame
      const marks = data.filter((_, k) => (k + 7 * i) % over.markedEvery === 0);
      return [
        { ...look, label: c.label, data, borderWidth: 2, borderDash: [...(DASHES[i % DASHES.length] ?? [])], pointRadius: 0 },
        { ...look, label: MARKS, data: marks, showLine: false, borderWidth: 2, borderDash: [], pointRadius: 4 },
      ];
    });
    // a slider moves only the numbers: the chart itself stays
    if (this.chart && this.drawnIn === theme) {
      this.chart.data.datasets = datasets;
      this.chart.update('none');
      return;
    }
    this.drawnIn = theme;
    const font = { family: style.fontFamily, size: 13 };
    const axis = (text: string) => ({ title: { display: true, text, color: ink, font }, grid: { color: line } });
    this.chart?.destroy();
    this.chart = new Chart(canvas, {
      type: 'line',
      data: { datasets },
      options: {
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        parsing: false,
        normalized: true,
        interaction: { mode: 'index', intersect: false },
        plugins: {
          legend: { labels: { color: ink, font, usePointStyle: true, filter: ({ text }) => text !== MARKS } },
          tooltip: { filter: ({ dataset }) => dataset.label !== MARKS, callbacks: { title: (items) => over.tip(items[0]?.parsed.x ?? 0) } },
        },
        scales: {
          x: {
            ...axis(over.title),
            type: over.type,
            min: over.from,
            max: over.to,
            ticks: { color: ink, font, maxRotation: 0, autoSkip: false, callback: (v) => over.tick(Number(v)) },
          },
          y: { ...axis('Level, dB'), suggestedMin: -30, suggestedMax: 12, ticks: { color: ink, font } },
        },
      },
    });
  }
}
