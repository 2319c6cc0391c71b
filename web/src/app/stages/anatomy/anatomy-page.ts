import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { MatMenuModule } from '@angular/material/menu';
import { Store } from '@ngrx/store';
import {
  blankAnatomy,
  boundsOf,
  compareFeatures,
  doubtsOf,
  edgeAt,
  edgeNear,
  featureOf,
  featuresOf,
  handlesOf,
  layersOf,
  layersOfFeature,
  sideLayers,
  type Layer,
  moveFeature,
  snap,
  snapLines,
  solvePositions,
  stretchFeature,
  type Anatomy,
  type Edge,
  type Face,
} from '@rinnovo/core/instrument';
import { featureChangeText } from '@rinnovo/words';
import { problemText } from '../../api/api';
import { anatomyEditActions, anatomyEditFeature } from '../../state/anatomy-edit.feature';
import { anatomy } from '../../state/resources';
import { viewFeature } from '../../state/view.feature';
import { drawSide, frameOfSide } from '../../ui/draw-side';
import { drawAnatomy, drawLines, frameOfAnatomy, frameOfWhole, seenFrame, type DrawnPath, type LineKind } from '../../ui/drawing';
import { PlanView, type ClickedLine, type Move, type PlanHandle, type Pull, type Snapper } from '../../ui/plan-view';
import { saveFile } from '../../ui/save-file';
import { AnatomyConflict } from './anatomy-conflict';
import { BuildForm } from './build-form';
import { DistancePanel } from './distance-panel';
import { DoubtPanel } from './doubt-panel';
import { FeaturePanel } from './feature-panel';
import { HistoryPanel } from './history-panel';

type Tab = 'features' | 'build' | 'distances' | 'doubts' | 'history';

/** Scales of a drawing, one to so many [std: ISO 5455, from memory]. */
const SCALES = [1, 2, 5] as const;

/** What is left of A4 and of Letter between their margins and below the words, mm. */
const SHEET = { width: 180, height: 225 };

type LayerId = 'names' | 'plates' | 'board' | 'strings' | 'holes' | 'below';

const LAYERS: readonly { readonly id: LayerId; readonly name: string; readonly kinds: readonly LineKind[] }[] = [
  { id: 'names', name: 'Names', kinds: [] },
  { id: 'plates', name: 'Plates and hardware', kinds: ['plate', 'opening', 'insert', 'screw'] },
  { id: 'board', name: 'Fingerboard', kinds: ['board', 'fret'] },
  { id: 'strings', name: 'Strings and centre line', kinds: [] },
  { id: 'holes', name: 'Holes', kinds: ['hole'] },
  { id: 'below', name: 'Features of the other face', kinds: ['hidden'] },
];

/** What the instrument is, to scale: every feature with its place and sizes, moved by hand, keys, numbers or measured distances. */
@Component({
  selector: 'rn-anatomy-page',
  imports: [MatButtonModule, MatButtonToggleModule, MatMenuModule, PlanView, BuildForm, FeaturePanel, DistancePanel, DoubtPanel, HistoryPanel, AnatomyConflict],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './anatomy-page.html',
  styleUrl: './anatomy-page.scss',
  host: { '(document:keydown)': 'keys($event)' },
})
export class AnatomyPage {
  private readonly store = inject(Store);
  private readonly held = this.store.selectSignal(anatomy.select);
  private readonly unit = this.store.selectSignal(viewFeature.selectUnit);
  protected readonly edit = this.store.selectSignal(anatomyEditFeature.selectAnatomyEditState);

  protected readonly view = signal<Face | 'side'>('top');
  /** The face whose features are seen and added; from the side those of the top. */
  protected readonly face = computed((): Face => {
    const view = this.view();
    return view === 'side' ? 'top' : view;
  });
  protected readonly whole = signal(false);
  protected readonly tab = signal<Tab>('features');
  /** What is left out of the map, to see what lies below. */
  protected readonly out = signal<ReadonlySet<LayerId>>(new Set());
  protected readonly layers = LAYERS;
  protected readonly selected = signal<string | null>(null);
  /** An earlier state laid over the present one. */
  protected readonly compared = signal<{ readonly revision: number; readonly document: Anatomy } | null>(null);

  protected readonly anatomy = computed(() => this.edit().draft ?? this.held().data?.now.document ?? null);
  protected readonly doubts = computed(() => {
    const a = this.anatomy();
    return a ? doubtsOf(a) : [];
  });
  protected readonly open = computed(() => this.doubts().filter((d) => !d.insisted).length);
  protected readonly mirrored = computed(() => this.view() !== 'side' && (this.anatomy()?.handed === 'left') !== (this.view() === 'back'));
  private readonly feature = computed(() => {
    const a = this.anatomy();
    const id = this.selected();
    return a && id !== null ? featureOf(a, id) : null;
  });
  private readonly loose = computed(() => {
    const a = this.anatomy();
    if (!a || a.distances.length === 0) return new Set<string>();
    const { across, along } = solvePositions(a).undetermined;
    return new Set([...across, ...along].filter((id) => isStated(a, id)));
  });
  protected readonly drawn = computed(() => {
    const a = this.anatomy();
    if (!a) return [];
    const loose = this.loose();
    const out = this.out();
    const hidden = new Set(LAYERS.filter((l) => out.has(l.id)).flatMap((l) => l.kinds));
    return this.draw(a)
      .filter((p) => !hidden.has(p.kind))
      .map((p) => (loose.has(owner(p.id)) ? { ...p, loose: true } : p));
  });
  /** Does what is chosen lie on the face that is looked at, headstock and board with the body's? */
  private readonly isSeen = computed(() => {
    const f = this.feature();
    return f !== null && this.draw(this.anatomy() ?? blankAnatomy()).some((p) => owner(p.id) === f.id && p.kind !== 'hidden');
  });
  private draw(a: Anatomy): readonly DrawnPath[] {
    const view = this.view();
    return view === 'side' ? drawSide(a) : drawAnatomy(a, view);
  }
  private readonly isSelected = (p: DrawnPath): boolean => {
    const f = this.feature();
    if (!f) return false;
    const inside = f.kind === 'plate' ? f.of.openings.flatMap((o) => [o.id, o.insert?.id ?? '']) : [];
    return owner(p.id) === f.id || inside.includes(p.id);
  };
  protected readonly paths = computed(() => [...this.drawn().filter((p) => !this.isSelected(p)), ...this.over()]);
  /** How the chosen feature would be while the hand pulls one of its handles. */
  private readonly preview = signal<Anatomy | null>(null);
  protected readonly moving = computed(() => {
    const preview = this.preview();
    return (preview ? this.draw(preview) : this.drawn()).filter((p) => this.isSelected(p)).map((p) => ({ ...p, chosen: true }));
  });
  protected readonly handles = computed((): readonly PlanHandle[] => {
    const a = this.preview() ?? this.anatomy();
    const id = this.selected();
    if (!a || id === null || !this.isSeen()) return [];
    const f = featureOf(a, id);
    if (!f) return [];
    const b = boundsOf(a, f);
    const room = Math.min(b.maxX - b.minX, b.maxY - b.minY);
    return handlesOf(a, id).map(({ across, along, at }) => ({ ...at, id: `${across} ${along}`, title: 'Drag to resize', room }));
  });
  protected readonly snapper = computed((): Snapper | null => {
    const a = this.anatomy();
    const f = this.feature();
    if (!a || !f || !this.isSeen()) return null;
    const lines = snapLines(a, f.of.face, f.id);
    const b = boundsOf(a, f);
    return {
      move: (to, reach) => {
        const across = snap([b.minX + to.x, (b.minX + b.maxX) / 2 + to.x, b.maxX + to.x], lines.across, reach);
        const along = snap([b.minY + to.y, (b.minY + b.maxY) / 2 + to.y, b.maxY + to.y], lines.along, reach);
        return { to: { ...to, x: to.x + across.by, y: to.y + along.by }, across: across.line, along: along.line };
      },
      pull: (handle, to, reach) => {
        const [sideAcross, sideAlong] = sides(handle);
        const across = snap(sideAcross === 0 ? [] : [to.x], lines.across, reach);
        const along = snap(sideAlong === 0 ? [] : [to.y], lines.along, reach);
        return { to: { x: to.x + across.by, y: to.y + along.by }, across: across.line, along: along.line };
      },
    };
  });
  protected readonly labels = computed(() => {
    const a = this.anatomy();
    if (!a || this.out().has('names')) return [];
    const side = this.view() === 'side';
    const shown = new Set(
      this.drawn()
        .filter((p) => p.kind !== 'hidden')
        .map((p) => owner(p.id)),
    );
    return featuresOf(a)
      .filter((f) => shown.has(f.id) && (f.of.face === 'side') === side)
      .map((f) => ({ id: f.id, text: f.of.name, box: boundsOf(a, f) }));
  });
  /** Between which edges is measured: chosen from lists or with a finger on the drawing. */
  protected readonly axis = signal<'across' | 'along'>('along');
  protected readonly from = signal<Edge>({ of: 'pocket mouth', side: 'middle' });
  protected readonly to = signal<Edge>({ of: '', side: 'middle' });
  private readonly next = signal<'from' | 'to'>('from');
  private readonly edges = computed((): readonly DrawnPath[] => {
    const a = this.anatomy();
    if (!a || this.tab() !== 'distances') return [];
    return [this.from(), this.to()].flatMap((edge, i) => edgeLine(a, edge, this.axis(), i === 0 ? 'Set as start' : 'Set as end'));
  });
  /** A new rest position each time the anatomy changes: what was dragged is then part of it. */
  protected readonly at = computed(() => {
    this.anatomy();
    return { x: 0, y: 0, turn: 0 };
  });
  protected readonly frame = computed(() => {
    const a = this.anatomy();
    if (!a) return { x: 0, y: 0, width: 100, height: 100 };
    const f = this.view() === 'side' ? frameOfSide(a) : this.whole() ? frameOfWhole(a) : frameOfAnatomy(a);
    return seenFrame(f, this.mirrored());
  });
  protected readonly lines = computed(() => {
    const a = this.anatomy();
    if (this.view() === 'side') return [];
    return [...(a && !this.out().has('strings') ? drawLines(a, this.frame()) : []), ...this.edges()];
  });
  protected readonly changes = computed(() => {
    const a = this.anatomy();
    const c = this.compared();
    return a && c ? compareFeatures(c.document, a).map((x) => ({ ...x, text: featureChangeText(x, this.unit()) })) : [];
  });
  protected readonly saving = computed(() => {
    const { saving, problem } = this.edit();
    if (saving === 'refused') return problem ? `Not saved: ${problemText(problem)}` : 'Not saved: two versions';
    return { saved: `revision ${this.held().data?.now.revision ?? 0}`, waiting: 'unsaved …', sending: 'saving …' }[saving];
  });

  /** How large the map is on a sheet: at the first scale that fits. */
  protected readonly paper = computed(() => {
    const { width, height } = this.frame();
    const scale = SCALES.find((s) => width / s <= SHEET.width && height / s <= SHEET.height) ?? 10;
    return { scale, width: width / scale, height: height / scale };
  });

  protected print(): void {
    window.print();
  }

  protected toggleLayer(id: LayerId): void {
    this.out.update((o) => new Set(o.has(id) ? [...o].filter((x) => x !== id) : [...o, id]));
  }

  protected choose({ id, at }: ClickedLine): void {
    const a = this.anatomy();
    if (!a) return;
    const clicked = a.plates.find((p) => p.openings.some((o) => o.id === id || o.insert?.id === id))?.id ?? owner(id);
    if (this.tab() === 'distances' && this.view() !== 'side') {
      this[this.next()].set(edgeNear(a, featureOf(a, clicked) ? clicked : null, this.axis(), at));
      this.next.set(this.next() === 'from' ? 'to' : 'from');
      return;
    }
    if (!featureOf(a, clicked)) return;
    this.selected.set(clicked);
    this.tab.set('features');
  }

  protected pull({ id, to, dropped }: Pull): void {
    const a = this.anatomy();
    const selected = this.selected();
    if (!a || selected === null || !featureOf(a, selected)) return;
    if (to === null) {
      this.preview.set(null);
      return;
    }
    const [across, along] = sides(id);
    const stretched = stretchFeature(a, selected, { across, along }, to);
    this.preview.set(dropped ? null : stretched);
    if (dropped) this.change(stretched);
  }

  protected moved(move: Move): void {
    const a = this.anatomy();
    const id = this.selected();
    if (move.dropped && a && id !== null && featureOf(a, id)) this.change(moveFeature(a, id, move.to.x, move.to.y));
  }

  protected change(to: Anatomy): void {
    const from = this.anatomy();
    const { of } = this.held();
    if (from && of !== null && to !== from) this.store.dispatch(anatomyEditActions.edited({ of, from, to }));
  }

  /** The layers of what is chosen; none where its size is not known yet. */
  protected readonly chosenLayers = computed(() => {
    const [a, id] = [this.anatomy(), this.selected()];
    return a && id !== null ? layersOfFeature(a, id) : [];
  });

  /** The face that is looked at as a drawing file. */
  protected faceFile(kind: 'svg' | 'dxf'): Promise<void> {
    const a = this.anatomy();
    return this.drawing(kind, !a ? [] : this.view() === 'side' ? sideLayers(a) : layersOf(a, this.face()), this.view());
  }

  /** What is chosen as a drawing file. */
  protected chosenFile(kind: 'svg' | 'dxf'): Promise<void> {
    return this.drawing(kind, this.chosenLayers(), this.selected() ?? '');
  }

  private async drawing(kind: 'svg' | 'dxf', layers: readonly Layer[], name: string): Promise<void> {
    if (layers.length === 0) return;
    const { dxfFile, svgFile } = await import('@rinnovo/core/format');
    const text = kind === 'svg' ? svgFile(layers) : dxfFile(layers);
    saveFile(text, `${name}.${kind}`, kind === 'svg' ? 'image/svg+xml' : 'image/vnd.dxf');
  }

  protected undo(): void {
    const now = this.anatomy();
    if (now) this.store.dispatch(anatomyEditActions.undo({ now }));
  }

  protected redo(): void {
    const now = this.anatomy();
    if (now) this.store.dispatch(anatomyEditActions.redo({ now }));
  }

  protected keys(event: KeyboardEvent): void {
    if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z' || event.target instanceof HTMLInputElement) return;
    event.preventDefault();
    if (event.shiftKey) this.redo();
    else this.undo();
  }

  /** What an earlier state had elsewhere or more of. */
  private over(): readonly DrawnPath[] {
    const c = this.compared();
    if (!c) return [];
    const ids = new Set(this.changes().flatMap((x) => (x.kind === 'added' ? [] : [x.id])));
    return this.draw(c.document)
      .filter((p) => ids.has(owner(p.id)))
      .map((p) => ({ ...p, id: `before ${p.id}`, kind: 'gone' as const, title: `${p.title}, revision ${c.revision}` }));
  }
}

/** The feature that a drawn line belongs to. */
function owner(pathId: string): string {
  return pathId.split('/')[0] ?? pathId;
}

/** Which sides a handle pulls. */
function sides(handle: string): readonly [-1 | 0 | 1, -1 | 0 | 1] {
  const [across = 0, along = 0] = handle.split(' ').map((n) => Math.sign(Number(n)) as -1 | 0 | 1);
  return [across, along];
}

/** An edge to measure from, as a short line on the drawing; none while nothing is chosen. */
function edgeLine(a: Anatomy, edge: Edge, axis: 'across' | 'along', title: string): readonly DrawnPath[] {
  try {
    const at = edgeAt(a, edge, axis);
    const f = featureOf(a, edge.of);
    const b = f ? boundsOf(a, f) : frameOfAnatomy(a);
    const [low, high] =
      'minX' in b
        ? axis === 'across'
          ? [b.minY - 6, b.maxY + 6]
          : [b.minX - 6, b.maxX + 6]
        : axis === 'across'
          ? [b.y, b.y + b.height]
          : [b.x, b.x + b.width];
    const d = axis === 'across' ? `M${at} ${low}V${high}` : `M${low} ${at}H${high}`;
    return [{ id: `edge ${title}`, kind: 'edge', d, title }];
  } catch {
    return [];
  }
}

/** Its place was neither traced nor read: only put there. */
function isStated(a: Anatomy, id: string): boolean {
  const f = featureOf(a, id);
  const basis = f?.kind === 'hole' ? f.of.basis : f?.kind === 'plate' ? f.of.outline.basis : f?.of.levels[0]?.outline.basis;
  return basis?.kind === 'stated' || basis?.kind === 'default';
}
