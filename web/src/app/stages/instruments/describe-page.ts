import { asTyped } from '@rinnovo/words';
import { ChangeDetectionStrategy, Component, computed, inject, signal, viewChildren } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { newPickupChoice } from '@rinnovo/core/check';
import { usualWeights } from '@rinnovo/core/remedy';
import { anatomyFromSizes, sizeProblems } from '@rinnovo/core/instrument';
import { problemOf, problemText } from '../../api/problem-of';
import { Commands } from '../../state/commands';
import { parts, WORKSHOP } from '../../state/resources';
import { selectPickups } from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { drawAnatomy, drawLines, frameOfAnatomy } from '../../ui/drawing';
import { LengthField } from '../../ui/length-field';
import { PlanView } from '../../ui/plan-view';
import { ALL_FIELDS, problemAt, SIZE_GROUPS, sizesOf } from './size-fields';

/** A new instrument from typed sizes, drawn to scale while it is typed. */
@Component({
  selector: 'rn-describe-page',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule, LengthField, PlanView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './describe-page.html',
  styleUrl: './describe-page.scss',
})
export class DescribePage {
  private readonly store = inject(Store);
  private readonly commands = inject(Commands);
  private readonly router = inject(Router);
  private readonly fields = viewChildren(LengthField);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);

  protected readonly groups = SIZE_GROUPS;
  protected readonly texts = signal<Readonly<Record<string, string>>>(Object.fromEntries(ALL_FIELDS.map((f) => [f.key, asTyped(f.start, this.unit())])));
  protected readonly label = signal('');
  protected readonly title = signal('');
  protected readonly ownerSays = signal('');
  protected readonly part = signal<string | null>(null);
  protected readonly old = signal<string | null>(null);
  protected readonly refusal = signal<string | null>(null);
  protected readonly tried = signal(false);
  protected readonly shelf = this.store.selectSignal(selectPickups);

  private readonly values = computed(() => {
    const mm: Record<string, number> = {};
    this.fields().forEach((field, i) => {
      const value = field.value();
      const key = ALL_FIELDS[i]?.key;
      if (value !== null && key !== undefined) mm[key] = value;
    });
    return mm;
  });
  private readonly sizes = computed(() => (Object.keys(this.values()).length === ALL_FIELDS.length ? sizesOf(this.values(), 6, 22) : null));
  protected readonly problems = computed(() => {
    const s = this.sizes();
    return Object.fromEntries((s ? sizeProblems(s) : []).map(problemAt).map((p) => [p.key, p.text]));
  });
  private readonly lastGood = signal(anatomyFromSizes(sizesOf(Object.fromEntries(ALL_FIELDS.map((f) => [f.key, f.start])), 6, 22), null));
  protected readonly anatomy = computed(() => {
    const s = this.sizes();
    return s ? anatomyFromSizes(s, this.old()) : this.lastGood();
  });
  protected readonly paths = computed(() => drawAnatomy(this.anatomy(), 'top'));
  protected readonly frame = computed(() => frameOfAnatomy(this.anatomy()));
  protected readonly lines = computed(() => drawLines(this.anatomy(), this.frame()));
  protected readonly sound = computed(() => this.sizes() !== null && Object.keys(this.problems()).length === 0);

  /** What stands between the form and keeping it, in words; empty when nothing does. */
  protected readonly missing = computed(() =>
    [
      this.label().trim() === '' ? 'An instrument needs a label.' : '',
      this.shelf().length === 0 ? 'No pickup is on the shelf yet. Add one on the part shelf first.' : this.part() === null ? 'Choose the pickup to fit.' : '',
      this.sound() ? '' : 'Some sizes are impossible. They are marked.',
    ]
      .filter(Boolean)
      .join(' '),
  );

  constructor() {
    this.store.dispatch(parts.load({ of: WORKSHOP }));
  }

  protected set(key: string, text: string): void {
    this.texts.update((t) => ({ ...t, [key]: text }));
  }

  protected value(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  protected async save(event: Event): Promise<void> {
    event.preventDefault();
    this.tried.set(true);
    const part = this.part();
    if (!this.sound() || this.label().trim() === '' || part === null) return;
    const id = crypto.randomUUID();
    const job = crypto.randomUUID();
    const chosen = this.shelf().find((p) => p.id === part);
    try {
      await this.commands.describeInstrument(
        { id, label: this.label().trim(), maker: '', model: '', serial: '', owner: null, notes: '', kind: 'bolt-on solid', identity: {}, archived: false },
        this.anatomy(),
        {
          id: job,
          instrument: id,
          title: this.title().trim() || `Fit ${chosen?.name ?? 'a pickup'}`,
          request: { kind: chosen?.kind ?? null, reversibleOnly: false, doNotTouch: [], weights: usualWeights(true) },
          ownerSays: this.ownerSays(),
          look: '',
          limits: { budget: null, due: null },
          worth: null,
          active: true,
        },
        { format: 5, choices: [newPickupChoice('pickup', part)] },
      );
      await this.router.navigate(['/i', id, 'fit']);
    } catch (error) {
      this.refusal.set(problemText(problemOf(error)));
    }
  }
}
