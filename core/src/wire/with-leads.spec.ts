import { typicalPickup, type LeadReading, type Pickup, type Swing } from '../part/index.js';
import { OPEN } from '../quantity/index.js';
import { seeded } from '../testing/random.js';
import {
  findLeads,
  heardOf,
  networkOf,
  netlistOf,
  partFound,
  pickupElement,
  USUAL_LOAD,
  withLeads,
  wired,
  type Circuit,
  type Lug,
  type PickupElement,
  type WiredCoil,
} from './index.js';

/** A pickup as nobody sees it: each coil's leads, and which way it is wound and magnetised. */
interface Real {
  readonly leads: readonly [string, string];
  readonly ohms: number;
  readonly winding: 1 | -1;
  readonly magnet: 1 | -1;
}

/** What a meter tells of it: the swing goes up where the red probe is on the end that the signal comes out of. */
function metered(coils: readonly Real[]): { readonly leads: readonly string[]; readonly readings: readonly LeadReading[]; readonly swings: readonly Swing[] } {
  const leads = coils.flatMap((c) => c.leads);
  const readings = leads.flatMap((a, i) =>
    leads.slice(i + 1).map((b) => ({ a, b, ohms: coils.find((c) => c.leads.includes(a) && c.leads.includes(b))?.ohms ?? OPEN })),
  );
  return { leads, readings, swings: coils.map((c) => ({ red: c.leads[0], to: c.winding * c.magnet === 1 ? ('up' as const) : ('down' as const) })) };
}

/** The coils in series, each start towards the hot. */
function inSeries(e: PickupElement): Circuit {
  const [one, two] = e.coils;
  if (!one || !two) throw new RangeError('two coils');
  const at = (c: WiredCoil, end: string): Lug => ({ element: e.id, lug: `${c.name} ${end}` });
  const jack = (lug: string): Lug => ({ element: 'jack', lug });
  return {
    format: 1,
    elements: [e, { kind: 'jack', id: 'jack', name: null, does: 'jack', place: null, part: null, form: 'mono' }],
    joints: [
      { a: at(one, 'start'), b: jack('tip') },
      { a: at(one, 'finish'), b: at(two, 'start') },
      { a: at(two, 'finish'), b: jack('sleeve') },
    ],
    bare: [],
  };
}

function heard(e: PickupElement) {
  const c = inSeries(e);
  const setting = { positions: {}, pulled: {}, knobs: {}, plugged: true };
  return heardOf(networkOf(netlistOf(wired(c), setting), USUAL_LOAD));
}

describe('a pickup whose leads were found', () => {
  const draw = seeded(417);
  const real = (): readonly [Real, Real] => {
    const colours = ['red', 'white', 'green', 'black'].sort(() => draw() - 0.5);
    const coil = (i: number): Real => ({
      leads: [colours[2 * i] ?? '', colours[2 * i + 1] ?? ''],
      ohms: 3500 + Math.round(1500 * draw()),
      winding: draw() < 0.5 ? 1 : -1,
      magnet: draw() < 0.5 ? 1 : -1,
    });
    return [coil(0), coil(1)];
  };

  it('is in phase with both starts towards the hot, whatever way it is wound and magnetised: seeded pickups', () => {
    for (let n = 0; n < 30; n++) {
      const coils = real();
      const { leads, readings, swings } = metered(coils);
      const e = withLeads(pickupElement('neck', null, { kind: 'humbucker' }), findLeads(leads, readings, swings).coils);
      expect(e.coils.map((c) => c.startColour)).toEqual(coils.map((c) => c.leads[c.winding * c.magnet === 1 ? 0 : 1]));
      expect(heard(e))
        .withContext(JSON.stringify(coils))
        .toEqual(jasmine.objectContaining({ inPhase: true, humCancelling: true }));
    }
  });

  it('is the same from the shelf afterwards, with the readings that it was found by', () => {
    const part: Pickup = { ...typicalPickup('humbucker', 'p', 'P'), colours: [{ colour: 'bare', is: 'shield' }] };
    for (let n = 0; n < 10; n++) {
      const { leads, readings, swings } = metered(real());
      const e = withLeads(pickupElement('neck', null, { part }), findLeads(leads, readings, swings).coils, [2.2, null]);
      const kept = partFound(part, e, { day: '2026-12-01', readings, swings });
      expect(kept.leadsFound).toEqual({ day: '2026-12-01', readings, swings });
      expect(kept.coils?.map((c) => c.henry)).toEqual([2.2, null]);
      expect(kept.coils?.map((c) => [c.winding, c.magnet])).toEqual([
        [null, null],
        [null, null],
      ]);
      expect(kept.colours).toContain({ colour: 'bare', is: 'shield' });
      const again = pickupElement('bridge', null, { part: kept });
      expect(again.coils.map((c) => [c.startColour, c.finishColour, c.ohms?.value])).toEqual(
        e.coils.map((c) => [c.startColour, c.finishColour, c.ohms?.value]),
      );
      expect(heard(again).inPhase).toBeTrue();
    }
  });

  it('is at 20 °C, whatever the air was: 7690 at 10 °C are 8004.6 [std: IEC 60028, value from memory]', () => {
    const found = findLeads(['red', 'black'], [{ a: 'red', b: 'black', ohms: 7690 }], [{ red: 'red', to: 'up' }]).coils;
    const [coil] = withLeads(pickupElement('neck', null, { kind: 'single-coil' }), found, [], { celsius: 10, limit: 1 }).coils;
    expect(coil?.ohms?.value).toBeCloseTo(7690 / (1 - 0.0393), 6);
    expect(coil?.ohms?.limit).toBeGreaterThan(100);
  });

  it('replaces what was said of its leads before, and keeps what the sheet says of its coils', () => {
    const sheet = { name: 'screw', ohms: 4000, henry: 2, picofarad: 60, wireGauge: 42, winding: 'clockwise', magnet: 'south' } as const;
    const part: Pickup = { ...typicalPickup('single-coil', 'p', 'P'), coils: [sheet], colours: [{ colour: 'blue', is: 'start of screw' }] };
    const readings = [{ a: 'red', b: 'bare', ohms: 3900 }];
    const swings = [{ red: 'red', to: 'down' as const }];
    const e = withLeads(pickupElement('neck', null, { part }), findLeads(['red', 'bare'], readings, swings).coils);
    const kept = partFound(part, e, { day: '2026-12-01', readings, swings });
    expect(kept.coils).toEqual([{ ...sheet, ohms: 3900, winding: 'anticlockwise' }]);
    expect(kept.colours).toEqual([
      { colour: 'bare', is: 'start of screw' },
      { colour: 'red', is: 'finish of screw' },
    ]);
  });
});
