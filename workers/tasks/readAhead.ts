/** What of a mounted file's stream is needed to read it. */
interface Stream {
  node: { size: number; contents: Blob };
}

/** The part of the library's file system for files of the user's that reads them. */
export interface BlobFileSystem {
  stream_ops: {
    read: (stream: Stream, buffer: Uint8Array, offset: number, length: number, position: number) => number;
  };
}

/** A worker may read files at once; the interface may not, and its types know no such reader. */
declare const FileReaderSync: new () => { readAsArrayBuffer: (piece: Blob) => ArrayBuffer };

/** Bytes asked of a file at a time, and how many such blocks are held. */
const BLOCK_BYTES = 4 * 2 ** 20;
const MOST_BLOCKS = 8;

/**
 * Lets a file system read whole blocks ahead: a recording is thousands of small pieces, and asking for each of them costs more than
 * it brings. @param bytesOf the bytes of a piece, at once @returns lets go of what is held
 */
export function readAhead(
  fileSystem: BlobFileSystem,
  bytesOf: (piece: Blob) => ArrayBuffer = (piece) => new FileReaderSync().readAsArrayBuffer(piece),
): () => void {
  const blocks = new Map<number, Uint8Array>();
  let of: Blob | null = null;
  const blockAt = (file: Blob, at: number): Uint8Array => {
    if (of !== file) {
      blocks.clear();
      of = file;
    }
    const found = blocks.get(at);
    blocks.delete(at);
    const block = found ?? new Uint8Array(bytesOf(file.slice(at * BLOCK_BYTES, (at + 1) * BLOCK_BYTES)));
    blocks.set(at, block);
    for (const oldest of blocks.keys()) {
      if (blocks.size <= MOST_BLOCKS) break;
      blocks.delete(oldest);
    }
    return block;
  };
  fileSystem.stream_ops.read = ({ node }, buffer, offset, length, position) => {
    const end = Math.min(node.size, position + length);
    let at = position;
    while (at < end) {
      const block = Math.floor(at / BLOCK_BYTES);
      const from = at - block * BLOCK_BYTES;
      const piece = blockAt(node.contents, block).subarray(from, from + end - at);
      // A file that has shrunk meanwhile ends here.
      if (piece.length === 0) break;
      buffer.set(piece, offset + at - position);
      at += piece.length;
    }
    return Math.max(0, at - position);
  };
  return () => {
    blocks.clear();
    of = null;
  };
}
