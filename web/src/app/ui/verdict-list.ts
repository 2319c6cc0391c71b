import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, model } from '@angular/core';
import { Store } from '@ngrx/store';
import type { Verdict } from '@rinnovo/core/check';
import { CLASS_WORDS, clearanceText, verdictSentence, verdictTitle } from '@rinnovo/words';
import { selectNames } from '../state/selectors';
import { viewFeature } from '../state/view.feature';
import { WorkingView } from './working-view';

/** Verdicts, gravest first: sign, what, number. One opens to its working. While a hand moves the plan the rows stay where they are. */
@Component({
  selector: 'rn-verdict-list',
  imports: [WorkingView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul>
      @for (row of rows(); track row.v.id) {
        <li [class]="row.v.class">
          <button type="button" class="plain-row" [attr.aria-expanded]="open() === row.v.id" [attr.data-verdict]="row.v.id" (click)="toggle(row.v.id)">
            <span class="sign" aria-hidden="true">{{ row.words.sign }}</span>
            <span class="what"
              >{{ row.title }} <span class="visually-hidden">: {{ row.words.word }}</span></span
            >
            <span class="number"
              ><span class="digits">{{ row.number }}</span></span
            >
          </button>
          @if (open() === row.v.id) {
            <div class="open">
              <p>{{ sentence(row.v) }}</p>
              @if (row.v.working; as w) {
                <rn-working-view [working]="w" [rss]="row.v.rss" [worst]="row.v.worst" [wanted]="row.v.wanted" />
              }
            </div>
          }
        </li>
      }
    </ul>
  `,
  styles: `
    ul {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    li {
      border-block-end: 1px solid var(--rn-line);
      contain: layout style;
    }
    .sign {
      width: 1.3rem;
      text-align: center;
      font-weight: 600;
      font-size: 1.1rem;
    }
    .what {
      flex: 1;
      line-height: 1.15;
    }
    .number,
    .digits {
      display: block;
      inline-size: 8.1rem;
      block-size: 1.5em;
      text-align: end;
    }
    /* A number that changes is laid out by itself, not with its row: a drag changes all of them at once. */
    .digits {
      contain: layout size;
    }
    .clashes .sign,
    .clashes .number,
    .tooClose .sign,
    .tooClose .number {
      color: var(--rn-danger);
      font-weight: 600;
    }
    .thin .sign,
    .thin .number {
      color: var(--rn-thin);
      font-weight: 600;
    }
    .well .sign {
      color: var(--rn-clear);
    }
    .open {
      padding: 0.25rem 0.7rem 0.7rem 2.6rem;
    }
  `,
})
export class VerdictList {
  readonly verdicts = input.required<readonly Verdict[]>();
  /** Keeps the rows in their order, so that an eye can follow one of them. */
  readonly steady = input(false);
  /** The verdict whose working is open. */
  readonly open = model<string | null>(null);
  private readonly store = inject(Store);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly ordered = linkedSignal<{ now: readonly Verdict[]; steady: boolean }, readonly Verdict[]>({
    source: () => ({ now: this.verdicts(), steady: this.steady() }),
    computation: ({ now, steady }, before) => (steady && before ? inOrderOf(before.value, now) : now),
  });
  protected readonly rows = computed(() =>
    this.ordered().map((v) => ({
      v,
      words: CLASS_WORDS[v.class],
      title: verdictTitle(v, this.names()),
      number: clearanceText(v, this.unit()),
    })),
  );

  protected sentence(v: Verdict): string {
    return verdictSentence(v, this.names(), this.unit());
  }

  protected toggle(id: string): void {
    this.open.set(this.open() === id ? null : id);
  }
}

/** The same verdicts in an earlier order; what is new comes last. */
function inOrderOf(before: readonly Verdict[], now: readonly Verdict[]): readonly Verdict[] {
  const place = new Map(before.map((v, i) => [v.id, i]));
  const of = (v: Verdict): number => place.get(v.id) ?? before.length;
  return [...now].sort((a, b) => of(a) - of(b));
}
