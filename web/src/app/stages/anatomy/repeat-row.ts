import { ChangeDetectionStrategy, Component, inject, output, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { MM_PER_INCH } from '@rinnovo/core/measure';
import { viewFeature } from '../../state/view.feature';
import { LengthField } from '../../ui/length-field';

/** A row of copies: how many, how far apart, mm, and which way. */
export interface Row {
  readonly count: number;
  readonly step: number;
  readonly along: boolean;
}

/** Asks for a row of copies of something. */
@Component({
  selector: 'rn-repeat-row',
  imports: [LengthField, MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form [formGroup]="form" (ngSubmit)="ask()" novalidate aria-label="Row of copies">
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Copies in a row</mat-label>
        <input matInput inputmode="numeric" autocomplete="off" formControlName="count" />
      </mat-form-field>
      <rn-length-field label="Spacing of a row" formControlName="step" [min]="-1200" [max]="1200" />
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Direction</mat-label>
        <mat-select formControlName="along">
          <mat-option [value]="true">along</mat-option>
          <mat-option [value]="false">across</mat-option>
        </mat-select>
      </mat-form-field>
      <button matButton="outlined" type="submit">Repeat</button>
      @if (refused()) {
        <p class="problem" role="alert">Type 1 to 24 copies and a spacing: 25, 1in or 10.5</p>
      }
    </form>
  `,
  styles: `
    form {
      display: grid;
      grid-template-columns: repeat(3, minmax(0, 1fr)) auto;
      gap: 0.3rem 0.5rem;
      align-items: start;
      padding: 0 0.75rem 0.5rem;
    }
    button {
      margin-block-start: 0.4rem;
    }
    .problem {
      grid-column: 1 / -1;
    }
  `,
})
export class RepeatRow {
  readonly wanted = output<Row>();
  private readonly unit = inject(Store).selectSignal(viewFeature.selectUnit);
  protected readonly form = new FormGroup({
    count: new FormControl('5', { nonNullable: true, validators: [Validators.required, Validators.pattern(/^\s*([1-9]|1\d|2[0-4])\s*$/)] }),
    step: new FormControl<number | null>(this.unit() === 'mm' ? 25 : MM_PER_INCH, Validators.required),
    along: new FormControl(true, { nonNullable: true }),
  });
  protected readonly refused = signal(false);

  protected ask(): void {
    const { count, step, along } = this.form.getRawValue();
    const refused = this.form.invalid || step === null || step === 0;
    this.refused.set(refused);
    if (!refused) this.wanted.emit({ count: Number(count), step, along });
  }
}
