import { ChangeDetectionStrategy, Component, inject, signal, viewChild } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MAT_DIALOG_DATA, MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import type { MeasuringTool } from '@rinnovo/core/part';
import { QUANTITIES, type Target } from '@rinnovo/core/quantity';
import { problemOf, problemText } from '../../api/api';
import { Commands } from '../../state/commands';
import { LengthField } from '../../ui/length-field';

export interface BlindData {
  readonly instrument: string;
  readonly target: Target;
  readonly title: string;
  readonly tool: MeasuringTool;
}

/** A second reading with nothing else on the screen: first the tool is zeroed, then the value is typed. */
@Component({
  selector: 'rn-blind-reading',
  imports: [MatButtonModule, MatCheckboxModule, MatDialogModule, LengthField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Measure again: {{ data.title }}</h2>
    <mat-dialog-content>
      <p>The first value is hidden until this one is kept. Lift the tool off, zero it, and measure as if for the first time.</p>
      <mat-checkbox [checked]="session() !== null" [disabled]="session() !== null || busy()" (change)="begin()">{{ data.tool.name }} is zeroed</mat-checkbox>
      @if (session() !== null) {
        <rn-length-field label="Second reading" [(text)]="text" [min]="range.min" [max]="range.max" [refusal]="refusal()" (entered)="keep()" />
      }
      @if (problem(); as text) {
        <p class="problem" role="alert">{{ text }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button matButton type="button" (click)="leave()">Not now</button>
      <button matButton="filled" type="button" [disabled]="session() === null || busy()" (click)="keep()">Keep the second reading</button>
    </mat-dialog-actions>
  `,
  styles: `
    p {
      margin-block-end: 1rem;
      max-width: 44rem;
    }
    rn-length-field {
      max-width: 24rem;
      margin-block-start: 1rem;
    }
  `,
})
export class BlindReading {
  protected readonly data = inject<BlindData>(MAT_DIALOG_DATA);
  private readonly dialog = inject<MatDialogRef<BlindReading, string>>(MatDialogRef);
  private readonly commands = inject(Commands);
  private readonly field = viewChild(LengthField);
  protected readonly session = signal<string | null>(null);
  protected readonly text = signal('');
  protected readonly busy = signal(false);
  protected readonly refusal = signal<string | null>(null);
  protected readonly problem = signal<string | null>(null);
  protected readonly range = QUANTITIES[this.data.target.quantity];

  protected async begin(): Promise<void> {
    await this.run(async () => this.session.set(await this.commands.beginBlind(this.data.instrument, this.data.target, this.data.tool.id)));
  }

  protected async keep(): Promise<void> {
    const value = this.field()?.value() ?? null;
    if (value === null) {
      this.refusal.set('Type what the tool says');
      return;
    }
    await this.run(async () => {
      const typed = { value, raw: this.text().trim(), tool: this.data.tool };
      this.dialog.close(await this.commands.takeReading(this.data.instrument, this.data.target, typed, this.session()));
    });
  }

  protected async leave(): Promise<void> {
    const session = this.session();
    if (session !== null) await this.run(() => this.commands.endBlind(this.data.instrument, session));
    this.dialog.close();
  }

  private async run(act: () => Promise<void>): Promise<void> {
    this.busy.set(true);
    this.problem.set(null);
    try {
      await act();
    } catch (error) {
      this.problem.set(problemText(problemOf(error)));
    } finally {
      this.busy.set(false);
    }
  }
}
