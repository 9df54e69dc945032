import type { Page } from 'puppeteer-core';

/** Walks with Tab alone until the focus lies on what matches; says where it got stuck. */
export async function tabTo(page: Page, selector: string, most = 160): Promise<void> {
  for (let i = 0; i < most; i++) {
    if (await page.evaluate((s) => document.activeElement?.matches(s) ?? false, selector)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`Tab never reached ${selector}`);
}

/** Walks to a field, replaces what is in it and leaves it. */
export async function fill(page: Page, selector: string, text: string): Promise<void> {
  await tabTo(page, selector);
  await page.keyboard.down('Control');
  await page.keyboard.press('a');
  await page.keyboard.up('Control');
  await page.keyboard.type(text);
  await page.keyboard.press('Tab');
}

/** Chooses an option of a select by its first letters, as a keyboard does. */
export async function choose(page: Page, selector: string, letters: string): Promise<void> {
  await tabTo(page, selector);
  await page.keyboard.type(letters);
  await new Promise((done) => setTimeout(done, 60));
}

export const press = async (page: Page, selector: string): Promise<void> => {
  await tabTo(page, selector);
  await page.keyboard.press('Enter');
};

/** Clicks the element itself, wherever its list has moved it by then. */
export const clickOn = async (page: Page, selector: string): Promise<void> => {
  await page.waitForSelector(selector);
  await page.$eval(selector, (element) => (element as HTMLElement).click());
};

export const textOf = (page: Page, selector: string): Promise<string> =>
  page.$eval(selector, (e) => e.textContent!.replace(/\s+/g, ' ').trim());
export const waitText = (page: Page, selector: string, part: string): Promise<unknown> =>
  page.waitForFunction(
    (s, t) => document.querySelector(s)?.textContent?.includes(t),
    { polling: 100 },
    selector,
    part,
  );

/** Presses the button or link, or opens the summary, that says just this; a page that a link leads to is waited for. */
export async function pressNamed(page: Page, name: string): Promise<void> {
  // A panel that is loaded on demand may still be on its way.
  await page
    .waitForFunction(
      (text) => {
        const button = [
          ...document.querySelectorAll<HTMLElement>('button, summary, fl-page-nav a'),
        ].find((b) => b.textContent!.trim() === text);
        button?.click();
        return button !== undefined;
      },
      { polling: 100, timeout: 30_000 },
      name,
    )
    .catch(() => {
      throw new Error(`No button says ${name}`);
    });
  await page.waitForFunction(
    (text) => {
      const link = [...document.querySelectorAll('fl-page-nav a')].find(
        (one) => one.textContent!.trim() === text,
      );
      return !link || (link.ariaCurrent === 'page' && document.querySelector('.open-page'));
    },
    {},
    name,
  );
}
