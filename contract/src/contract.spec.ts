// One good example of each shape, and every field of it broken in turn. Runs on Node and in the browser: Joi has a build for each.
import { ADDED_KINDS, addFeature, firstFeature, startingAnatomy, STARTING_KINDS } from '@rinnovo/core/instrument';
import { HOUSE } from '@rinnovo/core/house';
import { LISTS } from '@rinnovo/core/house/lists';
import Joi from 'joi';
import {
  CHOICE_SCHEMAS,
  choiceSchema,
  anatomy,
  basis,
  beginSurvey,
  blindSession,
  changeSurvey,
  choice,
  chooseRemedy,
  clearToCut,
  endBlind,
  danglingReference,
  instrument,
  job,
  keepConsent,
  keepFinding,
  keepOutline,
  keepOwnWork,
  keepProfile,
  logStep,
  lookAtStep,
  takeStepBack,
  letterhead,
  outline,
  person,
  part,
  pickup,
  plan,
  archive,
  removePhotograph,
  reorderWork,
  savePlan,
  saveSettings,
  stockItem,
  takePhotograph,
  takeReading,
  workshopLocale,
  tool,
  withdrawConsent,
} from './index.js';
import { examples } from './testing/examples.js';

const SCHEMAS: Readonly<Record<keyof typeof examples, Joi.Schema>> = {
  anatomy,
  beginSurvey,
  blindSession,
  changeSurvey,
  chooseRemedy,
  clearToCut,
  endBlind,
  hardware: part,
  electricPart: part,
  switchPart: part,
  hardwareChoice: choice,
  pickupChoice: choice,
  stockItem,
  instrument,
  job,
  keepConsent,
  withdrawConsent,
  keepFinding,
  keepOutline,
  keepOwnWork,
  keepProfile,
  logStep,
  lookAtStep,
  takeStepBack,
  letterhead,
  outline,
  person,
  pickup,
  plan,
  archive,
  removePhotograph,
  reorderWork,
  savePlan,
  saveSettings,
  takePhotograph,
  takeReading,
  workshopLocale,
};

const OPTIONS: Joi.ValidationOptions = { convert: false, abortEarly: false };

/** Every place in a document, as a list of keys. */
function places(value: unknown, path: readonly (string | number)[] = []): (readonly (string | number)[])[] {
  if (Array.isArray(value)) return value.length === 0 ? [] : places(value[0], [...path, 0]);
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, v]) => [[...path, key], ...places(v, [...path, key])]);
}

function withValue(document: unknown, path: readonly (string | number)[], value: unknown): unknown {
  const copy = structuredClone(document) as Record<string, unknown>;
  let at: Record<string, unknown> = copy;
  for (const key of path.slice(0, -1)) at = at[key] as Record<string, unknown>;
  const last = path[path.length - 1] ?? '';
  if (value === undefined) Reflect.deleteProperty(at, last);
  else at[last] = value;
  return copy;
}

for (const [name, example] of Object.entries(examples)) {
  const schema = SCHEMAS[name as keyof typeof examples];
  describe(`the shape of ${name}`, () => {
    it('takes the good example as it is', () => {
      const result = schema.validate(example, OPTIONS);
      expect(result.error?.message).toBeUndefined();
      expect(result.value).toEqual(example);
    });

    it('refuses a bad value in every field', () => {
      for (const path of places(example)) {
        const where = path.join('/');
        for (const bad of [NaN, Infinity, { nothing: 'like it' }, 'x'.repeat(6000)]) {
          // a drawing may be long, and so may a picture
          if ((where === 'source/text' || where === 'image') && typeof bad === 'string') continue;
          expect(schema.validate(withValue(example, path, bad), OPTIONS).error)
            .withContext(`${where} = ${JSON.stringify(bad).slice(0, 20)}`)
            .toBeDefined();
        }
      }
    });

    it('refuses an unknown field at every level', () => {
      expect(schema.validate({ ...example, unknown: 1 }, OPTIONS).error).toBeDefined();
      for (const path of places(example)) {
        if (typeof path[path.length - 1] !== 'string') continue;
        const sibling = [...path.slice(0, -1), 'unknown'];
        if (path.includes('seen') && name === 'logStep') continue;
        expect(schema.validate(withValue(example, sibling, 1), OPTIONS).error)
          .withContext(sibling.join('/'))
          .toBeDefined();
      }
    });
  });
}

describe('details of the shapes', () => {
  it('a basis is one of its kinds and nothing between them', () => {
    expect(basis.validate({ kind: 'readings', ids: ['a'] }).error).toBeUndefined();
    expect(basis.validate({ kind: 'readings' }).error).toBeDefined();
    expect(basis.validate({ kind: 'stated', ids: ['a'] }).error).toBeDefined();
  });

  it('a tool is of one kind with that kind’s sizes', () => {
    const bit = { id: 'b', kind: 'template', name: 'bit', diameter: 9.525, cuttingLength: 12.7, reach: 25 };
    expect(tool.validate(bit, OPTIONS).error).toBeUndefined();
    expect(tool.validate({ ...bit, kind: 'calliper' }, OPTIONS).error).toBeDefined();
    expect(tool.validate({ id: 'c', kind: 'calliper', name: 'c', limit: 0 }, OPTIONS).error).toBeDefined();
  });

  it('settings stay in their ranges', () => {
    expect(saveSettings.validate({ own: { passDepth: 5 } }, OPTIONS).error).toBeUndefined();
    expect(saveSettings.validate({ own: { passDepth: 50 } }, OPTIONS).error).toBeDefined();
    expect(saveSettings.validate({ own: { passdepth: 5 } }, OPTIONS).error).toBeDefined();
  });

  it('a document whose parts name something missing says what', () => {
    expect(danglingReference(examples.anatomy)).toBeNull();
    expect(danglingReference({ ...examples.anatomy, cavities: examples.anatomy.cavities.map((c) => ({ ...c, frame: 'moon' })) })).toBe('moon');
  });
});

describe('an instrument that has just arrived', () => {
  for (const kind of STARTING_KINDS) {
    it(`${kind}: its typical anatomy passes, with every kind of feature added to it`, () => {
      const grown = ADDED_KINDS.reduce((a, added) => addFeature(a, firstFeature(added, `new ${added}`, added, 'top', { x: 0, y: 200 })), startingAnatomy(kind));
      expect(anatomy.validate(grown, OPTIONS).error?.message).toBeUndefined();
    });
  }

  it('cannot have two features of one name, nor a distance from nothing', () => {
    const a = startingAnatomy('bass');
    const twice = { ...a, holes: [...a.holes, { ...a.holes[0]!, id: 'bridge route' }] };
    expect(anatomy.validate(twice, OPTIONS).error?.message).toContain('two features are called bridge route');
    const strung = { ...examples.anatomy, strings: { ...examples.anatomy.strings, count: 7, courses: { apart: null } } };
    expect(anatomy.validate(strung, OPTIONS).error?.message).toContain('7 strings do not lie in pairs');
    const beyond = { ...examples.anatomy, positions: examples.anatomy.positions.map((p) => ({ ...p, strings: [5, 7] })) };
    expect(anatomy.validate(beyond, OPTIONS).error?.message).toContain('strings that the instrument does not have');
    const lost = { ...examples.anatomy, distances: [{ ...examples.anatomy.distances[0]!, to: { of: 'moon', side: 'low' } }] };
    expect(anatomy.validate(lost, OPTIONS).error?.message).toContain('moon');
  });
});

describe('an outline in a body', () => {
  const refused = (...points: readonly (readonly [number, number])[]): string | undefined => {
    const outline = { vertices: points.map(([x, y]) => ({ x, y, bulge: 0 })) };
    const a = { ...examples.anatomy, body: { ...examples.anatomy.body, outline: { ...examples.anatomy.cavities[0]!.levels[0]!.outline, outline } } };
    const said = anatomy.validate(a, OPTIONS).error?.message;
    const route = { at: { x: 0, y: 0, turn: 0 }, levels: [{ id: 'main', outline, depth: 10, bored: false }] };
    expect(choice.validate({ ...examples.pickupChoice, route }, OPTIONS).error?.message)
      .withContext('in a plan')
      .toBe(said);
    return said;
  };

  it('is refused where it is none: too few corners, no area, crossing itself', () => {
    expect(refused([0, 0], [10, 0])).toContain('three corners');
    expect(refused([0, 0], [10, 0], [20, 0])).toContain('no area');
    expect(refused([0, 0], [10, 10], [10, 0], [0, 10])).toContain('crosses itself');
    expect(refused([0, 0], [10, 0], [10, 10])).toBeUndefined();
  });
});

describe('what is done so that a pickup goes in', () => {
  const limits = { limit: 0.2, basis: { kind: 'planned' } };
  const outline = {
    outline: {
      vertices: [
        { x: 0, y: 0, bulge: 0 },
        { x: 70, y: 0, bulge: 0 },
        { x: 70, y: 40, bulge: 0 },
      ],
    },
    ...limits,
    across: null,
    along: null,
  };
  const withItem = (item: unknown): boolean => choice.validate({ ...examples.pickupChoice, work: [item] }, OPTIONS).error === undefined;
  const withWork = (act: unknown): boolean => withItem({ kind: 'openHole', does: [act] });

  it('is a change that names its place and its size', () => {
    expect(withWork({ kind: 'raisePickup', position: 'neck', by: { value: 2, ...limits } })).toBeTrue();
    expect(withWork({ kind: 'sizeWindow', plate: 'guard', window: 'window', outline })).toBeTrue();
    expect(withWork({ kind: 'sizePlate', plate: 'guard', outline })).toBeTrue();
  });

  it('is refused where it lacks one, cuts off less than nothing, or is no change at all', () => {
    expect(withWork({ kind: 'raisePickup', position: 'neck' })).toBeFalse();
    expect(withWork({ kind: 'trimPickup', position: 'neck', trimmed: { ears: -1, screws: 0 } })).toBeFalse();
    expect(withWork({ kind: 'sizeWindow', plate: 'guard', outline })).toBeFalse();
    expect(withWork({ kind: 'widen' })).toBeFalse();
    const raised = { kind: 'raisePickup', position: 'neck', by: { value: 2, ...limits } };
    expect([withItem(raised), withItem({ kind: 'raise', does: [raised] }), withItem({ kind: 'fitSpacer' })]).toEqual([false, false, false]);
  });
});

describe('a choice', () => {
  const registered = choiceSchema(
    { operations: { ...LISTS.operations, engrave: { ...LISTS.operations['cutCavity']!, kind: 'engrave' } } },
    {
      ...CHOICE_SCHEMAS,
      engraving: (chosen) => Joi.object({ ...chosen, kind: Joi.string().valid('engraving').required(), cavity: Joi.string().required() }),
    },
  );
  const engraving = { kind: 'engraving', id: 'name', part: null, alternatives: [], cavity: 'back', work: [{ kind: 'engrave', does: [] }] };
  const said = (schema: Joi.Schema, value: unknown): string | undefined => schema.validate(value, OPTIONS).error?.details[0]?.path.join('/');

  it('is of the kinds and its work of the operations that are registered, and of no other', () => {
    expect(said(registered, engraving)).toBeUndefined();
    expect(said(choice, engraving)).toBe('kind');
    expect(said(choice, { ...examples.pickupChoice, work: engraving.work })).toBe('work/0/kind');
    for (const kind of Object.keys(HOUSE.choiceKinds)) expect(Object.keys(CHOICE_SCHEMAS)).toContain(kind);
  });

  it('that is a cut has no part, and a part is no cut', () => {
    const place = { on: 'feature', feature: 'pocket' };
    const cut = { kind: 'cut', cut: 'deepen', id: 'deeper', part: null, alternatives: [], place, count: 1, work: [] };
    expect(said(choice, cut)).toBeUndefined();
    expect(said(choice, { ...cut, part: 'a0000000-0000-4000-8000-000000000001' })).toBe('part');
    expect(said(choice, { ...cut, kind: 'hardware' })).toBe('cut');
  });
});
