import { writeGpx } from '@/core/formats/gpx';
import { benchPass } from '@/core/bench';
import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { FIRST_BRIEF, startSetup } from '@/core/advice';
import { LARGEST_LOG_FILE, readLogFile, tooLarge, writeLogFile } from '@/core/formats';
import { compareLogs, keptMark, withEntries, withoutEntry, type Entry } from '@/core/logbook';
import { readChannel } from '@/core/reading';
import { GENERIC_RIG } from '@/core/rig';
import { simulate } from '@/core/sounder';
import { sentencesOf, wordsOf } from '@/core/testing/readingEase';

const { settings } = startSetup(FIRST_BRIEF, GENERIC_RIG);
const entry = (id: string, change: Partial<Entry> = {}): Entry => ({
  id,
  keptAt: '2026-08-31T06:40:00.000Z',
  title: 'Vessmere, east shelf',
  call: 'Perch & <bait> "here"',
  note: '',
  source: { kind: 'brief', brief: FIRST_BRIEF, seed: 1, water: 2 },
  rig: GENERIC_RIG,
  settings,
  corrections: [],
  marks: [
    {
      kind: 'fish',
      shape: 'arch',
      rangeM: 9.1,
      heightM: 0.4,
      strengthDb: -36,
      confidence: 0.9,
      timeS: 12,
      latitudeDeg: -47.3,
      longitudeDeg: -124.9,
    },
  ],
  ...change,
});

describe('log file', () => {
  it('comes back as it went', () => {
    const entries = [entry('a'), entry('b', { note: 'två öring ☂' })];
    expect(readLogFile(writeLogFile(entries))).toEqual({ ok: true, value: entries });
  });
  const problemOf = (text: string): string => {
    const result = readLogFile(text);
    return result.ok ? '' : result.problem;
  };
  it('says in one sentence what is wrong, and where', () => {
    expect(problemOf('hello')).toMatch(/^This is not a log file from this app\. Nothing was changed\.$/);
    expect(problemOf(writeLogFile([entry('a')]).slice(0, 300))).toMatch(/cut short/);
    expect(problemOf('{"rows": [1, 2]}')).toMatch(/not a log/);
    expect(problemOf('[]')).toMatch(/not a log/);
    expect(problemOf(writeLogFile([]).replace('"version": 2', '"version": 9'))).toMatch(/newer version/);
    const source = { kind: 'brief', brief: FIRST_BRIEF, seed: -1, water: 2 } as const;
    expect(problemOf(writeLogFile([entry('a'), entry('b', { source })]))).toMatch(
      /^Entry 2 of this log is damaged: the number of the pass is −1; 0 is the least\. Nothing was changed\.$/,
    );
    expect(problemOf(writeLogFile([entry('a')]).replace('"rangeM": 9.1', '"rangeM": 1e400'))).toMatch(
      /the depth of mark 1 is/,
    );
    // However long a file's own words are, the sentence stays short.
    const rude = writeLogFile([entry('a')]).replace('"kind": "fish"', `"kind": "${'x'.repeat(500)}"`);
    expect(problemOf(rude).length).toBeLessThan(200);
  });
  it('says it in the words of the screens, whatever is wrong with whatever field', () => {
    /** Every path of a value, and the value with another put at it. */
    const paths = (value: unknown, path: string[] = []): string[][] =>
      typeof value === 'object' && value !== null
        ? Object.entries(value).flatMap(([key, part]) => [[...path, key], ...paths(part, [...path, key])])
        : [];
    const broken = (value: unknown, [key, ...rest]: string[], put: unknown): unknown => {
      const out = (Array.isArray(value) ? [...(value as unknown[])] : { ...(value as object) }) as Record<
        string,
        unknown
      >;
      out[key!] = rest.length === 0 ? put : broken(out[key!], rest, put);
      return out;
    };
    const whole = JSON.parse(writeLogFile([entry('a')])) as { data: unknown[] };
    const problems = new Set<string>();
    for (const path of paths(whole.data[0]))
      for (const put of [undefined, null, 'x'.repeat(3000), 1e9, -1e9, {}, []])
        problems.add(problemOf(JSON.stringify({ ...whole, data: [broken(whole.data[0], path, put)] })));
    problems.delete('');
    expect(problems.size).toBeGreaterThan(200);
    const jargon = [...problems].filter(
      (said) =>
        /[a-z][A-Z]|\w\.\w|something in it|undefined|\[object/.test(said.replace(/\d\.\d|kHz|dB/g, '')) ||
        said.length > 200,
    );
    expect(jargon).toEqual([]);
    const long = [...problems].flatMap(sentencesOf).filter((sentence) => wordsOf(sentence).length > 20);
    expect(long).toEqual([]);
  });
  it('is not opened when it is far too large', () => {
    expect(tooLarge(200e6)).toMatch(/200 MB/);
    expect(tooLarge(LARGEST_LOG_FILE)).toBeNull();
    expect(problemOf(' '.repeat(LARGEST_LOG_FILE + 1))).toMatch(/MB/);
  });
});

describe('GPX', () => {
  const text = writeGpx([entry('a'), entry('b', { call: 'odd \u0001 character' })]);
  it('is well-formed, with a waypoint a mark and the words escaped', () => {
    expect(XMLValidator.validate(text)).toBe(true);
    const { gpx } = new XMLParser({ ignoreAttributes: false }).parse(text);
    expect(gpx['@_version']).toBe('1.1');
    expect(gpx.wpt).toHaveLength(2);
    expect(Number(gpx.wpt[0]['@_lat'])).toBe(-47.3);
    expect(gpx.wpt[0].cmt).toBe('Perch & <bait> "here"');
    expect(gpx.wpt[1].cmt).toBe('odd  character');
  });
  it('keeps the order of elements the schema asks for', () => {
    const waypoint = text.slice(text.indexOf('<wpt'));
    const at = ['<time>', '<name>', '<cmt>', '<desc>', '<type>'].map((tag) => waypoint.indexOf(tag));
    expect(at.every((x, i) => x > 0 && (i === 0 || x > at[i - 1]!))).toBe(true);
  });
});

describe('logbook', () => {
  it('keeps newest first, replaces by id, takes out', () => {
    const old = entry('old', { keptAt: '2026-01-01T00:00:00.000Z' });
    const log = withEntries(withEntries([], [entry('new')]), [old]);
    expect(log.map((e) => e.id)).toEqual(['new', 'old']);
    expect(withEntries(log, [{ ...old, call: 'x' }]).find((e) => e.id === 'old')!.call).toBe('x');
    expect(withoutEntry(log, 'new').map((e) => e.id)).toEqual(['old']);
  });
  it('holds another log against it: what is new, what is there, what both have with other words', () => {
    const log = [entry('a'), entry('b')];
    const other = [entry('a', { call: 'theirs' }), entry('b'), entry('c')];
    const { fresh, same, conflicts } = compareLogs(log, other);
    expect(fresh.map((e) => e.id)).toEqual(['c']);
    expect(same).toBe(1);
    expect(conflicts).toEqual([{ mine: log[0], theirs: other[0] }]);
  });
  it('takes ten thousand entries with one sort', () => {
    const many = Array.from({ length: 10_000 }, (_, k) =>
      entry(`e${k}`, { keptAt: new Date(1.7e12 + 1000 * ((k * 7919) % 10_000)).toISOString() }),
    );
    let compared = 0;
    const counted = many.map((e) => ({
      ...e,
      get keptAt() {
        compared++;
        return e.keptAt;
      },
    }));
    expect(withEntries([], counted)).toHaveLength(10_000);
    // A sort looks at n log₂ n pairs, each up to four times; put in one by one it would be a hundred million.
    expect(compared).toBeLessThan(4 * 10_000 * Math.log2(10_000));
  });
  it('places a mark where the boat was when the echo was nearest', () => {
    const request = benchPass(FIRST_BRIEF, GENERIC_RIG, settings, 2);
    const recording = simulate(request);
    const finding = readChannel(recording, recording.channels[0]!).findings[0]!;
    const mark = keptMark(finding, recording, { x: 0, y: 0 });
    const eastM = finding.timeS * FIRST_BRIEF.speedMps;
    const perDegree = (Math.PI / 180) * 6371008.8 * Math.cos((47.3 * Math.PI) / 180);
    expect((mark.longitudeDeg + 124.9) * perDegree).toBeCloseTo(eastM, 0);
    expect(mark.rangeM).toBe(finding.rangeM);
  });
});
