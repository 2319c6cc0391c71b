import { TestBed } from '@angular/core/testing';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { host, jobOnScreen } from '../../../testing/job';
import { resultsFeature } from '../../state/results.feature';
import { ScoreCompare } from './score-compare';

describe('the weighing of a way out', () => {
  it('is a bar as long as its share of all weights, beside the next one, with the reason in words', async () => {
    jobOnScreen();
    const options = (await firstValueFrom(TestBed.inject(Store).select(resultsFeature.selectOptions)))!.result;
    const [first] = options;
    const fixture = TestBed.createComponent(ScoreCompare);
    fixture.componentRef.setInput('option', first);
    fixture.componentRef.setInput('all', options);
    await fixture.whenStable();
    const bars = [...host(fixture).querySelectorAll('rect:not(.other)')].map((r) => Number(r.getAttribute('width')));
    const most = first!.score.scales.reduce((s, x) => s + x.weight, 0);
    expect(bars.reduce((s, w) => s + w, 0)).toBeCloseTo((first!.score.total / most) * 100, 6);
    expect(host(fixture).querySelector('svg')!.getAttribute('aria-label')).toBe(`Score ${first!.score.total.toFixed(1)} of ${most}`);
    expect(host(fixture).querySelector('p')!.textContent).toContain('Ranked above ‘');
    expect(host(fixture).querySelectorAll('tbody tr').length).toBe(7);
  });
});
