import { TestBed } from '@angular/core/testing';
import { provideZonelessChangeDetection } from '@angular/core';
import { PanelLayout } from './panel-layout';
import { Theme } from './theme';

/** A system that wishes for light or dark, and changes its mind. */
function system(dark: boolean) {
  const heard: ((event: { matches: boolean }) => void)[] = [];
  globalThis.matchMedia = ((): unknown => ({
    matches: dark,
    addEventListener: (_: string, hear: (event: { matches: boolean }) => void) => heard.push(hear),
  })) as never;
  return (matches: boolean) => heard.forEach((hear) => hear({ matches }));
}
const theme = (): Theme => {
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
  return TestBed.inject(Theme);
};
const shown = (): string | undefined => document.documentElement.dataset['theme'];
beforeEach(() => localStorage.clear());

describe('light or dark', () => {
  test('goes by the system until one is chosen, and keeps to that', () => {
    const change = system(true);
    const one = theme();
    expect([one.choice(), one.isDark(), shown()]).toEqual(['system', true, 'dark']);
    change(false);
    expect([one.isDark(), shown()]).toEqual([false, 'light']);
    one.choose('dark');
    change(false);
    expect([one.isDark(), shown()]).toEqual([true, 'dark']);
    expect(theme().choice()).toBe('dark');
    theme().choose('system');
    expect(theme().choice()).toBe('system');
  });
  test('what is kept and is no theme is not one', () => {
    system(false);
    localStorage.setItem('firm-line theme', 'pink');
    expect([theme().choice(), shown()]).toEqual(['system', 'light']);
  });
});

describe('room to look', () => {
  test('a folded panel stays folded, the whole window does not', () => {
    const room = (): PanelLayout => {
      TestBed.resetTestingModule();
      TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
      return TestBed.inject(PanelLayout);
    };
    const one = room();
    one.toggleFolded();
    one.toggleFull();
    expect([one.folded(), one.full()]).toEqual([true, true]);
    const next = room();
    expect([next.folded(), next.full(), next.fitAsked()]).toEqual([true, false, 0]);
    next.fit();
    next.toggleFolded();
    expect([room().folded(), next.fitAsked()]).toEqual([false, 1]);
  });
});
