import { HttpClient, HttpContext, HttpHeaders, type HttpResponse } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import type { Page } from '@rinnovo/contract';
import { EMPTY, expand, map, reduce, type Observable } from 'rxjs';
import { MEANWHILE } from './outbox';
import { Who } from './who';

/** A body with the version that its ETag gave. */
export interface Versioned<T> {
  readonly body: T;
  readonly version: number | null;
}

/** The server's API. Every write has a write id of its own, so that sending it again does it once. */
@Injectable({ providedIn: 'root' })
export class Api {
  private readonly http = inject(HttpClient);
  private readonly who = inject(Who);

  get<T>(path: string): Observable<Versioned<T>> {
    return this.http.get<T>(`/api${path}`, { observe: 'response', headers: this.headers() }).pipe(map(versioned));
  }

  /** Every page of a list, one after another. */
  all<T>(path: string): Observable<readonly T[]> {
    const page = (after: string | null): Observable<Page<T>> =>
      this.get<Page<T>>(`${path}?limit=1000${after === null ? '' : `&after=${encodeURIComponent(after)}`}`).pipe(map((r) => r.body));
    return page(null).pipe(
      expand((p) => (p.next === null ? EMPTY : page(p.next))),
      reduce((items, p) => [...items, ...p.items], [] as readonly T[]),
    );
  }

  /** Creates something under an id made here; `meanwhile` answers while the server does not, and what was sent is kept until it does. */
  create<T>(path: string, body: unknown, meanwhile: (() => T) | null = null): Observable<Versioned<T>> {
    const headers = this.headers({ 'If-None-Match': '*' }, true);
    const context = new HttpContext().set(MEANWHILE, meanwhile);
    return this.http.put<T>(`/api${path}`, body, { observe: 'response', headers, context }).pipe(map(versioned));
  }

  /** Changes what was read as `version`. */
  change<T>(path: string, version: number, body: unknown): Observable<Versioned<T>> {
    return this.http.put<T>(`/api${path}`, body, { observe: 'response', headers: this.headers({ 'If-Match': `"${version}"` }, true) }).pipe(map(versioned));
  }

  /** Takes something back that allows it. */
  takeBack<T>(path: string, version = 1, body?: object): Observable<Versioned<T>> {
    return this.http
      .delete<T>(`/api${path}`, { observe: 'response', headers: this.headers({ 'If-Match': `"${version}"` }, true), ...(body ? { body } : {}) })
      .pipe(map(versioned));
  }

  private headers(more: Record<string, string> = {}, write = false): HttpHeaders {
    const person = this.who.id();
    return new HttpHeaders({ ...more, ...(person === null ? {} : { Person: person }), ...(write ? { 'Write-Id': crypto.randomUUID() } : {}) });
  }
}

function versioned<T>(response: HttpResponse<T>): Versioned<T> {
  const tag = /^(?:W\/)?"(\d+)"$/.exec(response.headers.get('ETag') ?? '');
  return { body: response.body as T, version: tag ? Number(tag[1]) : null };
}
