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
  edgeNear,
  featureOf,
  featuresOf,
  moveFeature,
  neckJointOf,
  solvePositions,
  type Anatomy,
  type Edge,
  type Face,
} from '@rinnovo/core/instrument';
import { featureChangeText } from '@rinnovo/words';
import { problemText } from '../../api/problem-of';
import { anatomyEditActions, anatomyEditFeature } from '../../state/anatomy-edit.feature';
import { anatomy, instrument } from '../../state/resources';
import { viewFeature } from '../../state/view.feature';
import { drawSide, frameOfSide } from '../../ui/draw-side';
import { drawAnatomy, drawLines, frameOfAnatomy, frameOfWhole, seenFrame, type DrawnPath } from '../../ui/drawing';
import type { ClickedLine, Move, PlanHandle, Pull, Snapper } from '../../ui/hand';
import type { Label } from '../../ui/labels';
import { PlanView } from '../../ui/plan-view';
import { AnatomyConflict } from './anatomy-conflict';
import { BuildForm } from './build-form';
import { DistancePanel } from './distance-panel';
import { DoubtPanel } from './doubt-panel';
import { edgeLine } from './edge-line';
import { ExportMenu } from './export-menu';
import { FeaturePanel } from './feature-panel';
import { handlesOn, pulledBy, snapperOf } from './hand-on-feature';
import { HistoryPanel } from './history-panel';
import { LAYERS, leftOut, type LayerId } from './map-layers';
import { PaperMap } from './paper-map';

/** What every offset on the map is counted from. */
const DATUM_LABEL: Label = { id: 'datum', text: 'datum', box: { minX: -4, maxX: 4, minY: -4, maxY: 4 } };

type Tab = 'features' | 'build' | 'distances' | 'doubts' | 'history';

/** What the instrument is, to scale: every feature with its place and sizes, moved by hand, keys, numbers or measured distances. */
@Component({
  selector: 'rn-anatomy-page',
  imports: [
    MatButtonModule,
    MatButtonToggleModule,
    MatMenuModule,
    PlanView,
    BuildForm,
    ExportMenu,
    PaperMap,
    FeaturePanel,
    DistancePanel,
    DoubtPanel,
    HistoryPanel,
    AnatomyConflict,
  ],
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
  private readonly one = this.store.selectSignal(instrument.select);
  private readonly joint = computed(() => {
    const { data } = this.one();
    return data && neckJointOf(data);
  });
  protected readonly doubts = computed(() => {
    const a = this.anatomy();
    return a ? doubtsOf(a, this.joint()) : [];
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
    const hidden = leftOut(this.out());
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
    return handlesOn(a, id);
  });
  protected readonly snapper = computed((): Snapper | null => {
    const a = this.anatomy();
    const f = this.feature();
    return a && f && this.isSeen() ? snapperOf(a, f) : null;
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
    const names = featuresOf(a)
      .filter((f) => shown.has(f.id) && (f.of.face === 'side') === side)
      .map((f) => ({ id: f.id, text: f.of.name, box: boundsOf(a, f) }));
    return side || this.out().has('strings') ? names : [...names, DATUM_LABEL];
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
    const stretched = pulledBy(a, selected, id, to);
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

/** Its place was neither traced nor read: only put there. */
function isStated(a: Anatomy, id: string): boolean {
  const f = featureOf(a, id);
  const basis = f?.kind === 'hole' ? f.of.basis : f?.kind === 'plate' ? f.of.outline.basis : f?.of.levels[0]?.outline.basis;
  return basis?.kind === 'stated' || basis?.kind === 'default';
}
