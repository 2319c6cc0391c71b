import { evaluateChoice, optionsFor } from '../house/index.js';
import { settingsWith } from '../operation/index.js';
import { dim, plainAnatomy, plainChoice, plainPlan, plainState } from '../testing/plan.js';
import { shopWeights, usualWeights, type Option, type OwnerRequest } from './index.js';

const request: OwnerRequest = { kind: 'humbucker', reversibleOnly: false, doNotTouch: [] };
const of = (options: readonly Option[], kind: string): Option => options.find((o) => o.proposal.kind === kind)!;

function thinBody(thickness: number): ReturnType<typeof plainState> {
  const a = plainAnatomy();
  return plainState({ ...a, body: { ...a.body, thickness: dim(thickness) } });
}

describe('options', () => {
  it('numbers are those of evaluate with the remedy’s plan, and the same when reopened', () => {
    for (const o of optionsFor(plainState(), plainPlan(), plainChoice(), request)) {
      const again = evaluateChoice(plainState(), o.proposal.choice).verdicts;
      expect(o.evaluation.verdicts.map((v) => [v.id, v.clearance])).toEqual(again.map((v) => [v.id, v.clearance]));
    }
  });

  it('keep is the baseline, shown and never ranked', () => {
    const options = optionsFor(plainState(), plainPlan(), plainChoice(), request);
    expect(options.at(-1)?.proposal.kind).toBe('keep');
    expect(of(options, 'keep').excluded?.kind).toBe('baseline');
  });

  it('a route that leaves too little wood archived and says how much', () => {
    // least 2.0 at worst; the well’s tip at 20 + … leaves thickness − 14 − its depth − 0.3
    const excluded = of(optionsFor(thinBody(34), plainPlan(), plainChoice(), request), 'reroute').excluded;
    expect(excluded?.kind).toBe('strength');
    expect(excluded?.kind === 'strength' && excluded.left).toBeLessThan(2);
    expect(of(optionsFor(plainState(), plainPlan(), plainChoice(), request), 'reroute').excluded).toBeNull();
  });

  it('reversible only and do not touch take the re-route off', () => {
    expect(of(optionsFor(plainState(), plainPlan(), plainChoice(), { ...request, reversibleOnly: true }), 'reroute').excluded?.kind).toBe('reversibleOnly');
    expect(of(optionsFor(plainState(), plainPlan(), plainChoice(), { ...request, doNotTouch: ['here'] }), 'reroute').excluded?.kind).toBe('doNotTouch');
  });

  it('owner’s request decides between two that work; a workshop can weigh otherwise, and a job otherwise than the workshop', () => {
    const kinds = (own = {}, weights = {}): readonly string[] =>
      optionsFor({ ...plainState(), settings: settingsWith(own) }, plainPlan(), plainChoice(), { ...request, weights }).map((o) => o.proposal.kind);
    expect(kinds()[0]).toBe('reroute');
    expect(kinds({ weightOwner: 0, weightReversible: 100 })[0]).toBe('anotherPart');
    expect(kinds({}, { owner: 0, reversible: 100 })[0]).toBe('anotherPart');
    expect(kinds({ weightOwner: 0, weightReversible: 100 }, { owner: 32, reversible: 16 })[0]).toBe('reroute');
  });

  it('a client’s job weighs as the workshop does, the workshop’s own instrument less for what cannot be undone and more for money', () => {
    expect(usualWeights(false)).toEqual({});
    const [own, shop] = [usualWeights(true), shopWeights(settingsWith())];
    expect(own.reversible).toBeLessThan(shop.reversible);
    expect(own.money).toBeGreaterThan(shop.money);
  });

  it('scores by hand: owner 1 × 32, reversible 0.5 × 16, hidden 8, tools 4, time, money, risk', () => {
    const o = of(optionsFor(plainState(), plainPlan(), plainChoice(), request), 'reroute');
    const rest = 2 * (1 - o.minutes / 480) + (1 - 5000 / 30000) + (1 - 0.4);
    const tools = o.score.scales.find((s) => s.id === 'tools')!.value * 4;
    expect(o.score.total).toBeCloseTo(32 + 8 + 8 + tools + rest, 9);
  });

  it('the way back names what it needs', () => {
    const o = of(optionsFor(plainState(), plainPlan(), plainChoice(), request), 'reroute');
    expect([o.back.part, o.back.woodCut, o.back.works]).toEqual(['small', true, true]);
    expect(of(optionsFor(plainState(), plainPlan(), plainChoice(), request), 'anotherPart').back.woodCut).toBeFalse();
  });

  it('a shop without a template bit is offered the re-route with the bit that it needs, for the usual cutter', () => {
    const found = of(optionsFor({ ...plainState(), tools: [] }, plainPlan(), plainChoice(), request), 'reroute');
    expect(found.proposal.lacks).toContain({ kind: 'templateBit' });
    expect(found.proposal.choice.route?.levels.length).toBeGreaterThan(0);
  });
});
