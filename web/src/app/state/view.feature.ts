import { createActionGroup, createFeature, createReducer, createSelector, emptyProps, on, props } from '@ngrx/store';
import { SET_UPS, type SetUpId } from '@rinnovo/core/cut';
import { LENGTH_UNITS, type LengthUnit } from '@rinnovo/core/measure';

export type Theme = 'light' | 'dark';

export interface ViewFeature {
  readonly unit: LengthUnit;
  /** Chosen here; null: as the machine has it. */
  readonly chosen: Theme | null;
  /** As the machine has it. */
  readonly system: Theme;
  /** The depth set-up that this bench works by. */
  readonly setUp: SetUpId;
}

export const viewActions = createActionGroup({
  source: 'view',
  events: {
    'Choose unit': props<{ unit: LengthUnit }>(),
    'Turn theme': emptyProps(),
    'System turned': props<{ system: Theme }>(),
    'Choose set up': props<{ setUp: SetUpId }>(),
  },
});

const KEY = 'rinnovo.view';
const THEMES: readonly Theme[] = ['light', 'dark'];
/** Does the machine ask for a dark screen? */
export const DARK = matchMedia('(prefers-color-scheme: dark)');

/** What the screen looked like the last time on this machine. */
export function rememberedView(): ViewFeature {
  const plain: ViewFeature = { unit: 'mm', chosen: null, system: DARK.matches ? 'dark' : 'light', setUp: 'projection' };
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<ViewFeature>;
    return {
      unit: LENGTH_UNITS.find((u) => u === kept.unit) ?? plain.unit,
      chosen: THEMES.find((t) => t === kept.chosen) ?? null,
      system: plain.system,
      setUp: SET_UPS.find((x) => x === kept.setUp) ?? plain.setUp,
    };
  } catch {
    return plain;
  }
}

export function rememberView({ unit, chosen, setUp }: ViewFeature): void {
  localStorage.setItem(KEY, JSON.stringify({ unit, chosen, setUp }));
}

const shown = ({ chosen, system }: Pick<ViewFeature, 'chosen' | 'system'>): Theme => chosen ?? system;

export const viewFeature = createFeature({
  name: 'view',
  reducer: createReducer(
    rememberedView(),
    on(viewActions.chooseUnit, (s, { unit }): ViewFeature => ({ ...s, unit })),
    on(viewActions.chooseSetUp, (s, { setUp }): ViewFeature => ({ ...s, setUp })),
    on(viewActions.turnTheme, (s): ViewFeature => ({ ...s, chosen: shown(s) === 'light' ? 'dark' : 'light' })),
    on(viewActions.systemTurned, (s, { system }): ViewFeature => ({ ...s, system })),
  ),
  extraSelectors: ({ selectChosen, selectSystem }) => ({
    selectTheme: createSelector(selectChosen, selectSystem, (chosen, system) => shown({ chosen, system })),
  }),
});
