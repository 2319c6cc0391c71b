import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormControl, FormGroup, FormRecord, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSnackBar } from '@angular/material/snack-bar';
import { Store } from '@ngrx/store';
import { tool as toolSchema } from '@rinnovo/contract';
import { isMeasuring, type Tool, type ToolKind } from '@rinnovo/core/part';
import { TOOL_WORDS, toolText, dayOf } from '@rinnovo/words';
import { ShopCommands } from '../../state/shop-commands';
import { shop } from '../../state/resources';
import { attempt } from '../../ui/attempt';
import { standing, type Lengths } from '../../ui/form-values';
import { LengthField } from '../../ui/length-field';
import { StarterKit } from './starter-kit';

type SizeOf = 'limit' | 'diameter' | 'spur' | 'cuttingLength' | 'reach' | 'bearing' | 'bearingHeight' | 'from' | 'to' | 'step';

const CUTTER = ['diameter', 'cuttingLength', 'reach'] as const;
/** What need not be known of a tool. */
const MAY_BE_OPEN = ['bearing', 'bearingHeight'] as const;
const FIELDS: Readonly<Record<ToolKind, readonly SizeOf[]>> = {
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
const WORDS: Readonly<Record<SizeOf, string>> = {
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
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, LengthField, ReactiveFormsModule, StarterKit],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './tools-page.html',
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
  protected readonly words = WORDS;
  protected readonly sizes: Lengths = new FormRecord<FormControl<number | null>>(
    Object.fromEntries(Object.keys(WORDS).map((f) => [f, new FormControl<number | null>(null)])),
  );
  protected readonly form = new FormGroup({
    kind: new FormControl<ToolKind>('drills', { nonNullable: true }),
    name: new FormControl('', { nonNullable: true }),
    end: new FormControl('unknown', { nonNullable: true }),
    system: new FormControl('metric', { nonNullable: true }),
    sizes: this.sizes,
  });
  protected readonly is = standing(this.form);
  protected readonly fields = computed(() => FIELDS[this.is().kind]);
  /** Sizes that it was sent without. */
  protected readonly missing = signal<readonly SizeOf[]>([]);
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

  protected async add(): Promise<void> {
    const { kind, name, end, system, sizes } = this.form.getRawValue();
    const given = this.fields().flatMap((f) => (sizes[f] == null ? [] : [[f, sizes[f]] as const]));
    this.problem.set(name.trim() === '' ? 'A tool needs a name.' : null);
    this.missing.set(this.fields().filter((f) => sizes[f] == null && !MAY_BE_OPEN.some((m) => m === f)));
    if (name.trim() === '' || this.missing().length > 0 || this.fields().some((f) => this.sizes.controls[f]?.invalid)) return;
    const tool = {
      id: crypto.randomUUID(),
      kind,
      name: name.trim(),
      ...Object.fromEntries(given),
      ...(kind === 'drills' ? { system } : {}),
      ...(['template', 'straight'].includes(kind) && end !== 'unknown' ? { endCutting: end === 'yes' } : {}),
    } as Tool;
    const { error } = toolSchema.validate(tool, { convert: false });
    if (error) {
      this.problem.set(`${error.message}.`);
      return;
    }
    if (!(await this.attempt.run(() => this.commands.keepTool(tool, null)))) return;
    this.form.reset({ kind, end, system });
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
