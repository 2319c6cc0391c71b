import type { Job } from '@rinnovo/core/job';
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
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
import { Claims } from '../../ui/claims';
import { same } from '../../ui/same';
import { selectAnatomy, selectJob, selectOwn } from '../../state/selectors';
import { attempt } from '../../ui/attempt';
import { JobWeights } from './job-weights';

const MONEY = /^\d{1,7}(?:[.,]\d{1,2})?$/;

/** The active job of the instrument: what is wanted, how it should look, and its limits. */
@Component({
  selector: 'rn-job-form',
  imports: [Claims, JobWeights, MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule, MatSlideToggleModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './job-form.html',
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

  protected readonly title = linkedSignal(computed(() => this.job()?.title ?? ''));
  protected readonly ownerSays = linkedSignal(computed(() => this.job()?.ownerSays ?? ''));
  protected readonly look = linkedSignal(computed(() => this.job()?.look ?? ''));
  protected readonly kind = linkedSignal(computed(() => this.job()?.request.kind ?? null));
  protected readonly reversible = linkedSignal(computed(() => this.job()?.request.reversibleOnly ?? false));
  protected readonly doNotTouch = linkedSignal<readonly string[]>(computed(() => this.job()?.request.doNotTouch ?? [], { equal: same }));
  /** What the job weighs otherwise than the workshop; null while one of them is no number. */
  protected readonly weights = linkedSignal<Weights | null>(computed(() => this.kept()));
  protected readonly kept = computed<Weights>(() => this.job()?.request.weights ?? (this.job() ? {} : usualWeights(this.own())), { equal: same });
  protected readonly budget = linkedSignal(computed(() => moneyText(this.job()?.limits.budget ?? null)));
  protected readonly worth = linkedSignal(computed(() => moneyText(this.job()?.worth ?? null)));
  protected readonly due = linkedSignal(computed(() => this.job()?.limits.due ?? ''));
  protected readonly tried = signal(false);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  protected readonly said = signal('');
  protected readonly kinds = ['', 'single-coil', 'humbucker', 'slim humbucker'] as const;
  protected readonly badTitle = computed(() => this.title().trim() === '');
  protected readonly badBudget = computed(() => isBadMoney(this.budget()));
  protected readonly badWorth = computed(() => isBadMoney(this.worth()));
  protected readonly overWorth = computed(() => {
    const [b, w] = [cents(this.budget()), cents(this.worth())];
    return b !== null && w !== null && b > w;
  });

  protected text(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  protected async save(event: Event): Promise<void> {
    event.preventDefault();
    this.tried.set(true);
    const instrument = this.heldAnatomy().of;
    const weights = this.weights();
    if (this.badTitle() || this.badBudget() || this.badWorth() || weights === null || instrument === null) return;
    const old = this.job();
    const job: Job = {
      id: old?.id ?? crypto.randomUUID(),
      instrument,
      title: this.title().trim(),
      ownerSays: this.ownerSays().trim(),
      look: this.look().trim(),
      request: { kind: this.kind(), reversibleOnly: this.reversible(), doNotTouch: this.doNotTouch(), weights },
      limits: { budget: cents(this.budget()), due: this.due() === '' ? null : this.due() },
      worth: cents(this.worth()),
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
const isBadMoney = (text: string): boolean => text.trim() !== '' && !MONEY.test(text.trim());

function cents(text: string): number | null {
  const t = text.trim();
  return t === '' || isBadMoney(t) ? null : Math.round(Number(t.replace(',', '.')) * 100);
}
