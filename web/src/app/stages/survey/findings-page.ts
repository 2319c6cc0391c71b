import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { findingsOf, type Finding } from '@rinnovo/core/survey';
import { aimText, FINDING_WORDS, SEVERITY_WORDS, stateText, stateTitle } from '@rinnovo/words';
import { anatomy } from '../../state/resources';
import { selectNames, selectSurvey } from '../../state/selectors';
import { viewFeature } from '../../state/view.feature';
import { SurveyNav } from './survey-nav';

/** What the readings mean: first causes with what they explain, the gravest first. */
@Component({
  selector: 'rn-findings-page',
  imports: [RouterLink, SurveyNav],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h1 class="visually-hidden">Findings</h1>
    <rn-survey-nav />
    <section class="panel list" aria-label="Findings">
      @for (f of findings(); track f.rule) {
        <article [class]="f.kind" [attr.data-finding]="f.rule">
          <header>
            <span class="sign" aria-hidden="true">{{ f.sign }}</span>
            <h2>{{ f.is }}</h2>
            <span class="severity">{{ f.word }}</span>
          </header>
          @if (f.cause) {
            <p>
              Comes from: <strong>{{ f.cause }}</strong>
            </p>
          }
          @if (f.waits) {
            <p class="waits">◇ Cannot be judged yet: {{ f.waits }}</p>
          }
          <ul>
            @for (e of f.evidence; track e) {
              <li class="number">{{ e }}</li>
            }
          </ul>
          @if (f.explains.length > 0) {
            <p>
              Explains: <strong>{{ f.explains.join(', ') }}</strong>
            </p>
          }
          @if (f.cause) {
            <p class="soft">Nothing is done about it by itself: it is read again when that is put right.</p>
          } @else {
            <p><span class="soft">First:</span> {{ f.remedy }}</p>
            <p><span class="soft">Exclude before:</span> {{ f.exclude }}</p>
          }
        </article>
      } @empty {
        <p class="empty">
          @if (read()) {
            Nothing that was read is outside.
          } @else {
            Nothing has been read yet. <a [routerLink]="['/i', held().of, 'survey', 'inspection']">Begin the inspection</a>
          }
        </p>
      }
    </section>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-rows: auto minmax(0, 1fr);
      gap: 0.4rem;
      height: 100%;
    }
    .list {
      overflow: auto;
    }
    article {
      padding: 0.75rem 1rem;
      border-block-end: 1px solid var(--rn-line);
    }
    header {
      display: flex;
      gap: 0.6rem;
      align-items: baseline;
    }
    .severity {
      margin-inline-start: auto;
      font-weight: 600;
    }
    .consequence {
      margin-inline-start: 2rem;
    }
    .stop .sign,
    .stop .severity,
    .right .sign,
    .right .severity {
      color: var(--rn-danger);
    }
    .watch .sign,
    .watch .severity {
      color: var(--rn-thin);
    }
    .waits {
      padding: 0.3rem 0.6rem;
      border-inline-start: 4px solid var(--rn-thin);
      background: var(--rn-tint);
    }
    ul {
      margin: 0.25rem 0;
      padding-inline-start: 1.4rem;
    }
    .empty {
      padding: 2rem;
    }
  `,
})
export class FindingsPage {
  private readonly store = inject(Store);
  private readonly survey = this.store.selectSignal(selectSurvey);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  protected readonly held = this.store.selectSignal(anatomy.select);
  protected readonly read = computed(() => (this.survey()?.told.length ?? 0) > 0);
  /** Each first cause followed by what comes from it. */
  protected readonly findings = computed(() => {
    const s = this.survey();
    const all = s ? findingsOf(s) : [];
    const roots = all.filter((f) => f.cause === null);
    return roots.flatMap((root) => [root, ...all.filter((f) => f.cause === root.rule)]).map((f) => this.shown(f));
  });

  private shown(f: Finding) {
    const words = FINDING_WORDS[f.rule];
    const severity = SEVERITY_WORDS[f.severity];
    const kind = f.severity === 'put right' ? 'right' : f.severity;
    return {
      rule: f.rule,
      kind: f.cause === null ? kind : `${kind} consequence`,
      sign: severity.sign,
      word: severity.word,
      ...words,
      cause: f.cause === null ? null : FINDING_WORDS[f.cause].is.toLowerCase(),
      explains: f.explains.map((r) => FINDING_WORDS[r].is.toLowerCase()),
      waits: f.waitsFor ? this.evidence(f.waitsFor) : null,
      evidence: f.evidence.map((e) => this.evidence(e)),
    };
  }

  private evidence({ target, reading, aim }: Finding['evidence'][number]): string {
    const wished = aimText(target.quantity, aim, this.unit());
    return `${stateTitle(target, this.names())}: ${stateText(target.quantity, reading.value, this.unit())}${wished ? `, wished ${wished}` : ''}`;
  }
}
