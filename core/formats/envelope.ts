import * as v from 'valibot';
import { issueWords } from './issueWords';
import { accepted, refused, type Result } from './result';

/** Turns what one version wrote into the next version's shape; what it does not know it leaves to the schema. */
export type Migration = (data: unknown) => unknown;

/** A kind of thing that is kept or passed on: one name, one version, one list of migrations for store and file alike. */
export interface Format<T> {
  name: string;
  /** What it is called in a sentence: `log`, `plan`. */
  label: string;
  schema: v.GenericSchema<unknown, T>;
  /** From version 1 to 2, 2 to 3 and so on; the version is one more than their number. */
  migrations: readonly Migration[];
}

export const versionOf = ({ migrations }: Pick<Format<unknown>, 'migrations'>): number =>
  migrations.length + 1;

/** What stands round everything this app writes. */
const EnvelopeSchema = v.object({
  format: v.string(),
  version: v.pipe(v.number(), v.integer(), v.minValue(1)),
  data: v.unknown(),
});

/** A value in its envelope. */
export const enveloped = <T>(format: Format<T>, value: T): { format: string; version: number; data: T } => ({
  format: format.name,
  version: versionOf(format),
  data: value,
});

/** Brings data of a version up to today's and parses it. */
export function openData<T>(format: Format<T>, version: number, data: unknown): Result<T> {
  if (version > versionOf(format))
    return refused(
      `This ${format.label} was written by a newer version of the app. Update the app to open it.`,
      'newer',
    );
  let current = data;
  for (const migrate of format.migrations.slice(version - 1)) current = migrate(current);
  const result = v.safeParse(format.schema, current);
  return result.success
    ? accepted(result.output)
    : refused(`This ${format.label} is damaged: ${issueWords(result.issues)}.`, 'damaged');
}

/** Opens an envelope of a format. Before there were format names stores wrote `{version, data}`; those count as this format's. */
export function openEnvelope<T>(format: Format<T>, envelope: unknown): Result<T> {
  const named =
    typeof envelope === 'object' && envelope !== null && !('format' in envelope)
      ? { ...envelope, format: format.name }
      : envelope;
  const result = v.safeParse(EnvelopeSchema, named);
  if (!result.success || result.output.format !== format.name)
    return refused(`This is not a ${format.label} from this app.`, 'foreign');
  return openData(format, result.output.version, result.output.data);
}

/** Reads JSON, which damage has not spared. */
export function parseJson(text: string, label: string): Result<unknown> {
  try {
    return accepted(JSON.parse(text) as unknown);
  } catch {
    return /^\s*[{[]/.test(text)
      ? refused(`This ${label} is cut short or damaged.`, 'damaged')
      : refused(`This is not a ${label} from this app.`, 'foreign');
  }
}

/** Opens a format's envelope from text. */
export function openText<T>(format: Format<T>, text: string): Result<T> {
  const json = parseJson(text, format.label);
  return json.ok ? openEnvelope(format, json.value) : json;
}

/** A value as text in its envelope. */
export const writeText = <T>(format: Format<T>, value: T, indent?: number): string =>
  JSON.stringify(enveloped(format, value), null, indent);
