import type { Job } from '@rinnovo/core/job';
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { DateAdapter } from '@angular/material/core';
import { MatDatepickerModule } from '@angular/material/datepicker';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { MatSlideToggleModule } from '@angular/material/slide-toggle';
import { Store } from '@ngrx/store';
import { featuresOf } from '@rinnovo/core/instrument';
import { usualWeights, type Weights } from '@rinnovo/core/remedy';
import { amountText } from '@rinnovo/words';
import { Commands } from '../../state/commands';
import { anatomy, jobs } from '../../state/resources';
import { DAYS, dayOfIso, isoOfDay } from '../../ui/day-adapter';
import { filledFrom, standing } from '../../ui/form-values';
import { NOT_BLANK } from '../../ui/validators';
import { Claims } from '../../ui/claims';
import { same } from '../../ui/same';
import { selectAnatomy, selectJob, selectOwn } from '../../state/selectors';
import { attempt } from '../../ui/attempt';
import { JobWeights } from './job-weights';

const MONEY = /^\s*\d{1,7}(?:[.,]\d{1,2})?\s*$/;

const text = (): FormControl<string> => new FormControl('', { nonNullable: true });

/** The active job of the instrument: what is wanted, how it should look, and its limits. */
@Component({
  selector: 'rn-job-form',
  imports: [
    Claims,
    JobWeights,
    MatButtonModule,
    MatDatepickerModule,
    MatFormFieldModule,
    MatInputModule,
    MatSelectModule,
    MatSlideToggleModule,
    ReactiveFormsModule,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './job-form.html',
  providers: [...DAYS],
  styles: `
    form {
      display: grid;
      gap: 0.6rem;
    }
    .pair {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 0.75rem;
    }
  `,
})
export class JobForm {
  private readonly commands = inject(Commands);
  private readonly store = inject(Store);
  private readonly anatomy = this.store.selectSignal(selectAnatomy);
  private readonly heldAnatomy = this.store.selectSignal(anatomy.select);
  private readonly all = this.store.selectSignal(jobs.select);
  private readonly own = this.store.selectSignal(selectOwn);
  protected readonly job = this.store.selectSignal(selectJob);
  protected readonly earlier = computed(() => (this.all().data ?? []).filter((j) => !j.active));
  protected readonly untouchable = computed(() => {
    const a = this.anatomy();
    return a ? [...a.positions.map((p) => ({ id: p.id, name: p.name })), ...featuresOf(a).map((f) => ({ id: f.id, name: f.of.name }))] : [];
  });

  protected readonly form = new FormGroup({
    title: new FormControl('', { nonNullable: true, validators: NOT_BLANK }),
    ownerSays: text(),
    look: text(),
    kind: new FormControl<Job['request']['kind']>(null),
    reversible: new FormControl(false, { nonNullable: true }),
    doNotTouch: new FormControl<readonly string[]>([], { nonNullable: true }),
    budget: new FormControl('', { nonNullable: true, validators: Validators.pattern(MONEY) }),
    worth: new FormControl('', { nonNullable: true, validators: Validators.pattern(MONEY) }),
    due: new FormControl<Date | null>(null),
  });
  protected readonly is = standing(this.form);
  private readonly days = inject<DateAdapter<Date>>(DateAdapter);
  protected readonly sample = this.days.format(this.days.today(), { year: 'numeric', month: '2-digit', day: '2-digit' });
  /** What the job weighs otherwise than the workshop; null while one of them is no number. */
  protected readonly weights = linkedSignal<Weights | null>(computed(() => this.kept()));
  protected readonly kept = computed<Weights>(() => this.job()?.request.weights ?? (this.job() ? {} : usualWeights(this.own())), { equal: same });
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  protected readonly said = signal('');
  protected readonly kinds = [null, 'single-coil', 'humbucker', 'slim humbucker'] as const;
  protected readonly overWorth = computed(() => {
    const [b, w] = [cents(this.is().budget), cents(this.is().worth)];
    return b !== null && w !== null && b > w;
  });

  constructor() {
    filledFrom(
      this.form,
      () => {
        const j = this.job();
        const { kind = null, reversibleOnly = false, doNotTouch = [] } = j?.request ?? {};
        const { budget = null, due = null } = j?.limits ?? {};
        const texts = { title: j?.title ?? '', ownerSays: j?.ownerSays ?? '', look: j?.look ?? '', due: dayOfIso(due) };
        return { ...texts, kind, reversible: reversibleOnly, doNotTouch, budget: moneyText(budget), worth: moneyText(j?.worth ?? null) };
      },
      () => this.heldAnatomy().of ?? '',
    );
  }

  protected async save(): Promise<void> {
    this.form.markAllAsTouched();
    const instrument = this.heldAnatomy().of;
    const weights = this.weights();
    if (this.form.invalid || weights === null || instrument === null) return;
    const { title, ownerSays, look, kind, reversible, doNotTouch, budget, worth, due } = this.form.getRawValue();
    const old = this.job();
    const job: Job = {
      id: old?.id ?? crypto.randomUUID(),
      instrument,
      title: title.trim(),
      ownerSays: ownerSays.trim(),
      look: look.trim(),
      request: { kind, reversibleOnly: reversible, doNotTouch, weights },
      limits: { budget: cents(budget), due: due && isoOfDay(due) },
      worth: cents(worth),
      active: true,
    };
    await this.run(() => (old ? this.commands.changeJob(job) : this.commands.openJob(job)), 'saved');
  }

  protected async close(): Promise<void> {
    const job = this.job();
    if (job) await this.run(() => this.commands.changeJob({ ...job, active: false }), 'Job closed. Its record stays.');
  }

  private async run(act: () => Promise<unknown>, said: string): Promise<void> {
    if (await this.attempt.run(act)) this.said.set(said);
  }
}

const moneyText = (coins: number | null): string => (coins === null ? '' : amountText(coins));

function cents(typed: string): number | null {
  const t = typed.trim();
  return MONEY.test(t) ? Math.round(Number(t.replace(',', '.')) * 100) : null;
}
