import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { request, type IncomingHttpHeaders, type Server } from 'node:http';
import { connect, type AddressInfo, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { createApp } from './app';
import { readOptions } from './options';

describe('the server', () => {
  let server: Server;
  let base = '';
  beforeAll((done) => {
    const dist = mkdtempSync(path.join(tmpdir(), 'dist-'));
    mkdirSync(path.join(dist, '_expo'));
    const page = `<html>${'app '.repeat(1000)}</html>`;
    writeFileSync(path.join(dist, 'index.html'), page);
    writeFileSync(path.join(dist, 'index.html.br'), brotliCompressSync(page));
    writeFileSync(path.join(dist, 'index.html.gz'), gzipSync(page));
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
  const raw = (
    target: string,
    method = 'GET',
  ): Promise<{ status: number; body: string; headers: IncomingHttpHeaders }> =>
    new Promise((resolve, reject) => {
      const { port } = server.address() as AddressInfo;
      const asked = request({ port, host: '127.0.0.1', path: target, method }, (response) => {
        let body = '';
        response.on('data', (chunk) => (body += String(chunk)));
        response.on('end', () => resolve({ status: response.statusCode!, body, headers: response.headers }));
      });
      asked.on('error', reject);
      asked.end();
    });
  const ASTRAY = [
    '/../../../../etc/passwd',
    '/..%2f..%2f..%2fetc%2fpasswd',
    '/..%2F..%2Fetc%2Fpasswd',
    '/%2e%2e/%2e%2e/etc/passwd',
    '/%2e%2e%2f%2e%2e%2fetc%2fpasswd',
    '/%252e%252e%252fetc%252fpasswd',
    '/..%252f..%252fetc/passwd',
    '/..%5c..%5cetc%5cpasswd',
    '/..\\..\\etc\\passwd',
    '/....//....//etc/passwd',
    '/..;/..;/etc/passwd',
    '/.%2e/.%2e/etc/passwd',
    '/%2e./%2e./etc/passwd',
    '/_expo/../../package.json',
    '/_expo/..%2f..%2fpackage.json',
    '/_expo/%2e%2e/%2e%2e/package.json',
    '/./.././../etc/passwd',
    '/a/b/c/../../../../../etc/passwd',
    '//etc/passwd',
    '///etc/passwd',
    '/etc/passwd',
    '/file:///etc/passwd',
    '/.git/config',
    '/.env',
    '/index.html/../../package.json',
    '/index.html%2f..%2f..%2fpackage.json',
  ];
  const BADLY_WRITTEN = [
    '/%',
    '/%E0%A4%A',
    '/a%ZZ',
    '/%00',
    '/index.html%00.png',
    '/%c0%ae%c0%ae/etc/passwd',
    '/%c0%af',
    '/%ff',
    '/%fe%fe',
    '/%80',
    '/%u002e%u002e/',
    '/%2',
    '/%%32%65',
    '/%GG/plan',
    '/plan%',
    '/plan%0d%0aSet-Cookie:x',
    '/%0a',
    '/%e2%28%a1',
    '/%f8%a1%a1%a1%a1',
    '/%ed%a0%80',
  ];
  it.each([...ASTRAY, ...BADLY_WRITTEN])('tells nothing for %s', async (target) => {
    const { status, body } = await raw(target);
    expect([200, 400, 404]).toContain(status);
    // What is not the app itself is a sentence without paths, stacks or files.
    if (status !== 200) expect(body).toMatch(/^[A-Z][a-z ]+\.$/);
    else expect(body).toContain('app');
    expect(body).not.toMatch(/root:|node_modules|Error|\/work/);
  });
  it('only lets itself be read', async () => {
    const { status, body, headers } = await raw('/plan', 'POST');
    expect([status, body, headers.allow]).toEqual([405, 'Only reading is possible here.', 'GET, HEAD']);
  });
  it('stays whole under two thousand requests, a hundred at once, beside three hundred slow sockets', async () => {
    const { port } = server.address() as AddressInfo;
    const slow = await Promise.all(
      Array.from(
        { length: 300 },
        () =>
          new Promise<Socket>((resolve, reject) => {
            const socket = connect(port, '127.0.0.1', () => {
              socket.write('GET /plan HTTP/1.1\r\nHost: x\r\nX-Slow: ');
              resolve(socket);
            });
            socket.on('error', reject);
          }),
      ),
    );
    let good = 0;
    for (let k = 0; k < 20; k++) {
      const answers = await Promise.all(Array.from({ length: 100 }, () => raw('/plan')));
      good += answers.filter((a) => a.status === 200).length;
    }
    expect(good).toBe(2000);
    slow.forEach((socket) => socket.destroy());
  });
  it('sets a strict policy that still allows workers and WASM', async () => {
    const { headers } = await fetch(base);
    const policy = headers.get('content-security-policy') ?? '';
    expect(policy).toContain("script-src 'self' 'wasm-unsafe-eval'");
    expect(policy).toContain("worker-src 'self' blob:");
    expect(policy).not.toContain('upgrade-insecure-requests');
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('x-powered-by')).toBeNull();
    expect(headers.get('permissions-policy')).toContain('camera=()');
    // One rule says who may frame it.
    expect(policy).toContain("frame-ancestors 'none'");
    expect(headers.get('x-frame-options')).toBeNull();
  });
});

describe('options', () => {
  it('bind to this machine unless told otherwise', () => {
    expect(readOptions([])).toMatchObject({ host: '127.0.0.1', port: 4170, cert: null });
    expect(readOptions(['--host', '0.0.0.0', '--port', '0'])).toMatchObject({ host: '0.0.0.0', port: 0 });
  });
  it.each([
    [['--port', 'x']],
    [['--port', '']],
    [['--port', '-1']],
    [['--dist', '']],
    [['--port', '70000']],
    [['--cert', 'a.pem']],
    [['--nonsense']],
  ])('refuses %j', (args) => {
    expect(() => readOptions(args)).toThrow();
  });
});
