import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatSnackBar } from '@angular/material/snack-bar';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { contradictionsOf, findingsOf, type Finding } from '@rinnovo/core/survey';
import { aimText, CONTRADICTION_WORDS, FINDING_WORDS, mayText, nameOf, SEVERITY_WORDS, STATE_WORDS, stateText, stateTitle, upperFirst } from '@rinnovo/words';
import type { KeptFinding } from '@rinnovo/contract';
import { anatomy, findings, instrument } from '../../state/resources';
import { selectJob, selectNames, selectSurvey, selectSurveyInView } from '../../state/selectors';
import { SurveyCommands } from '../../state/survey-commands';
import { viewFeature } from '../../state/view.feature';
import { boardText } from './board-moved';
import { OwnFinding } from './own-finding';
import { SurveyHead } from './survey-head';
import { SurveyNav } from './survey-nav';
import { TaskList } from './task-list';
import { attempt } from '../../ui/attempt';

/** What the readings mean: first causes with what they explain, the gravest first. */
@Component({
  selector: 'rn-findings-page',
  imports: [MatButtonModule, OwnFinding, RouterLink, SurveyHead, SurveyNav, TaskList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './findings-page.html',
  styleUrl: './findings-page.scss',
})
export class FindingsPage {
  private readonly store = inject(Store);
  private readonly survey = this.store.selectSignal(selectSurvey);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  protected readonly held = this.store.selectSignal(anatomy.select);
  protected readonly read = computed(() => (this.survey()?.readings.length ?? 0) > 0);
  /** Each first cause followed by what comes from it. */
  protected readonly findings = computed(() => {
    const s = this.survey();
    const all = s ? findingsOf(s) : [];
    const roots = all.filter((f) => f.cause === null);
    return roots.flatMap((root) => [root, ...all.filter((f) => f.cause === root.rule)]).map((f) => this.shown(f));
  });

  /** Readings that cannot both be: told before what rests on them. */
  protected readonly contradictions = computed(() => {
    const s = this.survey();
    return (s ? contradictionsOf(s) : []).map((c) => ({
      id: c.id,
      says: CONTRADICTION_WORDS[c.id],
      again: STATE_WORDS[c.again].name.toLowerCase(),
      evidence: c.evidence.map((e) => this.evidence(e)),
    }));
  });

  private readonly commands = inject(SurveyCommands);
  private readonly toast = inject(MatSnackBar);
  private readonly kept = this.store.selectSignal(findings.select);
  private readonly view = this.store.selectSignal(selectSurveyInView);
  private readonly one = this.store.selectSignal(instrument.select);
  protected readonly job = this.store.selectSignal(selectJob);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  /** What a person found in this survey, or outside of any. */
  protected readonly own = computed(() =>
    (this.kept().data ?? [])
      .filter((f) => f.rule === null && (f.survey === null || f.survey === (this.view()?.id ?? null)))
      .map((f) => ({
        id: f.id,
        kept: f,
        text: upperFirst(f.text),
        ...SEVERITY_WORDS[f.severity],
        where: [f.feature === null ? '' : upperFirst(nameOf(this.names(), f.feature)), f.job === null ? '' : 'task of this job'].filter(Boolean).join(', '),
      })),
  );

  /** A finding of the rules becomes a task of the active job, by its first remedy. */
  protected accept(f: {
    readonly rule: Finding['rule'];
    readonly is: string;
    readonly remedy: string;
    readonly severity: Finding['severity'];
  }): Promise<boolean> {
    const [job, view, of] = [this.job(), this.view(), this.held().of];
    return this.attempt.run(async () => {
      if (!job || of === null) return;
      const text = `${f.is}: ${f.remedy}`.slice(0, 500);
      await this.commands.keepFinding({
        instrument: of,
        survey: view?.id ?? null,
        rule: f.rule,
        feature: null,
        text,
        severity: f.severity,
        job: job.id,
        done: false,
        withdrawn: false,
      });
    });
  }

  /** Withdrawing can be undone where it is said. */
  protected change(f: KeptFinding, what: Parameters<SurveyCommands['changeFinding']>[1]): Promise<boolean> {
    return this.attempt.run(async () => {
      await this.commands.changeFinding(f, what);
      if (what.withdrawn)
        this.toast
          .open(`Withdrawn: ${f.text}`, 'Undo', { duration: 8000 })
          .onAction()
          .subscribe(() => void this.change({ ...f, withdrawn: true, version: f.version + 1 }, { withdrawn: false }));
    });
  }

  private shown(f: Finding) {
    const words = FINDING_WORDS[f.rule];
    const severity = SEVERITY_WORDS[f.severity];
    const kind = f.severity === 'put right' ? 'right' : f.severity;
    return {
      rule: f.rule,
      severity: f.severity,
      task: (this.kept().data ?? []).some((k) => k.rule === f.rule && k.job !== null && k.job === this.job()?.id),
      wood: f.rule === 'fretEndsDry' || f.rule === 'roomDry' ? this.wood() : null,
      kind: f.cause === null ? kind : `${kind} consequence`,
      sign: severity.sign,
      word: severity.word,
      ...words,
      cause: f.cause === null ? null : FINDING_WORDS[f.cause].is.toLowerCase(),
      may: mayText(f),
      explains: f.explains.map((r) => FINDING_WORDS[r].is.toLowerCase()),
      waits: f.waitsFor ? this.cause(f.waitsFor) : null,
      evidence: f.evidence.map((e) => this.evidence(e)),
    };
  }

  /** How far the board can have drawn back in this room. */
  private wood(): string | null {
    const s = this.survey();
    return s ? boardText(s, this.one().data?.identity.boardWood?.value ?? '', this.unit()) : null;
  }

  /** What has to be right first, as it stands in a sentence: `the relief (0.55 mm)`. */
  private cause({ target, reading }: Finding['evidence'][number]): string {
    return `the ${stateTitle(target, this.names()).toLowerCase()} (${stateText(target.quantity, reading.value, this.unit())})`;
  }

  private evidence({ target, reading, aim }: Finding['evidence'][number]): string {
    const aimed = aimText(target.quantity, aim, this.unit());
    return `${stateTitle(target, this.names())}: ${stateText(target.quantity, reading.value, this.unit())}${aimed ? `, target ${aimed}` : ''}`;
  }
}
