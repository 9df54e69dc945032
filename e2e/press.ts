import type { Page } from 'puppeteer-core';
import { goTo } from './browser';

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

/** Most buttons that a station has; in a long run, with every row of its lists. */
const MOST = process.env['LONG_TESTS'] === undefined ? 200 : 1000;
const isLong = process.env['LONG_TESTS'] !== undefined;

/** Goes to every page of a station that was not gone to before and presses every button there that was not pressed before but those that take away or hand out files: each opens what it opens. Of the rows of a list only the first and the last few, but in a long run. Whatever leads to another station is come back from. Says what was wrong after which. */
export async function pressAll(
  page: Page,
  pressed: Set<string>,
  each = async (): Promise<void> => {},
  pages = new Set<string>(),
): Promise<string[]> {
  const found: string[] = [];
  const station = stationOf(page);
  for (let i = 0; i < MOST; i++) {
    const next = await page.evaluate(
      (done, gone, atEachEnd) => {
        document
          .querySelectorAll<HTMLDialogElement>('dialog[open]')
          .forEach((dialog) => dialog.close());
        const words = (button: Element): string =>
          (button.getAttribute('aria-label') ?? button.textContent!)
            .replace(/[\d.,]+/g, '#')
            .trim() || `no words: ${button.outerHTML.slice(0, 200)}`;
        const inTheMiddle = (button: Element): boolean => {
          const rows = [
            ...(button.closest('ul, ol, section, aside')?.querySelectorAll('[data-row]') ?? []),
          ];
          const at = rows.indexOf(button);
          return at >= atEachEnd && at < rows.length - atEachEnd;
        };
        const isPage = (one: Element): boolean => one.matches('fl-page-nav a');
        const button = [
          // What is on a page before the next page is gone to.
          ...document.querySelectorAll<HTMLElement>('main button:enabled'),
          ...document.querySelectorAll<HTMLElement>('main fl-page-nav a'),
        ].find(
          (one) =>
            one.offsetHeight &&
            !(isPage(one) ? gone : done).includes(words(one)) &&
            !inTheMiddle(one) &&
            !/delete|remove|export|print|file|template|drill|card|×/i.test(words(one)),
        );
        button?.click();
        return button ? { words: words(button), isPage: isPage(button) } : null;
      },
      [...pressed],
      [...pages],
      isLong ? 1000 : 2,
    );
    if (next === null) return found;
    (next.isPage ? pages : pressed).add(next.words);
    await page.evaluate('new Promise((done) => setTimeout(done, 40))');
    await each();
    found.push(...(await wrong(page)).map((what) => `${what} after "${next.words}"`));
    if (stationOf(page) !== station) await goTo(page, station);
  }
  return [...found, `more than ${MOST} buttons: some were never pressed`];
}
const stationOf = (page: Page): string => new URL(page.url()).pathname.split('/')[3]!;
