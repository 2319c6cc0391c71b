import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink } from '@angular/router';

@Component({
  selector: 'rn-not-here',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<main class="page">
    <h1>This page does not exist</h1>
    <p><a routerLink="/instruments">Open the instruments</a></p>
  </main>`,
  styles: `
    .page {
      padding: 2rem;
    }
  `,
})
export class NotHere {}
