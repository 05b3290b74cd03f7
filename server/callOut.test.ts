import http, { type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { WebSocket } from 'ws';
import { serveCallOut } from './callOut';

describe('calling out', () => {
  let web: Server;
  let end: () => void;
  beforeAll(async () => {
    web = http.createServer((_request, response) => response.end('page'));
    await new Promise<void>((done) => web.listen(0, '127.0.0.1', done));
    end = serveCallOut(web);
  });
  afterAll((done) => {
    end();
    web.close(done);
  });
  const page = async (origin?: string): Promise<{ socket: WebSocket; heard: string[]; status: string }> => {
    const base = `127.0.0.1:${(web.address() as AddressInfo).port}`;
    const socket = new WebSocket(`ws://${base}/call-out-line`, { origin: origin ?? `http://${base}` });
    const heard: string[] = [];
    socket.on('message', (data) => heard.push(String(data as Buffer)));
    socket.on('error', () => undefined);
    const status = await new Promise<string>((resolve) => {
      socket.on('open', () => resolve('open'));
      socket.on('unexpected-response', (_request, response) => resolve(String(response.statusCode)));
    });
    return { socket, heard, status };
  };
  const until = async (done: () => boolean): Promise<void> => {
    while (!done()) await new Promise((r) => setTimeout(r, 10));
  };

  it('is heard by every other page, and the caller is told by how many', async () => {
    const [deck, guest, second] = [await page(), await page(), await page()];
    deck.socket.send(JSON.stringify({ words: 'Drop. Stop at 11 m.', sinkS: 9 }));
    await until(() => guest.heard.length > 0 && second.heard.length > 0 && deck.heard.length > 0);
    expect(JSON.parse(guest.heard[0]!)).toEqual({ words: 'Drop. Stop at 11 m.', sinkS: 9 });
    expect(JSON.parse(deck.heard[0]!)).toEqual({ heard: 2 });
    for (const { socket } of [deck, guest, second]) socket.terminate();
  });
  it.each([
    ['no call-out', 'hello'],
    ['another shape', JSON.stringify({ words: 'x', sinkS: 'soon' })],
    ['too long', JSON.stringify({ words: 'x'.repeat(90), sinkS: null })],
  ])('a page that says %s is let go, and nobody hears it', async (_, words) => {
    const [bad, guest] = [await page(), await page()];
    const closed = new Promise<number>((resolve) => bad.socket.on('close', resolve));
    bad.socket.send(words);
    expect(await closed).toBe(1008);
    expect(guest.heard).toEqual([]);
    guest.socket.terminate();
  });
  it('pages of others are turned away', async () => {
    expect((await page('http://evil.example')).status).toBe('403');
  });
});
