import { ChangeDetectionStrategy, Component } from '@angular/core';
import { IdentityForm } from './identity-form';
import { JobForm } from './job-form';
import { OwnersOfJob } from './owners-of-job';

/** Whose it is, what is known of it and how, and what is wanted. */
@Component({
  selector: 'rn-about-page',
  imports: [IdentityForm, JobForm, OwnersOfJob],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h1 class="visually-hidden">About this instrument</h1>
    <rn-identity-form class="panel" />
    <div class="panel">
      <rn-job-form />
      <rn-owners-of-job />
    </div>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
      gap: 0.75rem;
      height: 100%;
    }
    .panel {
      min-height: 0;
      overflow: auto;
      padding: 0.75rem 1rem;
    }
  `,
})
export class AboutPage {}
