import { GLOSSARY, glossaryPieces } from './index.ts';

const explained = (text: string): string[] =>
  glossaryPieces(text).flatMap(({ text: word, entry }) => (entry ? [`${word}: ${entry.id}`] : []));

describe('glossary', () => {
  it('twenty to forty terms, each with one id, a short definition and a drawing inside its frame', () => {
    expect(GLOSSARY.length).toBeGreaterThanOrEqual(20);
    expect(GLOSSARY.length).toBeLessThanOrEqual(40);
    expect(new Set(GLOSSARY.map(({ id }) => id)).size).toBe(GLOSSARY.length);
    for (const { term, means, drawing } of GLOSSARY) {
      // Three short sentences at most, and none that needs a second breath.
      const sentences = means.split(/(?<=[.!?])\s/);
      expect([term, sentences.length <= 3]).toEqual([term, true]);
      for (const one of sentences) expect(one.split(' ').length).toBeLessThanOrEqual(28);
      expect(drawing.length).toBeGreaterThan(0);
      for (const { d } of drawing)
        for (const [, x] of d.matchAll(/[ML](\d+(?:\.\d+)?) \d/g))
          expect(Number(x)).toBeLessThanOrEqual(120);
    }
  });

  // Common practice: 10 psi for drums and 2 psi for discs; a dash is a sixteenth of an inch.
  it('has the terms a newcomer asks for, with the figures of the trade', () => {
    const means = (id: string) => GLOSSARY.find((one) => one.id === id)!.means;
    for (const id of ['knee', 'springback', 'free-play', 'droop', 'banjo'])
      expect(means(id)).toBeTruthy();
    expect(means('residual-valve')).toMatch(/10 psi for drums, 2 psi for calipers/);
    expect(means('dash-size')).toMatch(/-3 is 3\/16 in, -4 is 1\/4 in/);
  });

  it('a term is found as a whole word, in any of its names, and once in a text', () => {
    expect(explained('The banjo bolt needs new crush washers. A banjo turns.')).toEqual([
      'banjo bolt: banjo',
      'crush washers: crush-washer',
    ]);
    expect(explained('Kneeling on a bumper')).toEqual([]);
    expect(explained('Residual pressure valves drop the knee')).toEqual([
      'Residual pressure: residual-valve',
      'knee: knee',
    ]);
  });

  it('an ordinary word is left alone; the pieces joined are the text', () => {
    for (const text of ['The rear wheels lock first.', 'Feed the hose through the gate.', '']) {
      expect(explained(text)).toEqual([]);
      expect(
        glossaryPieces(text)
          .map((piece) => piece.text)
          .join(''),
      ).toBe(text);
    }
    expect(explained('Turn the wheel lock to lock at full droop.')).toEqual([
      'lock to lock: lock',
      'droop: droop',
    ]);
  });
});
