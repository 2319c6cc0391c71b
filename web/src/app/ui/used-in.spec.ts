import { TestBed } from '@angular/core/testing';
import { setUp } from '../../testing/fixture';
import { host, settle } from '../../testing/job';
import { UsedInList } from './used-in';

describe('where a part is used', () => {
  it('is looked up when it is opened: planned, and fitted with its day', async () => {
    const http = setUp();
    const fixture = TestBed.createComponent(UsedInList);
    fixture.componentRef.setInput('of', 'parts');
    fixture.componentRef.setInput('id', 'pot');
    await fixture.whenStable();
    http.expectNone(() => true);
    host(fixture).querySelector('details')!.open = true;
    await settle();
    fixture.detectChanges();
    await settle();
    const use = { instrument: 'i', label: 'Tern', title: 'New electronics', amount: 2 };
    http.expectOne('/api/parts/pot/used-in').flush({
      items: [
        { ...use, at: null },
        { ...use, at: '2026-03-02T09:00:00Z' },
      ],
    });
    await settle();
    await fixture.whenStable();
    const said = [...host(fixture).querySelectorAll('li')].map((l) => l.textContent.replace(/\s+/g, ' ').trim());
    expect(said).toEqual(['Tern, New electronics 2 × planned', 'Tern, New electronics 2 × 2 Mar 2026']);
  });
});
