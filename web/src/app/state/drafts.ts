import { Injectable } from '@angular/core';

/** What the server has not acknowledged yet, and the version it was made from. */
export interface Draft<T> {
  readonly version: number;
  readonly kept: T;
}

/** Drafts in the browser's own database: they outlive a crash of the page. Without such a database nothing is kept and nothing breaks. */
@Injectable({ providedIn: 'root' })
export class Drafts {
  private readonly db = open();

  async of<T>(what: string): Promise<Draft<T> | null> {
    return ((await this.run('readonly', (s) => s.get(what))) as Draft<T> | undefined) ?? null;
  }

  async keep<T>(what: string, draft: Draft<T>): Promise<void> {
    await this.run('readwrite', (s) => s.put(draft, what));
  }

  async drop(what: string): Promise<void> {
    await this.run('readwrite', (s) => s.delete(what));
  }

  private async run(mode: IDBTransactionMode, act: (store: IDBObjectStore) => IDBRequest): Promise<unknown> {
    const db = await this.db;
    return db && request(act(db.transaction('drafts', mode).objectStore('drafts')));
  }
}

function open(): Promise<IDBDatabase | null> {
  return new Promise((resolve) => {
    const opening = indexedDB.open('rinnovo', 1);
    opening.onupgradeneeded = () => void opening.result.createObjectStore('drafts');
    opening.onsuccess = () => resolve(opening.result);
    opening.onerror = () => resolve(null);
  });
}

function request(r: IDBRequest): Promise<unknown> {
  return new Promise((resolve, reject) => {
    r.onsuccess = () => resolve(r.result);
    r.onerror = () => reject(r.error ?? new Error('the draft could not be kept'));
  });
}
