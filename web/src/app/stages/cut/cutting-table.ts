import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatInputModule } from '@angular/material/input';
import { MatFormFieldModule } from '@angular/material/form-field';
import { Store } from '@ngrx/store';
import { remarksOn, SET_UPS, type CuttingPlan, type SetUpId } from '@rinnovo/core/cut';
import { valueOf, type Working } from '@rinnovo/core/measure';
import { isDull } from '@rinnovo/core/part';
import { bitRefusalText, CAUTION_WORDS, lengthText, REMARK_WORDS, METHOD_WORDS, SET_UP_WORDS, fixed } from '@rinnovo/words';
import { selectSettings } from '../../state/selectors';
import { viewActions, viewFeature } from '../../state/view.feature';
import { SetUpReadPanel } from '../../ui/set-up-read';
import { SetUpSketch } from '../../ui/set-up-sketch';
import { WorkingView } from '../../ui/working-view';

/** What is cut with what, in its order: the block that closes the old cavity, the bulk, the passes with the three named depth set-ups, wells, and what is left to the chisel. */
@Component({
  selector: 'rn-cutting-table',
  imports: [MatFormFieldModule, MatInputModule, SetUpReadPanel, SetUpSketch, WorkingView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cutting-table.html',
  styles: `
    :host {
      display: block;
      padding: 0.5rem 0.75rem;
    }
    th,
    td {
      text-align: end;
      padding: 0.25rem 0.3rem;
      border-block-end: 1px solid var(--rn-line);
    }
    th:first-child,
    td:first-child {
      text-align: start;
    }
    thead th {
      font-weight: 400;
      font-size: 0.85rem;
      color: var(--rn-ink-soft);
      vertical-align: bottom;
    }
    .off td {
      background: var(--rn-tint);
      text-align: start;
    }
    h3 {
      margin-block-start: 0.6rem;
    }
    td.minor,
    th.minor {
      color: var(--rn-ink-soft);
    }
    th.chosen,
    td.chosen {
      font-weight: 600;
    }
    .set-ups {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 0.25rem 0.75rem;
      align-items: center;
    }
    .set-ups label {
      display: flex;
      align-items: center;
      gap: 0.5rem;
      min-height: 44px;
    }
    .set-ups input {
      flex: none;
      inline-size: 1.25rem;
      block-size: 1.25rem;
    }
    fieldset {
      border: none;
      padding: 0;
      margin: 0;
    }
  `,
})
export class CuttingTable {
  protected readonly fixed = fixed;
  readonly cutting = input.required<CuttingPlan>();
  /** What the body is made of, where that is known. */
  readonly wood = input<string | null>(null);
  private readonly store = inject(Store);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  protected readonly shown = signal<Working | null>(null);
  protected readonly mm = (w: Working): string => lengthText(valueOf(w), this.unit(), 1);
  private readonly settings = this.store.selectSignal(selectSettings);
  /** Another thickness of template than the shop's own, where the bearing asks for it. */
  protected readonly otherTemplate = computed(() => {
    const { bit, template } = this.cutting();
    return bit && template !== this.settings().templateThickness ? template : null;
  });
  protected readonly passes = computed(() => this.cutting().passes?.passes ?? []);
  /** The pass whose setting is checked: the one that was chosen, else the first. */
  protected readonly toCheck = signal<number | null>(null);
  protected readonly checked = computed(() => this.passes().find((p) => p.to === this.toCheck()) ?? this.passes()[0]);
  protected readonly typed = (event: Event): string => (event.target as HTMLSelectElement).value;
  protected readonly refused = computed(() =>
    this.cutting().bits.flatMap((b) => (b.refusal ? [{ name: b.bit.name, why: bitRefusalText(b.refusal, this.unit()) }] : [])),
  );
  protected readonly length = (mm: number): string => lengthText(mm, this.unit(), 1);
  protected readonly setUps = SET_UPS;
  protected readonly setUp = this.store.selectSignal(viewFeature.selectSetUp);
  protected readonly setUpWords = SET_UP_WORDS;
  /** Of what was done to it or not: a bit that nobody sharpened for long burns. */
  protected readonly dull = computed(() => {
    const c = this.cutting();
    const used = [c.bit?.bit, c.boring?.bit, c.clearing?.bit].filter((b) => b != null);
    return used.filter((b) => isDull(b.sharpened ?? null, new Date())).map((b) => ({ name: b.name, since: b.sharpened ?? null }));
  });
  protected readonly remarks = computed(() => {
    const { bit, clearing } = this.cutting();
    return remarksOn(
      this.wood(),
      [bit?.bit, clearing?.bit].flatMap((b) => (b ? [b.diameter] : [])),
    ).map((r) => REMARK_WORDS[r]);
  });
  protected readonly share = computed(() => Math.round(this.cutting().boredShare * 100));
  protected readonly methods = computed(() => this.cutting().methods.map((x) => ({ ...x, ...METHOD_WORDS[x.id] })));
  protected readonly cautions = (['router', 'drillPress', 'dust'] as const).map((id) => CAUTION_WORDS[id]);
  protected readonly minutes = computed(() => {
    const { from, to } = this.cutting().time;
    // what takes seconds is not told as no time
    const [least, most] = [Math.max(1, Math.round(from)), Math.max(1, Math.round(to))];
    return to < 1 ? 'under 1\u202fmin' : least === most ? `${least}\u202fmin` : `${least} to ${most}\u202fmin`;
  });
  protected readonly chisel = computed(() => this.cutting().chisel.filter((r) => r.area >= SEEN));

  protected choose(setUp: SetUpId): void {
    this.store.dispatch(viewActions.chooseSetUp({ setUp }));
  }

  protected show(w: Working): void {
    this.shown.set(this.shown() === w ? null : w);
  }
}

/** Less than this is no work for a chisel, mm². */
const SEEN = 0.2;
