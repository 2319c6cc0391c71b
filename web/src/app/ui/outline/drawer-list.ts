import { ChangeDetectionStrategy, Component, computed, inject, model, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Store } from '@ngrx/store';
import type { DrawingSource, KeptOutline } from '@rinnovo/contract';
import { recognise, pathData, viewBoxOf } from '@rinnovo/core/shape';
import { lengthText } from '@rinnovo/words';
import { firstValueFrom } from 'rxjs';
import { problemText } from '../../api/problem-of';
import { attempt } from '../attempt';
import { Api } from '../../api/api';
import { outlines, WORKSHOP } from '../../state/resources';
import { viewFeature } from '../../state/view.feature';
import { saveFile } from '../../ui/save-file';

/** The outlines in the drawer, one of them chosen; what is put away can be brought back at once. */
@Component({
  selector: 'rn-drawer-list',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (held().status === 'loading' && rows().length === 0) {
      <p role="status">Opening the drawer …</p>
    }
    @if (held().problem; as p) {
      <p class="problem" role="alert">{{ said(p) }}</p>
    }
    <div class="found" role="radiogroup" aria-label="Outlines in the drawer">
      @for (r of rows(); track r.of.id) {
        <button type="button" role="radio" [attr.aria-checked]="chosen()?.id === r.of.id" (click)="chosen.set(r.of)">
          <svg [attr.viewBox]="r.box" aria-hidden="true"><path [attr.d]="r.d" /></svg>
          <strong>{{ r.of.name }}</strong>
          <span class="number">{{ r.size }}</span>
        </button>
      }
    </div>
    @if (rows().length === 0 && held().status === 'ready') {
      <p>The drawer is empty. Save an outline here when you import or draw it.</p>
    }
    @if (chosen(); as c) {
      <p class="acts">
        @if (c.file; as file) {
          <button matButton type="button" (click)="drawing(c)">Drawing {{ file }}</button>
        }
        <button matButton type="button" (click)="put(c, true)">Archive {{ c.name }}</button>
      </p>
    }
    @if (archived(); as a) {
      <p role="status">{{ a.name }} archived. <button matButton="outlined" type="button" (click)="put(a, false)">Restore outline</button></p>
    }
    @if (problem(); as text) {
      <p class="problem" role="alert">{{ text }}</p>
    }
  `,
  styleUrl: './outline-dialog.scss',
})
export class DrawerList {
  readonly chosen = model<KeptOutline | null>(null);
  private readonly store = inject(Store);
  private readonly api = inject(Api);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  protected readonly held = this.store.selectSignal(outlines.select);
  protected readonly said = problemText;
  protected readonly archived = signal<KeptOutline | null>(null);
  private readonly attempt = attempt();
  protected readonly problem = this.attempt.problem;
  protected readonly rows = computed(() =>
    (this.held().data ?? []).map((of) => {
      const s = recognise(of.outline);
      const size = s.kind === 'circle' ? [s.width] : [s.width, s.height];
      return {
        of,
        d: pathData(of.outline),
        box: viewBoxOf([of.outline], Math.max(...size) / 20),
        size: size.map((mm) => lengthText(mm, this.unit())).join(' × '),
      };
    }),
  );

  constructor() {
    this.store.dispatch(outlines.load({ of: WORKSHOP }));
  }

  protected async put(o: KeptOutline, archived: boolean): Promise<void> {
    await this.attempt.run(async () => {
      const { body } = await firstValueFrom(this.api.change<KeptOutline>(`/outlines/${o.id}/archived`, o.version, { archived }));
      this.archived.set(archived ? body : null);
      this.chosen.set(archived ? null : body);
      this.store.dispatch(outlines.load({ of: WORKSHOP }));
    });
  }

  protected async drawing(o: KeptOutline): Promise<void> {
    await this.attempt.run(async () => {
      const { body } = await firstValueFrom(this.api.get<DrawingSource>(`/outlines/${o.id}/source`));
      saveFile(body.text, body.file, body.kind === 'svg' ? 'image/svg+xml' : 'image/vnd.dxf');
    });
  }
}
