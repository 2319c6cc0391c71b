import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { Store } from '@ngrx/store';
import { circuitDifferences, presetCircuit, presetsFor, usualWish, type Circuit, type PickupElement } from '@rinnovo/core/wire';
import { differenceText, upperFirst } from '@rinnovo/words';
import { circuit as circuitResource } from '../../state/resources';
import { selectLeftHanded, selectNames } from '../../state/selectors';
import { WireCommands } from '../../state/wire-commands';
import { attempt } from '../../ui/attempt';

/** The circuit on the screen against another: as it was saved, an earlier revision, or one that is known by what it does. */
@Component({
  selector: 'rn-compare-circuits',
  imports: [MatFormFieldModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details class="panel">
      <summary>Compare this circuit</summary>
      <div class="fields">
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>The other circuit</mat-label>
          <mat-select [value]="chosen()" (valueChange)="choose($event)">
            <mat-option value="none">Nothing</mat-option>
            @for (r of revisions(); track r) {
              <mat-option [value]="'revision ' + r">Revision {{ r }}{{ r === held().version ? ', as saved' : '' }}</mat-option>
            }
            @for (p of presets(); track p.id) {
              <mat-option [value]="p.id">{{ title(p.id) }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
      </div>
      @if (problem(); as p) {
        <p class="problem" role="alert">{{ p }}</p>
      }
      @if (lines(); as all) {
        <ul class="rows" role="status">
          @for (l of all; track l) {
            <li>{{ l }}</li>
          } @empty {
            <li>No difference.</li>
          }
        </ul>
      }
    </details>
  `,
  styleUrl: './guided.scss',
})
export class CompareCircuits {
  readonly circuit = input.required<Circuit>();
  private readonly store = inject(Store);
  private readonly commands = inject(WireCommands);
  private readonly names = this.store.selectSignal(selectNames);
  private readonly leftHanded = this.store.selectSignal(selectLeftHanded);
  protected readonly held = this.store.selectSignal(circuitResource.select);
  private readonly attempt = attempt();
  protected readonly problem = this.attempt.problem;
  protected readonly title = upperFirst;
  protected readonly chosen = signal('none');
  private readonly earlier = signal<Circuit | null>(null);

  /** The newest first. */
  protected readonly revisions = computed(() => Array.from({ length: this.held().version ?? 0 }, (_, i) => (this.held().version ?? 0) - i));
  private readonly pickups = computed(() => this.circuit().elements.filter((e): e is PickupElement => e.kind === 'pickup'));
  protected readonly presets = computed(() => presetsFor(this.pickups()));
  private readonly other = computed((): Circuit | null => {
    const id = this.chosen();
    if (id.startsWith('revision ')) return this.earlier();
    const preset = this.presets().find((p) => p.id === id);
    return preset ? presetCircuit(preset.id, { ...usualWish(this.pickups()), leftHanded: this.leftHanded() }) : null;
  });
  protected readonly lines = computed(() => {
    const [other, now] = [this.other(), this.circuit()];
    return other && circuitDifferences(other, now).map((d) => differenceText(other, now, d, this.names()));
  });

  protected async choose(id: string): Promise<void> {
    this.chosen.set(id);
    this.earlier.set(null);
    const { of } = this.held();
    if (of === null || !id.startsWith('revision ')) return;
    const revision = Number(id.slice('revision '.length));
    await this.attempt.run(async () => {
      const found = await this.commands.revision(of, revision);
      if (this.chosen() === id) this.earlier.set(found);
    });
  }
}
