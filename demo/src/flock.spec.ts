import { anatomy, instrument, keepOutline } from '@rinnovo/contract';
import { cleanSvg } from '@rinnovo/core/format';
import { doubtsOf, solvePositions, toBody } from '@rinnovo/core/instrument';
import { isState } from '@rinnovo/core/quantity';
import { gapInside } from '@rinnovo/core/shape';
import { findingsOf, isPlace, stateOf } from '@rinnovo/core/survey';
import { ids } from './ids.js';
import { demoWorkshop } from './index.js';

describe('the demo’s instruments', () => {
  it('are at least six, one left-handed, one bass, one acoustic, one on a fanned board, one put away', () => {
    const documents = demoWorkshop.anatomies.map((a) => a.document);
    expect(demoWorkshop.instruments.length).toBeGreaterThan(5);
    expect(documents.some((d) => d.handed === 'left')).toBeTrue();
    expect(documents.some((d) => d.neck.scaleBass !== null)).toBeTrue();
    for (const kind of ['bass', 'flat-top acoustic'])
      expect(demoWorkshop.instruments.some((i) => i.kind === kind))
        .withContext(kind)
        .toBeTrue();
    expect(demoWorkshop.instruments.some((i) => i.archived)).toBeTrue();
  });

  it('hold their cavities and covers within their outlines', () => {
    for (const { document: a, instrument } of demoWorkshop.anatomies) {
      const body = a.body.outline!.outline;
      const inside = [
        ...a.cavities.filter((c) => c.kind !== 'neck pocket').flatMap((c) => c.levels.map((p) => ({ id: c.id, frame: c.frame, of: p.outline }))),
        ...a.plates.map((p) => ({ id: p.id, frame: p.frame, of: p.outline })),
      ];
      for (const x of inside)
        expect(gapInside([toBody(a, x.frame, x.of.outline)], [body]).clearance)
          .withContext(`${instrument} ${x.id}`)
          .toBeGreaterThan(0);
    }
  });

  it('would pass the server’s door as they are, and contradict nothing', () => {
    for (const i of demoWorkshop.instruments)
      expect(instrument.validate(i, { convert: false }).error?.message)
        .withContext(i.label)
        .toBeUndefined();
    for (const a of demoWorkshop.anatomies) {
      expect(anatomy.validate(a.document, { convert: false }).error?.message)
        .withContext(a.instrument)
        .toBeUndefined();
      expect(doubtsOf(a.document).map((d) => d.key))
        .withContext(a.instrument)
        .toEqual([]);
    }
  });

  it('are surveyed in part: one with three symptoms of one cause, one that a dry room holds up', () => {
    const found = (id: string) => {
      const one = demoWorkshop.instruments.find((i) => i.id === id)!;
      const document = demoWorkshop.anatomies.find((a) => a.instrument === id)!.document;
      const readings = demoWorkshop.readings.filter((r) => r.instrument === id);
      for (const r of readings)
        if (isState(r.target))
          expect(isPlace(r.target, { anatomy: document, kind: one.kind, fitted: [] }))
            .withContext(r.raw)
            .toBeTrue();
      return findingsOf(stateOf({ anatomy: document, kind: one.kind, fitted: [] }, readings));
    };
    const left = found(ids.left);
    expect(left.find((f) => f.rule === 'reliefHigh')!.explains.length).toBe(3);
    const dry = found(ids.acoustic);
    expect(dry.find((f) => f.rule === 'fretEndsDry')!.waitsFor!.target.quantity).toBe('humidity');
    expect(dry[0]!.rule).toBe('roomDry');
  });

  it('leave templates in the drawer that would pass the door too', () => {
    for (const { id, person, ...o } of demoWorkshop.outlines) {
      expect(keepOutline.validate(o, { convert: false }).error?.message)
        .withContext(`${id} ${person}`)
        .toBeUndefined();
      if (o.source) expect(cleanSvg(o.source.text)).toBe(o.source.text);
    }
  });

  it('have one whose chain of distances closes within its limits, not exactly', () => {
    const chained = demoWorkshop.anatomies.filter((a) => a.document.distances.length > 3);
    expect(chained.length).toBe(1);
    const solved = solvePositions(chained[0]!.document);
    expect(solved.suspects).toEqual([]);
    expect(solved.residuals.some((r) => Math.abs(r.residual) > 0.01)).toBeTrue();
  });
});
