/** Most text a link may unpack to, bytes. */
export const MOST_UNPACKED = 100_000;

const toBase64 = (bytes: Uint8Array): string =>
  btoa(String.fromCharCode(...bytes))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replace(/=+$/, '');

const fromBase64 = (text: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(text.replaceAll('-', '+').replaceAll('_', '/')), (c) => c.charCodeAt(0));

/** A text as a link can carry it. */
export async function packed(text: string): Promise<string> {
  const stream = new Blob([text]).stream().pipeThrough(new CompressionStream('deflate-raw'));
  return toBase64(new Uint8Array(await new Response(stream).arrayBuffer()));
}

/** Unpacks so far and no farther: a small link can hold a very long text. Null beyond. Rejects for what is no such text. */
export async function unpacked(text: string): Promise<string | null> {
  const stream = new Blob([fromBase64(text)]).stream().pipeThrough(new DecompressionStream('deflate-raw'));
  const reader = stream.getReader();
  const decoder = new TextDecoder();
  let out = '';
  let bytes = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return out + decoder.decode();
    bytes += value.length;
    if (bytes > MOST_UNPACKED) {
      await reader.cancel();
      return null;
    }
    out += decoder.decode(value, { stream: true });
  }
}
