import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { circuitProblems, unlike, type Circuit, type CircuitWish } from '@rinnovo/core/wire';
import { twoPickups } from '../../../testing/circuit';
import { button, host, jobOnScreen, settle } from '../../../testing/job';
import { Drafts } from '../../state/drafts';
import { WishPage } from './wish-page';

describe('wishes', () => {
  let fixture: ComponentFixture<WishPage>;
  let kept: Map<string, { version: number; kept: unknown }>;

  async function open(circuit: Circuit | null = twoPickups, before = new Map<string, { version: number; kept: unknown }>()): Promise<void> {
    kept = before;
    const drafts = {
      of: (what: string) => Promise.resolve(kept.get(what) ?? null),
      keep: (what: string, draft: { version: number; kept: unknown }) => Promise.resolve(void kept.set(what, draft)),
      drop: (what: string) => Promise.resolve(void kept.delete(what)),
    };
    TestBed.configureTestingModule({ providers: [provideRouter([]), { provide: Drafts, useValue: drafts }] });
    jobOnScreen(circuit ? { circuit } : {});
    fixture = TestBed.createComponent(WishPage);
    await settle();
    await fixture.whenStable();
  }

  const text = (): string => host(fixture).textContent;
  const wish = (): CircuitWish => kept.get('wish/i')?.kept as CircuitWish;
  async function press(name: string): Promise<void> {
    button(fixture, name).click();
    await fixture.whenStable();
  }
  async function coil(label: string): Promise<void> {
    host(fixture).querySelector<HTMLButtonElement>(`[aria-label="${label}"]`)!.click();
    await fixture.whenStable();
  }
  /** Until the worker has answered. */
  async function answered(): Promise<void> {
    for (let i = 0; i < 200 && host(fixture).querySelector('.result') === null; i++) await new Promise((r) => setTimeout(r, 25));
    await fixture.whenStable();
  }

  it('begin with what is wired, and say it in words', async () => {
    await open();
    await press('Begin with what is wired');
    expect(text()).toContain('Neck and Bridge, in parallel, in phase, hums.');
    expect(wish().rows.length).toBe(3);
  });

  it('are changed coil by coil, undone, and come back', async () => {
    await open();
    await press('Begin with what is wired');
    await coil('Position 1, Bridge: not heard');
    await coil('Position 1, Bridge: heard');
    expect(text()).toContain('Neck and Bridge, in parallel, out of phase');
    await coil('Position 1, pickups in parallel');
    expect(text()).toContain('in series, out of phase');
    await press('Undo');
    await press('Undo');
    await press('Undo');
    expect(wish().rows[0]?.voice.pickups.map((p) => p.pickup)).toEqual(['neck']);
    const left = kept;
    TestBed.resetTestingModule();
    await open(twoPickups, left);
    expect(text()).toContain('Position 3');
  });

  it('are built in a worker, and the circuit is handed on', async () => {
    await open();
    await press('Begin with what is wired');
    await press('Build the circuit');
    await answered();
    expect(text()).toContain('joints through Selector');
    const go = spyOn(TestBed.inject(Router), 'navigate').and.resolveTo(true);
    await press('Look at it under Circuit');
    await settle();
    const circuit = kept.get('circuit/i')?.kept as Circuit;
    expect(circuitProblems(circuit)).toEqual([]);
    expect(unlike(wish(), circuit)).toEqual([]);
    expect(go).toHaveBeenCalledWith(['/i', 'i', 'wire', 'circuit']);
  });

  it('do not overwrite what is traced under Circuit and not saved yet', async () => {
    const traced = { version: 1, kept: { ...twoPickups, joints: [] } };
    await open(twoPickups, new Map([['circuit/i', traced]]));
    await press('Begin with what is wired');
    await press('Build the circuit');
    await answered();
    const go = spyOn(TestBed.inject(Router), 'navigate').and.resolveTo(true);
    await press('Look at it under Circuit');
    await settle();
    await fixture.whenStable();
    expect(text()).toContain('Save or discard it there first.');
    expect(kept.get('circuit/i')).toBe(traced);
    expect(go).not.toHaveBeenCalled();
  });

  it('that cannot be are refused with what would do', async () => {
    await open();
    await press('Begin with what is wired');
    // a toggle has no pole left to lay both in series in its middle
    await coil('Position 2, pickups in parallel');
    await press('Build the circuit');
    await answered();
    expect(text()).toContain('Not possible with these parts');
    expect(text()).toContain('One more push-pull, pulled at: Position 2');
  });

  it('say which positions are silent, and begin without a circuit', async () => {
    await open();
    await press('The same parts, nothing said');
    expect(text()).toContain('Nothing is heard: Position 1; Position 2; Position 3.');
    TestBed.resetTestingModule();
    await open(null);
    expect(text()).toContain('No circuit is known yet.');
  });
});
