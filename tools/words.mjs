// npm run words: every text that the program shows, with its id and place, under the screen it is read on. --json: as data.
import { everyText } from './lib/texts.mjs';

const all = everyText();
if (process.argv.includes('--json')) process.stdout.write(JSON.stringify(all));
else {
  let [screen, file] = ['', ''];
  const out = [];
  for (const t of all) {
    const [where, line] = t.place.split(':');
    if (t.screen !== screen) out.push('', `# ${t.screen}`);
    if (where !== file) out.push('', `## ${where}`);
    [screen, file] = [t.screen, where];
    out.push(`${line.padStart(4)}  ${t.text}   (${t.id.split('#')[1]})`);
  }
  process.stdout.write(`${out.join('\n')}\n\n${all.length} texts\n`);
}
