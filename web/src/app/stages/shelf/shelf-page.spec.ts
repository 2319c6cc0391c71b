import { typicalHardware } from '@rinnovo/core/house/lists';
import type { HttpTestingController } from '@angular/common/http/testing';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { Store } from '@ngrx/store';
import type { KeptPart } from '@rinnovo/contract';
import { typicalPickup, type Hardware, type Part } from '@rinnovo/core/part';
import { provideHeld } from '../../state/held';
import { Drafts } from '../../state/drafts';
import { outlines, parts, people, stock, WORKSHOP } from '../../state/resources';
import { viewActions } from '../../state/view.feature';
import { setUp } from '../../../testing/fixture';
import { ShelfPage } from './shelf-page';

const id = (n: number): string => `00000000-0000-4000-8000-00000000000${n}`;
const pot: Hardware = typicalHardware('pot', id(1), 'Pot, long');
const screw: Hardware = {
  ...typicalHardware('wood screw', id(2), 'Guard screw', 4),
  sizes: { length: { value: 13, limit: 0.05, basis: { kind: 'measured', tool: 'calliper' } } },
};
const pickup = typicalPickup('humbucker', id(3), 'Two coils');
const kept = (part: Part, archived = false): KeptPart => ({ part, archived, version: 1 });

/** The browser's database, in memory: it outlives the page. */
class HeldDrafts {
  readonly kept = new Map<string, unknown>();
  of(what: string): Promise<unknown> {
    return Promise.resolve(structuredClone(this.kept.get(what)) ?? null);
  }
  keep(what: string, draft: unknown): Promise<void> {
    this.kept.set(what, structuredClone(draft));
    return Promise.resolve();
  }
  drop(what: string): Promise<void> {
    this.kept.delete(what);
    return Promise.resolve();
  }
}

describe('the part shelf', () => {
  let drafts = new HeldDrafts();
  beforeEach(() => (drafts = new HeldDrafts()));
  let http: HttpTestingController;
  let store: Store;

  async function open(part?: string): Promise<ComponentFixture<ShelfPage>> {
    TestBed.configureTestingModule({ providers: [...provideHeld(parts, stock, outlines, people), provideRouter([]), { provide: Drafts, useValue: drafts }] });
    http = setUp();
    store = TestBed.inject(Store);
    const fixture = TestBed.createComponent(ShelfPage);
    if (part !== undefined) fixture.componentRef.setInput('part', part);
    fixture.detectChanges();
    const data = Object.fromEntries([kept(pot), kept(screw), kept(pickup), kept(typicalHardware('jack', id(4), 'Old jack'), true)].map((k) => [k.part.id, k]));
    store.dispatch(parts.loaded({ of: WORKSHOP, data, version: null }));
    store.dispatch(
      stock.loaded({
        of: WORKSHOP,
        data: [{ item: { id: id(9), kind: 'part', part: id(2), quantity: 7, drawer: 'C1' }, version: 3, reserved: {} }],
        version: null,
      }),
    );
    await settle(fixture);
    return fixture;
  }

  async function settle(fixture: ComponentFixture<unknown>): Promise<void> {
    fixture.detectChanges();
    await fixture.whenStable();
    fixture.detectChanges();
  }

  const host = (f: ComponentFixture<unknown>): HTMLElement => f.nativeElement as HTMLElement;
  const names = (f: ComponentFixture<unknown>): readonly string[] =>
    [...host(f).querySelectorAll('.list li a .name')].map((e) => e.firstChild?.textContent ?? '');
  const press = (f: ComponentFixture<unknown>, text: string): void => {
    const button = [...host(f).querySelectorAll('button')].find((b) => b.textContent.trim().startsWith(text));
    if (!button) throw new Error(`no button ${text}`);
    button.click();
  };
  function type(f: ComponentFixture<unknown>, selector: string, text: string): void {
    const input = host(f).querySelector<HTMLInputElement>(selector)!;
    input.value = text;
    input.dispatchEvent(new Event('input'));
  }

  it('lists what is not put away, finds by words and by group, and tells quantity are there', async () => {
    const f = await open();
    expect(names(f)).toEqual(['Guard screw', 'Pot, long', 'Two coils']);
    type(f, '.find', 'screw');
    await settle(f);
    expect(names(f)).toEqual(['Guard screw']);
    expect(host(f).querySelector('.list li .number')?.textContent).toBe('7');
    type(f, '.find', '');
    press(f, 'Pots');
    await settle(f);
    expect(names(f)).toEqual(['Pot, long']);
    press(f, 'All');
    press(f, 'Archived');
    await settle(f);
    expect(names(f)).toEqual(['Old jack']);
  });

  it('keeps a size that was laid to, with its limit and its tool, and leaves the others as they are known', async () => {
    const f = await open(id(1));
    press(f, 'Edit part');
    await settle(f);
    type(f, '[data-size="bushing"] input', '9.4');
    type(f, '[data-size="washer"] input', '9/16');
    [...host(f).querySelectorAll<HTMLFormElement>('rn-part-form form')][0]!.dispatchEvent(new Event('submit', { cancelable: true }));
    await settle(f);
    const sent = http.expectOne({ method: 'PUT', url: `/api/parts/${id(1)}` });
    expect(sent.request.headers.get('If-Match')).toBe('"1"');
    const body = sent.request.body as Hardware;
    expect(body.sizes.bushing).toEqual({ value: 9.4, limit: 0.05, basis: { kind: 'measured', tool: 'calliper' } });
    expect(body.sizes.washer?.value).toBeCloseTo(14.2875, 6);
    expect(body.sizes.body).toEqual(pot.sizes.body!);
    sent.flush({ part: body, archived: false, version: 2 });
  });

  it('sends nothing while something typed cannot be, says so, and loses nothing of it', async () => {
    const f = await open(id(1));
    press(f, 'Edit part');
    await settle(f);
    type(f, '[data-size="bushing"] input', '950');
    [...host(f).querySelectorAll<HTMLFormElement>('rn-part-form form')][0]!.dispatchEvent(new Event('submit', { cancelable: true }));
    await settle(f);
    http.expectNone({ method: 'PUT', url: `/api/parts/${id(1)}` });
    expect(host(f).querySelector('[data-size="bushing"] [role="alert"]')?.textContent).toContain('out of range');
    expect(host(f).querySelector<HTMLInputElement>('[data-size="bushing"] input')!.value).toBe('950');
    expect(host(f).querySelector('rn-part-form > form > .problem')?.textContent).toContain('cannot be read');
  });

  it('begins a part as such parts usually are, marked as not measured', async () => {
    const f = await open();
    f.componentInstance.begin('humbucker');
    await settle(f);
    expect(host(f).querySelector('.typical')?.textContent).toContain('typical or from a listing');
    expect(host(f).querySelector('rn-part-drawing svg')).not.toBeNull();
    expect(host(f).querySelector<HTMLInputElement>('[data-size="earsOver"] input')!.value).toBe('84');
    [...host(f).querySelectorAll<HTMLFormElement>('rn-part-form form')][0]!.dispatchEvent(new Event('submit', { cancelable: true }));
    await settle(f);
    const sent = http.expectOne((r) => r.method === 'PUT' && r.url.startsWith('/api/parts/'));
    expect(sent.request.headers.get('If-None-Match')).toBe('*');
    expect((sent.request.body as Part).kind).toBe('humbucker');
    sent.flush({ part: sent.request.body as Part, archived: false, version: 1 });
  });

  const change = async (f: ComponentFixture<unknown>, selector: string, text: string): Promise<void> => {
    const input = host(f).querySelector<HTMLInputElement>(selector)!;
    input.value = text;
    input.dispatchEvent(new Event('change'));
    await settle(f);
  };
  const send = async (f: ComponentFixture<unknown>): Promise<void> => {
    host(f)
      .querySelector('rn-part-form form')!
      .dispatchEvent(new Event('submit', { cancelable: true }));
    await settle(f);
  };

  it('keeps what a capacitor is marked with; what cannot be is refused where it is typed', async () => {
    const f = await open();
    f.componentInstance.begin('capacitor');
    await settle(f);
    await change(f, 'rn-electric-field input', '2 F');
    expect(host(f).querySelector('rn-electric-field [role=alert]')!.textContent).toContain('is impossible');
    await send(f);
    http.expectNone((r) => r.method === 'PUT');
    await change(f, 'rn-electric-field input', '0,022u');
    await send(f);
    const sent = http.expectOne((r) => r.method === 'PUT' && r.url.startsWith('/api/parts/'));
    expect((sent.request.body as Hardware).electric!.farad).toBeCloseTo(22e-9, 15);
    sent.flush({ part: sent.request.body as Part, archived: false, version: 1 });
  });

  it('keeps the contacts of a switch as they are stated', async () => {
    const f = await open();
    f.componentInstance.begin('mini toggle');
    await settle(f);
    expect(host(f).querySelector('.contacts summary')!.textContent).toContain('as usual for its kind');
    await change(f, 'rn-contact-fields [aria-label="Position 2: from"]', 'a.1');
    await change(f, 'rn-contact-fields [aria-label="Position 2: to"]', 'b.1');
    await send(f);
    const sent = http.expectOne((r) => r.method === 'PUT' && r.url.startsWith('/api/parts/'));
    expect((sent.request.body as Hardware).contacts!.positions[1]!.joins).toContain(['a.1', 'b.1']);
    sent.flush({ part: sent.request.body as Part, archived: false, version: 1 });
  });

  it('counts what is in the drawer and refuses less than nothing', async () => {
    const f = await open(id(2));
    type(f, 'rn-stock-line input[inputmode]', '-1');
    press(f, 'Count');
    await settle(f);
    http.expectNone({ method: 'PUT', url: `/api/stock/${id(9)}` });
    expect(host(f).querySelector('rn-stock-line [role="alert"]')?.textContent).toContain('0 or more');
    type(f, 'rn-stock-line input[inputmode]', '6');
    press(f, 'Count');
    await settle(f);
    const sent = http.expectOne({ method: 'PUT', url: `/api/stock/${id(9)}` });
    expect(sent.request.headers.get('If-Match')).toBe('"3"');
    expect(sent.request.body).toEqual({ id: id(9), kind: 'part', part: id(2), quantity: 6, drawer: 'C1' });
    sent.flush({ item: sent.request.body as object, version: 4 });
  });

  it('has what was typed of a part again after the page went down, until it is kept', async () => {
    const f = await open(id(1));
    press(f, 'Edit part');
    await settle(f);
    expect(drafts.kept.size).toBe(0);
    type(f, '[data-size=bushing] input', '9.52');
    type(f, 'rn-part-form input[maxlength="500"]', 'from the box of odds');
    await settle(f);
    expect([...drafts.kept.keys()]).toEqual([`part ${id(1)}`]);

    TestBed.resetTestingModule();
    const again = await open(id(1));
    press(again, 'Edit part');
    await settle(again);
    await settle(again);
    expect(host(again).querySelector('rn-part-form [role=status]')!.textContent).toContain('Unsaved changes restored');
    expect(host(again).querySelector<HTMLInputElement>('[data-size=bushing] input')!.value).toBe('9.52');
    expect(host(again).querySelector<HTMLInputElement>('rn-part-form input[maxlength="500"]')!.value).toBe('from the box of odds');
    press(again, 'Discard changes');
    await settle(again);
    expect(drafts.kept.size).toBe(0);
    expect(host(again).querySelector('rn-part-form')).toBeNull();
  });

  it('offers a new part that was begun, with what was typed of it', async () => {
    const f = await open();
    f.componentInstance.begin('jack');
    await settle(f);
    type(f, 'rn-part-form input[maxlength="120"]', 'Stiff jack');
    await settle(f);

    TestBed.resetTestingModule();
    const again = await open();
    await settle(again);
    expect(host(again).querySelector('.list')!.textContent).toContain('not saved yet: Stiff jack');
    press(again, 'Continue');
    await settle(again);
    await settle(again);
    expect(host(again).querySelector<HTMLInputElement>('rn-part-form input[maxlength="120"]')!.value).toBe('Stiff jack');
    press(again, 'Discard part');
    await settle(again);
    await settle(again);
    expect(host(again).querySelector('.list')!.textContent).not.toContain('A new part was begun');
  });

  it('keeps a typed size typed when the unit changes, stated in the new one', async () => {
    const f = await open(id(1));
    press(f, 'Edit part');
    await settle(f);
    type(f, '[data-size=bushing] input', '9.525');
    await settle(f);
    store.dispatch(viewActions.chooseUnit({ unit: 'inch' }));
    await settle(f);
    expect(host(f).querySelector<HTMLInputElement>('[data-size=bushing] input')!.value).toBe('0.3750in');
  });
});
