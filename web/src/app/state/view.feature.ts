import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import type { LengthUnit } from '@rinnovo/core/measure';

export interface ViewFeature {
  readonly unit: LengthUnit;
  readonly theme: 'light' | 'dark';
}

export const viewActions = createActionGroup({
  source: 'view',
  events: { 'Choose unit': props<{ unit: LengthUnit }>(), 'Turn theme': emptyProps() },
});

const KEY = 'rinnovo.view';

/** What the screen looked like the last time on this machine. */
export function rememberedView(): ViewFeature {
  const plain: ViewFeature = { unit: 'mm', theme: 'light' };
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<ViewFeature>;
    return {
      unit: kept.unit === 'fraction' || kept.unit === 'inch' ? kept.unit : plain.unit,
      theme: kept.theme === 'dark' ? 'dark' : plain.theme,
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
    on(viewActions.turnTheme, (s): ViewFeature => ({ ...s, theme: s.theme === 'light' ? 'dark' : 'light' })),
  ),
});
