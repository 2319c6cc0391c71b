import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MAT_DIALOG_DATA, MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import { SecondReading, type BlindData } from './second-reading';

/** A second reading with nothing else on the screen: where the page would show the first. */
@Component({
  selector: 'rn-blind-reading',
  imports: [MatDialogModule, SecondReading],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Second reading: {{ data.title }}</h2>
    <mat-dialog-content><rn-second-reading [data]="data" (left)="dialog.close()" /></mat-dialog-content>
  `,
})
export class BlindReading {
  protected readonly data = inject<BlindData>(MAT_DIALOG_DATA);
  protected readonly dialog = inject<MatDialogRef<BlindReading>>(MatDialogRef);
}
