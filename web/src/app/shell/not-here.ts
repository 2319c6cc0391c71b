import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink } from '@angular/router';

@Component({
  selector: 'rn-not-here',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<main class="page">
    <h1>There is nothing at this address</h1>
    <p><a routerLink="/instruments">Go to the instruments</a></p>
  </main>`,
  styles: `
    .page {
      padding: 2rem;
    }
  `,
})
export class NotHere {}
