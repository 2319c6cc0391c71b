import { ChangeDetectionStrategy, Component, computed, inject, signal, viewChildren } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MAT_DIALOG_DATA, MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { pathData, viewBoxOf, type Imported, type ImportedOutline } from '@rinnovo/core/format';
import type { FeatureOutline } from '@rinnovo/core/instrument';
import { moveOutline, recognise, scaleOutline, type Outline } from '@rinnovo/core/shape';
import { importNoteText, lengthText, otherLengthText, refusalText } from '@rinnovo/words';
import { viewFeature } from '../../state/view.feature';
import { LengthField } from '../../ui/length-field';
import { readDrawing, type Reading } from '../../../workers/import-client';
import { ShapeForm } from './shape-form';

export interface OutlineData {
  /** What gets the outline, in words. */
  readonly what: string;
  /** Where its middle is, mm. */
  readonly at: { readonly x: number; readonly y: number };
}

/** An outline with what it rests on. */
export type DrawnOutline = Pick<FeatureOutline, 'outline' | 'limit' | 'basis'>;

/** Longest file that is taken into the page at all, bytes. */
const LONGEST = 60_000_000;

/** An outline from a traced drawing or from typed sizes, confirmed in both units before it is used. */
@Component({
  selector: 'rn-outline-dialog',
  imports: [MatButtonModule, MatDialogModule, MatFormFieldModule, MatSelectModule, LengthField, ShapeForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './outline-dialog.html',
  styleUrl: './outline-dialog.scss',
})
export class OutlineDialog {
  protected readonly data = inject<OutlineData>(MAT_DIALOG_DATA);
  private readonly dialog = inject<MatDialogRef<OutlineDialog, DrawnOutline>>(MatDialogRef);
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);
  private readonly fields = viewChildren(LengthField);

  protected readonly way = signal<'file' | 'shape'>('file');
  protected readonly file = signal<{ readonly name: string; readonly text: string } | null>(null);
  protected readonly busy = signal(false);
  protected readonly problem = signal<string | null>(null);
  protected readonly read = signal<Imported | null>(null);
  protected readonly assumed = signal<'mm' | 'inch' | null>(null);
  protected readonly chosen = signal(0);
  protected readonly trueWidth = signal('');
  protected readonly limit = signal('0.25');
  private reading: Reading | null = null;

  protected readonly rows = computed(() =>
    (this.read()?.outlines ?? []).slice(0, 60).map((o, i) => ({
      i,
      d: pathData(o.outline),
      box: viewBoxOf([o.outline], Math.max(o.width, o.height) / 20),
      size: `${lengthText(o.width, this.unit())} × ${lengthText(o.height, this.unit())}`,
      of: o.of,
    })),
  );
  protected readonly notes = computed(() => (this.read()?.notes ?? []).slice(0, 12).map((n) => importNoteText(n, this.unit())));
  protected readonly asks = computed(() => this.read()?.unit === 'unknown' && this.assumed() === null);
  private readonly picked = computed((): ImportedOutline | null => this.read()?.outlines[this.chosen()] ?? null);
  private readonly scale = computed(() => {
    const one = this.picked();
    const wanted =
      this.fields()
        .find((f) => f.label() === TRUE_WIDTH)
        ?.value() ?? null;
    return one && wanted !== null && this.trueWidth().trim() !== '' ? wanted / one.width : 1;
  });
  protected readonly size = computed(() => {
    const one = this.picked();
    if (!one) return null;
    const [w, h] = [one.width * this.scale(), one.height * this.scale()];
    return `${lengthText(w, this.unit())} × ${lengthText(h, this.unit())} (${otherLengthText(w, this.unit())} × ${otherLengthText(h, this.unit())})`;
  });
  protected readonly trueWidthLabel = TRUE_WIDTH;

  protected async take(event: Event): Promise<void> {
    const [file] = (event.target as HTMLInputElement).files ?? [];
    if (file) await this.open(file);
  }

  protected async dropped(event: DragEvent): Promise<void> {
    event.preventDefault();
    const [file] = event.dataTransfer?.files ?? [];
    if (file) await this.open(file);
  }

  protected choose(assumed: 'mm' | 'inch'): void {
    this.assumed.set(assumed);
    void this.parse();
  }

  protected cancel(): void {
    this.reading?.cancel();
    this.reading = null;
    this.busy.set(false);
  }

  protected use(): void {
    const one = this.picked();
    const limit =
      this.fields()
        .find((f) => f.label() === 'Limit of the tracing')
        ?.value() ?? null;
    if (!one || limit === null || this.asks()) return;
    this.close(scaleOutline(one.outline, this.scale()), limit, { kind: 'sheet', part: 'tracing' });
  }

  protected useShape(outline: Outline): void {
    this.close(outline, TOLD_LIMIT, { kind: 'told' });
  }

  /** The outline with its middle where the feature's is. */
  private close(outline: Outline, limit: number, basis: FeatureOutline['basis']): void {
    const { at } = recognise(outline);
    this.dialog.close({ outline: moveOutline(outline, this.data.at.x - at.x, this.data.at.y - at.y), limit, basis });
  }

  private async open(file: File): Promise<void> {
    this.problem.set(null);
    this.read.set(null);
    this.assumed.set(null);
    this.chosen.set(0);
    this.trueWidth.set('');
    if (file.size > LONGEST) {
      this.problem.set(`${file.name}: ${refusalText({ kind: 'tooLarge', detail: '' })}`);
      return;
    }
    this.file.set({ name: file.name, text: await file.text() });
    await this.parse();
  }

  private async parse(): Promise<void> {
    const file = this.file();
    if (!file) return;
    this.cancel();
    this.busy.set(true);
    const kind = /\.dxf$/i.test(file.name) ? 'dxf' : 'svg';
    const reading = readDrawing({ kind, text: file.text, assumed: this.assumed() });
    this.reading = reading;
    const answer = await reading.done;
    if (this.reading !== reading) return;
    this.busy.set(false);
    if (!answer.ok) this.problem.set(`${file.name}: ${refusalText(answer.refusal)}`);
    else if (answer.imported.outlines.length === 0)
      this.problem.set(`${file.name}: no closed outline is in it. ${answer.imported.notes.map((n) => importNoteText(n, this.unit())).join(' ')}`);
    else this.read.set(answer.imported);
  }
}

const TRUE_WIDTH = 'True width, if it differs';

/** Limit of a typed size, mm [trade: docs/trade.md, tools: a steel rule's]. */
const TOLD_LIMIT = 0.25;
