// The expected numbers come from a calculation made independently of this code (mm, body frame).
import { evaluatePlan, optionsFor } from '@rinnovo/core/house';
import type { PickupChoice, Plan, PlanState, Verdict } from '@rinnovo/core/check';
import { planCutting } from '@rinnovo/core/cut';
import { valueOf, leavesOf } from '@rinnovo/core/measure';
import { settingsWith } from '@rinnovo/core/operation';
import type { OwnerRequest } from '@rinnovo/core/remedy';
import { measureAgain } from '@rinnovo/core/shape';
import { tern } from './anatomies.js';
import { ids } from './ids.js';
import { pickups } from './pickups.js';
import { stock } from './stock.js';
import { tools } from './tools.js';

const request: OwnerRequest = { kind: 'humbucker', reversibleOnly: false, doNotTouch: [] };
const choice: PickupChoice = {
  kind: 'pickup',
  id: 'neck pickup',
  position: 'neck pickup',
  part: ids.wideTwoCoil,
  alternatives: [],
  insertFitted: false,
  leadsNeeded: 4,
  route: null,
};
const plan: Plan = { format: 5, choices: [choice] };

function stateOf(thickness: number, backDepth: number): PlanState {
  return {
    anatomy: tern({ thickness, backDepth, readings: [1, 2] }),
    parts: Object.fromEntries(pickups.map((p) => [p.id, p])),
    stock,
    settings: settingsWith(),
    tools,
    done: new Set(),
    fitted: [],
  };
}

const first = stateOf(41.5, 12);
const second = stateOf(39, 18.5);
const rerouteOf = (s: PlanState): ReturnType<typeof optionsFor>[number] => optionsFor(s, plan, choice, request).find((o) => o.proposal.kind === 'reroute')!;

function find(verdicts: readonly Verdict[], id: string): Verdict {
  const v = verdicts.find((x) => x.id.startsWith(id));
  if (!v) throw new Error(`${id} not among ${verdicts.map((x) => x.id).join(', ')}`);
  return v;
}

describe('the first guitar', () => {
  const verdicts = (): readonly Verdict[] => rerouteOf(first).evaluation.verdicts;

  const expected: readonly [string, number, number, Verdict['class']][] = [
    ['hiddenEdge/neck route/planned/', 1.12, 2, 'thin'],
    ['hiddenEdge/neck route/found/', 3.6, 2, 'well'],
    ['behindWindow/', 0.54, 2, 'thin'],
    ['wall/neck route/planned/neck pocket', 7.75, 2, 'thin'],
    ['partInRoute/neck pickup/base/', 0.75, 2, 'well'],
    ['partInRoute/neck pickup/ears/', 1.11, 2, 'well'],
    ['smallestCorner/neck pickup/', 0.75, 2, 'well'],
    ['windowGap/', 0.5, 2, 'well'],
    ['depthUnderPart/neck pickup/base/', 1.5, 6, 'well'],
    ['depthUnderPart/neck pickup/ears/', 1.5, 6, 'well'],
    ['depthUnderScrews/', 2, 6, 'well'],
    ['floor/neck route/planned/18.000/', 11.5, 6, 'well'],
    ['floor/neck route/planned/22.500/', 7, 6, 'well'],
    ['floor/neck route/planned/25.000/', 4.5, 6, 'thin'],
    ['polesUnderStrings/neck pickup/row 1/', 2.5 - 0.51, 2, 'well'],
    ['polesUnderStrings/neck pickup/row 2/', 2.5 - 0.27, 2, 'well'],
  ];
  for (const [id, clearance, places, verdictClass] of expected) {
    it(`${id} has ${clearance} and is ${verdictClass}`, () => {
      const v = find(verdicts(), id);
      expect(v.clearance!).toBeCloseTo(clearance, places);
      expect(v.class).toBe(verdictClass);
    });
  }

  it('finds the thinnest hidden edge at (33.9, 121.3)', () => {
    const v = find(verdicts(), 'hiddenEdge/neck route/planned/');
    expect(v.at!.x).toBeCloseTo(33.9, 1);
    expect(Math.abs(v.at!.y - 121.3)).toBeLessThan(0.06);
  });

  it('adds 1307 mm², leaves 152.5 over, 3224 together', () => {
    const f = rerouteOf(first).cutting!.figures;
    expect(f.addedArea).toBeCloseTo(1307, -0.5);
    expect(Math.abs(f.addedArea - 1307)).toBeLessThan(0.5);
    expect(Math.abs(f.leftOver - 152.5)).toBeLessThan(0.1);
    expect(Math.abs(f.together - 3224)).toBeLessThan(0.5);
  });

  it('clashes as it is: base, ears and screws; and the re-route is the best way out', () => {
    const now = evaluatePlan(first, plan)
      .verdicts.filter((v) => v.class === 'clashes')
      .map((v) => v.check);
    expect(now).toEqual(jasmine.arrayWithExactContents(['behindWindow', 'partInRoute', 'partInRoute', 'depthUnderPart', 'depthUnderScrews']));
    expect(optionsFor(first, plan, choice, request).map((o) => [o.proposal.kind, o.excluded?.kind ?? null])).toEqual([
      ['reroute', null],
      ['anotherPart', null],
      ['keep', 'baseline'],
    ]);
  });

  it('can go back: the old part goes into the new route with the strip put in again', () => {
    const { back } = rerouteOf(first);
    expect(back.works).toBeTrue();
    expect(back.needsInsert).toBeTrue();
    expect(back.woodCut).toBeTrue();
  });

  it('passes at 6 and 12 on the template, 18 and 22.5 on the wood; the short bit fits, the long one is refused', () => {
    const cutting = planCutting(
      first,
      first.anatomy.cavities.find((c) => c.id === 'neck route')!,
      (rerouteOf(first).proposal.choice as PickupChoice).route!,
    );
    expect(cutting.passes!.passes.map((p) => [p.to, p.guide, valueOf(p.setUps.projection)])).toEqual([
      [6, 'template', 18],
      [12, 'template', 24],
      [18, 'wall', 18],
      [22.5, 'wall', 22.5],
    ]);
    expect(cutting.passes!.templateOffAfter).toBe(12);
    expect(cutting.bit!.bit.id).toBe(ids.templateShort);
    expect(valueOf(cutting.bit!.needed)).toBeCloseTo(10.7, 9);
    const long = cutting.bits.find((b) => b.bit.id === ids.templateLong)!;
    expect(long.refusal?.kind).toBe('templateTooThin');
    expect(valueOf(long.needed)).toBeCloseTo(23, 9);
    expect(cutting.unreachable).toBe(0);
  });

  it('every working comes to its number again, geometry measured afresh, and every leaf says what it rests on', () => {
    for (const v of verdicts()) {
      if (!v.working) continue;
      expect(valueOf(v.working, measureAgain)).withContext(v.id).toBeCloseTo(v.clearance!, 6);
      for (const l of leavesOf(v.working)) expect(l.basis.kind).withContext(v.id).toBeTruthy();
    }
  });
});

describe('the second guitar', () => {
  it('breaks through: floors 2.5, −2.0 and −4.5', () => {
    const v = rerouteOf(second).evaluation.verdicts;
    expect(find(v, 'floor/neck route/planned/18.000/').clearance!).toBeCloseTo(2.5, 6);
    expect(find(v, 'floor/neck route/planned/22.500/').clearance!).toBeCloseTo(-2, 6);
    expect(find(v, 'floor/neck route/planned/22.500/').class).toBe('clashes');
    expect(find(v, 'floor/neck route/planned/25.000/').clearance!).toBeCloseTo(-4.5, 6);
    expect(find(v, 'floor/neck route/planned/25.000/').class).toBe('clashes');
  });

  it('so the re-route archived for strength and another part wins', () => {
    const options = optionsFor(second, plan, choice, request);
    expect(options[0]!.proposal.kind).toBe('anotherPart');
    expect(options[0]!.excluded).toBeNull();
    expect(options[0]!.evaluation.verdicts.filter((v) => v.class === 'clashes')).toEqual([]);
    expect(rerouteOf(second).excluded?.kind).toBe('strength');
  });
});
