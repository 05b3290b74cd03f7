import * as v from 'valibot';
import { numberWords, placeWords } from './placeWords';

/** Longest piece of a file's own text that is repeated in a sentence, characters. */
const LONGEST_QUOTED = 40;

const quoted = (input: unknown): string => {
  const text = typeof input === 'string' ? input : String(input);
  return `“${text.length > LONGEST_QUOTED ? `${text.slice(0, LONGEST_QUOTED - 1)}…` : text}”`;
};

/** What is wrong, of a value that stands at a place. */
function wrongWith(issue: v.BaseIssue<unknown>, path: string): string {
  const { requirement } = issue as { requirement?: unknown };
  const said = (value: unknown): string =>
    typeof value === 'number' ? numberWords(path, value) : quoted(value);
  switch (issue.type) {
    case 'min_value':
    case 'gt_value':
      return `is ${said(issue.input)}; ${said(requirement)} is the least`;
    case 'max_value':
      return `is ${said(issue.input)}; ${said(requirement)} is the most`;
    case 'max_length':
      return `is too long; ${String(requirement)} is the most`;
    case 'min_length':
      return 'is empty';
    case 'integer':
      return `is ${said(issue.input)}, not a whole number`;
    case 'picklist':
    case 'literal':
    case 'regex':
    case 'iso_timestamp':
      if (issue.input === undefined || typeof issue.input === 'object') break;
      return `is ${quoted(issue.input)}, which this app does not know`;
  }
  if (issue.input === undefined || issue.input === null) return 'is missing';
  const not = typeof issue.input === 'object' ? 'is not' : `is ${said(issue.input)}, not`;
  if (issue.type === 'number' || issue.type === 'finite') return `${not} a number`;
  if (issue.type === 'string') return `${not} a text`;
  return 'cannot be made out';
}

type Issues = readonly [v.BaseIssue<unknown>, ...v.BaseIssue<unknown>[]];

/** The first thing a schema found wrong, as half a sentence in the words of the screens: where it stands, and what is wrong with it. */
export function issueWords([issue]: Issues, named: (path: string) => string | null = placeWords): string {
  if (issue.type === 'check') return issue.message;
  const path = v.getDotPath(issue);
  if (path === null) return 'it cannot be made out';
  return `${named(path) ?? 'something in it'} ${wrongWith(issue, path)}`;
}

/** The same as a sentence of its own; `within` is the path of what the schema is of. */
export function issueSentence(issues: Issues, within = ''): string {
  const words = issueWords(issues, (path) => placeWords(`${within}.${path}`));
  return `${words[0]!.toUpperCase()}${words.slice(1)}.`;
}
