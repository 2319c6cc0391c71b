import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { toSignal } from '@angular/core/rxjs-interop';
import { Router, RouterLink, RouterOutlet } from '@angular/router';
import { Store } from '@ngrx/store';
import { map } from 'rxjs';
import { problemText } from '../api/problem-of';
import { Rail } from '../shell/rail';
import { planActions } from '../state/plan.actions';
import { planFeature } from '../state/plan.feature';
import {
  anatomy,
  circuit,
  instrument as instrumentResource,
  jobs,
  ledger,
  lessons,
  parts,
  photographs,
  readings,
  shop,
  stock,
  work,
  WORKSHOP,
  surveys,
  findings,
  profiles,
} from '../state/resources';
import { selectJob } from '../state/selectors';
import { PlanConflict } from '../ui/plan-conflict';
import { WayBack } from '../ui/way-back';
import { QuickLog } from './survey/quick-log';

/** The frame of one instrument: loads what its stages need, shows the rail and who it is. */
@Component({
  selector: 'rn-instrument-page',
  imports: [RouterOutlet, RouterLink, Rail, MatButtonModule, PlanConflict, QuickLog],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <rn-rail [instrument]="instrument()" />
    <main>
      @if (failure(); as text) {
        <div class="notice" role="alert">
          <h1>This instrument cannot be opened</h1>
          <p class="problem">{{ text }}</p>
          <p><button matButton="filled" (click)="load()">Try again</button> <a routerLink="/instruments">Open the instruments</a></p>
        </div>
      } @else if (ready()) {
        <p class="title">
          <a class="name" [routerLink]="['/i', instrument(), 'about']" title="Owner, job and details">{{ name() }}</a>
          @if (job(); as j) {
            <span class="soft">{{ j.title }}{{ j.ownerSays ? ' — “' + j.ownerSays + '”' : '' }}</span>
          }
          @if (back(); as b) {
            <a class="no-print back" [routerLink]="b.path" [queryParams]="b.query">← Back to {{ b.word }}</a>
          }
          <span class="soft saving no-print" role="status">{{ saving() }}</span>
        </p>
        @if (plan().conflict; as c) {
          <rn-plan-conflict [theirs]="c.theirs" [mine]="c.mine" />
        }
        <div class="stage"><router-outlet /></div>
        <rn-quick-log [instrument]="instrument()" />
      } @else {
        <p class="notice" role="status">Opening the instrument …</p>
      }
    </main>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: auto 1fr;
      height: 100%;
    }
    main {
      display: grid;
      grid-template-rows: auto auto 1fr;
      min-width: 0;
      min-height: 0;
    }
    .title {
      display: flex;
      gap: 1rem;
      align-items: baseline;
      padding: 0.4rem 1rem;
      white-space: nowrap;
      overflow: hidden;
    }
    .name {
      color: inherit;
      font-weight: 600;
    }
    .title .soft {
      overflow: hidden;
      text-overflow: ellipsis;
    }
    .back {
      flex: none;
    }
    .saving {
      margin-inline-start: auto;
      flex: none;
    }
    .stage {
      grid-row: 3;
      min-height: 0;
      padding: 0 1rem 0.75rem;
    }
    .notice {
      padding: 2rem;
    }
    @media (width < 900px) {
      :host {
        display: block;
        height: auto;
        padding-block-end: 7.5rem;
      }
      main {
        display: block;
      }
      .title {
        flex-wrap: wrap;
        gap: 0 1rem;
        padding: 0.4rem 0.5rem;
      }
      .title .soft:not(.saving) {
        order: 1;
        flex: 1 1 100%;
      }
      .stage {
        padding: 0 0.5rem 0.5rem;
      }
    }
    @media print {
      :host,
      main {
        display: block;
      }
      .title {
        flex-wrap: wrap;
        padding: 0;
        white-space: normal;
      }
      .stage {
        padding: 0;
      }
    }
  `,
})
export class InstrumentPage {
  readonly instrument = input.required<string>();
  private readonly store = inject(Store);
  private readonly held = {
    instrument: this.store.selectSignal(instrumentResource.select),
    jobs: this.store.selectSignal(jobs.select),
    anatomy: this.store.selectSignal(anatomy.select),
    circuit: this.store.selectSignal(circuit.select),
    parts: this.store.selectSignal(parts.select),
    stock: this.store.selectSignal(stock.select),
    shop: this.store.selectSignal(shop.select),
  };
  private readonly router = inject(Router);
  private readonly wayBack = inject(WayBack);
  private readonly here = toSignal(this.router.events.pipe(map(() => this.router.url)), { initialValue: this.router.url });
  /** Somebody came from there to do one thing here. */
  protected readonly back = computed(() => {
    const b = this.wayBack.back();
    if (!b || b.url === this.here()) return null;
    const tree = this.router.parseUrl(b.url);
    return { word: b.word, path: b.url.split('?')[0], query: tree.queryParams };
  });
  protected readonly plan = this.store.selectSignal(planFeature.selectPlanState);
  protected readonly job = this.store.selectSignal(selectJob);
  protected readonly ready = computed(() => Object.values(this.held).every((h) => h().data !== null));
  protected readonly failure = computed(() => {
    const failed = Object.values(this.held)
      .map((h) => h())
      .find((h) => h.status === 'failed' && h.data === null);
    return failed?.problem ? problemText(failed.problem) : null;
  });
  protected readonly name = computed(() => {
    const i = this.held.instrument().data;
    return i ? [i.label, `${i.maker} ${i.model}`.trim()].filter(Boolean).join(' · ') : '';
  });
  protected readonly saving = computed(() => {
    const { saving, problem, status } = this.plan();
    if (status !== 'ready') return '';
    if (saving === 'refused') return problem ? `Not saved: ${problemText(problem)}` : 'Not saved: two versions';
    return { saved: 'saved', waiting: 'unsaved …', sending: 'saving …' }[saving];
  });

  constructor() {
    effect(() => {
      this.instrument();
      this.store.dispatch(planActions.left());
      this.load();
    });
    effect(() => {
      const job = this.job();
      if (!job) return;
      this.store.dispatch(planActions.load({ job: job.id }));
      this.store.dispatch(work.load({ of: job.id }));
    });
  }

  protected load(): void {
    const of = this.instrument();
    this.store.dispatch(instrumentResource.load({ of }));
    this.store.dispatch(jobs.load({ of }));
    this.store.dispatch(parts.load({ of: WORKSHOP }));
    this.store.dispatch(stock.load({ of: WORKSHOP }));
    this.store.dispatch(shop.load({ of: WORKSHOP }));
    this.store.dispatch(anatomy.load({ of }));
    this.store.dispatch(circuit.load({ of }));
    this.store.dispatch(readings.load({ of }));
    this.store.dispatch(ledger.load({ of }));
    this.store.dispatch(photographs.load({ of }));
    this.store.dispatch(lessons.load({ of: WORKSHOP }));
    this.store.dispatch(surveys.load({ of }));
    this.store.dispatch(findings.load({ of }));
    this.store.dispatch(profiles.load({ of: WORKSHOP }));
  }
}
