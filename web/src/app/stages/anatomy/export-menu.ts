import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatMenuModule } from '@angular/material/menu';
import { featureOf, layersOf, layersOfFeature, sideLayers, type Anatomy, type Face, type Layer } from '@rinnovo/core/instrument';
import { seenText } from '@rinnovo/words';
import { saveFile } from '../../ui/save-file';

/** The face that is looked at, or what is chosen on it, on paper and as drawing files in mm. */
@Component({
  selector: 'rn-export-menu',
  imports: [MatButtonModule, MatMenuModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button matButton type="button" [matMenuTriggerFor]="menu">Export drawing</button>
    <mat-menu #menu="matMenu">
      <button mat-menu-item type="button" (click)="print()">Print to scale</button>
      <button mat-menu-item type="button" (click)="save('svg', face(), view())">This face, SVG in mm</button>
      <button mat-menu-item type="button" (click)="save('dxf', face(), view())">This face, DXF in mm</button>
      <button mat-menu-item type="button" [disabled]="chosen().length === 0" (click)="save('svg', chosen(), selected() ?? '')">Selected feature, SVG</button>
      <button mat-menu-item type="button" [disabled]="chosen().length === 0" (click)="save('dxf', chosen(), selected() ?? '')">Selected feature, DXF</button>
    </mat-menu>
  `,
})
export class ExportMenu {
  readonly anatomy = input.required<Anatomy | null>();
  readonly view = input.required<Face | 'side'>();
  readonly selected = input.required<string | null>();

  protected readonly face = computed((): readonly Layer[] => {
    const [a, view] = [this.anatomy(), this.view()];
    if (!a) return [];
    return view === 'side' ? sideLayers(a) : layersOf(a, view);
  });
  /** The layers of what is chosen; none where its size is not known yet. */
  protected readonly chosen = computed(() => {
    const [a, id] = [this.anatomy(), this.selected()];
    return a && id !== null ? layersOfFeature(a, id) : [];
  });

  protected print(): void {
    window.print();
  }

  protected async save(kind: 'svg' | 'dxf', layers: readonly Layer[], name: string): Promise<void> {
    if (layers.length === 0) return;
    const { dxfFile, svgFile } = await import('@rinnovo/core/format');
    const title = this.seen(layers);
    const text = kind === 'svg' ? svgFile(layers, title) : dxfFile(layers, title);
    saveFile(text, `${name}${this.anatomy()?.handed === 'left' ? ', left-handed' : ''}.${kind}`, kind === 'svg' ? 'image/svg+xml' : 'image/vnd.dxf');
  }

  /** Whose hand a drawing is, and from where it is seen. */
  private seen(layers: readonly Layer[]): string {
    const [a, id] = [this.anatomy(), this.selected()];
    if (!a) return '';
    const own = layers === this.chosen() && id !== null ? (featureOf(a, id)?.of.face ?? 'top') : this.view();
    if (own === 'side') return `${a.handed}-handed, from the side`;
    return seenText({ handed: a.handed, face: own === 'back' || own === 'headstock back' ? 'back' : 'top', mirrored: false });
  }
}
