import { type Plan } from '@firm-line/core/plan';
import { readPlan } from '@firm-line/core/plan/file';
import type { Page } from 'puppeteer-core';

/**
 * What no field expects: nothing, words, figures beyond every limit, long texts; in a long run also figures at a limit
 * and other units, which the specs of the fields themselves have too.
 */
export const ODD_ENTRIES = [
  '',
  'abc',
  '-1',
  '1e9',
  'x'.repeat(300),
  ...(process.env['LONG_TESTS'] ? ['0', '-99999999', '0.0000001', '12 in', '1/0'] : []),
];

/** What a field is called, so that one like it is not driven again: figures in it may differ. */
const LIST = `(() => {
  const words = (field) => {
    const label = field.getAttribute('aria-label') ?? field.closest('label')?.textContent ?? (field.id && document.querySelector('label[for="' + CSS.escape(field.id) + '"]')?.textContent) ?? field.name;
    return field.tagName + ' ' + (label ?? '').replace(/[\\d.,]+/g, '#').trim();
  };
  const fields = [...document.querySelectorAll('main input, main select, main textarea, dialog[open] input, dialog[open] select')]
    .filter((field) => field.offsetHeight && !field.disabled && !field.readOnly && field.type !== 'file');
  return { fields, words };
})()`;

/** How many fields are on screen now. */
export const countFields = (page: Page): Promise<number> =>
  page.evaluate(`${LIST}.fields.length`) as Promise<number>;

/** Enters one thing after the other in a field of those on screen, by its place among them, as a hand would: typed, then left. Says which it was. */
export const enter = (
  page: Page,
  index: number,
  ...entries: readonly string[]
): Promise<string | null> =>
  page.evaluate(`(async () => {
    let name = null;
    for (const entry of ${JSON.stringify(entries)}) {
      const { fields, words } = ${LIST};
      const field = fields[${index}];
      if (!field) break;
      field.focus();
      if (field.type === 'checkbox' || field.type === 'radio') field.click();
      else {
        if (field.tagName === 'SELECT') field.selectedIndex = (entry.length * 7) % Math.max(field.options.length, 1);
        else Object.getOwnPropertyDescriptor(Object.getPrototypeOf(field), 'value').set.call(field, entry);
        field.dispatchEvent(new Event('input', { bubbles: true }));
        field.dispatchEvent(new Event('change', { bubbles: true }));
      }
      name = words(field);
      field.blur();
      await new Promise((done) => setTimeout(done, 4));
    }
    return name;
  })()`) as Promise<string | null>;

/** Enters each of some things in every field on screen that is not among the driven ones. */
export async function driveFields(page: Page, driven: Set<string>): Promise<void> {
  const names = (await page.evaluate(
    `(() => { const { fields, words } = ${LIST}; return fields.map(words); })()`,
  )) as string[];
  for (const [index, name] of names.entries()) {
    if (driven.has(name)) continue;
    driven.add(name);
    await enter(page, index, ...ODD_ENTRIES);
  }
}

/** The plan as the browser keeps it, read as a file is: throws where it could not be opened again. */
export async function keptPlan(page: Page, id: string): Promise<Plan> {
  const text = await page.evaluate(
    (key) =>
      new Promise<string>((done, failed) => {
        const opening = indexedDB.open('firm-line');
        opening.onerror = () => failed(opening.error);
        opening.onsuccess = () => {
          const db = opening.result;
          const reading = db.transaction('bodies').objectStore('bodies').get(key);
          reading.onsuccess = () => (done(JSON.stringify(reading.result)), db.close());
        };
      }),
    id,
  );
  return readPlan(text);
}
