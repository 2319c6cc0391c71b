import { TestBed } from '@angular/core/testing';
import { planCutting } from '@rinnovo/core/cut';
import { settingsWith } from '@rinnovo/core/operation';
import type { Tool } from '@rinnovo/core/part';
import { button, host, jobOnScreen, pickup, route, tools } from '../../../testing/job';
import { anatomy } from '../../../testing/fixture';
import { CuttingTable } from './cutting-table';

const state = { anatomy, parts: { 'two-coil': pickup }, done: new Set<string>(), fitted: [], stock: [], settings: settingsWith(), tools: [], leadsNeeded: 4 };
const cavity = anatomy.cavities.find((c) => c.id === 'route')!;

async function table(drawer: readonly Tool[], fill = false) {
  jobOnScreen();
  const fixture = TestBed.createComponent(CuttingTable);
  fixture.componentRef.setInput('cutting', planCutting({ ...state, tools: drawer }, cavity, route, fill));
  await fixture.whenStable();
  return fixture;
}

describe('the cutting plan', () => {
  it('gives bulk, passes, where the template comes off, and opens each sum', async () => {
    const fixture = await table(tools);
    const rows = [...host(fixture).querySelectorAll('.passes tbody tr')].map((r) => r.textContent.replace(/\s+/g, ''));
    expect(rows[0]).toBe('6.0mmtemplate18.0mm17.2mm18.8mm');
    expect(rows[2]).toContain('Templateoff');
    expect(rows[3]).toBe('18.0mmcutwall18.0mm17.2mm18.8mm');
    expect(host(fixture).textContent).toContain('25 mm boring bit');
    button(fixture, '24.0\u202fmm').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('rn-working-view')!.textContent).toMatch(/bit below the base\s*24\.00\u202fmm/);
  });

  it('tells a setting that was read by another method, and what a stack leaves', async () => {
    const fixture = await table(tools);
    const read = async (text: string): Promise<string> => {
      const input = host(fixture).querySelector<HTMLInputElement>('[data-field=setUpRead] input')!;
      input.value = text;
      input.dispatchEvent(new Event('input'));
      await fixture.whenStable();
      return host(fixture).querySelector('rn-set-up-read .result')!.textContent.replace(/\s+/g, ' ').trim();
    };
    // the first pass: 6 on a template of 12
    expect(await read('12+6')).toContain('As planned: the cut comes out 6.0 mm deep.');
    expect(await read('18.8')).toContain('That is the number for (c) finished depth.The plan here works by (a) bit below the base.');
    expect(await read('18.8')).toContain('The cut comes out 6.8 mm deep, 0.8 mm too deep.');
    expect(await read('15')).toContain('It leaves 9.0 mm beside the depth.Straight edge and template take 12.0 mm.');
    expect(await read('bit')).toBe('');
    expect(host(fixture).querySelector('[data-field=setUpRead] [role=alert]')!.textContent).toContain('Not a length');
    // the second pass is 12 deep
    const pass = host(fixture).querySelector<HTMLSelectElement>('[data-field=pass]')!;
    pass.value = '12';
    pass.dispatchEvent(new Event('change'));
    expect(await read('24')).toContain('As planned');
  });

  it('says why a bit will not do, and that none will', async () => {
    const long: Tool = { id: 'l', kind: 'template', name: 'Long bit', diameter: 9.525, cuttingLength: 32, reach: 60 };
    const thick: Tool = { id: 't', kind: 'template', name: 'Thick bit', diameter: 19, cuttingLength: 12, reach: 45 };
    const fixture = await table([long, thick]);
    const text = host(fixture).textContent;
    expect(text).toContain('No template bit in the shop fits this route.');
    expect(text).toContain('the template is 12.0\u202fmm thick and must be 30.0\u202fmm');
    expect(text).toContain('its radius of 9.5\u202fmm is too large for a corner of 4.8\u202fmm');
  });

  const long: Tool = { id: 'l', kind: 'template', name: 'Long bit', diameter: 9.525, cuttingLength: 25, reach: 60 };

  it('asks for another template where the usual one leaves the bearing too little', async () => {
    expect(host(await table([long])).textContent.replace(/\s+/g, ' ')).toContain('Use a template of 25.0 mm here.');
  });

  it('says where nothing does better', async () => {
    const short: Tool = { ...long, cuttingLength: 12.7, reach: 20 };
    expect(host(await table([short])).textContent.replace(/\s+/g, ' ')).toMatch(
      /the bearing has only 1\.3 mm of cut wall\. It needs 4\.0 mm\. No template bit/,
    );
  });

  it('is worked by one of the three set-ups: its sketch, its column', async () => {
    const fixture = await table(tools);
    const column = (): string => host(fixture).querySelector('th.chosen')!.textContent.trim();
    expect(column()).toBe('(a) bit below the base');
    const finished = host(fixture).querySelectorAll<HTMLInputElement>('input[type=radio]')[2]!;
    finished.click();
    await fixture.whenStable();
    expect(column()).toBe('(c) finished depth');
    expect(host(fixture).querySelector('rn-set-up-sketch svg')!.getAttribute('aria-label')).toContain('set-up c: from the top of a straight edge');
    host(fixture).querySelectorAll<HTMLInputElement>('input[type=radio]')[0]!.click();
    await fixture.whenStable();
  });

  it('tells what goes by boring, edges to be tried, the block to glue first, minutes and methods', async () => {
    const fixture = await table(tools, true);
    fixture.componentRef.setInput('wood', 'alder (guessed)');
    await fixture.whenStable();
    const text = host(fixture).textContent.replace(/\s+/g, ' ');
    expect(text).toMatch(/\d+ % of the wood to remove/);
    expect(text).toContain('sharpening date unknown');
    expect(text).toMatch(/A block [\d.]+ mm across, [\d.]+ mm along the grain, [\d.]+ mm thick, of alder \(guessed\)/);
    expect(text).toMatch(/Machine time \d+ to \d+ min/);
    expect(text).toContain('Template bit alone, thin passes');
    expect(text).toContain('Rout clockwise inside the cavity');
  });

  it('says what the wood asks for at the machine, and nothing of a wood that asks for nothing', async () => {
    const fixture = await table(tools);
    expect(host(fixture).textContent).not.toContain('It burns');
    fixture.componentRef.setInput('wood', 'maple (seen)');
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('maple (seen): It burns');
  });
});
