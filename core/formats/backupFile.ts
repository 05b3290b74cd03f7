import { strFromU8, strToU8, Unzip, UnzipInflate, UnzipPassThrough, zipSync, type Zippable } from 'fflate';
import * as v from 'valibot';
import { crc32, fingerprintOf } from '@/core/maths';
import { accepted, refused, type Result } from './result';

/** Everything kept on a device: each thing's text by the key it lies under, and when it was gathered (ISO 8601). */
export interface Backup {
  madeAt: string;
  texts: Record<string, string>;
  /** Recordings and pictures whole, by the id under which they are kept. */
  files: Record<string, Uint8Array>;
}

/** Most bytes of recordings and pictures that go into a backup. */
export const MOST_FILES_IN_BACKUP = 200e6;
/** Largest backup without them, and with them, bytes; most it may unpack to; most things in it. */
const LARGEST_PLAIN = 64e6;
const LARGEST_BACKUP = MOST_FILES_IN_BACKUP + LARGEST_PLAIN;
const MOST_UNPACKED = 256e6;
const MOST_THINGS = 40_000;
const LONGEST_KEY = 300;

const NAME = 'nimble-echo-backup';
const MANIFEST = 'backup.json';
const FOLDER = 'kept/';
const FILES = 'files/';

const ManifestSchema = v.object({
  format: v.literal(NAME),
  version: v.pipe(v.number(), v.integer(), v.minValue(1)),
  madeAt: v.pipe(v.string(), v.isoTimestamp()),
  /** A fingerprint of each text, by key. */
  prints: v.record(v.pipe(v.string(), v.maxLength(LONGEST_KEY)), v.pipe(v.string(), v.length(16))),
  /** CRC-32 of each recording and picture, by id. */
  files: v.optional(
    v.record(v.pipe(v.string(), v.maxLength(LONGEST_KEY)), v.pipe(v.string(), v.length(8))),
    {},
  ),
});
const VERSION = 1;

/** How versions before backups wrote all they had, as one JSON. */
const OldSchema = v.object({
  format: v.literal('nimble-echo-everything'),
  version: v.literal(1),
  data: v.record(v.pipe(v.string(), v.maxLength(LONGEST_KEY)), v.string()),
});
/** What has no date counts as older than all that has. */
const NO_DATE = '1970-01-01T00:00:00.000Z';

const textOf = (key: string): string => `${FOLDER}${encodeURIComponent(key)}.json`;
const fileOf = (id: string): string => `${FILES}${encodeURIComponent(id)}`;
const mapped = <T, U>(record: Record<string, T>, to: (value: T) => U): Record<string, U> =>
  Object.fromEntries(Object.entries(record).map(([key, value]) => [key, to(value)]));

/** A backup as a zip: a manifest with a fingerprint of each thing, and a file a thing. Recordings are packed already and go in as they are. */
export function writeBackup({ madeAt, texts, files }: Backup): Uint8Array {
  const manifest = {
    format: NAME,
    version: VERSION,
    madeAt,
    prints: mapped(texts, fingerprintOf),
    files: mapped(files, crc32),
  };
  return zipSync(
    {
      [MANIFEST]: strToU8(JSON.stringify(manifest, null, 1)),
      ...Object.fromEntries(Object.entries(texts).map(([key, text]) => [textOf(key), strToU8(text)])),
      ...Object.fromEntries(
        Object.entries(files).map(([id, bytes]) => [fileOf(id), [bytes, { level: 0 }] as const]),
      ),
    } as Zippable,
    { level: 6 },
  );
}

const FOREIGN = 'This is not a backup from this app. Choose another file. Nothing was changed.';
const DAMAGED = 'This backup is cut short or damaged. Nothing was changed. Try another copy of it.';

/** The refusal of a file too large to be looked at, by its size in bytes; null for one that is not. */
export const backupTooLarge = (size: number, most = LARGEST_BACKUP): Result<never> | null =>
  size > most
    ? refused(
        `This file is ${Math.ceil(size / 1e6)} MB. A backup has at most ${most / 1e6} MB. Nothing was changed.`,
        'large',
      )
    : null;

function openOld(bytes: Uint8Array): Result<Backup> {
  try {
    const old = v.safeParse(OldSchema, JSON.parse(strFromU8(bytes)));
    return old.success
      ? accepted({ madeAt: NO_DATE, texts: old.output.data, files: {} })
      : refused(FOREIGN, 'foreign');
  } catch {
    return refused(FOREIGN, 'foreign');
  }
}

class TooMuch extends Error {}

/** Bytes unpacked at a time: one packs a thousand at most, so that what a zip claims of itself need not be believed. */
const SLICE = 8192;

/** The files of a zip that a backup has. @throws TooMuch beyond what one may hold, and whatever a damaged one brings */
function unpacked(bytes: Uint8Array): Record<string, Uint8Array> {
  const files: Record<string, Uint8Array> = {};
  let claimed = 0;
  let held = 0;
  let things = 0;
  const unzip = new Unzip((file) => {
    if (![MANIFEST, FOLDER, FILES].some((begin) => file.name.startsWith(begin))) return;
    // What is not packed is no larger than the zip.
    const plain = file.name.startsWith(FILES);
    if (plain && file.compression !== 0) throw new TooMuch();
    if (!plain) claimed += file.originalSize ?? 0;
    if (!(claimed <= MOST_UNPACKED) || ++things > MOST_THINGS) throw new TooMuch();
    const chunks: Uint8Array[] = [];
    file.ondata = (error, chunk, last) => {
      if (error) throw error;
      if (!plain) held += chunk.length;
      if (held > MOST_UNPACKED) throw new TooMuch();
      chunks.push(chunk);
      if (!last) return;
      const whole = new Uint8Array(chunks.reduce((sum, c) => sum + c.length, 0));
      let at = 0;
      for (const c of chunks) {
        whole.set(c, at);
        at += c.length;
      }
      files[file.name] = whole;
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  unzip.register(UnzipPassThrough);
  for (let at = 0; at < bytes.length; at += SLICE)
    unzip.push(bytes.subarray(at, at + SLICE), at + SLICE >= bytes.length);
  return files;
}

/** Opens a backup. It is unpacked no farther than it may hold, and nothing is believed whose fingerprint differs. */
export function readBackup(bytes: Uint8Array): Result<Backup> {
  const large = backupTooLarge(bytes.length);
  if (large) return large;
  // PK: a zip; a brace: the one JSON of older versions.
  if (bytes[0] === 0x7b) return backupTooLarge(bytes.length, LARGEST_PLAIN) ?? openOld(bytes);
  if (!(bytes[0] === 0x50 && bytes[1] === 0x4b)) return refused(FOREIGN, 'foreign');
  let unzipped: Record<string, Uint8Array>;
  try {
    unzipped = unpacked(bytes);
  } catch (error) {
    return error instanceof TooMuch
      ? refused('This file unpacks to more than a backup may hold. Nothing was changed.', 'large')
      : refused(DAMAGED, 'damaged');
  }
  const told = unzipped[MANIFEST];
  if (!told) return refused(FOREIGN, 'foreign');
  try {
    const manifest = v.safeParse(ManifestSchema, JSON.parse(strFromU8(told)));
    if (!manifest.success) return refused(DAMAGED, 'damaged');
    const { version, madeAt, prints } = manifest.output;
    if (version > VERSION)
      return refused(
        'This backup was written by a newer version of the app. Update the app to open it. Nothing was changed.',
        'newer',
      );
    const texts: Record<string, string> = {};
    for (const [key, print] of Object.entries(prints)) {
      const file = unzipped[textOf(key)];
      const text = file && strFromU8(file);
      if (text === undefined || fingerprintOf(text) !== print) return refused(DAMAGED, 'damaged');
      texts[key] = text;
    }
    const files: Record<string, Uint8Array> = {};
    for (const [id, sum] of Object.entries(manifest.output.files)) {
      const file = unzipped[fileOf(id)];
      if (!file || crc32(file) !== sum) return refused(DAMAGED, 'damaged');
      files[id] = file;
    }
    return accepted({ madeAt, texts, files });
  } catch {
    return refused(DAMAGED, 'damaged');
  }
}
