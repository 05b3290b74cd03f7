import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { createApp } from './app';
import { readOptions } from './options';

describe('the server', () => {
  let server: Server;
  let base = '';
  beforeAll((done) => {
    const dist = mkdtempSync(path.join(tmpdir(), 'dist-'));
    mkdirSync(path.join(dist, '_expo'));
    writeFileSync(path.join(dist, 'index.html'), `<html>${'app '.repeat(1000)}</html>`);
    writeFileSync(path.join(dist, '_expo', 'entry-0123456789abcdef0123456789abcdef.js'), 'x');
    writeFileSync(path.join(dist, 'plain.js'), 'y');
    server = createApp(dist).listen(0, '127.0.0.1', () => {
      base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
      done();
    });
  });
  afterAll((done) => {
    server.close(done);
  });

  it('answers for its health', async () => {
    expect(await (await fetch(`${base}/healthz`)).json()).toEqual({ ok: true });
  });
  it('gives the app for its routes, never cached, compressed', async () => {
    for (const route of ['/', '/plan', '/a/b']) {
      const response = await fetch(base + route);
      expect(response.status).toBe(200);
      expect(await response.text()).toContain('app');
      expect(response.headers.get('cache-control')).toBe('no-cache');
      expect(response.headers.get('content-encoding')).toBeTruthy();
    }
  });
  it('keeps hashed files for ever and others not', async () => {
    const hashed = await fetch(`${base}/_expo/entry-0123456789abcdef0123456789abcdef.js`);
    expect(hashed.headers.get('cache-control')).toMatch(/immutable/);
    expect((await fetch(`${base}/plain.js`)).headers.get('cache-control')).toBe('no-cache');
  });
  it('gives a real 404 for a file and does not leave its folder', async () => {
    expect((await fetch(`${base}/missing.png`)).status).toBe(404);
    expect((await fetch(`${base}/..%2f..%2fetc%2fpasswd.txt`)).status).not.toBe(200);
  });
  it('sets a strict policy that still allows workers and WASM', async () => {
    const { headers } = await fetch(base);
    const policy = headers.get('content-security-policy') ?? '';
    expect(policy).toContain("script-src 'self' 'wasm-unsafe-eval'");
    expect(policy).toContain("worker-src 'self' blob:");
    expect(policy).not.toContain('upgrade-insecure-requests');
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('x-powered-by')).toBeNull();
  });
});

describe('options', () => {
  it('bind to this machine unless told otherwise', () => {
    expect(readOptions([])).toMatchObject({ host: '127.0.0.1', port: 4170, cert: null });
    expect(readOptions(['--host', '0.0.0.0', '--port', '0'])).toMatchObject({ host: '0.0.0.0', port: 0 });
  });
  it.each([[['--port', 'x']], [['--port', '70000']], [['--cert', 'a.pem']], [['--nonsense']]])(
    'refuses %j',
    (args) => {
      expect(() => readOptions(args)).toThrow();
    },
  );
});
