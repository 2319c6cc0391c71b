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

  it('says where it is silent', async () => {
    const short = { a: { element: 'jack', lug: 'tip' }, b: { element: 'jack', lug: 'sleeve' } };
    await open({ ...twoPickups, joints: [...twoPickups.joints, short] });
    expect(host(fixture).textContent).toContain('Silent at: Position 1');
  });
});
