import { launch, openPlan, serve, watch } from '/work/main/e2e/browser.ts';
const [, , plan, station, out, ...steps] = process.argv;
const server = await serve(); const browser = await launch();
try {
  const { page, complaints } = await watch(browser, server.url);
  await page.setViewport({ width: 1280, height: 800 });
  await openPlan(page, server.url, plan!, station!);
  for (const step of steps) {
    if (step.startsWith('text=')) await page.evaluate((t) => { const all=[...document.querySelectorAll<HTMLElement>('main button, main a, main summary, dialog[open] button, header button')]; const b = all.find((x) => x.textContent!.replace(/\s+/g,' ').trim().includes(t)); b?.click(); }, step.slice(5));
    else if (step.startsWith('wait=')) await new Promise((r) => setTimeout(r, Number(step.slice(5))));
    else if (step.startsWith('scroll=')) await page.evaluate((t) => document.querySelector(t)?.scrollIntoView({block:'start'}), step.slice(7));
    else if (step.startsWith('select=')) { const [sel, v] = step.slice(7).split('|'); await page.select(sel!, v!); }
    else await page.click(step);
    await new Promise((r) => setTimeout(r, 400));
  }
  await new Promise((r) => setTimeout(r, 600));
  await page.screenshot({ path: out as `${string}.png` });
  console.log(complaints.join('\n'));
} finally { await browser.close(); await server.stop(); }
