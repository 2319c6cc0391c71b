// npm run backup [-- --workshop NAME] [FILE]: a workshop in one file, checked by reading it back.
// npm run restore -- FILE [--workshop NAME] [--replace]: a workshop from that file.
import { backup, heldText, restore, sizeText, unnamed } from './lib/backup.mjs';
import { ensureCluster } from './lib/postgres.mjs';
import { command, Plain, say } from './lib/say.mjs';

await command(async () => {
  const [act, ...args] = process.argv.slice(2);
  const replace = args.includes('--replace');
  const at = args.indexOf('--workshop');
  const workshop = at === -1 ? 'demo' : (args[at + 1] ?? '');
  if (!/^[a-z][a-z0-9_]{0,39}$/.test(workshop)) throw new Plain('A workshop has a name of small letters, digits and _: --workshop NAME');
  const files = args.filter((a, i) => !a.startsWith('--') && (at === -1 || i !== at + 1));
  const strange = args.find((a) => a.startsWith('--') && a !== '--replace' && a !== '--workshop');
  if (strange || files.length > 1) throw new Plain(`'${strange ?? files[1]}' is unknown here.`);
  const cluster = process.env.DATABASE_URL ? null : await ensureCluster({ name: 'pg' });
  const url = process.env.DATABASE_URL ?? cluster.url;
  try {
    if (act === 'restore') {
      if (!files[0]) throw new Plain('Which file? npm run restore -- FILE');
      const held = await restore({ url, workshop, file: files[0], replace });
      say(`The workshop '${workshop}' is restored: ${heldText(held)}.`);
      if (held.aside) say(`What was there is kept as '${held.aside}': npm start -- --workshop ${held.aside}`);
    } else {
      const file = files[0] ?? unnamed(workshop);
      const held = await backup({ url, workshop, file });
      say(`${file} (${sizeText(file)}) holds the workshop '${workshop}': ${heldText(held)}. It was checked by reading it back.`);
    }
  } finally {
    if (cluster && !cluster.adopted) await cluster.stop();
  }
});
