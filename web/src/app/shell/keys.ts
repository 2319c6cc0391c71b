/** One key of the map: what it does, in words. */
export interface KeyLine {
  readonly keys: string;
  readonly does: string;
}

export interface StageLink {
  readonly path: string;
  readonly label: string;
  readonly question: string;
  /** Pressed after `g`. */
  readonly key: string;
}

/** The stages of the rail, in the order of the work. */
export const STAGES: readonly StageLink[] = [
  { path: 'about', label: 'Job', question: 'Whose is it, and what should it become?', key: 'j' },
  { path: 'anatomy', label: 'Anatomy', question: 'What is it, and where is everything?', key: 'a' },
  { path: 'survey', label: 'Survey', question: 'What state is it in, and what have I not measured?', key: 's' },
  { path: 'fit', label: 'Fit', question: 'Will the parts fit, and if not, what are my options?', key: 'f' },
  { path: 'cut', label: 'Cut', question: 'What exactly do I remove, with what, to what depth?', key: 'c' },
  { path: 'wire', label: 'Wire', question: 'What goes to what, and what must the meter read?', key: 'w' },
  { path: 'order', label: 'Order', question: 'In what order, and have I forgotten anything?', key: 'o' },
  { path: 'bench', label: 'Bench', question: 'What do I do now?', key: 'b' },
  { path: 'record', label: 'Record', question: 'What was done, and can it be undone?', key: 'r' },
];

export const KEY_MAP: readonly KeyLine[] = [
  { keys: '?', does: 'Show the keys' },
  { keys: 'g then i', does: 'Open the instruments' },
  { keys: 'g then p', does: 'Open the part shelf' },
  { keys: 'g then h', does: 'Open the shop' },
  ...STAGES.map((s) => ({ keys: `g then ${s.key}`, does: `Go to ${s.label}` })),
  { keys: '/', does: 'Open the quick log' },
  { keys: 'u', does: 'Next unit: mm, inch fractions, decimal inches' },
  { keys: 'Tab, Shift Tab', does: 'Next and previous control' },
  { keys: 'Enter, Space', does: 'Open or select the focused item' },
  {
    keys: 'Arrow keys',
    does: 'On a drawing: move the selected feature by 0.1 mm, with Shift by 1 mm, with Ctrl by 5 mm. With no selection, or with Alt: pan',
  },
  { keys: 'Page Up, Page Down', does: 'On Cut: turn the route by 0.1°, with Shift by 1°' },
  { keys: '+, −, 0', does: 'On a drawing: zoom in, zoom out, fit' },
  { keys: 'Escape', does: 'Close the open panel' },
];
