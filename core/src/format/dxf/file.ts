import { entitiesOf, groupsOf, number, textOf, type Entity, type Group } from './groups.js';

/** A layer that hides what lies on it: switched off, or frozen, which hides whole blocks. */
export type Hides = 'off' | 'frozen';

/** A block: what is drawn wherever its name is inserted, about its base. */
export interface Block {
  readonly head: Entity;
  readonly entities: readonly Entity[];
}

/** A DXF file as far as outlines ask for it; names of layers and blocks in capitals, since case says nothing. */
export interface DxfFile {
  readonly units: number;
  readonly hides: ReadonlyMap<string, Hides>;
  readonly blocks: ReadonlyMap<string, Block>;
  readonly entities: readonly Entity[];
}

/** Reads the sections of a file. Throws Damage at the line that cannot be read. */
export function dxfOf(text: string): DxfFile {
  const sections = sectionsOf(groupsOf(text));
  const hides = new Map<string, Hides>();
  for (const e of entitiesOf(sections.get('TABLES') ?? [])) {
    if (e.type !== 'LAYER') continue;
    const how: Hides | null = (number(e, 70, 0) & 1) === 1 ? 'frozen' : number(e, 62, 7) < 0 ? 'off' : null;
    if (how) hides.set(textOf(e, 2).toUpperCase(), how);
  }
  return {
    units: unitsIn(sections.get('HEADER') ?? []),
    hides,
    blocks: blocksIn(sections.get('BLOCKS') ?? []),
    entities: entitiesOf(sections.get('ENTITIES') ?? []),
  };
}

function sectionsOf(groups: readonly Group[]): ReadonlyMap<string, readonly Group[]> {
  const out = new Map<string, Group[]>();
  let into: Group[] | null = null;
  groups.forEach((g, i) => {
    if (g.code === 0 && g.value === 'SECTION') out.set(groups[i + 1]?.value ?? '', (into = []));
    else if (g.code === 0 && g.value === 'ENDSEC') into = null;
    else into?.push(g);
  });
  return out;
}

function unitsIn(header: readonly Group[]): number {
  const at = header.findIndex((g) => g.code === 9 && g.value === '$INSUNITS');
  return at < 0 ? 0 : Number(header[at + 1]?.value);
}

function blocksIn(groups: readonly Group[]): ReadonlyMap<string, Block> {
  const out = new Map<string, Block>();
  let open: { readonly head: Entity; readonly entities: Entity[] } | null = null;
  for (const e of entitiesOf(groups)) {
    if (e.type === 'BLOCK') out.set(textOf(e, 2).toUpperCase(), (open = { head: e, entities: [] }));
    else if (e.type === 'ENDBLK') open = null;
    else open?.entities.push(e);
  }
  return out;
}
