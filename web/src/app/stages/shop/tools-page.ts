import { ChangeDetectionStrategy, Component, computed, inject, signal, viewChildren } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatSnackBar } from '@angular/material/snack-bar';
import { Store } from '@ngrx/store';
import { tool as toolSchema } from '@rinnovo/contract';
import { isMeasuring, type Tool, type ToolKind } from '@rinnovo/core/part';
import { TOOL_WORDS, toolText, dayOf } from '@rinnovo/words';
import { ShopCommands } from '../../state/shop-commands';
import { shop } from '../../state/resources';
import { attempt } from '../../ui/attempt';
import { LengthField } from '../../ui/length-field';
import { StarterKit } from './starter-kit';

const CUTTER = ['diameter', 'cuttingLength', 'reach'] as const;
/** What need not be known of a tool. */
const MAY_BE_OPEN = ['bearing', 'bearingHeight'];
const FIELDS: Readonly<Record<ToolKind, readonly string[]>> = {
  calliper: ['limit'],
  'depth gauge': ['limit'],
  rule: ['limit'],
  tape: ['limit'],
  boring: ['diameter', 'spur'],
  straight: CUTTER,
  template: [...CUTTER, ...MAY_BE_OPEN],
  drills: ['from', 'to'],
  drill: ['diameter'],
  'step drill': ['from', 'to', 'step'],
  reamer: ['from', 'to'],
  countersink: ['diameter'],
  'plug cutter': ['diameter'],
  file: [],
};
const WORDS: Readonly<Record<string, string>> = {
  limit: 'Limit, ±',
  diameter: 'Diameter',
  spur: 'Spur',
  cuttingLength: 'Cutting length',
  reach: 'Reach',
  bearing: 'Bearing Ø',
  bearingHeight: 'Bearing height',
  from: 'Smallest',
  to: 'Largest',
  step: 'Step',
};

/** What the shop works with: what measures, cutters with their lengths and bearings, drills and reamers, and when each was sharpened. */
@Component({
  selector: 'rn-tools-page',
  imports: [LengthField, MatButtonModule, StarterKit],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './tools-page.html',
  styleUrl: './shop-table.scss',
})
export class ToolsPage {
  private readonly commands = inject(ShopCommands);
  private readonly toast = inject(MatSnackBar);
  private readonly held = inject(Store).selectSignal(shop.select);
  private readonly inputs = viewChildren(LengthField);
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
        retired: isMeasuring(tool) && tool.retired === true,
        sharpened: isMeasuring(tool) ? '' : (tool.sharpened ?? 'unknown'),
      }))
      .sort((a, b) => a.kind.localeCompare(b.kind) || a.tool.name.localeCompare(b.tool.name)),
  );

  protected readonly loaded = computed(() => this.held().data !== null);

  protected text(event: Event): string {
    return (event.target as HTMLInputElement | HTMLSelectElement).value;
  }

  protected word(field: string): string {
    return WORDS[field] ?? field;
  }

  protected begin(event: Event): void {
    this.kind.set(this.text(event) as ToolKind);
  }

  protected set(field: string, text: string): void {
    this.texts.update((t) => ({ ...t, [field]: text }));
  }

  protected async add(event: Event): Promise<void> {
    event.preventDefault();
    const sizes = this.fields().flatMap((f, i) => {
      const open = MAY_BE_OPEN.includes(f) && (this.texts()[f] ?? '').trim() === '';
      return open ? [] : [[f, this.inputs()[i]?.value() ?? null] as const];
    });
    const wrong = sizes.find(([, mm]) => mm === null);
    if (this.name().trim() === '' || wrong) {
      this.problem.set(wrong ? `‘${this.texts()[wrong[0]] ?? ''}’ is no size: ${this.word(wrong[0])}.` : 'A tool needs a name.');
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

  /** Readings name what they were taken with: it stays, and nothing more is read with it. */
  protected async retire(tool: Tool, over: boolean): Promise<void> {
    if (!isMeasuring(tool)) return;
    const { id, kind, name, limit } = tool;
    await this.attempt.run(() => this.commands.keepTool({ id, kind, name, limit, ...(over ? { retired: true } : {}) }, this.versionOf(tool)));
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
