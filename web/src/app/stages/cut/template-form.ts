import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import type { PickupChoice } from '@rinnovo/core/check';
import { correction, layersOf, PAPERS, RULE, templateOf, tilesFor, wholeOf, type PaperId } from '@rinnovo/core/cut';
import { parseLength } from '@rinnovo/core/measure';
import { handText, seenText } from '@rinnovo/words';
import { planFeature } from '../../state/plan.feature';
import { selectJob, selectPlanState } from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { LengthField } from '../../ui/length-field';
import { fieldText } from '../../ui/number-fields';
import { saveFile } from '../../ui/save-file';

/** The route on paper true to scale, corrected by what its rules measured, and as a drawing for a cutter. */
@Component({
  selector: 'rn-template-form',
  imports: [LengthField, MatButtonModule, MatCheckboxModule, MatFormFieldModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>Printed 1 : 1</h3>
    <div class="row">
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Paper</mat-label>
        <mat-select [value]="paper()" (valueChange)="paper.set($event)">
          @for (p of papers; track p) {
            <mat-option [value]="p">{{ p }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      <mat-checkbox [checked]="mirrored()" (change)="mirrored.set($event.checked)">Mirror image</mat-checkbox>
    </div>
    <p class="soft">{{ seen() }} {{ sheets() }} Print at 100 %, without fitting to the page.</p>
    <p>Measure both rules on the paper, end to end, and type the readings:</p>
    <div class="row">
      <rn-length-field label="Rule across" [(text)]="across" [min]="1" [max]="199" [refusal]="refused('x')" />
      <rn-length-field label="Rule along" [(text)]="along" [min]="1" [max]="199" [refusal]="refused('y')" />
    </div>
    @if (link(); as href) {
      <a matButton="filled" [href]="href" download>{{ corrected() ? 'Download corrected template' : 'Download template (PDF)' }}</a>
    } @else {
      <p class="problem" role="alert">{{ kept() ? 'Correct the rule readings first.' : 'The plan is being saved …' }}</p>
    }
    <p class="soft">Lay it on the centre line and the traced plate. Prick the crosses through. Check two widths before you cut it out.</p>
    <h3>For a CNC machine or laser</h3>
    <p class="acts">
      <button matButton="outlined" type="button" (click)="save('svg')">SVG</button>
      <button matButton="outlined" type="button" (click)="save('dxf')">DXF</button>
    </p>
    <p class="soft">In mm, one layer each for route, wells, old cavity, plate, openings and screws. The machine’s program offsets the cutter radius.</p>
  `,
  styles: `
    :host {
      display: block;
      padding: 0.6rem 0.75rem;
    }
    .row {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 0.5rem;
      align-items: start;
    }
    .acts {
      display: flex;
      gap: 0.5rem;
    }
  `,
})
export class TemplateForm {
  readonly choice = input.required<PickupChoice>();
  private readonly store = inject(Store);
  private readonly job = this.store.selectSignal(selectJob);
  private readonly state = this.store.selectSignal(selectPlanState);
  private readonly saving = this.store.selectSignal(planFeature.selectSaving);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  protected readonly papers = Object.keys(PAPERS) as PaperId[];
  protected readonly paper = signal<PaperId>('A4');
  protected readonly mirrored = signal(false);
  protected readonly across = linkedSignal(() => fieldText(RULE, this.unit()));
  protected readonly along = linkedSignal(() => fieldText(RULE, this.unit()));
  /** What is printed is the plan as the server has it. */
  protected readonly kept = computed(() => this.saving() === 'saved');
  private readonly drawing = computed(() => {
    const state = this.state();
    return state ? templateOf(state, this.choice(), this.mirrored()) : null;
  });
  /** Whose hand it is printed in. */
  protected readonly seen = computed(() => {
    const d = this.drawing();
    return d ? handText(d.seen) : '';
  });
  protected readonly sheets = computed(() => {
    const d = this.drawing();
    if (!d) return '';
    const { rows, columns } = tilesFor(d.box, this.paper(), wholeOf(d));
    return rows * columns === 1 ? 'One sheet.' : `${rows * columns} sheets, ${columns} across and ${rows} along, with overlaps and cross-hairs.`;
  });
  private readonly read = computed(() => {
    const mm = (text: string): number | null => {
      const p = parseLength(text, this.unit());
      return p.ok ? p.mm : null;
    };
    return { x: mm(this.across()), y: mm(this.along()) };
  });
  protected readonly corrected = computed(() => Object.values(this.read()).some((mm) => mm !== null && mm !== RULE));
  protected readonly link = computed(() => {
    const { x, y } = this.read();
    const job = this.job();
    if (!job || !this.kept() || x === null || y === null || correction(x) === null || correction(y) === null) return null;
    const query = new URLSearchParams({ choice: this.choice().id, paper: this.paper(), mirrored: String(this.mirrored()), ruleX: String(x), ruleY: String(y) });
    return `/api/jobs/${job.id}/template?${query.toString()}`;
  });

  protected refused(axis: 'x' | 'y'): string | null {
    const mm = this.read()[axis];
    return mm !== null && correction(mm) === null ? 'Off by more than 0.3 mm: the printer scaled the page. Print again at 100 %.' : null;
  }

  protected async save(kind: 'svg' | 'dxf'): Promise<void> {
    const d = this.drawing();
    if (!d) return;
    const { dxfFile, svgFile } = await import('@rinnovo/core/format');
    const layers = layersOf(d);
    const title = seenText(d.seen);
    const name = `route${d.seen.handed === 'left' ? ', left-handed' : ''}${d.seen.mirrored ? ', mirrored' : ''}`;
    saveFile(kind === 'svg' ? svgFile(layers, title) : dxfFile(layers, title), `${name}.${kind}`, kind === 'svg' ? 'image/svg+xml' : 'application/dxf');
  }
}
