/** Stretch files on this machine's disk, for the command-line tools and their tests. */
import {
  checkRecordingBytes,
  DAMAGED,
  readRecordingFile,
  RecordingProblem,
} from '@/core/formats/readRecordingFile';
import { writeRecordingFile } from '@/core/formats/writeRecordingFile';
import { mkdtempSync, readFileSync, renameSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import type { Recording } from '@/core/recording';

/** The library comes as a module of its own kind, so it is loaded when it is needed. */
async function hdf5() {
  const h5 = await import('h5wasm/node');
  (await h5.ready).activate_throwing_error_handler();
  return h5;
}

/** Writes a recording to a path; a write that breaks off leaves what was there. */
export async function saveRecording(path: string, recording: Recording, provenance?: string): Promise<void> {
  const { File } = await hdf5();
  const folder = mkdtempSync(join(dirname(path), '.recording-'));
  try {
    const part = join(folder, 'part');
    const file = new File(part, 'w', { track_order: true });
    writeRecordingFile(file, recording, provenance);
    file.close();
    renameSync(part, path);
  } finally {
    rmSync(folder, { recursive: true });
  }
}

/** Reads a recording from a path. @param begun as readRecordingFile's @throws RecordingProblem with one plain sentence */
export async function loadRecording(
  path: string,
  begun?: Parameters<typeof readRecordingFile>[2],
): Promise<Recording> {
  const bytes = readFileSync(path);
  checkRecordingBytes(bytes, bytes.length);
  const { File } = await hdf5();
  let file;
  try {
    file = new File(path, 'r');
    if (file.file_id < 0n) throw new Error('not opened');
  } catch {
    throw new RecordingProblem(DAMAGED);
  }
  try {
    return readRecordingFile(file, bytes.length, begun);
  } finally {
    file.close();
  }
}

export const scratchFolder = (): string => mkdtempSync(join(tmpdir(), 'nimble-'));
