import { CAUSES, MISHAPS, SIDES, WAYS_ON } from '@rinnovo/core/job';
import { HOUSE, LISTS, cautionsOf } from '@rinnovo/core/house';
import { newHardwareChoice, newPickupChoice, type Corner, type PlaceRef, type Verdict } from '@rinnovo/core/check';
import { leaf, sum, setting, type Working } from '@rinnovo/core/measure';
import { SETTING_KEYS } from '@rinnovo/core/operation';
import type { Lack } from '@rinnovo/core/part';
import {
  operationAt,
  operationsTogether,
  placesTogether,
  WHOLE,
  bestPlaceText,
  holeStepsText,
  lackText,
  nameOf,
  placeOfChoice,
  trimmedText,
  remedyName,
  wayBackText,
  partCsvProblemText,
  moneyText,
  SETTING_WORDS,
  CAUTION_WORDS,
  loggedStepText,
  operationName,
  operationWords,
  partKindWord,
  stepText,
  RULE_WORDS,
  clearanceText,
  CAUSE_WORDS,
  exclusionText,
  gapText,
  MISHAP_WORDS,
  SIDE_WORDS,
  WAY_ON_WORDS,
  gateText,
  lengthText,
  otherLengthText,
  targetText,
  verdictSentence,
  verdictTitle,
  workingLines,
} from './index.js';

const names = { 'back cavity': 'long back cavity', plate: 'neck pickup plate', window: 'wide window', found: 'old route', planned: 'new route' };

function verdictOf(more: Partial<Verdict>): Verdict {
  return {
    id: 'x',
    check: 'floor',
    choice: 'neck pickup',
    subject: { feature: 'neck route', item: 'planned/25.000', against: 'back cavity' },
    unit: 'mm',
    about: [],
    at: null,
    working: null,
    missing: [],
    typical: false,
    clearance: 4.5,
    worst: 0.3,
    rss: 0.2,
    minimum: 5,
    class: 'thin',
    ...more,
  };
}

describe('lengths', () => {
  it('stand in the chosen unit, with the other beside it', () => {
    expect(lengthText(22.225, 'mm')).toBe('22.23\u202fmm');
    expect(lengthText(22.225, 'fraction')).toBe('7/8\u202fin');
    expect(lengthText(22.225, 'inch')).toBe('0.875\u202fin');
    expect(otherLengthText(27.78125, 'mm')).toBe('1 3/32\u202fin');
  });

  it('tell the deviation of a fraction and use a true minus', () => {
    expect(lengthText(10, 'fraction')).toBe('25/64\u202fin +0.08\u202fmm');
    expect(lengthText(-2, 'mm')).toBe('−2.00\u202fmm');
    expect(lengthText(-0.001, 'mm')).toBe('0.00\u202fmm');
  });
});

describe('verdicts', () => {
  it('become a sentence with number, limit and what is wanted', () => {
    expect(verdictSentence(verdictOf({}), names, 'mm')).toBe(
      'Floor under the new route at 25.0, to long back cavity: clears, thin, 4.50\u202fmm ± 0.30, minimum 5.00\u202fmm.',
    );
  });

  it('say of the smallest corner which radii meet and what would still do', () => {
    const v = verdictOf({ check: 'smallestCorner', class: 'well', clearance: 0.75, worst: 0.15, subject: { feature: 'pickup' } });
    const sentence = (radii: Corner): string => verdictSentence({ ...v, corner: { ...radii, tier: 'base' } }, names, 'mm');
    expect(sentence({ ofPart: 3, ofRoute: 4.7625, most: 6.58 })).toBe(
      'Smallest corner, base: clears, 0.75\u202fmm ± 0.15; radius 3.00\u202fmm in radius 4.76\u202fmm; it fits up to radius 6.58\u202fmm.',
    );
    expect(sentence({ ofPart: 0, ofRoute: 0, most: 2 })).toContain('a sharp corner in a sharp corner');
  });

  it('give number and limit in one unit', () => {
    // 4.5 mm is 0.177 in, 0.3 mm is 0.012 in
    expect(clearanceText(verdictOf({}), 'inch')).toBe('0.177\u202fin ± 0.012\u202fin');
    expect(clearanceText(verdictOf({ clearance: 7.9375 }), 'fraction')).toBe('5/16\u202fin ± 0.012\u202fin');
  });

  it('name what is missing', () => {
    const v = verdictOf({ class: 'notMeasured', clearance: null, worst: null, missing: [{ quantity: 'bodyThickness', feature: 'body' }] });
    expect(verdictSentence(v, names, 'mm')).toContain('Still to measure: body thickness.');
    expect(clearanceText(v, 'mm')).toBe('—');
  });

  it('count leads in words', () => {
    expect(clearanceText(verdictOf({ check: 'leads', unit: 'count', clearance: -2 }), 'mm')).toBe('2 too few');
  });
});

describe('targets', () => {
  it('say what is measured and where', () => {
    expect(targetText({ quantity: 'levelDepth', feature: 'back cavity', part: 'floor' }, names)).toBe('long back cavity, depth');
    expect(targetText({ quantity: 'checkWidthAcross', feature: 'plate', part: 'window' }, names)).toBe('wide window, width across');
    expect(targetText({ quantity: 'bodyThickness', feature: 'body' }, names)).toBe('body thickness');
  });
});

describe('workings', () => {
  it('open from the result down to what each number rests on', () => {
    const w: Working = sum(
      'floorLeft',
      [1, leaf('bodyThickness', { value: 41.5, limit: 0.05, basis: { kind: 'readings', ids: ['r'] } })],
      [-1, setting('targetDepth', 18, 'depth')],
    );
    const lines = workingLines(w, 'mm');
    expect(lines.map((l) => `${l.depth} ${l.text} ${l.value} ${l.limit}`.trim())).toEqual([
      '0 wood left 23.50\u202fmm',
      '1 + body thickness 41.50\u202fmm ± 0.05',
      '1 − target depth 18.00\u202fmm',
    ]);
    expect(lines[1]?.basis?.kind).toBe('readings');
  });
});

describe('words', () => {
  it('exist for every operation, caution and rule of the core', () => {
    for (const kind of Object.keys(LISTS.operations))
      expect(operationName(kind))
        .withContext(kind)
        .toMatch(/^[A-Z]/);
    for (const step of Object.keys(LISTS.steps)) {
      expect(stepText({ kind: step, names: {} }))
        .withContext(step)
        .toBeTruthy();
      expect(loggedStepText('openHole', `1 ${step}`))
        .withContext(step)
        .toContain(' · ');
      for (const c of cautionsOf(step)) expect(CAUTION_WORDS[c]).withContext(c).toBeTruthy();
    }
    for (const r of LISTS.rules) expect(RULE_WORDS[r.id]).withContext(r.id).toBeTruthy();
  });

  it('tell how a gate stands', () => {
    const target = { quantity: 'bodyThickness', feature: 'body' } as const;
    expect(gateText({ kind: 'reading', target, state: 'one', ok: false }, names, String)).toBe('Take a second, blind reading: body thickness');
    expect(gateText({ kind: 'thin', verdict: 'v', class: 'thin', ok: false }, names, () => 'Floor')).toBe('Floor: thin; accept with a reason');
  });

  it('name the thing that work is done to, and the size that a hole gets', () => {
    const open = {
      kind: 'openHole' as const,
      does: [{ kind: 'sizeHole' as const, hole: 't3', by: 'drill' as const, diameter: { value: 11.5, limit: 0.1, basis: { kind: 'planned' as const } } }],
    };
    expect(operationAt(open, 'Tuner 3', 'mm')).toBe('Tuner 3: enlarge the hole to 11.5\u202fmm');
    expect(operationAt({ kind: 'takeStringsOff', does: [] }, WHOLE, 'mm')).toBe('Take the strings off');
    const own = { kind: 'byHand' as const, does: [], own: { line: 'Polish the Tuner plate', minutes: 5, after: [] } };
    expect(operationsTogether(open, ['Tuner 1', 'Tuner 2', 'Tuner 3'], 'mm')).toBe('3 tuners: enlarge the hole to 11.5\u202fmm');
    expect(placesTogether(['Volume', 'Tone 1', 'Tone 2'])).toBe('3 places (volume, tone 1, tone 2)');
    expect(operationAt(own as never, 'Tuner 3', 'mm')).toBe('Polish the Tuner plate');
  });

  it('meter a pickup that no choice names, too', () => {
    expect(stepText({ kind: 'meter', names: { part: '' } })).toBe('Meter the new pickup before soldering.');
    expect(stepText({ kind: 'meter', names: { part: 'Morrow' } })).toBe('Meter Morrow before soldering.');
  });

  it('say remedies together as one, and what of them cannot be undone', () => {
    expect(remedyName('openHole + deepen')).toBe('Enlarge the hole + deepen the cavity');
    const back = { part: null, needsInsert: false, woodCut: false, partCut: true, plateCut: false, works: true };
    expect(wayBackText('trim', back, {})).toBe('Remove the new part to go back. The new part is cut and cannot be returned. No wood is cut.');
    expect(wayBackText('trim', { ...back, woodCut: true }, {})).toBe(
      'No earlier part is recorded here. The new part is cut and cannot be returned. The wood cannot be put back.',
    );
    expect(wayBackText('reroute', { ...back, part: 'old', woodCut: true, partCut: false, plateCut: true }, { old: 'the old one' })).toBe(
      'the old one fits into the new cut. The filed window stays wider. The wood cannot be put back.',
    );
  });

  it('speak of cut wood only where wood is cut, whatever else is done', () => {
    for (const kind of ['keep', 'asItIs', 'anotherPart', 'trim', 'reshapePlate', 'reroute'])
      for (const n of Array.from({ length: 32 }, (_, i) => i)) {
        const bit = (i: number): boolean => ((n >> i) & 1) === 1;
        const back = { part: bit(0) ? 'old' : null, needsInsert: bit(1), woodCut: bit(2) && kind !== 'keep', partCut: bit(3), plateCut: bit(4), works: true };
        const text = wayBackText(kind, back, { old: 'Old one' });
        expect(/wood cannot|new cut/.test(text))
          .withContext(`${kind} ${JSON.stringify(back)}: ${text}`)
          .toBe(back.woodCut);
        expect(text.includes('Nothing is cut'))
          .withContext(text)
          .toBe(kind !== 'keep' && !back.woodCut && !back.partCut && !back.plateCut);
      }
    expect(wayBackText('keep', { part: null, needsInsert: false, woodCut: false, partCut: false, plateCut: false, works: true }, {})).toBe('Nothing changes.');
  });

  it('say why a remedy is not offered', () => {
    expect(exclusionText({ kind: 'strength', verdict: 'v', left: -4.8, least: 2 })).toContain('−4.8\u202fmm');
    expect(exclusionText({ kind: 'unsolved', clashes: 1 })).toContain('one clash');
    expect(exclusionText({ kind: 'unsettled', tooClose: 2, notMeasured: 1 })).toBe('Not a solution yet: 2 checks are too close to call, one is not measured.');
  });
});

describe('more words of fit', () => {
  it('says where a body has most room and what is still missing', () => {
    const at = { x: 0.5, y: -0.25, turn: 0.1 };
    expect(bestPlaceText({ tier: 'base', at, clearance: -0.4 }, {}, 'mm')).toBe(
      'Within the play of its screws, the base fits best when moved by 0.50\u202fmm across, \u22120.25\u202fmm along, 0.1°: 0.40\u202fmm too little.',
    );
    expect(bestPlaceText({ tier: 'base', at, clearance: 0.4 }, {}, 'mm')).toContain('0.40\u202fmm of clearance');
  });

  it('names what a verdict lacks of the part, and what two threads do to one another', () => {
    const lacking = verdictOf({
      check: 'bushingInHole',
      subject: { feature: 'volume' },
      class: 'notMeasured',
      clearance: null,
      lacks: [{ part: 'pot', size: 'bushing' }],
    });
    expect(verdictSentence(lacking, { volume: 'volume hole', pot: 'Pot' }, 'mm')).toBe(
      'Bushing in the volume hole: not measured. Still to measure: bushing, Ø of Pot.',
    );
    const alike = verdictOf({ check: 'threadsMeet', unit: 'count', class: 'clashes', clearance: -1, threads: { mine: '6-32', theirs: 'M3.5', alike: true } });
    expect(verdictSentence(alike, {}, 'mm')).toContain('look alike and ruin each other');
    expect(clearanceText(alike, 'mm')).toBe('6-32 in M3.5');
  });

  it('tells what is wrong in a table of parts by line and column', () => {
    expect(partCsvProblemText({ line: 3, column: 'bushing', fault: 'cannotBe', saw: '900' })).toBe('Line 3, bushing: ‘900’ is not possible.');
    expect(partCsvProblemText({ line: 1, column: 'colour', fault: 'unknownColumn', saw: 'colour' })).toBe(
      'Column colour: is not a known column; it is skipped.',
    );
    expect(partCsvProblemText({ line: 1, column: '', fault: 'tooManyLines', saw: '5000' })).toContain('split it');
  });

  it('tells the drills that open a hole, finish first', () => {
    const drills = [8.5, 9].map((d) => ({ name: `${d.toFixed(1)} mm`, diameter: d }));
    expect(holeStepsText({ drills, final: 9, lacks: [], reamer: null, countersink: true })).toBe('First scratch the finish back, then 8.5 mm, 9.0 mm.');
    expect(holeStepsText({ drills: [], final: 9, lacks: [], reamer: 'Reamer', countersink: true })).toContain('with the Reamer');
  });

  it('names what the shop has not, each kind in its own words', () => {
    const said = (l: Lack): string => lackText(l, { pot: 'Long pot' });
    expect(said({ kind: 'part', part: 'pot' })).toBe('Long pot');
    expect(said({ kind: 'dowel', atLeast: 9.54 })).toBe('dowel, at least 9.5\u202fmm');
    expect(said({ kind: 'drill', diameter: 12.1 })).toBe('12.1\u202fmm drill');
    expect(said({ kind: 'sleeve', outer: 10, inner: 8.2 })).toBe('sleeve 10.0 to 8.2\u202fmm');
    expect([said({ kind: 'offcut' }), said({ kind: 'countersink' })]).toEqual(['wood offcut', 'countersink']);
  });

  it('says what is cut off a pickup, and that a filed window stays wide', () => {
    expect(trimmedText({ ears: 0.7, screws: 0 })).toBe('file 0.7\u202fmm off the ears all around');
    expect(trimmedText({ ears: 0.7, screws: 5.5 })).toBe('file 0.7\u202fmm off the ears all around and cut 5.5\u202fmm off the height screws');
    const back = { part: null, needsInsert: false, woodCut: false, partCut: false, plateCut: true, works: true };
    expect(wayBackText('reshapePlate', back, {})).toContain('stays wide');
  });

  it('calls a place as the technician would: a feature, one of its screws, a hole that is not there yet', () => {
    const on = (place: PlaceRef): string => placeOfChoice(newHardwareChoice('c', place, null), names);
    expect(on({ on: 'feature', feature: 'plate', screw: 2 })).toBe('Neck pickup plate, screw 3');
    expect(on({ on: 'feature', feature: 'back cavity' })).toBe('Long back cavity');
    expect(on({ on: 'face', face: 'top', at: { x: 0, y: 0 }, hole: 'pot' })).toBe('New pot hole');
    expect(placeOfChoice(newPickupChoice('window', null), names)).toBe('Wide window');
    expect(nameOf(names, 'new pot d324de56')).toBe('new pot hole');
    // what has gone, or was cut, is called by its kind: its mark is nobody's to read
    expect([nameOf(names, 'pickup e89da588'), nameOf(names, 'main 2b347ee6'), nameOf(names, 'facade')]).toEqual(['pickup', 'main', 'facade']);
  });

  it('has a word for every number of the shop', () => {
    expect(Object.keys(SETTING_WORDS).sort()).toEqual([...SETTING_KEYS].sort());
    expect(new Set(Object.values(SETTING_WORDS)).size).toBe(SETTING_KEYS.length);
  });
});

describe('money and the owner', () => {
  it('writes an amount with two places, and asks before anything of a client’s is cut', () => {
    expect([0, 5, 12900, 21390].map(moneyText)).toEqual(['0.00', '0.05', '129.00', '213.90']);
    const targets = [{ quantity: 'bodyThickness', feature: 'body' }] as const;
    expect(gateText({ kind: 'onePerson', targets, ok: false }, names, String)).toBe(
      'One person took both readings: body thickness. Let another read, or accept with a reason',
    );
    expect(gateText({ kind: 'onePerson', targets, ok: true }, names, String)).toBe('Both readings by one person, accepted: body thickness');
    expect(gateText({ kind: 'consent', ok: false, why: [] }, names, String)).toContain('Ask the owner: a client');
    expect(gateText({ kind: 'consent', ok: true, why: [] }, names, String)).toBe('The owner agreed');
    const why = [
      { kind: 'withdrawn', at: '2026-01-05T10:00:00Z' },
      { kind: 'owner', at: '2026-01-06T10:00:00Z' },
      { kind: 'price', was: 21390, now: 22500 },
      { kind: 'choice' },
      { kind: 'number', verdict: 'Floor', was: 4.5, now: 3.9 },
      { kind: 'number', verdict: 'Wall', was: null, now: -1 },
    ] as const;
    expect(gateText({ kind: 'consent', ok: false, why }, names, String)).toBe(
      'Ask the owner again: withdrawn 5 Jan 2026; the owner was changed 6 Jan 2026; agreed at 213.90, now 225.00; another part or other work than agreed; Floor: agreed at 4.50\u202fmm, now 3.90\u202fmm; Wall: agreed at not measured, now −1.00\u202fmm',
    );
  });
});

describe('what stands at the machine', () => {
  it('says of the gate what must come first, what is at hand, and of a print where it is off', () => {
    const text = (item: Parameters<typeof gateText>[0]): string => gateText(item, names, String);
    expect(text({ kind: 'before', operation: 'fixTemplate', subject: 'x', rule: 'r', ok: false })).toBe('First: Fix the template');
    expect(text({ kind: 'before', operation: 'fixTemplate', subject: 'x', rule: 'r', ok: true })).toBe('Done first: Fix the template');
    const plug = { kind: 'before', operation: 'plugHole', subject: 'hole 3', rule: 'r', ok: false } as const;
    expect(gateText(plug, { 'hole 3': 'tuner 3' }, String)).toBe('Tuner 3: first plug the hole');
    const need = { need: 'dowel' as const, size: 8, has: null, dull: false };
    expect(text({ kind: 'need', need, ok: false })).toBe('Not in stock: dowel, 8.0\u202fmm');
    expect(text({ kind: 'need', need, ok: true })).toContain('continued without');
    expect(text({ kind: 'need', need: { ...need, has: 'beech 10.0\u202fmm, rack', dull: true }, ok: true })).toBe(
      'In stock: beech 10.0\u202fmm, rack; sharpness unknown, test it on scrap',
    );
    expect(text({ kind: 'print', off: ['along'], read: { across: 88, along: 41 }, ok: false })).toContain('differs from the plan along');
    expect(text({ kind: 'print', off: [], read: null, ok: false })).toContain('Lay the 1 : 1 print on');
  });

  it('says what a gap means that was read when the part was tried', () => {
    const asks = { expected: 0.9, limit: 0.2 };
    expect(gapText(0, asks, 0.05, 'mm')).toContain('The part touches');
    expect(gapText(1.1, asks, 0.05, 'mm')).toBe('As planned, within the limits.');
    expect(gapText(0.5, asks, 0.05, 'mm')).toContain('0.40\u202fmm less than planned');
    expect(gapText(1.5, asks, 0.05, 'mm')).toContain('0.60\u202fmm more than planned');
    expect(gapText(1.5, { expected: null, limit: 0 }, 0.05, 'mm')).toBe('');
  });

  it('has a word for every mishap, its causes, ways on and sides; and names what a new hole lies beside', () => {
    for (const m of MISHAPS) expect(MISHAP_WORDS[m]).toBeTruthy();
    for (const c of CAUSES) expect(CAUSE_WORDS[c]).toBeTruthy();
    for (const w of WAYS_ON) expect(WAY_ON_WORDS[w]).toMatch(/[.]$/);
    for (const side of SIDES) expect(SIDE_WORDS[side]).toMatch(/^towards/);
    const beside = (against: string, item = 'hole'): string =>
      verdictSentence(verdictOf({ check: 'holeBeside', class: 'well', clearance: 4.1, worst: 0.2, subject: { feature: 'row', item, against } }), names, 'mm');
    expect(beside('row 2')).toContain('New hole to the next hole of the row');
    expect(beside('back cavity', 'exit')).toContain('Exit of the new hole to the long back cavity');
    expect(beside('body')).toContain('the edge of the body');
  });
});

describe('words that are only registered', () => {
  it('name an operation, its steps and a check; what has none keeps its name', () => {
    const { operationName, stepText, loggedStepText } = operationWords([
      { kind: 'engrave', name: 'Engrave the name', steps: { engraveTo: { card: (n) => `Engrave with the ${n['bit']}.`, logged: 'engraved' } } },
    ]);
    expect(operationName('engrave')).toBe('Engrave the name');
    expect(stepText({ kind: 'engraveTo', names: { bit: '3 mm' } })).toBe('Engrave with the 3 mm.');
    expect(loggedStepText('engrave', '2 engraveTo')).toBe('Engrave the name · engraved');
    expect([operationName('gild'), loggedStepText('gild', '1 rub')]).toEqual(['gild', 'gild']);
    const v = verdictOf({ check: 'woodLeft' });
    expect(verdictTitle(v, names, { woodLeft: () => 'Wood under the name' })).toBe('Wood under the name');
    expect(verdictTitle(v, names)).toBe('Neck route: woodLeft');
  });

  it('are there for every check, remedy and kind of part of the house', () => {
    for (const { id } of HOUSE.checks)
      expect(verdictTitle(verdictOf({ check: id }), names))
        .withContext(id)
        .not.toContain(id);
    for (const kind of Object.keys(HOUSE.partKinds)) expect(partKindWord(kind)).withContext(kind).not.toBe(kind);
  });
});
