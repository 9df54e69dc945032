import { mkdtempSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { request, type IncomingHttpHeaders, type Server } from 'node:http';
import { createApp } from './app.ts';
import { pressOf } from './instruments.ts';
import { readings } from './vernier.ts';

const folder = mkdtempSync(join(tmpdir(), 'firm-line-'));
writeFileSync(join(folder, 'index.html'), '<!doctype html><title>Firm Line</title>');
writeFileSync(join(folder, 'main-ABCDEFG1.js'), `// ${'x'.repeat(5000)}`);
writeFileSync(join(folder, 'gannet.firmline.json'), '{}');

let server: Server;
beforeAll(
  (done) =>
    void (server = createApp({ app: folder, demo: folder }).listen(0, 'localhost', () => done())),
);
afterAll((done) => void server.close(() => done()));

const get = (
  path: string,
): Promise<{ status: number; headers: IncomingHttpHeaders; body: Buffer }> =>
  new Promise((resolve, reject) => {
    request(
      {
        host: 'localhost',
        port: (server.address() as AddressInfo).port,
        path,
        headers: { 'accept-encoding': 'gzip' },
      },
      (response) => {
        const parts: Buffer[] = [];
        response.on('data', (part: Buffer) => parts.push(part));
        response.on('end', () =>
          resolve({
            status: response.statusCode!,
            headers: response.headers,
            body: Buffer.concat(parts),
          }),
        );
      },
    )
      .on('error', reject)
      .end();
  });

describe('the server', () => {
  test('any address of the app is the app, with a strict content policy', async () => {
    for (const path of ['/', '/plan/gannet/route']) {
      const { status, headers, body } = await get(path);
      expect(status).toBe(200);
      expect(body.toString()).toContain('Firm Line');
      expect(headers['content-security-policy']).toContain("script-src 'self';");
      expect(headers['content-security-policy']).not.toContain('unsafe');
      expect(headers['cache-control']).toBe('no-cache');
    }
  });
  test('hashed files are kept for a year, compressed', async () => {
    const { headers, body } = await get('/main-ABCDEFG1.js');
    expect(headers['cache-control']).toBe('public, max-age=31536000, immutable');
    expect(headers['content-encoding']).toBe('gzip');
    expect(gunzipSync(body).length).toBe(5003);
  });
  test('demo plans, health, and what is not there', async () => {
    expect((await get('/demo/gannet.firmline.json')).status).toBe(200);
    expect((await get('/demo/other.firmline.json')).status).toBe(404);
    expect((await get('/main-MISSING1.js')).status).toBe(404);
    expect((await get('/demo/..%2f..%2fetc%2fpasswd')).status).toBe(404);
    expect(JSON.parse(gunzipOrNot(await get('/healthz')))).toEqual({ ok: true });
  });
});

describe('odd requests', () => {
  const send = (
    method: string,
    path: string,
  ): Promise<{ status: number; headers: IncomingHttpHeaders; body: string }> =>
    new Promise((resolve, reject) => {
      const to = { host: 'localhost', port: (server.address() as AddressInfo).port, path, method };
      request(to, (response) => {
        let body = '';
        response.on('data', (part: Buffer) => (body += part.toString()));
        response.on('end', () =>
          resolve({ status: response.statusCode!, headers: response.headers, body }),
        );
      })
        .on('error', reject)
        .end();
    });
  test.each([
    ['GET', '/%'],
    ['GET', '/demo/%'],
    ['GET', '/%E0%A4%A'],
    ['GET', '/api/vernier/%'],
    ['POST', '/plan/gannet'],
    ['DELETE', '/'],
    ['PUT', '/demo/gannet.firmline.json'],
  ])('%s %s ends in a sentence, without a stack or a path of the machine', async (method, path) => {
    const { status, body, headers } = await send(method, path);
    expect(status).toBeGreaterThanOrEqual(400);
    expect(status).toBeLessThan(500);
    expect(body).not.toMatch(/\bat \w|node_modules|[\\/]src[\\/]|Error:/);
    expect(headers['permissions-policy']).toContain('camera=()');
    expect(headers['x-frame-options']).toBe('DENY');
  });
});

describe('the simulated vernier', () => {
  test('readings close on the piece from outside a male and from inside a female, then hold', () => {
    const male = readings(9.89, 'male', () => 0.5);
    expect(male.slice(0, 8)).toEqual([...male.slice(0, 8)].sort((a, b) => b - a));
    expect(male.slice(-6)).toEqual(Array(6).fill(9.89));
    expect(readings(8.63, 'female', () => 0.5)[0]).toBeLessThan(8.63);
  });
  test('types its readings one by one and says when it is done; a piece that is not there is missing', async () => {
    const { status, headers, body } = await get('/api/vernier/b');
    expect([status, headers['content-type']]).toEqual([200, 'text/event-stream']);
    const lines = body.toString().split('\n\n').filter(Boolean);
    expect(lines).toHaveLength(15);
    expect(lines[13]).toMatch(/^data: 9\.(88|89|90)$/);
    expect(lines[14]).toBe('event: done\ndata: ');
    expect((await get('/api/vernier/z')).status).toBe(404);
    expect((await get('/api/other')).status).toBe(404);
  });
});

describe('the simulated instruments', () => {
  test('a press of the pedal comes reading by reading, the same vehicle the same way', async () => {
    const { headers, body } = await get('/api/pedal/7?fault=air');
    expect([headers['content-type'], headers['content-encoding']]).toEqual([
      'text/event-stream',
      undefined,
    ]);
    const data = [...body.toString().matchAll(/^id: (\d+)\ndata: (.*)$/gm)].map(
      ([, id, text]) => [Number(id), JSON.parse(text!)] as const,
    );
    expect(data.map(([id]) => id)).toEqual(pressOf(7, { fault: 'air' }).map((_, i) => i));
    expect(data.map(([, reading]) => reading)).toEqual(pressOf(7, { fault: 'air' }));
    expect(body.toString()).toMatch(/event: done/);
  }, 20_000);
  test('a vehicle that is not there is missing, and a scan tool says whether it knows the part', async () => {
    expect((await get('/api/pedal/x')).status).toBe(404);
    const said = await Promise.all(
      ['a', 'b', 'c'].map(
        async (part) => JSON.parse(gunzipOrNot(await get(`/api/scan/${part}`))).supported,
      ),
    );
    expect(new Set(said)).toEqual(new Set([true, false]));
  });
});

const gunzipOrNot = ({ headers, body }: { headers: IncomingHttpHeaders; body: Buffer }): string =>
  (headers['content-encoding'] === 'gzip' ? gunzipSync(body) : body).toString();
