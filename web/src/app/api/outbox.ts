import { HttpClient, HttpContext, HttpContextToken, HttpErrorResponse, HttpResponse, type HttpInterceptorFn, type HttpRequest } from '@angular/common/http';
import { computed, inject, Injectable, signal } from '@angular/core';
import type { Problem } from '@rinnovo/contract';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { catchError, firstValueFrom, from, switchMap, tap, throwError } from 'rxjs';
import { problemOf } from './api';

/** A write that is kept on this machine until the server has answered it. */
export interface Kept {
  readonly writeId: string;
  readonly method: string;
  readonly url: string;
  readonly body: unknown;
  readonly headers: Readonly<Record<string, string>>;
  /** When it was done here, ISO 8601. */
  readonly at: string;
  /** The server's refusal when it was sent again later; null while it waits. */
  readonly refused: Problem | null;
}

interface Schema extends DBSchema {
  readonly writes: { readonly key: number; readonly value: Kept };
}

/** A write as it lies here, under its number: they are sent in this order. */
export type Lying = Kept & { readonly n: number };

/** It is sent out of the box: it lies there already. */
const OUT_OF_THE_BOX = new HttpContextToken(() => false);
const HEADERS = ['Write-Id', 'Person', 'If-Match', 'If-None-Match'] as const;

/** What was sent or typed to be kept, in the browser's database before it is sent: a reload, a crash or a night takes nothing of it. */
@Injectable({ providedIn: 'root' })
export class Outbox {
  private readonly http = inject(HttpClient);
  private database: Promise<IDBPDatabase<Schema>> | null = null;
  private readonly lying = signal<readonly Lying[]>([]);
  /** What waits for an answer. */
  readonly waiting = computed(() => this.lying().filter((k) => k.refused === null));
  /** What the server refused when it was sent again after a reload. */
  readonly refused = computed(() => this.lying().filter((k) => k.refused !== null));
  private sentAgain: Promise<void> | null = null;

  /** Sends what was left over from before, one after another, before anything else is asked. */
  ready(): Promise<void> {
    return (this.sentAgain ??= this.sendAgain());
  }

  /** Keeps a write; ends in its number, or null where this browser keeps nothing. */
  async keep(req: HttpRequest<unknown>): Promise<number | null> {
    const headers = Object.fromEntries(HEADERS.flatMap((h) => (req.headers.has(h) ? [[h, req.headers.get(h) ?? '']] : [])));
    const kept: Kept = {
      writeId: headers['Write-Id'] ?? '',
      method: req.method,
      url: req.urlWithParams,
      body: req.body,
      headers,
      at: new Date().toISOString(),
      refused: null,
    };
    try {
      const n = await (await this.open()).add('writes', kept);
      this.lying.update((all) => [...all, { ...kept, n }]);
      return n;
    } catch {
      return null;
    }
  }

  /** The server has answered, or somebody has seen its refusal. */
  async forget(n: number | null): Promise<void> {
    if (n === null) return;
    this.lying.update((all) => all.filter((k) => k.n !== n));
    await (await this.open()).delete('writes', n);
  }

  private async sendAgain(): Promise<void> {
    let left: readonly Lying[];
    try {
      const db = await this.open();
      const [keys, values] = [await db.getAllKeys('writes'), await db.getAll('writes')];
      left = values.flatMap((v, i) => (keys[i] === undefined ? [] : [{ ...v, n: keys[i] }]));
    } catch {
      return;
    }
    this.lying.set(left);
    for (const { n, ...kept } of left) {
      if (kept.refused) continue;
      const context = new HttpContext().set(OUT_OF_THE_BOX, true);
      try {
        await firstValueFrom(this.http.request(kept.method, kept.url, { body: kept.body, headers: kept.headers, context, observe: 'response' }));
        await this.forget(n);
      } catch (error) {
        const refused = problemOf(error);
        this.lying.update((all) => all.map((k) => (k.n === n ? { ...k, refused } : k)));
        await (await this.open()).put('writes', { ...kept, refused }, n);
      }
    }
  }

  private open(): Promise<IDBPDatabase<Schema>> {
    this.database ??= openDB<Schema>('rinnovo-outbox', 1, { upgrade: (db) => void db.createObjectStore('writes', { autoIncrement: true }) });
    return this.database;
  }
}

/** Every write lies in the box before it is sent, and until it is answered; what was left over from before goes first. */
export const keptUntilAnswered: HttpInterceptorFn = (req, next) => {
  if (req.context.get(OUT_OF_THE_BOX)) return next(req);
  const outbox = inject(Outbox);
  if (!req.headers.has('Write-Id')) return from(outbox.ready()).pipe(switchMap(() => next(req)));
  return from(outbox.ready().then(() => outbox.keep(req))).pipe(
    switchMap((n) =>
      next(req).pipe(
        tap((event) => event instanceof HttpResponse && void outbox.forget(n)),
        catchError((error: unknown) => {
          // whoever sent it is here and is shown the refusal
          if (error instanceof HttpErrorResponse) void outbox.forget(n);
          return throwError(() => error);
        }),
      ),
    ),
  );
};
