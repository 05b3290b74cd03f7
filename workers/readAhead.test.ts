import { readAhead, type BlobFileSystem } from './tasks/readAhead';

const BYTES = 21 * 2 ** 20 + 17;
const at = (k: number): number => (k * 2654435761) >>> 24;

/** A file that counts what is asked of it. */
function countedFile(): { file: Blob; asked: number[]; bytesOf: (piece: Blob) => ArrayBuffer } {
  const asked: number[] = [];
  const file = {
    size: BYTES,
    slice: (from: number, to: number) => ({ from, to: Math.min(BYTES, to) }),
  } as unknown as Blob;
  const bytesOf = (piece: Blob): ArrayBuffer => {
    const { from, to } = piece as unknown as { from: number; to: number };
    asked.push(from);
    const bytes = new Uint8Array(Math.max(0, to - from));
    for (let k = 0; k < bytes.length; k++) bytes[k] = at(from + k);
    return bytes.buffer;
  };
  return { file, asked, bytesOf };
}

describe('a file read ahead', () => {
  it('gives every byte as it lies, and asks for a block of neighbours once', () => {
    const { file, asked, bytesOf } = countedFile();
    const fileSystem: BlobFileSystem = { stream_ops: { read: () => -1 } };
    readAhead(fileSystem, bytesOf);
    const stream = { node: { size: BYTES, contents: file } };
    const read = (position: number, length: number): number[] => {
      const buffer = new Uint8Array(length + 2).fill(7);
      const count = fileSystem.stream_ops.read(stream, buffer, 1, length, position);
      expect([buffer[0], buffer[count + 1]]).toEqual([7, 7]);
      return [...buffer.subarray(1, count + 1)];
    };
    const wanted = (position: number, length: number): number[] =>
      Array.from({ length }, (_, k) => at(position + k));
    for (let k = 0; k < 100; k++) expect(read(1000 * k, 700)).toEqual(wanted(1000 * k, 700));
    expect(asked).toHaveLength(1);
    // Over the seam of two blocks, and at the end of the file.
    expect(read(4 * 2 ** 20 - 5, 10)).toEqual(wanted(4 * 2 ** 20 - 5, 10));
    expect(read(BYTES - 4, 20)).toEqual(wanted(BYTES - 4, 4));
    expect(read(BYTES + 4, 20)).toEqual([]);
    expect(asked).toHaveLength(3);
  });
});
