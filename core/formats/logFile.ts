import * as v from 'valibot';
import { LogSchema, type Entry } from '@/core/logbook';

/** Largest log file read, bytes (characters of JSON). */
export const LARGEST_LOG_FILE = 20_000_000;

const FORMAT = 'nimble-echo-log';

const LogFileSchema = v.object({ format: v.literal(FORMAT), version: v.literal(1), entries: LogSchema });

/** A log as the text of a file. */
export const writeLogFile = (entries: readonly Entry[]): string =>
  JSON.stringify({ format: FORMAT, version: 1, entries }, null, 1);

export type LogFileResult = { ok: true; entries: Entry[] } | { ok: false; problem: string };

const bad = (problem: string): LogFileResult => ({ ok: false, problem });

/** Why a file of this size is not even opened, or null when it may be. */
export const tooLarge = (size: number): string | null =>
  size > LARGEST_LOG_FILE
    ? `This file is ${Math.ceil(size / 1e6)} MB; a log file has at most ${LARGEST_LOG_FILE / 1e6} MB. Nothing was changed.`
    : null;

/** Reads a log file whole or not at all; what is wrong is said in one sentence that names the place. */
export function readLogFile(text: string): LogFileResult {
  const large = tooLarge(text.length);
  if (large) return bad(large);
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return text.trimStart().startsWith('{')
      ? bad(
          'This file breaks off or is damaged: it begins like a log but is not whole JSON. Nothing was changed.',
        )
      : bad('This is not a log file: it holds no JSON. Nothing was changed.');
  }
  if (typeof data !== 'object' || data === null || !('format' in data) || data.format !== FORMAT)
    return bad('This is JSON, but not a log kept by this app. Nothing was changed.');
  if (!('version' in data) || data.version !== 1)
    return bad(
      'This log was written by another version of the app, which this one cannot read. Nothing was changed.',
    );
  const result = v.safeParse(LogFileSchema, data);
  if (result.success) return { ok: true, entries: result.output.entries };
  const issue = result.issues[0];
  return bad(
    `The log file is wrong at ${v.getDotPath(issue) ?? 'its top'}: ${issue.message}. Nothing was changed.`,
  );
}
