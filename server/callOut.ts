import type { Server } from 'node:http';
import { readCallOut } from '@/core/formats/callOut';
import { ownPagesAt } from './ownPages';

/** Where one page calls out to the others. */
const PATH = '/call-out-line';
/** A page calls at most so often; what comes faster is dropped, ms. */
const SOONEST_MS = 200;

/** Passes what one of the app's own pages calls out on to all others; nothing is kept. Returns how to end it. */
export function serveCallOut(server: Server): () => void {
  const pages = ownPagesAt(server, PATH, (page) => {
    let lastMs = -Infinity;
    page.on('message', (data, binary) => {
      const called = binary ? null : readCallOut(String(data as Buffer));
      if (!called) return page.close(1008, 'not a call-out');
      const now = performance.now();
      if (now - lastMs < SOONEST_MS) return;
      lastMs = now;
      pages.tell(JSON.stringify(called), page);
      // How many heard it.
      page.send(JSON.stringify({ heard: pages.count() - 1 }));
    });
  });
  return pages.end;
}
