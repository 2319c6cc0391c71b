import { ChangeDetectionStrategy, Component, model, signal, viewChild } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import { MatFormFieldModule } from '@angular/material/form-field';
import type { Coarser } from '../state/commands';
import { LengthField } from './length-field';

/** What is missing where a reading is said to be less sure; null: nothing. */
export function coarserProblem(coarser: Coarser | null): string | null {
  if (!coarser) return null;
  if (!(coarser.limit > 0)) return 'Type by how much it may be off.';
  return coarser.why === '' ? 'Type why it is less sure.' : null;
}

/** A reading that is less sure than its tool: how far it may be off, and why. */
@Component({
  selector: 'rn-coarser-limit',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, LengthField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (open()) {
      <rn-length-field label="May be off by, ±" [text]="text()" (textChange)="type($event)" [min]="0" [max]="50" />
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Why</mat-label>
        <input matInput type="text" maxlength="200" autocomplete="off" [value]="why()" (input)="say($event)" />
      </mat-form-field>
      <button matButton type="button" (click)="close()">As sure as the tool</button>
    } @else {
      <button matButton type="button" (click)="begin()">Less sure than the tool</button>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem;
      align-items: end;
      margin-block-start: 0.5rem;
    }
    mat-form-field {
      flex: 1 1 12rem;
    }
  `,
})
export class CoarserLimit {
  /** null: as sure as the tool; NaN: its number is not one yet. */
  readonly coarser = model<Coarser | null>(null);
  protected readonly open = signal(false);
  protected readonly text = signal('');
  protected readonly why = signal('');
  private readonly field = viewChild(LengthField);

  /** From now on both are asked for. */
  protected begin(): void {
    this.open.set(true);
    this.tell();
  }

  protected type(text: string): void {
    this.text.set(text);
    this.tell();
  }

  protected say(event: Event): void {
    this.why.set((event.target as HTMLInputElement).value);
    this.tell();
  }

  protected close(): void {
    this.open.set(false);
    this.text.set('');
    this.why.set('');
    this.coarser.set(null);
  }

  private tell(): void {
    this.coarser.set({ limit: this.field()?.value() ?? NaN, why: this.why().trim() });
  }
}
