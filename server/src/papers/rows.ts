import type { PaperBlock } from '@rinnovo/words';
import { mapRow } from './map-row.js';
import { heightOf, INNER, PAGE, write, type Doc, type Row, type Setting } from './page.js';

const LEFT = PAGE.margin;

/** A text that takes its own height. */
function textRow(doc: Doc, text: string, setting: Setting, after = 2): Row {
  return { height: heightOf(doc, text, setting) + after, draw: (top) => write(doc, text, top, setting) };
}

/** Rows that are one. */
export function asOne(rows: readonly Row[]): Row {
  const draw = (top: number): void => {
    let y = top;
    for (const r of rows) {
      r.draw(y);
      y += r.height;
    }
  };
  return { height: rows.reduce((s, r) => s + r.height, 0), draw };
}

/** A block of a paper as rows. */
export function rowsOf(doc: Doc, block: PaperBlock): readonly Row[] {
  switch (block.kind) {
    case 'heading': {
      const setting = { x: LEFT, width: INNER, size: 12, weight: '600' } as const;
      return [{ height: heightOf(doc, block.text, setting) + 12, draw: (top) => write(doc, block.text, top + 9, setting), withNext: true }];
    }
    case 'text':
      return [textRow(doc, block.text, { x: LEFT, width: INNER, size: 9, weight: block.strong ? '600' : '400' })];
    case 'pairs':
      return pairRows(doc, block.pairs);
    case 'table':
      return tableRows(doc, block);
    case 'lines':
      return block.lines.map((l, i) => lineRow(doc, { box: '[  ]', number: String(i + 1), none: '' }[block.mark], l));
    case 'maps': {
      const row = mapRow(doc, block.maps);
      return row ? [row] : [];
    }
    case 'blanks':
      return block.labels.map((label) => blankRow(doc, label));
    case 'together':
      return [asOne(block.blocks.flatMap((b) => rowsOf(doc, b)))];
  }
}

/** Two pairs beside one another; a long value takes the whole width. */
export function pairRows(doc: Doc, pairs: readonly (readonly [string, string])[]): readonly Row[] {
  const half = INNER / 2;
  const cell = ([label, value]: readonly [string, string], k: number, width: number): Row => {
    const [name, said] = [
      { x: LEFT + k * half, width: 106, size: 8.5 },
      { x: LEFT + k * half + 108, width: width - 116, size: 9, weight: '600' as const },
    ];
    return {
      height: Math.max(heightOf(doc, label, name), heightOf(doc, value, said)) + 2,
      draw: (top) => {
        write(doc, label, top, name);
        if (value !== '') write(doc, value, top, said);
      },
    };
  };
  const rows: Row[] = [];
  for (let i = 0; i < pairs.length; i++) {
    const [one, two] = [pairs[i], pairs[i + 1]];
    if (!one) continue;
    const long = (p: readonly [string, string]): boolean => p[1].length > 34;
    if (!two || long(one) || long(two)) {
      rows.push(cell(one, 0, INNER));
      continue;
    }
    const cells = [cell(one, 0, half), cell(two, 1, half)];
    rows.push({ height: Math.max(...cells.map((c) => c.height)), draw: (top) => cells.forEach((c) => c.draw(top)) });
    i++;
  }
  return rows;
}

function tableRows(doc: Doc, { head, shares, rows, right = 0 }: Extract<PaperBlock, { readonly kind: 'table' }>): readonly Row[] {
  const whole = shares.reduce((s, x) => s + x, 0);
  const settingOf = (i: number, weight: '400' | '600'): Setting => ({
    x: LEFT + (INNER * shares.slice(0, i).reduce((s, x) => s + x, 0)) / whole,
    width: (INNER * (shares[i] ?? 0)) / whole - 6,
    size: 8,
    weight,
    align: i >= head.length - right ? 'right' : 'left',
  });
  const row = (cells: readonly string[], weight: '400' | '600'): Row => {
    const height = Math.max(...cells.map((c, i) => heightOf(doc, c, settingOf(i, weight)))) + 4;
    const draw = (top: number): void => {
      cells.forEach((c, i) => {
        if (c !== '') write(doc, c, top, settingOf(i, weight));
      });
      doc
        .moveTo(LEFT, top + height - 2)
        .lineTo(LEFT + INNER, top + height - 2)
        .lineWidth(0.3)
        .stroke('#bbb');
    };
    return { height, draw };
  };
  return [{ ...row(head, '600'), withNext: true }, ...rows.map((r) => row(r, '400'))];
}

function lineRow(doc: Doc, mark: string, { text, detail }: { readonly text: string; readonly detail?: string }): Row {
  const indent = mark === '' ? 0 : 22;
  const main = { x: LEFT + indent, width: INNER - indent, size: 9, weight: detail === undefined ? '400' : '600' } as const;
  const small = { x: LEFT + indent, width: INNER - indent, size: 8.5 };
  const first = heightOf(doc, text, main);
  return {
    height: first + (detail === undefined ? 0 : heightOf(doc, detail, small)) + 3,
    draw: (top) => {
      if (mark !== '') write(doc, mark, top, { x: LEFT, width: indent, size: 9, weight: '600' });
      write(doc, text, top, main);
      if (detail !== undefined) write(doc, detail, top + first, small);
    },
  };
}

function blankRow(doc: Doc, label: string): Row {
  const from = label === '' ? 0 : 160;
  return {
    height: 22,
    draw: (top) => {
      if (label !== '') write(doc, label, top + 8, { x: LEFT, width: from - 6, size: 8.5 });
      doc
        .moveTo(LEFT + from, top + 18)
        .lineTo(LEFT + INNER, top + 18)
        .lineWidth(0.5)
        .stroke('#333');
    },
  };
}
