import { ChangeDetectionStrategy, Component } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatDialogModule } from '@angular/material/dialog';
import { KEY_MAP } from './keys';

@Component({
  selector: 'rn-key-map',
  imports: [MatButtonModule, MatDialogModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Keyboard</h2>
    <mat-dialog-content tabindex="0" aria-label="Keyboard shortcuts" role="region">
      <table>
        <thead class="visually-hidden">
          <tr>
            <th scope="col">Key</th>
            <th scope="col">Action</th>
          </tr>
        </thead>
        <tbody>
          @for (line of lines; track line.keys) {
            <tr>
              <th scope="row">
                <kbd>{{ line.keys }}</kbd>
              </th>
              <td>{{ line.does }}</td>
            </tr>
          }
        </tbody>
      </table>
    </mat-dialog-content>
    <mat-dialog-actions align="end"><button matButton="filled" mat-dialog-close>Close</button></mat-dialog-actions>
  `,
  styles: `
    th {
      text-align: start;
      padding: 0.3rem 1.2rem 0.3rem 0;
      white-space: nowrap;
    }
    kbd {
      font: 600 1rem 'IBM Plex Sans';
    }
  `,
})
export class KeyMap {
  protected readonly lines = KEY_MAP;
}
