import { TestBed } from '@angular/core/testing';
import { clearance, decision, host, jobOnScreen, choice, route, settle, button } from '../../testing/job';
import { GatePanel } from './gate-panel';

const planned = { ...choice, route };

describe('clear to cut, on the screen', () => {
  it('says that nothing is decided', async () => {
    jobOnScreen({ choice: planned });
    const fixture = TestBed.createComponent(GatePanel);
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('choose a remedy in Fit first');
  });

  it('lists what is missing and keeps the way shut', async () => {
    const { http } = jobOnScreen({ choice: planned, work: { decisions: [decision] } });
    const fixture = TestBed.createComponent(GatePanel);
    await fixture.whenStable();
    const text = host(fixture).textContent;
    expect(text).toMatch(/\d+ things are missing/);
    expect(text).toContain('Measure: body thickness');
    expect(text).toContain('Typical, not measured: body thickness');
    expect(button(fixture, 'Clear to cut').disabled).toBeTrue();
    http.expectNone(() => true);
  });

  it('takes a thin clearance for accepted once a reason stands beside it', async () => {
    jobOnScreen({ choice: planned, work: { decisions: [decision] } });
    const fixture = TestBed.createComponent(GatePanel);
    await fixture.whenStable();
    const before = Number(/(\d+) things/.exec(host(fixture).textContent)![1]);
    const field = host(fixture).querySelector<HTMLInputElement>('li input')!;
    field.value = 'it holds';
    field.dispatchEvent(new Event('input'));
    await settle();
    await fixture.whenStable();
    expect(Number(/(\d+) things/.exec(host(fixture).textContent)![1])).toBe(before - 1);
  });

  it('shows a clearance that stands, and not one for the choice as it was before', async () => {
    jobOnScreen({ choice: planned, work: { decisions: [decision], clearances: [clearance] } });
    const fixture = TestBed.createComponent(GatePanel);
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('● Clear to cut');
    TestBed.resetTestingModule();
    jobOnScreen({ choice: planned, work: { decisions: [decision], clearances: [{ ...clearance, chosen: { ...planned, leadsWanted: 2 } }] } });
    const other = TestBed.createComponent(GatePanel);
    await other.whenStable();
    expect(host(other).textContent).not.toContain('● Clear to cut');
  });
});
