import { TestBed } from '@angular/core/testing';
import type { FormGroup } from '@angular/forms';
import { MatDialog, type MatDialogRef } from '@angular/material/dialog';
import { provideRouter, Router } from '@angular/router';
import { roundedRectangle } from '@rinnovo/core/shape';
import { of } from 'rxjs';
import { actsOfChoice, isCutChoice } from '@rinnovo/core/check';
import { button, host, jobOnScreen, settle } from '../../../testing/job';
import { planFeature } from '../../state/plan.feature';
import { OtherCuts } from './other-cuts';

async function panel() {
  TestBed.configureTestingModule({ providers: [provideRouter([{ path: '**', children: [] }])] });
  const { store } = jobOnScreen();
  const fixture = TestBed.createComponent(OtherCuts);
  await fixture.whenStable();
  const { form } = fixture.componentInstance as unknown as { readonly form: FormGroup };
  const put = (control: string, value: unknown): void => form.get(control)!.setValue(value);
  const add = async (): Promise<void> => {
    await fixture.whenStable();
    button(fixture, 'Check this cut').click();
    await settle(30);
    await fixture.whenStable();
  };
  const planned = () => store.selectSignal(planFeature.selectDraft)()!.choices.filter(isCutChoice);
  const said = (): string => host(fixture).querySelector('[role=alert]')?.textContent.trim() ?? '';
  return { fixture, put, add, planned, said };
}

describe('cuts that no part asks for', () => {
  it('are planned as choices of their own, each under its own name, and shown where they are judged', async () => {
    const { put, add, planned, said } = await panel();
    await add();
    expect([planned().length, said()]).toEqual([0, 'Choose the level to deepen.']);
    put('floor', 'route/old');
    put('lengths.deepen depth', 12);
    await add();
    expect(said()).toBe('The floor is already that deep.');
    put('lengths.deepen depth', 21);
    await add();
    put('lengths.deepen depth', 22);
    await add();
    expect(planned().map((c) => [c.id, c.cut])).toEqual([
      ['deeper', 'deepen'],
      ['deeper 2', 'deepen'],
    ]);
    expect(Object.keys(planned()[0]!.work[0]!.does[0]!).sort()).toEqual(['cavity', 'depth', 'kind', 'level']);
    expect(TestBed.inject(Router).url).toBe('/i/i/fit');
  });

  it('are holes in a row with their number; what is not a number of holes is said', async () => {
    const { put, add, planned, said } = await panel();
    put('kind', 'row');
    put('count', 'one');
    await add();
    expect(said()).toContain('2 to 24 holes');
    put('count', '6');
    await add();
    expect(planned()[0]!.work.map((w) => [w.kind, w.does.length])).toEqual([['drillRow', 6]]);
  });

  it('are a relief under a plate, as thick as it is where nobody says how deep', async () => {
    const { put, add, planned, said } = await panel();
    put('kind', 'relief');
    await add();
    expect([planned().length, said()]).toEqual([0, 'Choose the plate.']);
    put('plate', 'plate');
    await add();
    const [made] = planned();
    expect([made!.cut, actsOfChoice(made!).map((w) => w.kind)]).toEqual(['relief', jasmine.arrayContaining(['addCavity', 'raisePickup'])]);
  });

  it('are a new cavity from an outline that was traced or typed, and none without', async () => {
    const { fixture, put, add, planned, said } = await panel();
    put('kind', 'cavity');
    await add();
    expect(said()).toBe('Choose or draw an outline first.');
    const outline = roundedRectangle(56, 32, 5, { x: -30, y: 200 });
    const opened = spyOn(TestBed.inject(MatDialog), 'open').and.returnValue({
      afterClosed: () => of({ outline, limit: 0.25, basis: { kind: 'stated' } }),
    } as MatDialogRef<unknown>);
    button(fixture, 'Outline …').click();
    await settle(400);
    await fixture.whenStable();
    expect(opened).toHaveBeenCalledTimes(1);
    expect(host(fixture).textContent).toContain('56.0\u202fmm × 32.0\u202fmm');
    await add();
    expect(planned().map((c) => [c.id, c.cut, c.place.on === 'face' && c.place.at])).toEqual([['cavity', 'cavity', { x: -30, y: 200 }]]);
  });

  it('give the fence its place: 75 − 9.5 / 2', async () => {
    const { fixture, put } = await panel();
    put('kind', 'fence');
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('70.25\u202fmm');
  });

  it('are only reckoned where they leave no trace in the drawing', async () => {
    const { fixture, put } = await panel();
    put('kind', 'surface');
    await fixture.whenStable();
    // 8.0 to 6.0 by 0.8
    const rows = [...host(fixture).querySelectorAll('tbody tr')].map((r) => r.textContent.replace(/\s+/g, ' ').trim());
    expect(rows.map((r) => /\d\.\d mm left/.exec(r)?.[0])).toEqual(['7.2 mm left', '6.4 mm left', '6.0 mm left']);
    expect(rows[2]).toContain('bit 40.0 mm below the sled');
    put('kind', 'bore');
    await fixture.whenStable();
    // 60 across, 10 along, 20 deep: √(60² + 10² + 20²)
    expect(host(fixture).textContent).toContain('64.0\u202fmm');
    expect(host(fixture).textContent).toContain('18.2°');
  });
});
