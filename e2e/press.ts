import type { Page } from 'puppeteer-core';

/** What is wrong with a station: panels with nothing to read, to look at or to fill in, or none of it at all. What is only on its way is waited for. */
export async function wrong(page: Page): Promise<string[]> {
  let found = await wrongNow(page);
  for (let i = 0; i < 20 && found.length; i++) {
    await page.evaluate('new Promise((done) => setTimeout(done, 100))');
    found = await wrongNow(page);
  }
  return found;
}
const wrongNow = (page: Page): Promise<string[]> =>
  page.$$eval(
    'main, main section[aria-label], main aside, main [role=region], dialog[open]',
    (panels) => [
      ...panels
        .filter((panel) => (panel as HTMLElement).offsetHeight > 60 && !panel.textContent!.trim())
        .filter((panel) => !panel.querySelector('svg, canvas, img, input, select'))
        .map(
          (panel) => `${panel.getAttribute('aria-label') ?? panel.tagName.toLowerCase()} is blank`,
        ),
      ...(document.querySelector('[data-test=broken]') ? ['it is broken'] : []),
      ...(document.querySelector('main h1') ? [] : ['it is not fitted']),
    ],
  );

/** Presses every button of a station, and the links to its pages, once but those that take away or hand out files: each opens what it opens. Says what was wrong after which. */
export async function pressAll(
  page: Page,
  pressed: Set<string>,
  each = async (): Promise<void> => {},
): Promise<string[]> {
  const found: string[] = [];
  for (let i = 0; i < 60; i++) {
    const next = await page.evaluate(
      (done) => {
        document
          .querySelectorAll<HTMLDialogElement>('dialog[open]')
          .forEach((dialog) => dialog.close());
        const words = (button: Element): string =>
          (button.getAttribute('aria-label') ?? button.textContent!)
            .replace(/[\d.,]+/g, '#')
            .trim() || `no words: ${button.outerHTML.slice(0, 200)}`;
        const button = [
          ...document.querySelectorAll<HTMLElement>('main button:enabled, main fl-page-nav a'),
        ].find(
          (one) =>
            one.offsetHeight &&
            !done.includes(words(one)) &&
            !/delete|remove|export|print|file|template|drill|card|×/i.test(words(one)),
        );
        button?.click();
        return button ? words(button) : null;
      },
      [...pressed],
    );
    if (next === null) break;
    pressed.add(next);
    await page.evaluate('new Promise((done) => setTimeout(done, 40))');
    await each();
    found.push(...(await wrong(page)).map((what) => `${what} after "${next}"`));
  }
  return found;
}
