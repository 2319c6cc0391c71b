import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, input, linkedSignal, model, untracked } from '@angular/core';
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
    <ul class="rows">
      @for (row of rows(); track row.v.id) {
        <li [class]="row.kind" [class.held]="heights() && open() !== row.v.id" [style.block-size.px]="heights()?.get(row.v.id)">
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
                <rn-working-view [working]="w" [rss]="row.v.rss" [worst]="row.v.worst" [minimum]="row.v.minimum" />
              }
            </div>
          }
        </li>
      }
    </ul>
  `,
  styles: `
    li {
      border-block-end: 1px solid var(--rn-line);
      contain: layout style;
    }
    /* A row that cannot grow is laid out by itself, not with the whole page: a drag changes most of them at once. */
    .held {
      min-block-size: 46px;
      contain: layout size style;
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
    /* Nor is a number that changes laid out with its row. */
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
  private readonly ordered = linkedSignal<{ now: readonly Verdict[]; steady: boolean }, readonly Standing[]>({
    source: () => ({ now: this.verdicts(), steady: this.steady() }),
    computation: ({ now, steady }, before) => (steady && before ? inPlaceOf(before.value, now) : now.map((v) => ({ v, asked: true }))),
  });
  protected readonly rows = computed(() =>
    this.ordered().map(({ v, asked }) => ({
      v,
      kind: asked ? v.class : '',
      words: asked ? CLASS_WORDS[v.class] : NOT_ASKED,
      title: verdictTitle(v, this.names()),
      number: asked ? clearanceText(v, this.unit()) : '',
    })),
  );

  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  /** How high the closed rows stood when the hand took hold, px, by verdict; null when no hand does. */
  protected readonly heights = computed(() => (this.steady() ? untracked(() => this.heightsNow()) : null));

  private heightsNow(): ReadonlyMap<string, number> {
    const buttons = [...this.host.nativeElement.querySelectorAll<HTMLElement>('[data-verdict][aria-expanded="false"]')];
    return new Map(buttons.map((b) => [b.dataset['verdict'] ?? '', b.parentElement?.offsetHeight ?? 0]));
  }

  protected sentence(v: Verdict): string {
    return verdictSentence(v, this.names(), this.unit());
  }

  protected toggle(id: string): void {
    this.open.set(this.open() === id ? null : id);
  }
}

/** A verdict on its row; `asked` is false while the question does not arise where the plan is held. */
interface Standing {
  readonly v: Verdict;
  readonly asked: boolean;
}

const NOT_ASKED = { sign: '·', word: 'not relevant here' };

/** The verdicts on the rows where they stood; a row whose question has gone stays and says so, what is new comes last. */
function inPlaceOf(before: readonly Standing[], now: readonly Verdict[]): readonly Standing[] {
  const left = new Map(now.map((v) => [v.id, v]));
  const stood = before.map(({ v }) => {
    const newer = left.get(v.id);
    left.delete(v.id);
    return { v: newer ?? v, asked: newer !== undefined };
  });
  return [...stood, ...[...left.values()].map((v) => ({ v, asked: true }))];
}
