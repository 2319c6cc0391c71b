import { map, type Observable } from 'rxjs';
import type { Versioned } from '../../api/api';

/** What the server gives without a version. */
export const unversioned = <T>(source: Observable<T>): Observable<Versioned<T>> => source.pipe(map((body) => ({ body, version: null })));
