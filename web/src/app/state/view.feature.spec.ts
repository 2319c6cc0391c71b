import { rememberedView, rememberView, viewActions, viewFeature, type ViewFeature } from './view.feature';

describe('how the screen looks', () => {
  const theme = (view: ViewFeature) => viewFeature.selectTheme.projector(view.chosen, view.system);
  const plain: ViewFeature = { unit: 'mm', chosen: null, system: 'light', setUp: 'projection' };

  it('follows the machine until somebody chooses, and then stays as chosen, also the next time', () => {
    expect(theme(plain)).toBe('light');
    const dark = viewFeature.reducer(plain, viewActions.systemTurned({ system: 'dark' }));
    expect(theme(dark)).toBe('dark');
    const chosen = viewFeature.reducer(dark, viewActions.turnTheme());
    expect(theme(chosen)).toBe('light');
    expect(theme(viewFeature.reducer(chosen, viewActions.systemTurned({ system: 'dark' })))).toBe('light');
    const before = localStorage.getItem('rinnovo.view');
    rememberView(chosen);
    expect(rememberedView().chosen).toBe('light');
    rememberView(plain);
    expect(rememberedView().chosen).toBeNull();
    localStorage.setItem('rinnovo.view', JSON.stringify({ chosen: 'pink', unit: 'ell' }));
    expect([rememberedView().chosen, rememberedView().unit]).toEqual([null, 'mm']);
    if (before === null) localStorage.removeItem('rinnovo.view');
    else localStorage.setItem('rinnovo.view', before);
  });
});
