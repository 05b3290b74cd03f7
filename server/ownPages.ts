import type { IncomingMessage, Server } from 'node:http';
import { isIP } from 'node:net';
import { hostname } from 'node:os';
import type { Duplex } from 'node:stream';
import { WebSocketServer, type WebSocket } from 'ws';

/** Pages that may listen at one path, and bytes a page may leave waiting before it is let go. */
const MOST_PAGES = 20;
const MOST_WAITING = 256 * 1024;
/** Longest thing a page may say, bytes. */
const LONGEST_SAID = 1024;

/** Names this machine goes by: a page at any other name is another's that only points here. */
function ownName(host: string): boolean {
  const name = host
    .replace(/:\d+$/, '')
    .replace(/^\[|\]$/g, '')
    .toLowerCase();
  const own = hostname().toLowerCase();
  return isIP(name) !== 0 || name === 'localhost' || name === own || name === `${own}.local`;
}

/** Whether a request comes from a page this server gave out. */
export function fromOwnPage({ headers }: Pick<IncomingMessage, 'headers'>): boolean {
  const { origin, host } = headers;
  if (!origin || !host || !ownName(host)) return false;
  try {
    return new URL(origin).host === host;
  } catch {
    return false;
  }
}

/** The app's own pages that are connected at a path. */
export interface OwnPages {
  /** Tells all of them, or all but one; a page that does not take what it is told is let go. */
  tell: (words: string, except?: WebSocket) => void;
  count: () => number;
  end: () => void;
}

type Upgrade = (request: IncomingMessage, socket: Duplex, head: Buffer) => void;
const paths = new WeakMap<Server, Map<string, Upgrade>>();

const refuse = (socket: Duplex, status: string): void => {
  socket.end(`HTTP/1.1 ${status}\r\nConnection: close\r\nContent-Length: 0\r\n\r\n`);
};

/** Opens a path to WebSockets of the app's own pages; all other paths and pages are turned away. @param take what is done with a new one */
export function ownPagesAt(server: Server, path: string, take: (page: WebSocket) => void): OwnPages {
  let known = paths.get(server);
  if (!known) {
    const mine = new Map<string, Upgrade>();
    paths.set(server, (known = mine));
    server.on('upgrade', (request: IncomingMessage, socket: Duplex, head: Buffer) => {
      const upgrade = mine.get(request.url ?? '');
      if (upgrade) upgrade(request, socket, head);
      else refuse(socket, '404 Not Found');
    });
  }
  const sockets = new WebSocketServer({
    noServer: true,
    maxPayload: LONGEST_SAID,
    perMessageDeflate: false,
  });
  const pages = new Set<WebSocket>();
  known.set(path, (request, socket, head) => {
    if (!fromOwnPage(request)) return refuse(socket, '403 Forbidden');
    if (pages.size >= MOST_PAGES) return refuse(socket, '503 Service Unavailable');
    sockets.handleUpgrade(request, socket, head, (page) => {
      pages.add(page);
      page.on('close', () => pages.delete(page));
      page.on('error', () => page.terminate());
      take(page);
    });
  });
  return {
    tell: (words, except) => {
      for (const page of pages)
        if (page === except) continue;
        else if (page.bufferedAmount > MOST_WAITING) page.terminate();
        else page.send(words);
    },
    count: () => pages.size,
    end: () => {
      sockets.close();
      for (const page of pages) page.terminate();
    },
  };
}
