// Every text that the program shows, as `npm run words` prints it, held against the list of terms. The list is kept here.
import { execFileSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { SETTING_KEYS } from '@rinnovo/core/operation';
import { SETTING_WORDS } from './index.js';

interface Text {
  readonly id: string;
  readonly place: string;
  readonly text: string;
  readonly kind: 'text' | 'label';
  readonly screen: string;
}

const printed = execFileSync('npm', ['run', '--silent', 'words', '--', '--json'], {
  cwd: fileURLToPath(new URL('../..', import.meta.url)),
  maxBuffer: 1 << 26,
});
const texts = JSON.parse(printed.toString()) as readonly Text[];

/** What a text must not say, and the term that it uses instead. */
const NOT: readonly (readonly [RegExp, string])[] = [
  [/(?<!semi-)\bhollows?\b/i, 'cavity'],
  [/\brouts?\b(?! (clockwise|to the line))/i, 'route'],
  [/(?<!neck )\bpockets?\b/i, 'level, or neck pocket'],
  [/\bways? out\b/i, 'options'],
  [/\b(what is there )?stays as it is\b|\bkeep what is there\b/i, 'keep as is'],
  [/\bwished?\b|\bwanted\b/i, 'target, minimum'],
  [/\bnever off by more than\b/i, 'maximum offset'],
  [/^says$/i, 'result'],
  [/\bheed(ed)?\b/i, 'watch for'],
  [/\bweighed\b/i, 'score'],
  [/\+ another\b/i, 'alternative part'],
  [/\b(take|taken|takes) (it |this |them |the \w+ )?(away|out)\b/i, 'remove'],
  [/\bput(s)? (it |this |them )?away\b/i, 'archive'],
  [/\bstarts as\b|\bas they start\b/i, 'default'],
  [/\bjust arrived\b|\bdescribe an? \w+$/i, 'new instrument'],
  [/\bwhat is missing\b|^missing$/i, 'still to measure'],
  [/\bschools?\b/i, 'method'],
  [/\bsureness\b/i, 'risk'],
  [/\bwent wrong\b/i, 'mishap'],
  [/\banew\b|\bglued? again\b|\bdrill(ed)? again\b/i, 're-route, reglue, refret, reset'],
  [/\bfrets? that stands? high\b/i, 'high fret'],
  [/\bbush(es)?\b/i, 'bushing'],
  [/\bmiddle, (across|along)\b/i, 'offset across, offset along'],
  [/\btold\b/i, 'stated'],
  [/\boff the list\b/i, 'archived, not offered'],
  [/\bnobody knows\b/i, 'unknown'],
  [/\bforget it\b/i, 'discard'],
  [/\bhow grave\b/i, 'severity'],
  [/\bshall\b|\bhither\b|\bis doubted\b|\bit is so\b/i, 'present tense, plain order'],
  [/\bround (the|a|its|their)\b/i, 'around'],
  [/\bround a\b/i, 'around'],
  [/\bready to hand\b|\bat hand is\b/i, 'in stock'],
];

const PREPOSITION = /\b(of|for|to|from|in|on|at|by|with|into|onto|over|under|behind|beside|around|after|before|per|than|as)$/i;
/** Where the last word belongs to the verb, and one term of the trade. */
const VERBS = new Set(['Zoom in', 'Watch for']);
const UUID = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-/i;
/** A word of the program: small letters, then a capital inside. */
const CODE_WORD = /(?<![\w/.{])[a-z]+[A-Z][a-z]\w*/;

const shown = (t: Text): string => `${t.place} ${t.text}`;
/** A text without what is put into it. */
const plain = (t: Text): string => t.text.replace(/\{[^}]*\}/g, '…');

describe('every text', () => {
  it('is found: on every stage, in words/ and from the server', () => {
    expect(texts.length).toBeGreaterThan(2500);
    const screens = new Set(texts.map((t) => t.screen));
    for (const s of ['Instruments', 'Survey', 'Fit', 'Cut', 'Order', 'Bench', 'Record', 'Part shelf', 'Shop']) expect(screens.has(s)).withContext(s).toBeTrue();
    // one of each way in which a text comes to the screen: a template, an attribute, a refusal, a row of words/, an answer of the server
    for (const text of ['Add instrument', 'Zoom in', 'Type the reading', 'Still to measure', 'Meter the new pickup', 'The disk is full: nothing was written'])
      expect(texts.some((t) => t.text === text))
        .withContext(text)
        .toBeTrue();
  });

  it('uses the trade’s term', () => {
    const wrong = texts.flatMap((t) => NOT.filter(([not]) => not.test(plain(t))).map(([, use]) => `${shown(t)} → ${use}`));
    expect(wrong).toEqual([]);
  });

  it('on a card has at most fourteen words a sentence', () => {
    const cards = texts.filter(
      (t) => /^work\.ts#(CAUTION_WORDS|RULE_WORDS)/.test(t.id) || (t.place.startsWith('words/src/operations/') && !t.id.endsWith('.name')),
    );
    expect(cards.length).toBeGreaterThan(60);
    const sentences = cards.flatMap((t) =>
      plain(t)
        .split(/(?<=[.!?:])\s+/)
        .map((s) => ({ t, words: s.split(/\s+/).filter((w) => /\p{L}|\p{N}|…/u.test(w)).length })),
    );
    expect(sentences.filter((s) => s.words > 14).map((s) => `${s.words} words: ${shown(s.t)}`)).toEqual([]);
  });

  it('that is a label does not end in a preposition', () => {
    const labels = texts.filter((t) => t.kind === 'label' && !t.text.includes('{'));
    expect(labels.length).toBeGreaterThan(400);
    expect(labels.filter((t) => PREPOSITION.test(t.text) && !VERBS.has(t.text)).map(shown)).toEqual([]);
  });

  it('shows no id and no word of the program', () => {
    expect(texts.filter((t) => UUID.test(t.text) || CODE_WORD.test(plain(t))).map(shown)).toEqual([]);
  });

  it('keeps a number and its unit together, with a narrow space', () => {
    expect(texts.filter((t) => /\d (?:(?:mm|cm|µm|in|min|rpm|kΩ|nF|kg|g|V|N)\b|%|°C)/.test(t.text)).map(shown)).toEqual([]);
  });

  it('that names a setting says its unit', () => {
    for (const key of SETTING_KEYS) expect(SETTING_WORDS[key]).toMatch(/ \((mm|min|h|points|price|0 to 1|yes\/no)\)$/);
  });
});
