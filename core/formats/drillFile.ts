import { DrillSetSchema, type DrillSet } from '@/core/training/drillSet';
import { openText, writeText, type Format } from './envelope';
import { problemOf, refused, type Result } from './result';

export const DRILL_FORMAT: Format<DrillSet> = {
  name: 'nimble-echo-drill',
  label: 'drill',
  schema: DrillSetSchema as Format<DrillSet>['schema'],
  migrations: [],
};

/** Largest drill file, characters. */
const LARGEST_DRILL_FILE = 100_000;

/** A drill as a file's text. */
export const writeDrillFile = (set: DrillSet): string => writeText(DRILL_FORMAT, set, 1);

/** Opens a drill from a file's text. */
export function readDrillFile(text: string): Result<DrillSet> {
  if (text.length > LARGEST_DRILL_FILE) return refused('This file is too large to be a drill.', 'damaged');
  const opened = openText(DRILL_FORMAT, text);
  const problem = problemOf(opened);
  return problem === null ? opened : refused(`${problem} Nothing was changed.`, 'damaged');
}
