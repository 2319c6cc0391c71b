import { DestroyRef, DOCUMENT, inject, Injectable } from '@angular/core';
import { MatDialog } from '@angular/material/dialog';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import type { LengthUnit } from '@rinnovo/core/measure';
import { viewActions, viewFeature } from '../state/view.feature';
import { STAGES } from './keys';

const NEXT_UNIT: Readonly<Record<LengthUnit, LengthUnit>> = { mm: 'fraction', fraction: 'inch', inch: 'thou', thou: 'mm' };

/** The keyboard's reach over the whole application; typing in a field is left alone. */
@Injectable({ providedIn: 'root' })
export class Shortcuts {
  private readonly router = inject(Router);
  private readonly dialog = inject(MatDialog);
  private readonly store = inject(Store);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  private going = false;

  constructor() {
    const document = inject(DOCUMENT);
    const listen = (event: KeyboardEvent): void => this.take(event);
    document.addEventListener('keydown', listen);
    inject(DestroyRef).onDestroy(() => document.removeEventListener('keydown', listen));
  }

  showMap(): void {
    void import('./key-map').then((m) => this.dialog.open(m.KeyMap, { autoFocus: 'dialog', restoreFocus: true }));
  }

  private take(event: KeyboardEvent): void {
    const target = event.target as HTMLElement | null;
    if (event.ctrlKey || event.altKey || event.metaKey || target?.closest('input, textarea, select, [role=combobox], [contenteditable]')) return;
    if (this.dialog.openDialogs.length > 0) return;
    const going = this.going;
    this.going = false;
    if (going) this.go(event.key);
    else if (event.key === 'g') this.going = true;
    else if (event.key === '?') this.showMap();
    else if (event.key === 'u') this.store.dispatch(viewActions.chooseUnit({ unit: NEXT_UNIT[this.unit()] }));
  }

  private go(key: string): void {
    if (key === 'i') void this.router.navigateByUrl('/instruments');
    if (key === 'h') void this.router.navigateByUrl('/shop');
    if (key === 'p') void this.router.navigateByUrl('/shelf');
    const stage = STAGES.find((s) => s.key === key);
    const instrument = /^\/i\/([^/]+)/.exec(this.router.url)?.[1];
    if (stage && instrument) void this.router.navigate(['/i', instrument, stage.path]);
  }
}
