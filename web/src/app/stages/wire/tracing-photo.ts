import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { dateTimeText } from '@rinnovo/words';
import { photographs } from '../../state/resources';

/** How large a picture can be shown, as a share of its frame. */
const ZOOMS = [1, 2, 4] as const;

/** A photograph beside the tracing: one of the instrument's, or one from this device that stays on it. */
@Component({
  selector: 'rn-tracing-photo',
  imports: [MatButtonModule, MatFormFieldModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="head">
      @if (kept().length > 0) {
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Photograph</mat-label>
          <mat-select [value]="chosen()" (valueChange)="chosen.set($event)">
            <mat-option value="none">None</mat-option>
            @for (p of kept(); track p.id) {
              <mat-option [value]="p.id">{{ p.word }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
      }
      <button matButton="outlined" type="button" (click)="input.click()">Open a photograph</button>
      <input #input type="file" accept="image/*" class="visually-hidden" aria-label="Photograph of the wiring" tabindex="-1" (change)="open($event)" />
      @if (source()) {
        <button matButton type="button" (click)="larger()">Zoom: {{ zoom() }}×</button>
        <button matButton type="button" (click)="close()">Close photograph</button>
      }
    </div>
    @if (refused(); as r) {
      <p class="problem" role="alert">{{ r }}</p>
    }
    @if (source(); as s) {
      <div class="frame" tabindex="0" role="region" aria-label="Photograph">
        <img [src]="s" alt="The wiring as photographed" [style.width.%]="zoom() * 100" (error)="broken()" />
      </div>
    }
  `,
  styles: `
    .head {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.5rem;
      padding: 0.4rem 1rem;
    }
    .frame {
      width: min(26rem, 90vw);
      max-height: 60vh;
      overflow: auto;
    }
    img {
      display: block;
      max-width: none;
    }
    p {
      margin: 0 1rem;
    }
  `,
})
export class TracingPhoto {
  private readonly all = inject(Store).selectSignal(photographs.select);
  protected readonly kept = computed(() => (this.all().data ?? []).map((p) => ({ id: p.id, word: dateTimeText(p.at) })));
  protected readonly chosen = signal('none');
  private readonly own = signal<string | null>(null);
  protected readonly zoom = signal<(typeof ZOOMS)[number]>(1);
  protected readonly refused = signal<string | null>(null);
  protected readonly source = computed(() => this.own() ?? (this.chosen() === 'none' ? null : `/api/photographs/${this.chosen()}/image`));

  protected open(event: Event): void {
    const field = event.target as HTMLInputElement;
    const file = field.files?.[0];
    field.value = '';
    if (!file) return;
    this.refused.set(null);
    const reader = new FileReader();
    reader.onload = () => this.own.set(typeof reader.result === 'string' ? reader.result : null);
    reader.readAsDataURL(file);
  }

  protected larger(): void {
    this.zoom.update((z) => ZOOMS[(ZOOMS.indexOf(z) + 1) % ZOOMS.length] ?? 1);
  }

  protected close(): void {
    this.own.set(null);
    this.chosen.set('none');
    this.refused.set(null);
  }

  protected broken(): void {
    this.close();
    this.refused.set('This is not a picture that can be shown.');
  }
}
