import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import { SET_UPS, type SetUpId } from '@rinnovo/core/cut';
import { LENGTH_UNITS, type LengthUnit } from '@rinnovo/core/measure';

export interface ViewFeature {
  readonly unit: LengthUnit;
  readonly theme: 'light' | 'dark';
  /** The depth set-up that this bench works by. */
  readonly setUp: SetUpId;
}

export const viewActions = createActionGroup({
  source: 'view',
  events: { 'Choose unit': props<{ unit: LengthUnit }>(), 'Turn theme': emptyProps(), 'Choose set up': props<{ setUp: SetUpId }>() },
});

const KEY = 'rinnovo.view';

/** What the screen looked like the last time on this machine. */
export function rememberedView(): ViewFeature {
  const plain: ViewFeature = { unit: 'mm', theme: 'light', setUp: 'projection' };
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<ViewFeature>;
    return {
      unit: LENGTH_UNITS.find((u) => u === kept.unit) ?? plain.unit,
      theme: kept.theme === 'dark' ? 'dark' : plain.theme,
      setUp: SET_UPS.find((x) => x === kept.setUp) ?? plain.setUp,
    };
  } catch {
    return plain;
  }
}

export function rememberView(view: ViewFeature): void {
  localStorage.setItem(KEY, JSON.stringify(view));
}

export const viewFeature = createFeature({
  name: 'view',
  reducer: createReducer(
    rememberedView(),
    on(viewActions.chooseUnit, (s, { unit }): ViewFeature => ({ ...s, unit })),
    on(viewActions.chooseSetUp, (s, { setUp }): ViewFeature => ({ ...s, setUp })),
    on(viewActions.turnTheme, (s): ViewFeature => ({ ...s, theme: s.theme === 'light' ? 'dark' : 'light' })),
  ),
});
