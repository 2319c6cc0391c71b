import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { HttpTestingController } from '@angular/common/http/testing';
import type { Instrument } from '@rinnovo/contract';
import { provideHeld } from '../../state/held';
import { instrument } from '../../state/resources';
import { viewActions } from '../../state/view.feature';
import { button, host, jobOnScreen, settle } from '../../../testing/job';
import { QuickLog } from './quick-log';

const one: Instrument = {
  id: 'i',
  label: 'Tern',
  maker: '',
  model: '',
  serial: '',
  owner: null,
  notes: 'Came in a sack.',
  kind: 'bolt-on solid',
  identity: {},
  archived: false,
};

describe('the quick log', () => {
  let fixture: ComponentFixture<QuickLog>;
  let http: HttpTestingController;

  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [...provideHeld(instrument)] });
    const screen = jobOnScreen();
    http = screen.http;
    screen.store.dispatch(instrument.loaded({ of: 'i', data: one, version: 4 }));
    screen.store.dispatch(viewActions.chooseUnit({ unit: 'mm' }));
    fixture = TestBed.createComponent(QuickLog);
    fixture.componentRef.setInput('instrument', 'i');
    await fixture.whenStable();
    document.dispatchEvent(new KeyboardEvent('keydown', { key: '/', bubbles: true }));
    await fixture.whenStable();
  });

  const input = (): HTMLInputElement => host(fixture).querySelector('input')!;
  const understood = (): string => host(fixture).querySelector('[aria-label=Parsed]')!.textContent;
  async function say(text: string): Promise<void> {
    input().value = text;
    input().dispatchEvent(new Event('input'));
    await fixture.whenStable();
  }
  async function enter(): Promise<void> {
    host(fixture).querySelector('form')!.dispatchEvent(new Event('submit'));
    await settle();
    await fixture.whenStable();
  }

  it('answers a claim beside a number, and keeps the line all the same', async () => {
    await say('note action 2 mm, just under 1/16');
    expect(host(fixture).querySelector('rn-claims')!.textContent).toContain('2.00\u202fmm is 0.41\u202fmm more than 1.59\u202fmm: not just under');
    await say('note action 1.5 mm, just under 1/16');
    expect(host(fixture).querySelector('rn-claims .problem')).toBeNull();
    expect(host(fixture).querySelector('rn-claims')!.textContent).toContain('as noted');
  });

  it('tells what it understood before it keeps it, and keeps each value with its usual tool', async () => {
    await say('rh 38 t 19');
    expect(understood()).toContain('Relative humidity: 38\u202f%');
    expect(understood()).toContain('Temperature: 19\u202f°C');
    await enter();
    const first = http.expectOne((r) => r.method === 'PUT');
    expect(first.request.body).toEqual(
      jasmine.objectContaining({ target: { quantity: 'humidity', feature: 'room' }, value: 38, limit: 3, tool: 'hygrometer' }),
    );
    first.flush({});
    await settle();
    http.expectOne((r) => r.method === 'PUT').flush({ type: '/problems/disk-full', title: 'The disk is full', status: 507 }, { status: 507, statusText: '' });
    await settle();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('The disk is full');
    expect(input().value).toBe('rh 38 t 19');
    // only what is not in yet is sent again
    await enter();
    const again = http.expectOne((r) => r.method === 'PUT');
    expect((again.request.body as { target: object }).target).toEqual({ quantity: 'temperature', feature: 'room' });
    again.flush({});
    await settle();
    await fixture.whenStable();
    expect(input().value).toBe('');
    expect(host(fixture).textContent).toContain('2 readings saved');
  });

  it('keeps nothing that cannot be', async () => {
    await say('relief 25');
    expect(understood()).toContain('25.00\u202fmm is impossible');
    await enter();
    http.expectNone((r) => r.method === 'PUT');
    expect(input().value).toBe('relief 25');
  });

  it('challenges what is improbable, and keeps it when it is insisted on as it is', async () => {
    await say('relief 2.5');
    expect(understood()).toContain('2.50\u202fmm is unlikely. Did you mean 0.25\u202fmm?');
    await enter();
    http.expectNone((r) => r.method === 'PUT');
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('Press Enter again to save');
    await enter();
    expect((http.expectOne((r) => r.method === 'PUT').request.body as { value: number }).value).toBe(2.5);
  });

  it('loses nothing of a note that is too long', async () => {
    await say(`note ${'x'.repeat(10_000)}`);
    await enter();
    http.expectNone((r) => r.method === 'PUT');
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('at most 3500 characters. This one has 10000');
    expect(input().value.length).toBe(10_005);
  });

  it('keeps what it does not understand as a note beside the others', async () => {
    await say('seam line under the finish, treble bout');
    expect(understood()).toContain('Note: seam line');
    await enter();
    http.expectOne((r) => r.method === 'GET' && r.url === '/api/instruments/i').flush(one, { headers: { ETag: '"4"' } });
    await settle();
    const put = http.expectOne((r) => r.method === 'PUT');
    expect((put.request.body as Instrument).notes).toBe('Came in a sack.\nseam line under the finish, treble bout');
    put.flush(put.request.body as object);
    await settle();
  });

  it('completes with Tab, closes with Escape and has what was typed when it is opened again', async () => {
    await say('rel');
    input().dispatchEvent(new KeyboardEvent('keydown', { key: 'Tab', cancelable: true }));
    await fixture.whenStable();
    expect(input().value).toBe('relief ');
    input().dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape' }));
    await fixture.whenStable();
    expect(host(fixture).querySelector('form')).toBeNull();
    button(fixture, 'Log /').click();
    await fixture.whenStable();
    expect(input().value).toBe('relief ');
  });
});
