import { HttpErrorResponse } from '@angular/common/http';
import { TestBed } from '@angular/core/testing';
import { setUp } from '../../testing/fixture';
import { Api } from './api';
import { problemOf, problemText } from './problem-of';
import { Connection } from './connection';
import { Who } from './who';

describe('the API', () => {
  it('gives a version from its ETag, weak ones too', () => {
    const http = setUp();
    const seen: (number | null)[] = [];
    for (const tag of ['"7"', 'W/"8"', 'W/"1a-xyz"']) {
      TestBed.inject(Api)
        .get('/shop')
        .subscribe((r) => seen.push(r.version));
      http.expectOne('/api/shop').flush({}, { headers: { ETag: tag } });
    }
    expect(seen).toEqual([7, 8, null]);
  });

  it('reads every page of a list', () => {
    const http = setUp();
    let all: readonly number[] = [];
    TestBed.inject(Api)
      .all<number>('/parts')
      .subscribe((list) => (all = list));
    http.expectOne('/api/parts?limit=1000').flush({ items: [1, 2], next: 'k' });
    http.expectOne('/api/parts?limit=1000&after=k').flush({ items: [3], next: null });
    expect(all).toEqual([1, 2, 3]);
  });

  it('creates with its own write id, the person and If-None-Match', () => {
    const http = setUp();
    TestBed.inject(Who).choose('me');
    TestBed.inject(Api).create('/readings/1', {}).subscribe();
    TestBed.inject(Api).create('/readings/1', {}).subscribe();
    const [a, b] = http.match('/api/readings/1');
    expect(a!.request.headers.get('If-None-Match')).toBe('*');
    expect(a!.request.headers.get('Person')).toBe('me');
    expect(a!.request.headers.get('Write-Id')).not.toBe(b!.request.headers.get('Write-Id'));
  });

  it('tells a problem in one line, with what is wrong where', () => {
    const problem = { type: '/problems/input-invalid', title: 'Not right', status: 400, errors: [{ pointer: '/x', detail: 'must be a number' }] };
    const error = new HttpErrorResponse({ status: 400, error: JSON.stringify(problem) });
    expect(problemText(problemOf(error))).toBe('Not right: must be a number');
    expect(problemOf(new HttpErrorResponse({ status: 418, error: '<html>' })).type).toBe('/problems/unreachable');
    expect(problemText(problemOf(new Error('here')))).toBe('here');
  });

  it('knows whether the server is away', async () => {
    const http = setUp();
    const connection = TestBed.inject(Connection);
    TestBed.inject(Api).get('/shop').subscribe();
    http.expectOne('/api/shop').error(new ProgressEvent('error'));
    expect(connection.current()).toBe('away');
    await new Promise((r) => setTimeout(r, 600));
    http.expectOne('/api/shop').flush({});
    expect(connection.current()).toBe('here');
  });
});
