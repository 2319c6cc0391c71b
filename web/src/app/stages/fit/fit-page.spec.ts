import { TestBed } from '@angular/core/testing';
import { button, host, jobOnScreen } from '../../../testing/job';
import { FitPage } from './fit-page';

const planned = (element: HTMLElement): number => element.querySelectorAll('rn-plan-view [data-moving] path').length;

describe('the fit page', () => {
  it('lays a way out on the map with all its verdicts, and goes back to the plan as it stands', async () => {
    jobOnScreen();
    const fixture = TestBed.createComponent(FitPage);
    await fixture.whenStable();
    const before = host(fixture).querySelector('rn-verdict-list')!.textContent;
    expect(planned(host(fixture))).toBe(0);

    host(fixture).querySelector<HTMLButtonElement>('[data-remedy^="reroute"] [aria-pressed]')!.click();
    await fixture.whenStable();
    expect(planned(host(fixture))).toBeGreaterThan(0);
    expect(host(fixture).querySelector('.headline')!.textContent).toContain('Looked at: Re-route under the cover');
    expect(host(fixture).querySelector('rn-verdict-list [data-verdict^="hiddenEdge/route/planned"]')).not.toBeNull();

    button(fixture, 'Back to the plan as it stands').click();
    await fixture.whenStable();
    expect(planned(host(fixture))).toBe(0);
    expect(host(fixture).querySelector('rn-verdict-list')!.textContent).toBe(before);
  });
});
