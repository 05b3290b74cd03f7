import { createSocket } from 'node:dgram';
import type { Server } from 'node:http';
import { connect, isIP, type Socket } from 'node:net';
import { simulatedBoat } from '@/core/bench/simulatedBoat';
import { boatSentences, LONGEST_SENTENCE } from '@/core/formats/nmea0183';
import { ownPagesAt } from './ownPages';

/** Where the boat's sentences come from: its network, or the simulated boat. Only the command line says so. */
export type FeedAddress = { kind: 'tcp' | 'udp'; host: string; port: number } | { kind: 'simulated' };

/** Reads `tcp://host:port`, `udp://host:port` or `simulated`. @throws Error with a plain sentence */
export function feedAddress(text: string): FeedAddress {
  if (text === 'simulated') return { kind: 'simulated' };
  const found = /^(tcp|udp):\/\/(\[[0-9a-fA-F:]+\]|[\w.-]+):(\d{1,5})$/.exec(text);
  const port = Number(found?.[3]);
  if (!found || !(port >= 1 && port <= 65535))
    throw new Error(`--feed must be tcp://host:port, udp://host:port or simulated, got “${text}”`);
  return { kind: found[1] as 'tcp' | 'udp', host: found[2]!.replace(/^\[|\]$/g, ''), port };
}

/** Lines a second that are passed on; the rest of a flood is dropped. */
const MOST_LINES_A_SECOND = 200;
const AGAIN_MS = 2000;

/** Splits what comes in into lines; a line without an end is dropped once it is too long for any sentence. */
export function lineSplitter(hear: (line: string) => void): (chunk: string) => void {
  let rest = '';
  let skipping = false;
  return (chunk) => {
    const parts = (rest + chunk).split(/\r?\n/);
    rest = parts.pop()!;
    for (const part of parts) {
      if (!skipping && part !== '' && part.length <= LONGEST_SENTENCE) hear(part);
      skipping = false;
    }
    if (rest.length > LONGEST_SENTENCE) {
      rest = '';
      skipping = true;
    }
  };
}

/** Listens to the boat, and begins again by itself. Returns how to end it. */
function listen(address: FeedAddress, hear: (line: string) => void): () => void {
  if (address.kind === 'simulated') {
    let second = 0;
    const id = setInterval(() => {
      const now = new Date().toISOString();
      const [time, date] = [
        now.slice(11, 19).replaceAll(':', ''),
        `${now.slice(8, 10)}${now.slice(5, 7)}${now.slice(2, 4)}`,
      ];
      boatSentences(simulatedBoat(second++), time, date).forEach(hear);
    }, 1000);
    return () => clearInterval(id);
  }
  if (address.kind === 'udp') {
    const socket = createSocket(isIP(address.host) === 6 ? 'udp6' : 'udp4');
    socket.on('message', (bytes) => lineSplitter(hear)(`${bytes.toString('latin1')}\n`));
    socket.on('error', () => undefined);
    socket.bind(address.port, address.host);
    return () => socket.close();
  }
  let socket: Socket | null = null;
  let again: ReturnType<typeof setTimeout> | null = null;
  let ended = false;
  const call = (): void => {
    const split = lineSplitter(hear);
    socket = connect(address.port, address.host);
    socket.setEncoding('latin1');
    socket.on('data', (chunk) => split(String(chunk)));
    socket.on('error', () => undefined);
    socket.on('close', () => {
      if (!ended) again = setTimeout(call, AGAIN_MS);
    });
  };
  call();
  return () => {
    ended = true;
    if (again !== null) clearTimeout(again);
    socket?.destroy();
  };
}

/** Gives the boat's sentences to the app's own pages at /feed; nothing is taken from them. Returns how to end it. */
export function serveFeed(server: Server, address: FeedAddress): () => void {
  // The boat is only listened to.
  const pages = ownPagesAt(server, '/feed', (page) => {
    page.on('message', () => page.close(1008, 'read only'));
  });
  let second = 0;
  let lines = 0;
  const end = listen(address, (line) => {
    const now = Math.floor(Date.now() / 1000);
    if (now !== second) [second, lines] = [now, 0];
    if (++lines <= MOST_LINES_A_SECOND) pages.tell(line);
  });
  return () => {
    end();
    pages.end();
  };
}
