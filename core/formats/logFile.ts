import * as v from 'valibot';
import { EntrySchema, MOST_ENTRIES, type Entry } from '@/core/logbook';
import { openData, parseJson, versionOf, type Format, type Migration } from './envelope';
import { accepted, refused, type Result } from './result';

/** Largest log file read, bytes (characters of JSON). */
export const LARGEST_LOG_FILE = 60_000_000;

/** Entries used to hold a brief and a seed, and not the boat: its water was always the east shelf's. */
const withSource: Migration = (data) => {
  if (typeof data !== 'object' || data === null || 'source' in data) return data;
  const { brief, seed, ...rest } = data as Record<string, unknown>;
  return { ...rest, source: { kind: 'brief', brief, seed, water: 1 }, rig: null };
};

/** One entry of a log, as the store keeps it and as a file carries it. */
export const ENTRY_FORMAT: Format<Entry> = {
  name: 'nimble-echo-entry',
  label: 'log entry',
  schema: EntrySchema,
  migrations: [withSource],
};

/** Name of a file of many. */
const LOG_NAME = 'nimble-echo-log';

/** A log as the text of a file: its entries, each as the store keeps it. */
export const writeLogFile = (entries: readonly Entry[]): string =>
  JSON.stringify({ format: LOG_NAME, version: versionOf(ENTRY_FORMAT), data: entries }, null, 1);

/** Why a file of this size is not even opened, or null when it may be. */
export const tooLarge = (size: number): string | null =>
  size > LARGEST_LOG_FILE
    ? `This file is ${Math.ceil(size / 1e6)} MB. A log file has at most ${LARGEST_LOG_FILE / 1e6} MB. Nothing was changed.`
    : null;

const LogFileSchema = v.looseObject({
  format: v.literal(LOG_NAME),
  version: v.pipe(v.number(), v.integer(), v.minValue(1)),
});

const nothingChanged = (problem: string): string => `${problem} Nothing was changed.`;

/** The entries of a log file, not yet looked at one by one, and the version they are of. */
export function logFileParts(text: string): Result<{ version: number; list: unknown[] }> {
  const large = tooLarge(text.length);
  if (large) return refused(large, 'large');
  const json = parseJson(text, 'log file');
  if (!json.ok) return refused(nothingChanged(json.problem), json.cause);
  const file = v.safeParse(LogFileSchema, json.value);
  if (!file.success)
    return refused(
      'This is not a log saved by this app. Choose another file. Nothing was changed.',
      'foreign',
    );
  const { version } = file.output;
  if (version > versionOf(ENTRY_FORMAT))
    return refused(
      'This log was written by a newer version of the app. Update the app to open it. Nothing was changed.',
      'newer',
    );
  // The first version had its entries by that name.
  const list = version === 1 ? file.output['entries'] : file.output['data'];
  if (!Array.isArray(list))
    return refused('This log is damaged: it has no list of entries. Nothing was changed.', 'damaged');
  if (list.length > MOST_ENTRIES)
    return refused(
      `This log has ${list.length} entries. The log holds ${MOST_ENTRIES} at most. Nothing was changed.`,
      'large',
    );
  return accepted({ version, list });
}

/** Reads a log file whole or not at all; what is wrong is said in one sentence that names the entry. */
export function readLogFile(text: string): Result<Entry[]> {
  const parts = logFileParts(text);
  if (!parts.ok) return parts;
  const { version, list } = parts.value;
  const entries: Entry[] = [];
  for (const [k, data] of list.entries()) {
    const entry = openData(ENTRY_FORMAT, version, data);
    if (!entry.ok)
      return refused(
        nothingChanged(entry.problem.replace('This log entry', `Entry ${k + 1} of this log`)),
        entry.cause,
      );
    entries.push(entry.value);
  }
  return accepted(entries);
}

/**
 * Entries of a list of JSON objects whose text breaks off or is damaged: the objects under `name` that are whole, as text.
 * A scan for matching brackets, since a parser gives all or nothing.
 */
export function wholeObjects(text: string, name: string): string[] {
  const start = text.search(new RegExp(`"${name}"\\s*:\\s*\\[`));
  if (start < 0) return [];
  const out: string[] = [];
  let depth = 0;
  let from = -1;
  let inText = false;
  for (let i = text.indexOf('[', start) + 1; i < text.length; i++) {
    const c = text[i]!;
    if (inText) {
      if (c === '\\') i++;
      else if (c === '"') inText = false;
    } else if (c === '"') inText = true;
    else if (c === '{' || c === '[') {
      if (depth === 0 && c === '{') from = i;
      depth++;
    } else if (c === '}' || c === ']') {
      if (depth === 0) break;
      depth--;
      if (depth === 0 && from >= 0) out.push(text.slice(from, i + 1));
    }
  }
  return out;
}
