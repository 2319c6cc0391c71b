import { HttpClient, HttpContext, HttpContextToken, HttpResponse, type HttpEvent, type HttpInterceptorFn, type HttpRequest } from '@angular/common/http';
import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { toObservable } from '@angular/core/rxjs-interop';
import type { Problem } from '@rinnovo/contract';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { filter, firstValueFrom, from, lastValueFrom, switchMap } from 'rxjs';
import { Connection } from './connection';
import { problemOf } from './problem-of';

/** A write that is kept on this machine until the server has answered it. */
export interface Kept {
  readonly writeId: string;
  readonly method: string;
  readonly url: string;
  readonly body: unknown;
  readonly headers: Readonly<Record<string, string>>;
  /** When it was done here, ISO 8601. */
  readonly at: string;
  /** The page that it was done on: while that is open it sends it itself. */
  readonly page: string;
  /** The server's refusal when it was sent later; null while it waits. */
  readonly refused: Problem | null;
}

interface Schema extends DBSchema {
  readonly writes: { readonly key: number; readonly value: Kept };
}

/** A write as it lies here, under its number: they are sent in this order. */
export type Lying = Kept & { readonly n: number };

/** It is sent out of the box: it lies there already. */
const OUT_OF_THE_BOX = new HttpContextToken(() => false);
/** What answers a write while the server does not: it is kept, and whoever sent it goes on from that. */
export const MEANWHILE = new HttpContextToken<(() => unknown) | null>(() => null);
const HEADERS = ['Write-Id', 'Person', 'If-Match', 'If-None-Match'] as const;

/** What was sent or typed to be kept, in the browser's database before it is sent: a reload, a crash or a night takes nothing of it. */
@Injectable({ providedIn: 'root' })
export class Outbox {
  private readonly http = inject(HttpClient);
  private readonly connection = inject(Connection);
  private readonly changes = toObservable(this.connection.current);
  private database: Promise<IDBPDatabase<Schema>> | null = null;
  private readonly lying = signal<readonly Lying[]>([]);
  /** What waits for an answer. */
  readonly waiting = computed(() => this.lying().filter((k) => k.refused === null));
  /** What the server refused when nobody waited for the answer any more. */
  readonly refused = computed(() => this.lying().filter((k) => k.refused !== null));
  private sentAgain: Promise<void> | null = null;
  private turn: Promise<unknown> = Promise.resolve();
  /** What was answered here and waits for the server's answer. */
  private readonly meanwhile = new Set<Promise<void>>();
  private readonly page = openPage(inject(DestroyRef));

  /** Sends what was left over from before, one after another, before anything else is asked. */
  ready(): Promise<void> {
    return (this.sentAgain ??= this.sendAgain());
  }

  /** Ends when all that was answered here has the server's answer too: what is read then has it in it. */
  async joinedUp(): Promise<void> {
    while (this.meanwhile.size > 0) await Promise.all(this.meanwhile);
  }

  /** Keeps a write and sends it in its turn; ends in the server's answer, or in the one made here while the server is away. */
  async send(req: HttpRequest<unknown>, go: () => Promise<HttpEvent<unknown>>): Promise<HttpEvent<unknown>> {
    await this.ready();
    const meanwhile = req.context.get(MEANWHILE);
    // refused here it is not kept: whoever sent it is here and sees why
    const body = meanwhile && this.connection.current() === 'away' ? meanwhile() : null;
    const n = await this.keep(req);
    const sent = this.inTurn(go);
    if (body !== null) return this.answeredHere(n, sent, body);
    const first = await (meanwhile ? Promise.race([settled(sent), this.goesAway()]) : settled(sent));
    try {
      if (first === 'away' && meanwhile) return this.answeredHere(n, sent, meanwhile());
    } catch {
      // refused here too: what the server says is waited for
    }
    try {
      return await sent;
    } finally {
      // whoever sent it is here and is shown the refusal
      void this.forget(n);
    }
  }

  private answeredHere(n: number | null, sent: Promise<unknown>, body: unknown): HttpResponse<unknown> {
    const followed = this.follow(n, sent).finally(() => this.meanwhile.delete(followed));
    this.meanwhile.add(followed);
    return new HttpResponse({ status: 202, body });
  }

  /** Sends a write when those before it are answered. */
  private inTurn<T>(send: () => Promise<T>): Promise<T> {
    const mine = this.turn.then(send);
    this.turn = settled(mine);
    return mine;
  }

  private async goesAway(): Promise<'away'> {
    await firstValueFrom(this.changes.pipe(filter((c) => c === 'away')));
    return 'away';
  }

  /** Follows a write that was answered here: what the server says of it is kept until it is seen. */
  private async follow(n: number | null, sent: Promise<unknown>): Promise<void> {
    try {
      await sent;
    } catch (error) {
      return this.refuse(n, problemOf(error));
    }
    return this.forget(n);
  }

  /** Keeps a write; ends in its number, or null where this browser keeps nothing. */
  private async keep(req: HttpRequest<unknown>): Promise<number | null> {
    const headers = Object.fromEntries(HEADERS.flatMap((h) => (req.headers.has(h) ? [[h, req.headers.get(h) ?? '']] : [])));
    const kept: Kept = {
      writeId: headers['Write-Id'] ?? '',
      method: req.method,
      url: req.urlWithParams,
      body: req.body,
      headers,
      at: new Date().toISOString(),
      page: this.page,
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

  /** Sends one that was refused once more as it is said now, under a write id of its own; ends in the answer, throws what it is refused for this time. */
  async sendAs<T>({ n, method, url, headers }: Lying, body: unknown): Promise<T> {
    const context = new HttpContext().set(OUT_OF_THE_BOX, true);
    const fresh = { ...headers, 'Write-Id': crypto.randomUUID() };
    const answer = await this.inTurn(() => firstValueFrom(this.http.request<T>(method, url, { body, headers: fresh, context })));
    await this.forget(n);
    return answer;
  }

  private async refuse(n: number | null, refused: Problem): Promise<void> {
    const one = this.lying().find((k) => k.n === n);
    if (!one) return;
    const { n: at, ...kept } = { ...one, refused };
    this.lying.update((all) => all.map((k) => (k.n === at ? { ...k, refused } : k)));
    await (await this.open()).put('writes', kept, at);
  }

  private async sendAgain(): Promise<void> {
    let left: readonly Lying[];
    try {
      const db = await this.open();
      const [keys, values] = [await db.getAllKeys('writes'), await db.getAll('writes')];
      const here = await openPages();
      left = values.flatMap((v, i) => (keys[i] === undefined || here.has(v.page) ? [] : [{ ...v, n: keys[i] }]));
    } catch {
      return;
    }
    this.lying.set(left);
    for (const { n, method, url, body, headers, refused } of left) {
      if (refused) continue;
      const context = new HttpContext().set(OUT_OF_THE_BOX, true);
      try {
        await firstValueFrom(this.http.request(method, url, { body, headers, context, observe: 'response' }));
        await this.forget(n);
      } catch (error) {
        await this.refuse(n, problemOf(error));
      }
    }
  }

  private open(): Promise<IDBPDatabase<Schema>> {
    this.database ??= openDB<Schema>('rinnovo-outbox', 1, { upgrade: (db) => void db.createObjectStore('writes', { autoIncrement: true }) });
    return this.database;
  }
}

/** The name of this page, held as a lock as long as it is open. */
function openPage(ref: DestroyRef): string {
  const name = `rinnovo-page ${crypto.randomUUID()}`;
  void navigator.locks.request(name, () => new Promise<void>((gone) => ref.onDestroy(gone)));
  return name;
}

/** Ends when it has ended, whichever way. */
const settled = (one: Promise<unknown>): Promise<void> =>
  one.then(
    () => undefined,
    () => undefined,
  );

/** The pages that are open on this machine. */
async function openPages(): Promise<ReadonlySet<string | undefined>> {
  const { held = [] } = await navigator.locks.query();
  return new Set(held.map((l) => l.name));
}

/** Every write lies in the box before it is sent, in its order, and until it is answered; what was left over from before goes first. */
export const keptUntilAnswered: HttpInterceptorFn = (req, next) => {
  if (req.context.get(OUT_OF_THE_BOX)) return next(req);
  const outbox = inject(Outbox);
  if (!req.headers.has('Write-Id')) return from(outbox.ready()).pipe(switchMap(() => next(req)));
  return from(outbox.send(req, () => lastValueFrom(next(req))));
};

/** What is read waits for what was answered here: it comes with that in it. */
export const behindTheBox: HttpInterceptorFn = (req, next) => {
  if (req.headers.has('Write-Id')) return next(req);
  return from(inject(Outbox).joinedUp()).pipe(switchMap(() => next(req)));
};
