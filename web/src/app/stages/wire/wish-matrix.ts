import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { Store } from '@ngrx/store';
import { heardIn, type CircuitWish, type PickupElement, type PickupVoice, type Together, type Voice, type WishRow } from '@rinnovo/core/wire';
import { elementName, rowText, voiceText } from '@rinnovo/words';
import { selectNames } from '../../state/selectors';

/** How a coil is said in a row. */
type Said = 'not heard' | 'heard' | 'turned round' | 'partly split';
const SIGN: Readonly<Record<Said, string>> = { 'not heard': '·', heard: '+', 'turned round': '−', 'partly split': '½' };

/** Positions by coils: what is heard in each, one way about or the other, and how it lies together. */
@Component({
  selector: 'rn-wish-matrix',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './wish-matrix.html',
  styleUrl: './wish-matrix.scss',
})
export class WishMatrix {
  readonly wish = input.required<CircuitWish>();
  readonly changed = output<CircuitWish>();
  private readonly names = inject(Store).selectSignal(selectNames);

  protected readonly pickups = computed(() =>
    this.wish()
      .elements.filter((e): e is PickupElement => e.kind === 'pickup')
      .map((p) => ({ p, name: elementName(p, this.names()) })),
  );
  /** A volume of all, past which a signal can go. */
  protected readonly hasMaster = computed(() =>
    this.wish().elements.some((e) => (e.kind === 'preamp' || e.does === 'volume') && this.wish().serves[e.id] === undefined),
  );
  /** Tones that serve no one pickup: they can act in some positions alone. */
  protected readonly tones = computed(() =>
    this.wish()
      .elements.filter((e) => e.kind === 'pot' && e.does === 'tone' && this.wish().serves[e.id] === undefined)
      .map((e) => ({ id: e.id, name: elementName(e, this.names()) })),
  );
  protected readonly rows = computed(() => {
    const [wish, names] = [this.wish(), this.names()];
    return wish.rows.map((row, i) => ({
      i,
      name: rowText(wish, row, names),
      text: voiceText(wish, row.voice, names),
      together: heardIn(row.voice).length > 1 ? row.voice.joined : null,
      direct: row.voice.direct,
      tones: this.tones().map((t) => ({ ...t, acts: !row.voice.direct && (row.voice.tones?.includes(t.id) ?? true) })),
      cells: this.pickups().map(({ p, name }) => ({
        id: p.id,
        coils: p.coils.map((c) => {
          const said = saidOf(row, p.id, c.name);
          return { name: c.name, said, sign: SIGN[said], label: `${rowText(wish, row, names)}, ${name}${p.coils.length > 1 ? `, ${c.name}` : ''}: ${said}` };
        }),
        joined: (voiceOf(row.voice, p.id)?.coils.length ?? 0) > 1 ? (voiceOf(row.voice, p.id)?.joined ?? 'series') : null,
      })),
    }));
  });

  /** Not heard, heard, turned round, and not heard again. */
  protected turn(i: number, pickup: string, coil: string): void {
    this.put(i, (v) => {
      const p = this.pickups().find((x) => x.p.id === pickup)?.p;
      const now = voiceOf(v, pickup) ?? { pickup, coils: [], joined: 'series', partly: null };
      const is = now.coils.find((c) => c.coil === coil);
      const others = now.coils.filter((c) => c.coil !== coil);
      const coils = is?.turned ? others : [...others, { coil, turned: is !== undefined }];
      const inOrder = p?.coils.flatMap((c) => coils.find((x) => x.coil === c.name) ?? []) ?? coils;
      return withVoice(
        v,
        { ...now, coils: inOrder, partly: null },
        this.pickups().map((x) => x.p.id),
      );
    });
  }

  protected lay(i: number, pickup: string, joined: Together): void {
    this.put(i, (v) => ({ ...v, pickups: v.pickups.map((p) => (p.pickup === pickup ? { ...p, joined: other(joined), partly: null } : p)) }));
  }

  protected together(i: number, joined: Together): void {
    this.put(i, (v) => ({ ...v, joined: other(joined) }));
  }

  protected past(i: number): void {
    this.put(i, (v) => ({ ...v, direct: !v.direct, tones: null }));
  }

  protected tone(i: number, id: string): void {
    this.put(i, (v) => {
      const all = this.tones().map((t) => t.id);
      const acting = v.tones ?? all;
      const next = acting.includes(id) ? acting.filter((t) => t !== id) : [...acting, id];
      return { ...v, tones: next.length === all.length ? null : next };
    });
  }

  private put(i: number, to: (v: Voice) => Voice): void {
    const wish = this.wish();
    this.changed.emit({ ...wish, rows: wish.rows.map((r, n) => (n === i ? { ...r, voice: to(r.voice) } : r)) });
  }
}

const other = (j: Together): Together => (j === 'series' ? 'parallel' : 'series');
const voiceOf = ({ pickups }: Voice, id: string): PickupVoice | undefined => pickups.find((p) => p.pickup === id);

function saidOf({ voice }: WishRow, pickup: string, coil: string): Said {
  const of = voiceOf(voice, pickup);
  const is = of?.coils.find((c) => c.coil === coil);
  if (!is) return 'not heard';
  return of?.partly === coil ? 'partly split' : is.turned ? 'turned round' : 'heard';
}

/** A voice with one pickup's in it, in the order of the pickups. */
function withVoice(v: Voice, is: PickupVoice, order: readonly string[]): Voice {
  const all = [...v.pickups.filter((p) => p.pickup !== is.pickup), is].filter((p) => p.coils.length > 0);
  return { ...v, pickups: all.toSorted((a, b) => order.indexOf(a.pickup) - order.indexOf(b.pickup)) };
}
