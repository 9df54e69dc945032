import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Glossary } from './glossary';
import { Words } from './words';

@Component({
  imports: [Words],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<fl-words [text]="text()" />`,
})
class Host {
  readonly text = signal('Tighten the banjo bolt, then check free play.');
}

async function host() {
  await TestBed.inject(Glossary).load();
  const made = TestBed.createComponent(Host);
  await made.whenStable();
  const root = made.nativeElement as HTMLElement;
  const term = (id: string) => root.querySelector<HTMLElement>(`[data-term=${id}]`)!;
  const act = async (id: string, event: Event): Promise<void> => {
    term(id).dispatchEvent(event);
    await made.whenStable();
  };
  return { root, term, act, cards: () => [...root.querySelectorAll('fl-glossary-card')] };
}

describe('terms in a sentence', () => {
  test('a sentence reads as before, its terms can be focused, and it stays one sentence', async () => {
    const { root, term } = await host();
    expect(root.textContent!.replace(/\s+/g, ' ').trim()).toBe(
      'Tighten the banjo bolt, then check free play.',
    );
    expect(term('banjo').tagName).toBe('BUTTON');
    expect(term('free-play').textContent).toBe('free play');
  });

  test('focus or a tap opens the card with its drawing; Escape and leaving it close it', async () => {
    const { act, cards, term } = await host();
    expect(cards()).toHaveLength(0);
    await act('banjo', new FocusEvent('focus'));
    expect(cards()[0]!.textContent).toMatch(/new washer on each face/);
    expect(cards()[0]!.querySelectorAll('path').length).toBeGreaterThan(1);
    expect(term('banjo').getAttribute('aria-describedby')).toBeTruthy();
    await act('banjo', new KeyboardEvent('keydown', { key: 'Escape' }));
    expect(cards()).toHaveLength(0);
    await act('free-play', new MouseEvent('click', { cancelable: true }));
    expect(cards()[0]!.textContent).toMatch(/brakes drag and lock on/);
    await act('free-play', new FocusEvent('blur'));
    expect(cards()).toHaveLength(0);
  });
});
