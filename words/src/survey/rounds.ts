import type { RoundId } from '@rinnovo/core/survey';

export const ROUND_WORDS: Readonly<Record<RoundId, { readonly title: string; readonly say: string }>> = {
  stop: { title: 'Stop first', say: 'With any of these, remove the strings at once. Do not tune up. Take photographs afterwards.' },
  room: { title: 'The room', say: 'Once for the whole survey.' },
  played: { title: 'Played', say: 'Strings on, tuned to pitch. Add the owner’s complaints to the job.' },
  stringsOn: { title: 'Strings on', say: 'Tuned, in playing position, with strings of known gauge.' },
  closed: { title: 'Electrical, closed', say: 'All controls fully up. Keep hands off the probe tips. Wait three seconds.' },
  opened: { title: 'Opened', say: 'Photograph and sketch the wiring before cutting a wire. Add anything else to Findings.' },
  finish: { title: 'Finish', say: 'Use a raking light. Add anything else to Findings.' },
  stringsOff: { title: 'Strings off', say: 'Rod relaxed. Keep saddles, springs and screws of a bridge in order.' },
};
