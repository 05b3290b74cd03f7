import { createSocket } from 'node:dgram';
import http, { type Server } from 'node:http';
import { createServer, type AddressInfo, type Server as TcpServer } from 'node:net';
import { WebSocket } from 'ws';
import { writeNmea } from '@/core/formats/nmea0183';
import { feedAddress, lineSplitter, serveFeed } from './boatFeed';
import { fromOwnPage } from './ownPages';

const portOf = (server: { address(): unknown }): number => (server.address() as AddressInfo).port;
const DEPTH = writeNmea('SDDPT', '11.0', '0.4');

describe('the boat’s address', () => {
  it('is taken from the command line alone', () => {
    expect(feedAddress('tcp://192.168.4.1:10110')).toEqual({ kind: 'tcp', host: '192.168.4.1', port: 10110 });
    expect(feedAddress('udp://[::1]:2000')).toEqual({ kind: 'udp', host: '::1', port: 2000 });
    expect(feedAddress('simulated')).toEqual({ kind: 'simulated' });
    for (const bad of ['', 'tcp://x', 'http://x:1', 'tcp://x:0', 'tcp://x:99999', 'tcp://a b:1'])
      expect(() => feedAddress(bad)).toThrow(/--feed must be/);
  });
});

describe('lines', () => {
  it('are put together from pieces; what has no end is dropped', () => {
    const heard: string[] = [];
    const split = lineSplitter((line) => heard.push(line));
    split('$AB');
    split('C,1*00\r\n$DE');
    split(`${'x'.repeat(4000)}`);
    split(`${'y'.repeat(4000)}\n`);
    split(`${DEPTH}\n`);
    expect(heard).toEqual(['$ABC,1*00', DEPTH]);
  });
});

describe('who may listen', () => {
  const asked = (origin: string | undefined, host: string): boolean =>
    fromOwnPage({ headers: { origin, host } });
  it('is a page this server gave out, by a name of this machine', () => {
    expect(asked('http://localhost:4170', 'localhost:4170')).toBe(true);
    expect(asked('https://192.168.1.7:4170', '192.168.1.7:4170')).toBe(true);
    expect(asked('http://localhost:9', 'localhost:4170')).toBe(false);
    expect(asked('http://evil.example', 'localhost:4170')).toBe(false);
    expect(asked(undefined, 'localhost:4170')).toBe(false);
    expect(asked('null', 'localhost:4170')).toBe(false);
    // A name elsewhere that was made to point here.
    expect(asked('http://evil.example:4170', 'evil.example:4170')).toBe(false);
  });
});

describe('the gateway', () => {
  let web: Server;
  let boat: TcpServer;
  let end: () => void;
  const sockets = new Set<import('node:net').Socket>();
  beforeAll(async () => {
    boat = createServer((socket) => {
      sockets.add(socket);
      socket.on('error', () => undefined);
    });
    await new Promise<void>((done) => boat.listen(0, '127.0.0.1', done));
    web = http.createServer((_request, response) => response.end('page'));
    await new Promise<void>((done) => web.listen(0, '127.0.0.1', done));
    end = serveFeed(web, { kind: 'tcp', host: '127.0.0.1', port: portOf(boat) });
  });
  afterAll((done) => {
    end();
    sockets.forEach((s) => s.destroy());
    boat.close();
    web.close(done);
  });
  const open = (path = '/feed', origin?: string): WebSocket => {
    const base = `127.0.0.1:${portOf(web)}`;
    return new WebSocket(`ws://${base}${path}`, { origin: origin ?? `http://${base}` });
  };
  const opened = (page: WebSocket): Promise<string> =>
    new Promise((resolve) => {
      page.on('open', () => resolve('open'));
      page.on('unexpected-response', (_request, response) => resolve(String(response.statusCode)));
      page.on('error', () => undefined);
    });
  const boatSays = (text: string): void => sockets.forEach((s) => s.write(text));
  const boatThere = async (): Promise<void> => {
    while (sockets.size === 0) await new Promise((r) => setTimeout(r, 20));
  };

  it('passes the boat’s lines on to its own pages', async () => {
    const page = open();
    expect(await opened(page)).toBe('open');
    await boatThere();
    const heard = new Promise<string>((resolve) => page.on('message', (data) => resolve(String(data))));
    boatSays(`${DEPTH}\r\n`);
    expect(await heard).toBe(DEPTH);
    page.terminate();
  });
  it('turns away pages of others and other paths', async () => {
    expect(await opened(open('/feed', 'http://evil.example'))).toBe('403');
    expect(await opened(open('/else'))).toBe('404');
  });
  it('takes nothing from a page', async () => {
    const page = open();
    await opened(page);
    const closed = new Promise<number>((resolve) => page.on('close', resolve));
    page.send('$SDDPT,1,0*00');
    expect(await closed).toBe(1008);
  });
  it('thins a flood out', async () => {
    const page = open();
    await opened(page);
    let lines = 0;
    page.on('message', () => lines++);
    boatSays(`${DEPTH}\n`.repeat(20_000));
    await new Promise((r) => setTimeout(r, 700));
    expect(lines).toBeGreaterThan(50);
    // At most two seconds' worth were touched.
    expect(lines).toBeLessThanOrEqual(400);
    page.terminate();
  });
  it('finds the boat again by itself', async () => {
    sockets.forEach((s) => s.destroy());
    sockets.clear();
    await boatThere();
    const page = open();
    await opened(page);
    const heard = new Promise<string>((resolve) => page.on('message', (data) => resolve(String(data))));
    boatSays(`${DEPTH}\n`);
    expect(await heard).toBe(DEPTH);
    page.terminate();
  });
});

it('listens to datagrams too', async () => {
  const web = http.createServer();
  await new Promise<void>((done) => web.listen(0, '127.0.0.1', done));
  const probe = createSocket('udp4');
  await new Promise<void>((done) => probe.bind(0, '127.0.0.1', done));
  const { port } = probe.address();
  await new Promise<void>((done) => probe.close(done));
  const end = serveFeed(web, { kind: 'udp', host: '127.0.0.1', port });
  const base = `127.0.0.1:${portOf(web)}`;
  const page = new WebSocket(`ws://${base}/feed`, { origin: `http://${base}` });
  await new Promise((done) => page.on('open', done));
  const heard = new Promise<string>((resolve) => page.on('message', (data) => resolve(String(data))));
  const sender = createSocket('udp4');
  const again = setInterval(() => sender.send(`${DEPTH}\n`, port, '127.0.0.1'), 50);
  expect(await heard).toBe(DEPTH);
  clearInterval(again);
  sender.close();
  page.terminate();
  end();
  web.close();
});
