import { TestBed } from '@angular/core/testing';
import type { Dimension } from '@rinnovo/core/measure';
import { host, jobOnScreen } from '../../../testing/job';
import { SizeFields } from './size-fields';

describe('the sizes of a part', () => {
  async function typed(known: Dimension, text: string): Promise<Readonly<Record<string, Dimension | null>> | null> {
    jobOnScreen();
    const fixture = TestBed.createComponent(SizeFields);
    fixture.componentRef.setInput('part', 'p');
    fixture.componentRef.setInput('fields', [{ key: 'washer', label: 'Washer', range: [2, 80], known, optional: true }]);
    await fixture.whenStable();
    const input = host(fixture).querySelector<HTMLInputElement>('[data-size=washer] input')!;
    for (const now of ['', text]) {
      input.value = now;
      input.dispatchEvent(new Event('input'));
      await fixture.whenStable();
    }
    return fixture.componentInstance.given('calliper');
  }

  it('a typical one typed again as it stood is measured now, by the way that is chosen', async () => {
    expect(await typed({ value: 14, limit: 1, basis: { kind: 'default' } }, '14')).toEqual({
      washer: { value: 14, limit: 0.05, basis: { kind: 'measured', tool: 'calliper' } },
    });
  });

  it('one that was measured stays what it is when it is typed again', async () => {
    expect(await typed({ value: 14, limit: 0.25, basis: { kind: 'measured', tool: 'rule', person: 'ada', at: '2026-12-01T09:00:00Z' } }, '14')).toEqual({});
  });
});
