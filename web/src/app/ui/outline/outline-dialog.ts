import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal, viewChildren } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MAT_DIALOG_DATA, MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { Store } from '@ngrx/store';
import { LONGEST_SOURCE, type DrawingSource, type KeepOutline, type KeptOutline } from '@rinnovo/contract';
import type { Imported, ImportedOutline } from '@rinnovo/core/format';
import type { FeatureOutline } from '@rinnovo/core/instrument';
import { mirrorOutline, moveOutline, pathData, recognise, scaleOutline, viewBoxOf, type Outline } from '@rinnovo/core/shape';
import { importNoteText, lengthText, otherLengthText, refusalText } from '@rinnovo/words';
import { firstValueFrom } from 'rxjs';
import { Api } from '../../api/api';
import { problemOf, problemText } from '../../api/problem-of';
import { viewFeature } from '../../state/view.feature';
import { LengthField } from '../length-field';
import { readDrawing, type Reading } from '../../../workers/import-client';
import { DrawerList } from './drawer-list';
import { ShapeForm } from './shape-form';
import { STATED_LIMIT } from '../stated-limit';

export interface OutlineData {
  /** What gets the outline, in words. */
  readonly what: string;
  /** Where its middle is, mm. */
  readonly at: { readonly x: number; readonly y: number };
  /** How it is drawn against how it is kept: −1 where whoever draws it sees the instrument mirrored. */
  readonly side: 1 | -1;
}

/** An outline with what it rests on. */
export type DrawnOutline = Pick<FeatureOutline, 'outline' | 'limit' | 'basis'>;

/** Longest file that is taken into the page at all, bytes. */
const LONGEST = 60_000_000;

/** An outline from a traced drawing, from typed sizes or from the drawer; of a drawing confirmed in both units before it is used, and kept with it. */
@Component({
  selector: 'rn-outline-dialog',
  imports: [MatButtonModule, MatCheckboxModule, MatDialogModule, MatFormFieldModule, MatInputModule, LengthField, ShapeForm, DrawerList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './outline-dialog.html',
  styleUrl: './outline-dialog.scss',
})
export class OutlineDialog {
  protected readonly data = inject<OutlineData>(MAT_DIALOG_DATA);
  private readonly dialog = inject<MatDialogRef<OutlineDialog, DrawnOutline>>(MatDialogRef);
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);
  private readonly fields = viewChildren(LengthField);

  private readonly api = inject(Api);

  protected readonly way = signal<'file' | 'shape' | 'drawer'>('file');
  /** Whether it goes into the drawer, and under which name. */
  protected readonly keeps = linkedSignal(() => this.way() === 'file');
  protected readonly name = linkedSignal(() => (this.file()?.name ?? this.data.what).replace(/\.(svg|dxf)$/i, '').slice(0, 120));
  protected readonly saving = signal(false);
  protected readonly fromDrawer = signal<KeptOutline | null>(null);
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
    const target =
      this.fields()
        .find((f) => f.label() === TRUE_WIDTH)
        ?.value() ?? null;
    return one && target !== null && this.trueWidth().trim() !== '' ? target / one.width : 1;
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

  protected async use(): Promise<void> {
    const one = this.picked();
    const file = this.file();
    const limit =
      this.fields()
        .find((f) => f.label() === 'Limit of the tracing')
        ?.value() ?? null;
    if (!one || !file || limit === null || this.asks()) return;
    const source: DrawingSource = { file: file.name.slice(0, 200), kind: kindOf(file.name), text: file.text };
    await this.keepAndClose(scaleOutline(one.outline, this.scale()), limit, tooLongToKeep(file.text) ? null : source, `traced from ${file.name.slice(0, 60)}`);
  }

  protected async useShape(outline: Outline): Promise<void> {
    await this.keepAndClose(outline, STATED_LIMIT, null, null);
  }

  protected useKept(): void {
    const kept = this.fromDrawer();
    if (kept) this.close(kept.outline, kept.limit, { kind: 'sheet', part: drawerText(kept) });
  }

  /** Into the drawer first, where it is wanted there; what cannot be kept is said and nothing is lost. */
  private async keepAndClose(outline: Outline, limit: number, source: DrawingSource | null, traced: string | null): Promise<void> {
    const basisOf = (part: string | null): FeatureOutline['basis'] => (part === null ? { kind: 'stated' } : { kind: 'sheet', part });
    if (!this.keeps()) {
      this.close(outline, limit, basisOf(traced));
      return;
    }
    const name = this.name().trim();
    if (name === '' || this.saving()) return;
    this.saving.set(true);
    this.problem.set(null);
    const body: KeepOutline = { name, outline: about(outline, { x: 0, y: 0 }), limit, source };
    try {
      const kept = await firstValueFrom(this.api.create<KeptOutline>(`/outlines/${crypto.randomUUID()}`, body));
      this.close(outline, limit, basisOf(traced === null ? null : drawerText(kept.body)));
    } catch (error) {
      this.problem.set(`Not saved in the drawer: ${problemText(problemOf(error))}`);
    } finally {
      this.saving.set(false);
    }
  }

  protected tooLong(): boolean {
    return tooLongToKeep(this.file()?.text ?? '');
  }

  protected typed(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  /** The outline with its middle where the feature's is, as the instrument is kept. */
  private close(outline: Outline, limit: number, basis: FeatureOutline['basis']): void {
    const own = this.data.side < 0 ? mirrorOutline(outline) : outline;
    this.dialog.close({ outline: about(own, this.data.at), limit, basis });
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
    const reading = readDrawing({ kind: kindOf(file.name), text: file.text, assumed: this.assumed() });
    this.reading = reading;
    const answer = await reading.done;
    if (this.reading !== reading) return;
    this.busy.set(false);
    if (!answer.ok) this.problem.set(`${file.name}: ${refusalText(answer.refusal)}`);
    else if (answer.imported.outlines.length === 0)
      this.problem.set(`${file.name}: no closed outline found. ${answer.imported.notes.map((n) => importNoteText(n, this.unit())).join(' ')}`);
    else this.read.set(answer.imported);
  }
}

function kindOf(file: string): 'svg' | 'dxf' {
  return /\.dxf$/i.test(file) ? 'dxf' : 'svg';
}

function tooLongToKeep(text: string): boolean {
  return text.length > LONGEST_SOURCE;
}

/** What an outline of the drawer is called where a number rests on it. */
function drawerText({ name, id }: KeptOutline): string {
  return `${name.slice(0, 60)} (${id.slice(0, 8)})`;
}

function about(outline: Outline, middle: { readonly x: number; readonly y: number }): Outline {
  const { at } = recognise(outline);
  return moveOutline(outline, middle.x - at.x, middle.y - at.y);
}

const TRUE_WIDTH = 'True width, if different';
