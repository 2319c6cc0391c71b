import { TestBed } from '@angular/core/testing';
import type { PlannedRoute } from '@rinnovo/core/check';
import { MatDialog, type MatDialogRef } from '@angular/material/dialog';
import { bounds, roundedRectangle } from '@rinnovo/core/shape';
import { of } from 'rxjs';
import { button, choice, host, jobOnScreen, pickup, route, settle, type } from '../../../testing/job';
import { RouteOutline } from './route-outline';

async function panel(more: Partial<typeof choice> = {}) {
  jobOnScreen({ choice: { ...choice, route } });
  const fixture = TestBed.createComponent(RouteOutline);
  const made: PlannedRoute[] = [];
  fixture.componentRef.setInput('choice', { ...choice, route, ...more });
  // whoever holds the choice gives the new route back
  fixture.componentInstance.changed.subscribe((r) => {
    made.push(r);
    fixture.componentRef.setInput('choice', { ...choice, ...more, route: r });
  });
  await fixture.whenStable();
  const press = async (text: string): Promise<void> => {
    button(fixture, text).click();
    await fixture.whenStable();
  };
  const said = (): string => host(fixture).querySelector('[role=alert]')?.textContent.trim() ?? '';
  return { fixture, made, press, said };
}

const across = (r: PlannedRoute): number => {
  const b = bounds(r.levels.filter((p) => p.id === 'main').map((p) => p.outline));
  return b.maxX - b.minX;
};

describe('the outline of a route', () => {
  it('is made along the part with the clearance that was typed, and undone', async () => {
    const { fixture, made, press, said } = await panel();
    const clearance = async (text: string): Promise<void> => {
      const field = [...host(fixture).querySelectorAll('rn-length-field')].find((f) => f.textContent.includes('Clearance'))!;
      field.id = 'clearance';
      await type(fixture, '#clearance input', text);
    };
    await clearance('wide');
    await press('Follow the part');
    expect([made.length, said()]).toEqual([0, 'Not a length. Try 22.2, 7/8, 1 3/32, .875in or a sum.']);
    await clearance('2');
    await press('Follow the part');
    const b = bounds(pickup.tiers.find((l) => l.id === 'base')!.shapes.map((x) => x.outline));
    expect(across(made[0]!)).toBeCloseTo(b.maxX - b.minX + 4, 1);
    await press('Undo');
    expect(made.at(-1)).toEqual(route);
    expect(button(fixture, 'Undo').disabled).toBeTrue();
  });

  it('has depths that are typed, and keeps one floor', async () => {
    const { fixture, made, press, said } = await panel();
    await type(fixture, 'form rn-length-field input', '21.5');
    host(fixture).querySelector('form')!.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    expect(made.at(-1)!.levels[0]!.depth).toBe(21.5);
    await press('Remove level');
    expect(said()).toContain('A route needs one level');
    expect(made.length).toBe(1);
  });

  it('takes the old cavity in, is mirrored, and says why a channel does not come of it', async () => {
    const { made, press, said } = await panel();
    await press('Include the old cavity');
    expect(across(made.at(-1)!)).toBeGreaterThan(across(route));
    await press('Mirror outline');
    expect(made.at(-1)!.at.x).toBe(0);
    await press('Add channel');
    expect(said()).toBe('Choose the cavity to join.');
  });

  it('says that no part is chosen, and does nothing once cutting has begun', async () => {
    const without = await panel({ part: null });
    await without.press('Follow the part');
    expect(without.said()).toBe('Choose the part in Fit first.');
    TestBed.resetTestingModule();
    const { fixture, made } = await panel();
    fixture.componentRef.setInput('locked', true);
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('Cutting has started');
    button(fixture, 'Mirror outline').click();
    expect(made).toEqual([]);
  });

  it('is traced: the drawing takes the place of the floor, and nothing changes when nobody wants one after all', async () => {
    const { fixture, made } = await panel();
    const outline = roundedRectangle(90, 42, 6, { x: 2, y: 103 });
    const opened = spyOn(TestBed.inject(MatDialog), 'open');
    const answer = async (drawn: unknown): Promise<void> => {
      opened.and.returnValue({ afterClosed: () => of(drawn) } as MatDialogRef<unknown>);
      button(fixture, 'Another outline …').click();
      await settle(400);
      await fixture.whenStable();
    };
    await answer(undefined);
    expect(made).toEqual([]);
    await answer({ outline, limit: 0.25, basis: { kind: 'stated' } });
    expect([made[0]!.at, made[0]!.levels[0]!.depth, across(made[0]!)]).toEqual([{ x: 2, y: 103, turn: 0 }, route.levels[0]!.depth, 90]);
  });
});
