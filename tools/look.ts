import { launch, openPlan, serve, watch } from '../e2e/browser.ts';
const [station, line, w, h, out, full] = process.argv.slice(2);
const server = await serve(); const browser = await launch();
try { const { page, complaints } = await watch(browser, server.url); await page.setViewport({ width: Number(w), height: Number(h) });
 await openPlan(page, server.url, 'gannet', station); if (line && line !== '-') { await page.click(`[data-line="${line}"]`); await new Promise(r => setTimeout(r, 500)); }
 await page.screenshot({ path: out as '/tmp/a.png', fullPage: full === 'full' }); console.log(complaints); 
} finally { await browser.close(); await server.stop(); }
