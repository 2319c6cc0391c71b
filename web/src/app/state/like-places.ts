import { inject, Injectable, signal } from '@angular/core';
import { Store } from '@ngrx/store';
import { isPlaced, type Choice } from '@rinnovo/core/check';
import type { Anatomy } from '@rinnovo/core/instrument';
import type { Option } from '@rinnovo/core/remedy';
import { combineLatest, filter, firstValueFrom, map } from 'rxjs';
import { Commands } from './commands';
import { planActions } from './plan.actions';
import { planFeature } from './plan.feature';
import { resultsFeature } from './results.feature';
import { selectComputable, selectJob, selectRevisions } from './selectors';

/** The other undecided choices of the same part at places of the same kind: four tuners, two strap pins. */
export function likeChoices(all: readonly Choice[], c: Choice, decided: ReadonlySet<string>, a: Anatomy | null): readonly Choice[] {
  const kind = kindOfPlace(c, a);
  if (kind === null || c.part === null) return [];
  return all.filter((o) => o.id !== c.id && o.part === c.part && !decided.has(o.id) && kindOfPlace(o, a) === kind);
}

/** What kind of hole a part goes to; null where it is none. */
function kindOfPlace(c: Choice, a: Anatomy | null): string | null {
  if (!isPlaced(c)) return null;
  const { place } = c;
  if (place.on === 'face') return `new ${place.hole}`;
  return a?.holes.find((h) => h.id === place.feature)?.kind ?? null;
}

/** The same way out at several places, one decision each, all for one reason. */
@Injectable({ providedIn: 'root' })
export class LikePlaces {
  private readonly store = inject(Store);
  private readonly commands = inject(Commands);

  /** How many are decided of how many; null while nothing is under way. */
  readonly underWay = signal<{ readonly done: number; readonly of: number } | null>(null);

  /**
   * Decides at one place after another. Throws when a place has no such way out, or the server refuses one: what was decided before
   * stays decided.
   */
  async chooseForAll(option: Option, others: readonly Choice[], reason: string): Promise<void> {
    const places = [option.proposal.choice, ...others];
    try {
      await this.inTurn(option, places, reason);
    } finally {
      this.underWay.set(null);
    }
  }

  private async inTurn(option: Option, places: readonly Choice[], reason: string): Promise<void> {
    let way = option;
    for (const [i, of] of places.entries()) {
      this.underWay.set({ done: i, of: places.length });
      if (i > 0) {
        this.store.dispatch(planActions.lookAt({ choice: of.id }));
        const found = (await this.optionsOf(of.id)).find((o) => o.proposal.id === option.proposal.id && o.excluded === null);
        if (!found) throw new Error('This place has no such option. It is left to be decided.');
        way = found;
      }
      const [job, revisions, { record }] = await firstValueFrom(
        combineLatest([this.store.select(selectJob), this.store.select(selectRevisions), this.store.select(planFeature.selectPlanState)]),
      );
      if (!job || !revisions || !record) throw new Error('The plan is not here yet.');
      await this.commands.chooseRemedy(job, record, revisions, way, reason);
    }
  }

  /** The ways out at a place, once they are those of the plan that is kept and of all that is known now. */
  private optionsOf(choice: string): Promise<readonly Option[]> {
    return firstValueFrom(
      combineLatest([
        this.store.select(resultsFeature.selectOptions),
        this.store.select(planFeature.selectPlanState),
        this.store.select(selectComputable),
      ]).pipe(
        filter(([o, p, c]) => o?.choice === choice && o.plan === p.draft && o.key === c?.key && p.saving === 'saved'),
        map(([o]) => o?.result ?? []),
      ),
    );
  }
}
