import { TestBed } from '@angular/core/testing';
import { button, host, jobOnScreen, settle, type } from '../../../testing/job';
import { planActions } from '../../state/plan.actions';
import { choice, choiceWith, planOf } from '../../../testing/job';
import { resultActions } from '../../state/results.feature';
import { RemedyList } from './remedy-list';

describe('the ways out', () => {
  it('stand with the best first, their numbers, what archived, and the baseline last', async () => {
    jobOnScreen();
    const fixture = TestBed.createComponent(RemedyList);
    await fixture.whenStable();
    const titles = [...host(fixture).querySelectorAll('h3')].map((h) => h.textContent);
    expect(titles[0]).toContain('Re-route under the cover for Wide two-coil');
    expect(titles.at(-1)).toContain('Keep as is');
    const reroute = host(fixture).querySelector('[data-remedy^="reroute"]')!;
    expect(reroute.textContent).toMatch(/\d+\u202fmm² and [\d.]+\u202fcm³ more/);
    expect(reroute.textContent).toMatch(/Score \d+\.\d/);
  });

  it('are cards with their drawing and what differs: a check that is the same in all stands on none', async () => {
    jobOnScreen();
    const fixture = TestBed.createComponent(RemedyList);
    await fixture.whenStable();
    const cards = [...host(fixture).querySelectorAll('article')];
    expect(cards.every((c) => c.querySelectorAll('rn-option-drawing path').length > 3)).toBeTrue();
    expect(cards[0]!.querySelectorAll('rn-option-drawing .now').length).toBeGreaterThan(0);
    expect(cards.at(-1)!.querySelector('rn-option-drawing .now')).toBeNull();
    const lines = cards.map((c) => new Set([...c.querySelectorAll('li')].map((l) => l.textContent.trim())));
    for (const line of lines[0]!)
      expect(lines.every((l) => l.has(line)))
        .withContext(line)
        .toBeFalse();
  });

  it('are chosen with a reason only, and go to the server with the numbers that were seen', async () => {
    const { http } = jobOnScreen();
    const fixture = TestBed.createComponent(RemedyList);
    await fixture.whenStable();
    button(fixture, 'Choose option …').click();
    await fixture.whenStable();
    host(fixture).querySelector('form')!.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('Type a reason');
    http.expectNone(() => true);

    await type(fixture, 'form input', 'because');
    host(fixture).querySelector('form')!.dispatchEvent(new Event('submit'));
    await settle();
    const put = http.expectOne((r) => r.url.startsWith('/api/decisions/'));
    const body = put.request.body as { option: string; reason: string; planVersion: number; seen: { id: string; clearance: number }[] };
    expect([body.option, body.reason, body.planVersion]).toEqual(['reroute/two-coil', 'because', 2]);
    expect(body.seen.length).toBeGreaterThan(8);

    put.flush({ type: '/problems/numbers-differ', title: 'The server computes different numbers', status: 409 }, { status: 409, statusText: 'differ' });
    await settle();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')!.textContent).toContain('different numbers');
    expect(host(fixture).querySelector<HTMLInputElement>('form input')!.value).toBe('because');
  });

  it('tell what a cut leaves standing even where it is well: hidden edge, walls, floors', async () => {
    jobOnScreen();
    const fixture = TestBed.createComponent(RemedyList);
    await fixture.whenStable();
    const given = host(fixture).querySelector('[data-remedy^="reroute"] ul')!.textContent;
    for (const what of ['covered by', 'Wall from', 'Floor under']) expect(given).toContain(what);
    const kept = host(fixture).querySelector('[data-remedy^="keep"]')!.textContent;
    expect(kept).not.toContain('Floor under');
  });

  it('say how far they are while they are worked out, can be stopped, and asked for again', async () => {
    const { store } = jobOnScreen();
    const fixture = TestBed.createComponent(RemedyList);
    store.dispatch(planActions.choiceEdited({ choice: choiceWith({ leadsNeeded: 2 }) }));
    store.dispatch(resultActions.optionsWentOn({ done: 2, of: 7 }));
    await fixture.whenStable();
    const bar = host(fixture).querySelector('progress')!;
    expect([bar.value, bar.max]).toEqual([2, 7]);
    expect(host(fixture).textContent).toContain('2 of 7');
    button(fixture, 'Stop').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('progress')).toBeNull();
    expect(host(fixture).textContent).toContain('Stopped.');
    button(fixture, 'Compute options').click();
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('Computing options');
    // the answer ends it, whatever was stated before
    store.dispatch(resultActions.optionsWentOn({ done: 7, of: 7 }));
    store.dispatch(resultActions.optionsWorkedOut({ computed: { key: 'k', plan: planOf(choice), choice: choice.id, result: [] } }));
    await fixture.whenStable();
    expect(host(fixture).querySelector('progress')).toBeNull();
  });

  it('cannot be chosen while the plan is still being kept', async () => {
    const { store } = jobOnScreen();
    const fixture = TestBed.createComponent(RemedyList);
    store.dispatch(planActions.choiceEdited({ choice: choiceWith({ leadsNeeded: 2 }) }));
    await fixture.whenStable();
    expect(button(fixture, 'Choose option …').disabled).toBeTrue();
    expect(host(fixture).textContent).toContain('Computing options');
  });
});
