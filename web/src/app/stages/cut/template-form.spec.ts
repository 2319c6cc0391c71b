import { TestBed } from '@angular/core/testing';
import { button, choice, host, jobOnScreen, route, settle } from '../../../testing/job';
import { TemplateForm } from './template-form';

async function form() {
  jobOnScreen({ choice: { ...choice, route } });
  const fixture = TestBed.createComponent(TemplateForm);
  fixture.componentRef.setInput('choice', { ...choice, route });
  await fixture.whenStable();
  const link = (): URL | null => {
    const a = host(fixture).querySelector<HTMLAnchorElement>('a[href]');
    return a && new URL(a.href, 'http://here');
  };
  const rule = async (which: 0 | 1, text: string): Promise<void> => {
    const field = host(fixture).querySelectorAll<HTMLInputElement>('rn-length-field input')[which]!;
    field.value = text;
    field.dispatchEvent(new Event('input'));
    await fixture.whenStable();
  };
  return { fixture, link, rule };
}

describe('the template', () => {
  it('is asked for with its paper, and corrected by what each rule measured', async () => {
    const { fixture, link, rule } = await form();
    expect(link()!.pathname).toBe('/api/jobs/job/template');
    expect(Object.fromEntries(link()!.searchParams)).toEqual({ choice: 'pickup', paper: 'A4', mirrored: 'false', ruleX: '100', ruleY: '100' });
    expect(host(fixture).textContent).toContain('One sheet.');
    await rule(0, '99.8');
    expect([link()!.searchParams.get('ruleX'), link()!.searchParams.get('ruleY')]).toEqual(['99.8', '100']);
    expect(host(fixture).querySelector('a')!.textContent).toContain('corrected');
  });

  it('is refused beside the rule that is off by more than 0.3 mm, nought, or no length', async () => {
    const { fixture, link, rule } = await form();
    for (const wrong of ['98', '0', '200', 'about right']) {
      await rule(1, wrong);
      expect(link()).withContext(wrong).toBeNull();
      expect(host(fixture).querySelectorAll('rn-length-field')[1]!.querySelector('[role=alert]')).withContext(wrong).not.toBeNull();
    }
    await rule(1, '100.3');
    expect(link()).not.toBeNull();
  });

  it('is saved as a drawing with its layers', async () => {
    const { fixture } = await form();
    const blobs: Blob[] = [];
    spyOn(URL, 'createObjectURL').and.callFake((b) => {
      blobs.push(b as Blob);
      return 'blob:x';
    });
    spyOn(HTMLAnchorElement.prototype, 'click');
    button(fixture, 'SVG').click();
    button(fixture, 'DXF').click();
    await settle(400);
    const [svg, dxf] = await Promise.all(blobs.map((b) => b.text()));
    for (const layer of ['route', 'old cavity', 'plate']) {
      expect(svg).toContain(layer);
      expect(dxf!.toLowerCase()).toContain(layer.split(' ')[0]!);
    }
  });
});
