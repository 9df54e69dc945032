import { TestBed } from '@angular/core/testing';
import { provideZonelessChangeDetection } from '@angular/core';
import { Gauge } from './gauge';

/** A vernier that says what it is told to, when it is told to. */
class Wired extends EventTarget {
  static last: Wired;
  closed = false;
  onmessage: ((event: MessageEvent<string>) => void) | null = null;
  onerror: (() => void) | null = null;
  constructor(readonly url: string) {
    super();
    Wired.last = this;
  }
  close(): void {
    this.closed = true;
  }
  say(...readings: string[]): void {
    for (const data of readings) this.onmessage?.(new MessageEvent('message', { data }));
  }
}

async function gauge(gender: 'male' | 'female' = 'female') {
  (globalThis as { EventSource?: unknown }).EventSource = Wired;
  TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
  const fixture = TestBed.createComponent(Gauge);
  fixture.componentRef.setInput('gender', gender);
  const picked: unknown[] = [];
  fixture.componentInstance.picked.subscribe((pick) => picked.push(pick));
  await fixture.whenStable();
  const root = fixture.nativeElement as HTMLElement;
  const [diameter, pitch] = [...root.querySelectorAll('input')] as [
    HTMLInputElement,
    HTMLInputElement,
  ];
  const settle = (): Promise<unknown> => fixture.whenStable();
  return {
    root,
    picked,
    diameter,
    pitch,
    settle,
    fixture,
    type: async (field: HTMLInputElement, text: string) => {
      field.value = text;
      field.dispatchEvent(new Event('change'));
      field.dispatchEvent(new Event('input'));
      await settle();
    },
    read: async () => {
      [...root.querySelectorAll('button')]
        .find((b) => b.textContent!.includes('Read the vernier'))!
        .click();
      await settle();
    },
  };
}

describe('the gauge on a vernier with a data output', () => {
  test('follows the readings until they hold still, and then lets go of the instrument', async () => {
    const at = await gauge();
    await at.read();
    Wired.last.say('8.80', '8.95', '9.02');
    await at.settle();
    expect([at.diameter.value, Wired.last.closed]).toEqual(['9.02', false]);
    Wired.last.say('9.03', '9.02', '9.03');
    await at.settle();
    expect(Wired.last.closed).toBe(true);
    await at.type(at.pitch, '1.0');
    expect(at.root.querySelector('li')!.textContent).toContain('M10x1');
  });

  test('an instrument that does not answer is said; the figure can be typed all the same', async () => {
    const at = await gauge();
    await at.read();
    Wired.last.onerror!();
    await at.settle();
    expect(at.root.querySelector('.fault')!.textContent).toMatch(/The vernier does not answer/);
    await at.type(at.diameter, '9.03');
    await at.type(at.pitch, '25.4 tpi');
    (at.root.querySelector('li button') as HTMLElement).click();
    expect(at.picked).toEqual([{ thread: 'M10x1', readings: { diameterMm: 9.03, pitchMm: 1 } }]);
  });

  test('reading again, or leaving, ends the reading before', async () => {
    const at = await gauge();
    await at.read();
    const first = Wired.last;
    at.fixture.destroy();
    expect(first.closed).toBe(true);
  });

  test.each([
    ['9.9', '-1', /"-1" is not a pitch/],
    ['9.9', '1 mm mm', /Enter 1\.0 for mm, or 24 tpi/],
    ['ten', '1.0', /"ten" is not a diameter/],
  ])('%s and %s are asked about', async (diameter, pitch, sentence) => {
    const at = await gauge('male');
    await at.type(at.diameter, diameter);
    await at.type(at.pitch, pitch);
    expect(at.root.querySelector('.fault')!.textContent).toMatch(sentence);
    expect(at.root.querySelector('li button')).toBeNull();
  });
});
