import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Store } from '@ngrx/store';
import { lugKey, lugsOf, toTrace, type Circuit, type Joint, type Lug } from '@rinnovo/core/wire';
import { elementName, lugName } from '@rinnovo/words';
import { selectNames } from '../../state/selectors';

/** Tracing what is there: one lug, then the lug that its wire goes to. */
@Component({
  selector: 'rn-trace-lugs',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './trace-lugs.html',
  styleUrl: './trace-lugs.scss',
})
export class TraceLugs {
  readonly circuit = input.required<Circuit>();
  readonly traced = output<Circuit>();
  private readonly names = inject(Store).selectSignal(selectNames);
  private readonly from = signal<Lug | null>(null);

  private readonly open = computed(() => new Set(toTrace(this.circuit()).map(lugKey)));
  protected readonly count = computed(() => {
    const all = this.circuit().elements.reduce((n, e) => n + lugsOf(e).length, 0);
    return { all, traced: all - this.open().size };
  });
  /** Everything that the chosen lug hangs together with by wires. */
  private readonly together = computed(() => {
    const from = this.from();
    const found = new Set(from ? [lugKey(from)] : []);
    for (let before = 0; before !== found.size;) {
      before = found.size;
      for (const { a, b } of this.circuit().joints) if (found.has(lugKey(a)) !== found.has(lugKey(b))) found.add(lugKey(a)).add(lugKey(b));
    }
    return found;
  });
  protected readonly cards = computed(() => {
    const circuit = this.circuit();
    const bare = new Set(circuit.bare.map(lugKey));
    const from = this.from();
    return circuit.elements.map((e) => ({
      id: e.id,
      name: elementName(e, this.names()),
      lugs: lugsOf(e).map((name) => {
        const lug: Lug = { element: e.id, lug: name };
        const key = lugKey(lug);
        const chosen = from !== null && lugKey(from) === key;
        const state = chosen
          ? 'chosen'
          : this.together().has(key)
            ? 'joined to it'
            : this.open().has(key)
              ? 'not traced'
              : bare.has(key)
                ? 'nothing on it'
                : 'traced';
        return { lug, key, name, state, mark: MARKS[state], title: lugName(circuit, lug, this.names()) };
      }),
    }));
  });
  protected readonly chosen = computed(() => {
    const from = this.from();
    if (!from) return null;
    const circuit = this.circuit();
    const joints = circuit.joints.filter(({ a, b }) => [a, b].some((l) => lugKey(l) === lugKey(from)));
    return {
      title: lugName(circuit, from, this.names()),
      bare: circuit.bare.some((l) => lugKey(l) === lugKey(from)),
      joints: joints.map((joint) => ({ joint, to: lugName(circuit, lugKey(joint.a) === lugKey(from) ? joint.b : joint.a, this.names()) })),
    };
  });

  /** The first lug is chosen, the second is joined to it; the same again is let go. */
  protected take(lug: Lug): void {
    const from = this.from();
    if (!from) {
      this.from.set(lug);
      return;
    }
    this.from.set(null);
    if (lugKey(from) === lugKey(lug)) return;
    const circuit = this.circuit();
    const ends = [lugKey(from), lugKey(lug)];
    if (circuit.joints.some((j) => ends.includes(lugKey(j.a)) && ends.includes(lugKey(j.b)))) return;
    this.traced.emit({ ...circuit, joints: [...circuit.joints, { a: from, b: lug }], bare: circuit.bare.filter((l) => !ends.includes(lugKey(l))) });
  }

  protected nothing(): void {
    const from = this.from();
    const circuit = this.circuit();
    if (!from || circuit.bare.some((l) => lugKey(l) === lugKey(from))) return;
    this.from.set(null);
    this.traced.emit({ ...circuit, bare: [...circuit.bare, from] });
  }

  protected part(joint: Joint): void {
    const circuit = this.circuit();
    this.traced.emit({ ...circuit, joints: circuit.joints.filter((j) => j !== joint) });
  }

  protected letGo(): void {
    this.from.set(null);
  }
}

const MARKS = { chosen: '●', 'joined to it': '◉', 'not traced': '?', 'nothing on it': '–', traced: '○' } as const;
