// What is written on a paper in several cuts of its font, against an independent reader.
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { paperPdf } from './paper-pdf.js';

const head = { workshop: '', address: '', owner: 'Νίκη Αλεξίου', instrument: 'Łódź kΩ (two)', about: [], date: '1 December 2026' };

describe('a text on a paper', () => {
  it('is there with its spaces, whichever letters stand before them', async () => {
    const lines = ['4.00 kΩ (3.43–4.59)', 'Ω to Ω', 'Νίκη Αλεξίου είναι εδώ', 'Żółw idzie', 'Щука и рак', '5 Ω'];
    const pdf = await paperPdf({ title: 'Letters', head, blocks: lines.map((text) => ({ kind: 'text', text })) }, '2026-12-01T10:00:00.000Z');
    const folder = mkdtempSync(path.join(tmpdir(), 'page-'));
    const file = path.join(folder, 'page.pdf');
    writeFileSync(file, pdf);
    execFileSync('qpdf', ['--check', file]);
    const text = execFileSync('pdftotext', ['-raw', file, '-'], { encoding: 'utf8' });
    for (const l of lines) expect(text).withContext(l).toContain(l);
    rmSync(folder, { recursive: true });
  });
});
