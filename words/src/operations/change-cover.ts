import type { OperationWords } from './row.js';

export const changeCover: OperationWords = {
  kind: 'changeCover',
  name: 'Change the cover',
  steps: {
    coverChanged: {
      card: (n) =>
        `Unsolder the cover of ${n['part']}: heat the bead, wick it off, lift the cover straight. Fit the new one, poles through its holes. Ground it. Meter the coils. Keep the old cover.`,
      logged: 'cover changed',
    },
  },
};
