import { afterRenderEffect, ChangeDetectionStrategy, Component, inject, input, viewChild, DestroyRef, type ElementRef } from '@angular/core';
import { CategoryScale, Chart, Legend, LinearScale, LineController, LineElement, PointElement, Tooltip } from 'chart.js';

Chart.register(CategoryScale, Legend, LinearScale, LineController, LineElement, PointElement, Tooltip);

/** One side of a chart. */
export interface Line {
  readonly label: string;
  readonly values: readonly (number | null)[];
}

/** Two courses along strings or frets; told apart by dashes and marks, not by colour alone. The table beside it says the same. */
@Component({
  selector: 'rn-course-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<canvas #canvas role="img" [attr.aria-label]="title() + ': the table has the same values'"></canvas>`,
  styles: `
    :host {
      display: block;
      position: relative;
      height: 220px;
    }
  `,
})
export class CourseChart {
  readonly title = input.required<string>();
  readonly places = input.required<readonly string[]>();
  readonly unit = input.required<string>();
  /** What the places are: strings, frets. */
  readonly along = input.required<string>();
  readonly lines = input.required<readonly Line[]>();
  /** Of the page: the chart is drawn anew in its colours. */
  readonly theme = input.required<'light' | 'dark'>();
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  private chart: Chart<'line', (number | null)[]> | null = null;

  constructor() {
    // after the page is drawn: the colours are those that it has then
    afterRenderEffect(() => {
      this.theme();
      this.draw();
    });
    inject(DestroyRef).onDestroy(() => this.chart?.destroy());
  }

  private draw(): void {
    const canvas = this.canvas().nativeElement;
    const style = getComputedStyle(canvas);
    const [ink, soft, plan] = ['--rn-ink', '--rn-line', '--rn-plan'].map((v) => style.getPropertyValue(v).trim());
    const font = { family: style.fontFamily, size: 13 };
    this.chart?.destroy();
    this.chart = new Chart(canvas, {
      type: 'line',
      data: {
        labels: [...this.places()],
        datasets: this.lines().map((l, i) => ({
          label: l.label,
          data: [...l.values],
          borderColor: i === 0 ? ink : plan,
          backgroundColor: i === 0 ? ink : plan,
          borderDash: i === 0 ? [6, 4] : [],
          pointStyle: i === 0 ? 'rectRot' : 'circle',
          pointRadius: 4,
          spanGaps: true,
        })),
      },
      options: {
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        plugins: { legend: { labels: { color: ink, font, usePointStyle: true } } },
        scales: {
          x: { title: { display: true, text: this.along(), color: ink, font }, ticks: { color: ink, font }, grid: { color: soft } },
          y: { title: { display: true, text: this.unit(), color: ink, font }, ticks: { color: ink, font }, grid: { color: soft } },
        },
      },
    });
  }
}
