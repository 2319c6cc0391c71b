import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatSnackBar } from '@angular/material/snack-bar';
import { Store } from '@ngrx/store';
import { tool as toolSchema } from '@rinnovo/contract';
import { isMeasuring, type Tool, type ToolKind } from '@rinnovo/core/part';
import { TOOL_WORDS, toolText, dayOf } from '@rinnovo/words';
import { ShopCommands } from '../../state/shop-commands';
import { shop } from '../../state/resources';
import { attempt } from '../../ui/attempt';

const CUTTER = ['diameter', 'cuttingLength', 'reach'] as const;
const FIELDS: Readonly<Record<ToolKind, readonly string[]>> = {
  calliper: ['limit'],
  'depth gauge': ['limit'],
  rule: ['limit'],
  tape: ['limit'],
  boring: ['diameter', 'spur'],
  straight: CUTTER,
  template: [...CUTTER, 'bearing'],
  drills: ['from', 'to'],
  drill: ['diameter'],
  'step drill': ['from', 'to', 'step'],
  reamer: ['from', 'to'],
  countersink: ['diameter'],
  'plug cutter': ['diameter'],
  file: [],
};
const WORDS: Readonly<Record<string, string>> = {
  limit: 'Limit (± mm)',
  diameter: 'Diameter (mm)',
  spur: 'Spur (mm)',
  cuttingLength: 'Cutting length (mm)',
  reach: 'Reach (mm)',
  bearing: 'Bearing Ø (mm)',
  from: 'Smallest (mm)',
  to: 'Largest (mm)',
  step: 'Step (mm)',
};

/** What the shop works with: what measures, cutters with their lengths and bearings, drills and reamers, and when each was sharpened. */
@Component({
  selector: 'rn-tools-page',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="add($event)" novalidate aria-label="Add tool">
      <label
        >Kind
        <select (change)="begin($event)">
          @for (k of kinds; track k.id) {
            <option [value]="k.id" [selected]="k.id === kind()">{{ k.word }}</option>
          }
        </select>
      </label>
      <label>Name<input autocomplete="off" maxlength="120" [value]="name()" (input)="name.set(text($event))" /></label>
      @if (kind() === 'template' || kind() === 'straight') {
        <label
          >Cuts with its end
          <select (change)="end.set(text($event))">
            @for (e of ends; track e) {
              <option [value]="e" [selected]="e === end()">{{ e }}</option>
            }
          </select>
        </label>
      }
      @if (kind() === 'drills') {
        <label
          >System
          <select (change)="system.set(text($event))">
            @for (s of systems; track s) {
              <option [value]="s">{{ s }}</option>
            }
          </select>
        </label>
      }
      @for (f of fields(); track f) {
        <label>{{ word(f) }}<input class="short" inputmode="decimal" autocomplete="off" [value]="texts()[f] ?? ''" (input)="type(f, $event)" /></label>
      }
      <button matButton="filled" type="submit" [disabled]="busy()">Add tool</button>
      @if (problem(); as p) {
        <p class="problem" role="alert">{{ p }}</p>
      }
    </form>
    <table>
      <thead>
        <tr>
          <th scope="col">Tool</th>
          <th scope="col">Kind</th>
          <th scope="col">Sizes</th>
          <th scope="col">Sharpened</th>
          <th scope="col"><span class="visually-hidden">Actions</span></th>
        </tr>
      </thead>
      <tbody>
        @for (r of rows(); track r.tool.id) {
          <tr>
            <th scope="row">{{ r.tool.name }}</th>
            <td>{{ r.kind }}</td>
            <td class="number">{{ r.sizes }}</td>
            <td>{{ r.sharpened }}</td>
            <td>
              @if (!r.measures) {
                <button matButton type="button" [disabled]="busy()" [attr.aria-label]="r.tool.name + ' sharpened today'" (click)="sharpened(r.tool)">
                  Sharpened today
                </button>
                <button matButton type="button" [disabled]="busy()" [attr.aria-label]="'Archive ' + r.tool.name" (click)="remove(r.tool)">Archive tool</button>
              }
            </td>
          </tr>
        } @empty {
          <tr>
            <td colspan="5">No tools yet. Add a calliper first: every reading needs a tool.</td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styleUrl: './shop-table.scss',
})
export class ToolsPage {
  private readonly commands = inject(ShopCommands);
  private readonly toast = inject(MatSnackBar);
  private readonly held = inject(Store).selectSignal(shop.select);
  private readonly attempt = attempt();
  protected readonly busy = this.attempt.busy;
  protected readonly problem = this.attempt.problem;
  protected readonly kinds = (Object.keys(FIELDS) as ToolKind[]).map((id) => ({ id, word: TOOL_WORDS[id] }));
  protected readonly systems = ['metric', 'fraction', 'number', 'letter'];
  /** May it plunge? */
  protected readonly ends = ['unknown', 'yes', 'no'];
  protected readonly end = signal('unknown');
  protected readonly kind = signal<ToolKind>('drills');
  protected readonly system = signal('metric');
  protected readonly name = signal('');
  protected readonly texts = signal<Readonly<Record<string, string>>>({});
  protected readonly fields = computed(() => FIELDS[this.kind()]);
  protected readonly rows = computed(() =>
    (this.held().data?.tools ?? [])
      .map((tool) => ({
        tool,
        kind: TOOL_WORDS[tool.kind],
        sizes: toolText(tool),
        measures: isMeasuring(tool),
        sharpened: isMeasuring(tool) ? '' : (tool.sharpened ?? 'unknown'),
      }))
      .sort((a, b) => a.kind.localeCompare(b.kind) || a.tool.name.localeCompare(b.tool.name)),
  );

  protected text(event: Event): string {
    return (event.target as HTMLInputElement | HTMLSelectElement).value;
  }

  protected word(field: string): string {
    return WORDS[field] ?? field;
  }

  protected begin(event: Event): void {
    this.kind.set(this.text(event) as ToolKind);
  }

  protected type(field: string, event: Event): void {
    const text = this.text(event);
    this.texts.update((t) => ({ ...t, [field]: text }));
  }

  protected async add(event: Event): Promise<void> {
    event.preventDefault();
    const sizes = this.fields().flatMap((f) => {
      const text = (this.texts()[f] ?? '').trim().replace(',', '.');
      return f === 'bearing' && text === '' ? [] : [[f, text === '' ? NaN : Number(text)] as const];
    });
    const wrong = sizes.find(([, mm]) => !Number.isFinite(mm) || mm < 0);
    if (this.name().trim() === '' || wrong) {
      this.problem.set(wrong ? `‘${this.texts()[wrong[0]] ?? ''}’ is out of range: ${this.word(wrong[0])}.` : 'A tool needs a name.');
      return;
    }
    const tool = {
      id: crypto.randomUUID(),
      kind: this.kind(),
      name: this.name().trim(),
      ...Object.fromEntries(sizes),
      ...(this.kind() === 'drills' ? { system: this.system() } : {}),
      ...(['template', 'straight'].includes(this.kind()) && this.end() !== 'unknown' ? { endCutting: this.end() === 'yes' } : {}),
    } as Tool;
    const { error } = toolSchema.validate(tool, { convert: false });
    if (error) {
      this.problem.set(`${error.message}.`);
      return;
    }
    if (!(await this.attempt.run(() => this.commands.keepTool(tool, null)))) return;
    this.name.set('');
    this.texts.set({});
  }

  protected async sharpened(tool: Tool): Promise<void> {
    if (isMeasuring(tool)) return;
    await this.attempt.run(() => this.commands.keepTool({ ...tool, sharpened: dayOf(new Date().toISOString()) }, this.versionOf(tool)));
  }

  protected async remove(tool: Tool): Promise<void> {
    const version = this.versionOf(tool);
    if (version === null || !(await this.attempt.run(() => this.commands.removeTool(tool, version)))) return;
    const said = this.toast.open(`${tool.name} archived`, 'Undo', { duration: 8000 });
    said.onAction().subscribe(() => void this.attempt.run(() => this.commands.keepTool(tool, null)));
  }

  private versionOf(tool: Tool): number | null {
    return this.held().data?.toolVersions[tool.id] ?? null;
  }
}
