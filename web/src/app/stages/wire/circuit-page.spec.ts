import type { HttpTestingController } from '@angular/common/http/testing';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { circuitProblems, toTrace, type Circuit } from '@rinnovo/core/wire';
import { twoPickups } from '../../../testing/circuit';
import { button, choose, circuitRevision, host, jobOnScreen, settle, type } from '../../../testing/job';
import { Drafts } from '../../state/drafts';
import { CircuitPage } from './circuit-page';

describe('the circuit', () => {
  let fixture: ComponentFixture<CircuitPage>;
  let http: HttpTestingController;
  let kept: Map<string, unknown>;

  async function open(circuit?: Circuit): Promise<void> {
    kept = new Map();
    const drafts = {
      of: (what: string) => Promise.resolve(kept.get(what) ?? null),
      keep: (what: string, draft: unknown) => Promise.resolve(void kept.set(what, draft)),
      drop: (what: string) => Promise.resolve(void kept.delete(what)),
    };
    TestBed.configureTestingModule({ providers: [provideRouter([]), { provide: Drafts, useValue: drafts }] });
    ({ http } = jobOnScreen(circuit ? { circuit } : {}));
    fixture = TestBed.createComponent(CircuitPage);
    await settle();
    await fixture.whenStable();
  }

  const lug = (name: string): HTMLButtonElement =>
    [...host(fixture).querySelectorAll<HTMLButtonElement>('.lugs button')].find((b) => b.ariaLabel!.startsWith(name))!;
  async function join(a: string, b: string): Promise<void> {
    lug(a).click();
    await fixture.whenStable();
    lug(b).click();
    await fixture.whenStable();
  }
  const untraced: Circuit = { ...twoPickups, joints: [], bare: [] };

  it('is chosen for the pickups that are drawn, and kept as the first revision', async () => {
    await open();
    expect(host(fixture).textContent).toContain('No circuit yet.');
    await choose(fixture, '[formControlName=preset]', 'One pickup, volume and tone');
    button(fixture, 'Save circuit').click();
    await settle();
    const { request } = http.expectOne('/api/instruments/i/circuit');
    expect(request.headers.get('If-None-Match')).toBe('*');
    const { document } = request.body as { document: Circuit };
    expect(circuitProblems(document)).toEqual([]);
    expect(toTrace(document)).toEqual([]);
  });

  it('is not begun without a choice, nor with a value that cannot be', async () => {
    await open();
    button(fixture, 'Save circuit').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('Choose a circuit');
    await choose(fixture, '[formControlName=preset]', 'One pickup, volume and tone');
    await type(fixture, '[formControlName=capacitor]', '22000');
    button(fixture, 'Save circuit').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toMatch(/Not a capacitance|unusual/);
    http.expectNone('/api/instruments/i/circuit');
  });

  it('is traced lug by lug; a joint twice is one, a lug to itself is let go', async () => {
    await open(untraced);
    await join('Neck, coil start', 'Selector, A');
    await join('Selector, A', 'Neck, coil start');
    await join('Jack, tip', 'Jack, tip');
    const draft = (kept.get('circuit/i') as { kept: Circuit }).kept;
    expect(draft.joints.length).toBe(1);
    expect(host(fixture).textContent).toContain('Changed and not saved yet.');
    // what hangs together with the chosen one shows it, and can be parted
    lug('Neck, coil start').click();
    await fixture.whenStable();
    expect(lug('Selector, A').ariaLabel).toContain('joined to it');
    button(fixture, 'Remove').click();
    await fixture.whenStable();
    expect((kept.get('circuit/i') as { kept: Circuit }).kept.joints).toEqual([]);
  });

  it('keeps a lug with nothing on it, until a wire is found', async () => {
    await open(untraced);
    lug('Tone, lug 3').click();
    await fixture.whenStable();
    button(fixture, 'Nothing on it').click();
    await fixture.whenStable();
    expect((kept.get('circuit/i') as { kept: Circuit }).kept.bare.length).toBe(1);
    await join('Tone, lug 3', 'Volume, case');
    expect((kept.get('circuit/i') as { kept: Circuit }).kept.bare).toEqual([]);
  });

  it('stays where somebody else saved meanwhile: saved again it goes on top of theirs', async () => {
    await open(untraced);
    await join('Neck, coil start', 'Selector, A');
    button(fixture, 'Save circuit').click();
    await settle();
    http
      .expectOne('/api/instruments/i/circuit')
      .flush(
        { type: '/problems/stale', title: 'Stale', status: 412, current: circuitRevision(twoPickups, 2) },
        { status: 412, statusText: 'Precondition Failed' },
      );
    await settle();
    http.expectOne('/api/instruments/i/circuit').flush(circuitRevision(twoPickups, 2), { headers: { ETag: '"2"' } });
    await settle();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('Somebody else saved this circuit meanwhile.');
    expect(host(fixture).textContent).toContain('Changed and not saved yet.');
    button(fixture, 'Save circuit').click();
    await settle();
    const { request } = http.expectOne('/api/instruments/i/circuit');
    expect(request.headers.get('If-Match')).toBe('"2"');
    expect((request.body as { document: Circuit }).document.joints.length).toBe(1);
  });

  const inside = (selector: string): HTMLElement => host(fixture).querySelector(selector)!;
  const press = async (within: HTMLElement, text: string): Promise<void> => {
    [...within.querySelectorAll('button')].find((b) => b.textContent.trim() === text)!.click();
    await fixture.whenStable();
  };
  const draft = (): Circuit => (kept.get('circuit/i') as { kept: Circuit }).kept;

  it('takes the leads of a pickup as the meter finds them: a value that is none is refused, the swing names the start', async () => {
    await open(twoPickups);
    const leads = inside('rn-find-leads');
    await type(fixture, 'rn-find-leads [name=leads]', 'red, black, bare');
    const read = async (text: string): Promise<void> => {
      await type(fixture, 'rn-find-leads [name=ohms]', text);
      leads.querySelector('form')!.dispatchEvent(new Event('submit'));
      await fixture.whenStable();
    };
    expect(leads.textContent).toContain('Red on red');
    await read('much');
    expect(leads.querySelector('[role=alert]')!.textContent).toContain('Not a resistance');
    await read('7.95');
    // the shield reaches neither end
    await press(leads, 'OL');
    await press(leads, 'OL');
    expect(leads.textContent).toContain('Lift the steel off');
    await press(leads, 'Down');
    expect(leads.textContent).toContain('start black, finish red');
    expect(leads.textContent).toContain('bare reaches no other lead');
    await press(leads, 'Use these leads');
    const [coil] = (draft().elements[0] as Extract<Circuit['elements'][number], { kind: 'pickup' }>).coils;
    expect([coil!.startColour, coil!.finishColour, coil!.ohms!.value, coil!.ohms!.basis.kind]).toEqual(['black', 'red', 7950, 'measured']);
  });

  it('takes the contacts of a switch as the meter finds them, mirrored against the usual ones', async () => {
    await open(twoPickups);
    const meter = inside('rn-meter-switch');
    // lugs C, A, B: position 1 joins C and B here, the middle all, position 3 C and A
    const closed = ['1 C B', '2 C A', '2 C B', '3 C A'];
    for (let asked = 0; asked < 9 && meter.querySelector('.ask'); asked++) {
      const [position, a, b] = [...meter.querySelectorAll('.ask strong')].map((x) => x.textContent.trim());
      await press(meter, closed.includes(`${position} ${a} ${b}`) ? 'Closed' : 'Open');
    }
    expect(meter.textContent).toContain('Position 1: C – B');
    await press(meter, 'Undo');
    expect(meter.querySelector('.ask')).not.toBeNull();
    await press(meter, 'Open');
    await press(meter, 'Use these contacts');
    const selector = draft().elements.find((e) => e.kind === 'switch');
    expect(selector?.kind === 'switch' ? selector.table.positions.map((p) => p.joins) : null).toEqual([
      [['C', 'B']],
      [
        ['C', 'A'],
        ['C', 'B'],
      ],
      [['C', 'A']],
    ]);
  });

  const change = async (selector: string, text: string): Promise<void> => {
    const field = host(fixture).querySelector<HTMLInputElement>(selector)!;
    field.value = text;
    field.dispatchEvent(new Event('change'));
    await fixture.whenStable();
  };
  const field = (label: string): string => {
    const found = [...host(fixture).querySelectorAll('rn-edit-parts mat-form-field')].find((f) => f.querySelector('mat-label')?.textContent === label)!;
    return `#${found.querySelector('input, mat-select')!.id}`;
  };

  it('takes a value as marked: one that is a thousand times off is asked about, one that is none refused; a step is undone', async () => {
    await open(twoPickups);
    await choose(fixture, field('Part of the circuit'), 'Volume');
    await change(field('Resistance'), '250');
    expect(inside('rn-edit-parts').querySelector('[role=alert]')!.textContent).toContain('Did you mean 250\u202fkΩ?');
    expect(kept.size).toBe(0);
    await press(inside('rn-edit-parts [role=alert]'), 'Keep it');
    expect(draft().elements.find((e) => e.id === 'volume')).toEqual(
      jasmine.objectContaining({ tracks: [jasmine.objectContaining({ ohms: jasmine.objectContaining({ value: 250 }) })] }),
    );
    await press(inside('.unsaved'), 'Undo');
    await change(field('Resistance'), 'low');
    expect(inside('rn-edit-parts').querySelector('[role=alert]')!.textContent).toContain('Not a resistance');
    await change(field('Resistance'), '250k');
    const volume = () => draft().elements.find((e) => e.id === 'volume');
    expect(volume()).toEqual(
      jasmine.objectContaining({ tracks: [jasmine.objectContaining({ ohms: { value: 250_000, limit: 50_000, basis: { kind: 'default' } } })] }),
    );
    await choose(fixture, field('Turns up'), 'anticlockwise, left-handed');
    expect(volume()).toEqual(jasmine.objectContaining({ reverse: true }));
    await press(inside('.unsaved'), 'Undo');
    expect(volume()).toEqual(jasmine.objectContaining({ reverse: false }));
    await press(inside('.unsaved'), 'Undo');
    expect(host(fixture).textContent).not.toContain('Changed and not saved yet.');
  });

  it('has a part more, named and with contacts by hand, and loses it with its joints', async () => {
    await open(twoPickups);
    await choose(fixture, field('Add'), 'Switch, kill switch');
    await press(inside('rn-edit-parts'), 'Add part');
    expect(draft().elements.at(-1)).toEqual(jasmine.objectContaining({ id: 'kill', kind: 'switch' }));
    await change(field('Name'), 'Thumb switch');
    await change(field('Lugs, with commas'), 'x, y, x');
    expect(inside('rn-contact-fields').querySelector('[role=alert]')!.textContent).toContain('a name of its own');
    await change(field('Lugs, with commas'), 'x, y, z');
    await change('rn-contact-fields [aria-label="Position 1: from"]', 'x');
    await change('rn-contact-fields [aria-label="Position 1: to"]', 'z');
    const last = draft().elements.at(-1);
    expect(last?.kind === 'switch' && [last.name, last.table.lugs, last.table.positions[0]!.joins]).toEqual(['Thumb switch', ['x', 'y', 'z'], [['x', 'z']]]);
    await choose(fixture, field('Part of the circuit'), 'Volume');
    await press(inside('rn-edit-parts'), 'Remove from the circuit');
    expect(draft().joints.some((j) => j.a.element === 'volume' || j.b.element === 'volume')).toBeFalse();
    expect(circuitProblems(draft())).toEqual([]);
  });

  it('keeps what was found of a pickup with its part on the shelf, with the readings', async () => {
    const [neck, ...others] = twoPickups.elements;
    await open({ ...twoPickups, elements: [{ ...neck!, part: 'two-coil' }, ...others] });
    await type(fixture, 'rn-find-leads [name=leads]', 'red, black');
    await type(fixture, 'rn-find-leads [name=ohms]', '7.95k');
    inside('rn-find-leads form').dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    await press(inside('rn-find-leads'), 'Up');
    await change('rn-find-leads rn-electric-field input', '2.4');
    await press(inside('rn-find-leads'), 'Save them with Wide two-coil on the shelf, too');
    const put = http.expectOne('/api/parts/two-coil');
    expect(put.request.headers.get('If-Match')).toBe('"1"');
    expect(put.request.body).toEqual(
      jasmine.objectContaining({
        coils: [jasmine.objectContaining({ ohms: 7950, henry: 2.4 })],
        colours: [
          { colour: 'red', is: 'start of coil' },
          { colour: 'black', is: 'finish of coil' },
        ],
        leadsFound: jasmine.objectContaining({ readings: [{ a: 'red', b: 'black', ohms: 7950 }], swings: [{ red: 'red', to: 'up' }] }),
      }),
    );
    put.flush({ part: put.request.body as object, archived: false, version: 2 });
    await settle();
    http.match(() => true);
    const [coil] = (draft().elements[0] as Extract<Circuit['elements'][number], { kind: 'pickup' }>).coils;
    expect(coil!.henry!.value).toBe(2.4);
  });

  it('is held against an earlier revision and a circuit that is known', async () => {
    await open(twoPickups);
    await choose(fixture, 'rn-compare-circuits mat-select', 'Two pickups, toggle, one volume and tone');
    const lines = (): readonly string[] => [...host(fixture).querySelectorAll('rn-compare-circuits li')].map((l) => l.textContent.trim());
    expect(lines()).toEqual(['Volume, resistance: 250\u202fkΩ before, 500\u202fkΩ now.', 'Tone, resistance: 250\u202fkΩ before, 500\u202fkΩ now.']);
    await choose(fixture, 'rn-compare-circuits mat-select', 'Revision 1, as saved');
    await settle();
    http.expectOne('/api/instruments/i/circuit/1').flush(circuitRevision({ ...twoPickups, joints: twoPickups.joints.slice(1) }));
    await settle();
    await fixture.whenStable();
    expect(lines().length).toBe(1);
    expect(lines()[0]).toMatch(/ is joined to /);
  });

  it('says where it is silent', async () => {
    const short = { a: { element: 'jack', lug: 'tip' }, b: { element: 'jack', lug: 'sleeve' } };
    await open({ ...twoPickups, joints: [...twoPickups.joints, short] });
    expect(host(fixture).textContent).toContain('Silent at: Position 1');
  });
});
