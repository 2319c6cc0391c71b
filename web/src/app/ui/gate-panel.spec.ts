import { ChangeDetectionStrategy, Component } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { settingsWith } from '@rinnovo/core/operation';
import { button, choice, choiceWith, clearance, decision, host, jobOnScreen, noWork, operation, route, settle, tools, type } from '../../testing/job';
import { gateOnScreen } from '../state/gate-on-screen';
import { ownerOnScreen } from '../state/owner-on-screen';
import { Drafts } from '../state/drafts';
import { planActions } from '../state/plan.actions';
import { readings, shop, work, WORKSHOP } from '../state/resources';
import { selectReadings } from '../state/selectors';
import { GatePanel } from './gate-panel';

/** The panel as a page has it. */
@Component({
  selector: 'rn-page-with-gate',
  imports: [GatePanel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: ` <rn-gate-panel [gate]="gate.shown()" [owner]="owner.shown()" (cleared)="gate.clear($event)" (agreed)="owner.keep($event)" /> `,
})
class PageWithGate {
  protected readonly gate = gateOnScreen();
  protected readonly owner = ownerOnScreen();
}

const planned = { ...choice, route };

describe('clear to cut, on the screen', () => {
  beforeEach(() => new Drafts().drop('gate/decision'));

  it('says that nothing is decided', async () => {
    jobOnScreen({ choice: planned });
    const fixture = TestBed.createComponent(PageWithGate);
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('Choose an option in Fit first');
  });

  it('lists what is missing and keeps the way shut', async () => {
    const { http } = jobOnScreen({ choice: planned, work: { decisions: [decision] } });
    const fixture = TestBed.createComponent(PageWithGate);
    await fixture.whenStable();
    const text = host(fixture).textContent;
    expect(text).toMatch(/\d+ items still open/);
    expect(text).toContain('Measure: window, width across');
    expect(text).toContain('Typical, not measured: body thickness');
    expect(button(fixture, 'Clear to cut').disabled).toBeTrue();
    http.expectNone(() => true);
  });

  it('says what must come first, what is at hand and what is not, and where to do it now', async () => {
    jobOnScreen({ choice: planned, work: { decisions: [decision], operations: [operation('fixTemplate'), operation('boreBulk')] } });
    const fixture = TestBed.createComponent(PageWithGate);
    await fixture.whenStable();
    const row = (text: string): HTMLElement => [...host(fixture).querySelectorAll<HTMLElement>('li')].find((l) => l.textContent.includes(text))!;
    expect(row('Pickup: first fix the template').querySelector('a')!.getAttribute('href')).toBe('/i/i/bench');
    expect(row('In stock: Depth gauge').classList).toContain('ok');
    expect(row('1 : 1 print').querySelector('a')!.getAttribute('href')).toBe('/i/i/cut?show=template');
    expect(row('Measure: window, width across').querySelector('a')!.getAttribute('href')).toBe('/i/i/survey?measure=checkWidthAcross%7Cplate%7Cwindow');
    expect(button(fixture, 'Clear to cut').disabled).toBeTrue();
  });

  it('asks once past the set hour whether it can wait: putting it off is offered first', async () => {
    const { store } = jobOnScreen({ choice: planned, work: { decisions: [decision] } });
    store.dispatch(shop.loaded({ of: WORKSHOP, data: { version: 2, settings: settingsWith({ lateHour: 0 }), own: {}, tools, toolVersions: {} }, version: 2 }));
    const fixture = TestBed.createComponent(PageWithGate);
    await fixture.whenStable();
    const row = (): HTMLElement => host(fixture).querySelector('li')!;
    expect(row().textContent).toContain('Can this cut wait until tomorrow?');
    expect([...row().querySelectorAll('a, button')].map((b) => b.textContent.trim())).toEqual(['Put it off', 'It cannot wait']);
    expect(row().querySelector('a')!.getAttribute('href')).toBe('/i/i/order');
    row().querySelector('button')!.click();
    await fixture.whenStable();
    expect([row().classList.contains('ok'), row().querySelector('button')]).toEqual([true, null]);
  });

  it('is gone on with, without a tool that is not there, only with a reason', async () => {
    const { store } = jobOnScreen({ choice: planned, work: { decisions: [decision] } });
    const few = tools.filter((t) => t.kind !== 'depth gauge' && t.kind !== 'calliper');
    store.dispatch(
      shop.loaded({ of: WORKSHOP, data: { version: 2, settings: settingsWith({ lateHour: 24 }), own: {}, tools: few, toolVersions: {} }, version: 2 }),
    );
    const fixture = TestBed.createComponent(PageWithGate);
    await fixture.whenStable();
    const row = (): HTMLElement => [...host(fixture).querySelectorAll<HTMLElement>('li')].find((l) => l.textContent.includes('Not in stock'))!;
    expect(row().textContent).toContain('depth gauge or calliper');
    expect(row().querySelector('a')!.getAttribute('href')).toBe('/shop/tools');
    const field = row().querySelector('input')!;
    field.value = 'borrowed one';
    field.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    expect(row().classList).toContain('ok');
    expect(row().textContent).toContain('continued without');
  });

  it('asks two widths of the print, says where it is off, and keeps what was typed', async () => {
    jobOnScreen({ choice: planned, work: { decisions: [decision] } });
    const fixture = TestBed.createComponent(PageWithGate);
    await fixture.whenStable();
    const row = (): HTMLElement => host(fixture).querySelector('.print')!.closest('li')!;
    const read = async (across: string, along: string): Promise<void> => {
      const fields = [...row().querySelectorAll('input')];
      [across, along].forEach((text, i) => {
        fields[i]!.value = text;
        fields[i]!.dispatchEvent(new Event('input'));
      });
      await fixture.whenStable();
    };
    expect(row().textContent).toContain('Lay the 1 : 1 print on');
    await read('72.3', '40.5');
    expect(row().textContent).toContain('differs from the plan across');
    expect(row().querySelector('[role=alert]')!.textContent).toContain('Differs from the plan');
    await read('wide', '40.5');
    expect(row().classList).not.toContain('ok');
    await read('71.4', '40.6');
    expect(row().classList).toContain('ok');
    expect([...row().querySelectorAll('input')].map((f) => f.value)).toEqual(['71.4', '40.6']);
  });

  it('is confirmed by hand where nobody can compute it, and overridden with a reason where something does not clear', async () => {
    jobOnScreen({ choice: planned, work: { decisions: [decision] } });
    const fixture = TestBed.createComponent(PageWithGate);
    await fixture.whenStable();
    const missing = (): number => Number(/(\d+) items/.exec(host(fixture).textContent)![1]);
    const before = missing();
    const boxes = [...host(fixture).querySelectorAll<HTMLInputElement>('input[type=checkbox]')];
    expect(boxes.length).toBe(2);
    boxes[0]!.click();
    await fixture.whenStable();
    expect(missing()).toBe(before - 1);
    boxes[0]!.click();
    await fixture.whenStable();
    expect(missing()).toBe(before);
    const label = [...host(fixture).querySelectorAll('mat-label')].find((l) => l.textContent.includes('Reason to cut anyway'))!;
    const field = label.closest('mat-form-field')!.querySelector('input')!;
    field.value = 'the owner wants it so';
    field.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    expect(missing()).toBe(before - 1);
  });

  it('takes thin clearances for accepted one by one, or all together with one reason', async () => {
    jobOnScreen({ choice: planned, work: { decisions: [decision] } });
    const fixture = TestBed.createComponent(PageWithGate);
    await fixture.whenStable();
    const open = (): number => Number(/(\d+) items/.exec(host(fixture).textContent)![1]);
    const thin = (): HTMLElement => host(fixture).querySelector('section[aria-label=Thin]')!;
    const before = open();
    const rows = thin().querySelectorAll('li').length;
    const say = async (label: string, text: string): Promise<void> => {
      const field = [...thin().querySelectorAll('mat-form-field')].findLast((f) => f.textContent.includes(label))!.querySelector('input')!;
      field.value = text;
      field.dispatchEvent(new Event('input'));
      await settle();
      await fixture.whenStable();
    };
    if (rows > 1) {
      await say(`all ${rows}`, 'it holds');
      expect(open()).toBe(before - rows);
      await say(`all ${rows}`, '');
      expect(open()).toBe(before);
      [...thin().querySelectorAll('button')].find((b) => b.textContent.includes('One by one'))!.click();
      await fixture.whenStable();
    }
    await say('Reason to accept', 'this one holds');
    expect(open()).toBe(before - 1);
  });

  it('stands in the order in which it is done, and says in short what is open', async () => {
    jobOnScreen({ choice: planned, work: { decisions: [decision] }, ofClient: true });
    const fixture = TestBed.createComponent(PageWithGate);
    await fixture.whenStable();
    const groups = [...host(fixture).querySelectorAll('section')].map((g) => g.getAttribute('aria-label'));
    expect(groups.filter((g) => ['Readings', 'Thin', 'Consent', 'Tools and stock', '1 : 1 print', 'Confirm'].includes(g ?? ''))).toEqual([
      'Readings',
      'Thin',
      'Consent',
      'Tools and stock',
      '1 : 1 print',
      'Confirm',
    ]);
    expect(host(fixture).querySelector('.still')!.textContent.replace(/\s+/g, ' ')).toMatch(/\d+ readings of \d+ · \d thin · consent · .*confirm/);
  });

  it('keeps what is typed at once: it is there again after a reload, what a hand confirmed is not', async () => {
    jobOnScreen({ choice: planned, work: { decisions: [{ ...decision, id: 'typed before' }] } });
    const fixture = TestBed.createComponent(PageWithGate);
    await fixture.whenStable();
    const label = [...host(fixture).querySelectorAll('mat-label')].find((l) => l.textContent.includes('Reason to cut anyway'))!;
    const field = label.closest('mat-form-field')!.querySelector('input')!;
    field.value = 'the owner wants it so';
    field.dispatchEvent(new Event('input'));
    host(fixture).querySelector<HTMLInputElement>('input[type=checkbox]')!.click();
    await settle();
    await fixture.whenStable();
    TestBed.resetTestingModule();
    jobOnScreen({ choice: planned, work: { decisions: [{ ...decision, id: 'typed before' }] } });
    const again = TestBed.createComponent(PageWithGate);
    const typed = (): readonly string[] => [...host(again).querySelectorAll<HTMLInputElement>('input')].map((i) => i.value);
    for (let i = 0; i < 100 && !typed().includes('the owner wants it so'); i++) {
      await settle();
      await again.whenStable();
    }
    expect([...host(again).querySelectorAll<HTMLInputElement>('input')].map((i) => i.value)).toContain('the owner wants it so');
    expect(host(again).querySelector<HTMLInputElement>('input[type=checkbox]')!.checked).toBeFalse();
  });

  it('asks the owner of a client’s instrument, keeps what was said, and does not ask again', async () => {
    const { http } = jobOnScreen({ choice: planned, work: { decisions: [decision] }, ofClient: true });
    const fixture = TestBed.createComponent(PageWithGate);
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('Ask the owner');
    button(fixture, 'Save consent').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('Type the owner’s answer');
    http.expectNone(() => true);
    await type(fixture, 'rn-ask-owner input', ' do it ');
    button(fixture, 'Save consent').click();
    const request = http.expectOne((r) => r.url.includes('/consents/'));
    expect(request.request.body).toEqual({ decision: 'decision', how: 'in person', said: 'do it' });
    request.flush({});
    await settle();
    const consent = { id: 'k', job: 'job', decision: 'decision', how: 'in person' as const, said: 'do it', price: 1, options: [], person: 'nell', at: '' };
    http.expectOne((r) => r.url.endsWith('/jobs/job/work')).flush({ decisions: [decision], operations: [], waivers: [], clearances: [], consents: [consent] });
    await settle();
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('The owner agreed');
    expect(host(fixture).querySelector('rn-ask-owner')).toBeNull();
  });

  it('keeps its rows while the sums run, and cannot be passed meanwhile', async () => {
    const { store } = jobOnScreen({ choice: planned, work: { decisions: [decision] } });
    const fixture = TestBed.createComponent(PageWithGate);
    await fixture.whenStable();
    const rows = host(fixture).querySelectorAll('li').length;
    store.dispatch(planActions.choiceEdited({ choice: { ...planned, route: { ...route, at: { ...route.at, x: route.at.x + 0.1 } } } }));
    await fixture.whenStable();
    expect(host(fixture).querySelectorAll('li').length).toBe(rows);
    expect(host(fixture).textContent).toContain('Computing what the cut needs');
    expect(button(fixture, 'Clear to cut').disabled).toBeTrue();
  });

  it('forgets what was said when another decision is looked at', async () => {
    const { store } = jobOnScreen({ choice: planned, work: { decisions: [decision] } });
    const fixture = TestBed.createComponent(PageWithGate);
    await fixture.whenStable();
    const ticked = (): number => [...host(fixture).querySelectorAll<HTMLInputElement>('input[type=checkbox]')].filter((b) => b.checked).length;
    host(fixture).querySelector<HTMLInputElement>('input[type=checkbox]')!.click();
    await fixture.whenStable();
    expect(ticked()).toBe(1);
    store.dispatch(work.loaded({ of: 'job', data: { ...noWork, decisions: [{ ...decision, id: 'next' }], operations: [] }, version: null }));
    await fixture.whenStable();
    expect(ticked()).toBe(0);
  });

  it('shows a clearance that stands, and not one for the choice as it was before', async () => {
    jobOnScreen({ choice: planned, work: { decisions: [decision], clearances: [clearance] } });
    const fixture = TestBed.createComponent(PageWithGate);
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('● Clear to cut');
    TestBed.resetTestingModule();
    jobOnScreen({ choice: planned, work: { decisions: [decision], clearances: [{ ...clearance, chosen: choiceWith({ ...planned, leadsNeeded: 2 }) }] } });
    const other = TestBed.createComponent(PageWithGate);
    await other.whenStable();
    expect(host(other).textContent).not.toContain('● Clear to cut');
  });

  it('tells what is open of a clearance that no longer holds, and asks nothing again that still does', async () => {
    const { store } = jobOnScreen({ choice: planned, work: { decisions: [decision], clearances: [clearance] } });
    const fixture = TestBed.createComponent(PageWithGate);
    await fixture.whenStable();
    const read = store.selectSignal(selectReadings)();
    const thick = read.find((r) => r.target.quantity === 'bodyThickness')!;
    const off = { ...thick, id: 'later', value: thick.value + 1, blind: true, at: '2026-01-03T00:00:00.000Z' };
    store.dispatch(readings.loaded({ of: 'i', data: [...read, off], version: null }));
    await fixture.whenStable();
    const text = host(fixture).textContent;
    expect(text).not.toContain('● Clear to cut');
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('What this cut was cleared on has changed');
    expect(text).toContain('One item still open');
    expect(text).toContain('The readings disagree. Measure again: body thickness');
  });
});
