// What the commands tell the person in front of the screen.

export const root = new URL('../../', import.meta.url).pathname.replace(/\/$/, '');

export function say(text) {
  process.stdout.write(`${text}\n`);
}

/** Something that one sentence explains; no stack is shown. */
export class Plain extends Error {}

/** Runs a command's main function; whatever goes wrong ends as one sentence and exit code 1. */
export async function command(main) {
  try {
    await main();
  } catch (error) {
    process.stderr.write(`${sentenceOf(error)}\n`);
    process.exitCode = 1;
  }
}

export function sentenceOf(error) {
  if (error instanceof Plain) return error.message;
  if (error?.code === 'ENOSPC') return 'The disk is full: make room and start again; nothing was lost.';
  if (error?.code === 'EACCES' || error?.code === 'EPERM') return `This user may not write ${error.path ?? 'there'}.`;
  return `This was not foreseen: ${error?.message ?? error}`;
}
