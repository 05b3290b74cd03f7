import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { benchPass, FIRST_BRIEF, startSetup } from '@/core/advice';
import { LARGEST_LOG_FILE, readLogFile, tooLarge, writeGpx, writeLogFile } from '@/core/formats';
import { keptMark, mergeLogs, withEntry, withoutEntry, type Entry } from '@/core/logbook';
import { readChannel } from '@/core/reading';
import { GENERIC_RIG } from '@/core/rig';
import { simulate } from '@/core/sounder';

const { settings } = startSetup(FIRST_BRIEF, GENERIC_RIG);
const entry = (id: string, change: Partial<Entry> = {}): Entry => ({
  id,
  keptAt: '2026-08-31T06:40:00.000Z',
  title: 'Vessmere, east shelf',
  call: 'Perch & <bait> "here"',
  note: '',
  seed: 1,
  brief: FIRST_BRIEF,
  settings,
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
    expect(readLogFile(writeLogFile(entries))).toEqual({ ok: true, entries });
  });
  const problemOf = (text: string): string => {
    const result = readLogFile(text);
    return result.ok ? '' : result.problem;
  };
  it('says in one sentence what is wrong, and where', () => {
    expect(problemOf('hello')).toMatch(/holds no JSON/);
    expect(problemOf(writeLogFile([entry('a')]).slice(0, 300))).toMatch(/breaks off/);
    expect(problemOf('{"rows": [1, 2]}')).toMatch(/not a log/);
    expect(problemOf('[]')).toMatch(/not a log/);
    expect(problemOf(writeLogFile([]).replace('"version": 1', '"version": 9'))).toMatch(/another version/);
    const broken = writeLogFile([entry('a'), entry('b', { seed: -1 })]);
    expect(problemOf(broken)).toMatch(/entries\.1\.seed/);
    expect(problemOf(writeLogFile([entry('a')]).replace('"rangeM": 9.1', '"rangeM": 1e400'))).toMatch(
      /marks\.0\.rangeM/,
    );
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
  it('keeps newest first, replaces by id, takes out, merges', () => {
    const old = entry('old', { keptAt: '2026-01-01T00:00:00.000Z' });
    const log = withEntry(withEntry([], entry('new')), old);
    expect(log.map((e) => e.id)).toEqual(['new', 'old']);
    expect(withEntry(log, { ...old, call: 'x' }).find((e) => e.id === 'old')!.call).toBe('x');
    expect(withoutEntry(log, 'new').map((e) => e.id)).toEqual(['old']);
    expect(mergeLogs(log, [entry('new', { call: 'theirs' }), entry('third')])).toHaveLength(3);
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
