import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Papa from 'papaparse';
import { seededRandom } from '@/core/maths';
import { newDay } from '@/core/logbook/day';
import { readGeoJson, readGpx, readPlacesCsv, writeDayCsv, writeDayGeoJson, writeDayGpx } from './dayFiles';

const folder = mkdtempSync(join(tmpdir(), 'nimble-day-'));
afterAll(() => rmSync(folder, { recursive: true }));

const DAY = newDay({
  id: 'day-1',
  name: 'East shelf <&> "wind"',
  startedAt: '2026-09-02T05:30:00.000Z',
  simulated: true,
  marks: [
    {
      id: 'm1',
      at: '2026-09-02T06:00:00.000Z',
      kind: 'fish',
      latitudeDeg: -47.3001234,
      longitudeDeg: -124.9004321,
      errorM: 4.2,
      cause: 'beam',
      depthM: null,
      heightM: null,
      schoolId: null,
      note: '',
    },
    {
      id: 'm2',
      at: '2026-09-02T06:10:00.000Z',
      kind: 'cover',
      latitudeDeg: -47.3011,
      longitudeDeg: -124.9021,
      errorM: 6,
      cause: 'position',
      depthM: 8.5,
      heightM: 2.5,
      schoolId: null,
      note: '=brush, "old", third tree\nsecond line',
    },
  ],
  track: Array.from({ length: 30 }, (_, k) => ({
    at: `2026-09-02T06:00:${String(k).padStart(2, '0')}.000Z`,
    latitudeDeg: -47.3 + k * 1e-5,
    longitudeDeg: -124.9 - k * 1e-5,
    speedMps: 1.5,
    depthM: 9 + k / 10,
    temperatureC: 17,
    supplyV: 12.5,
  })),
});

const write = (name: string, text: string): string => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};

describe('a day as files of open kinds', () => {
  it('comes back whole as GPX, GeoJSON and CSV', () => {
    const [gpx, json, csv] = [
      readGpx(writeDayGpx(DAY)),
      readGeoJson(writeDayGeoJson(DAY)),
      readPlacesCsv(writeDayCsv(DAY)),
    ];
    for (const back of [gpx, json, csv]) {
      if (!back.ok) throw new Error(back.problem);
      expect(back.value.leftOut).toBe(0);
      expect(back.value.marks.map((m) => [m.kind, m.at])).toEqual(DAY.marks.map((m) => [m.kind, m.at]));
      back.value.marks.forEach((m, k) => {
        expect(m.latitudeDeg).toBeCloseTo(DAY.marks[k]!.latitudeDeg, 6);
        expect(m.longitudeDeg).toBeCloseTo(DAY.marks[k]!.longitudeDeg, 6);
      });
    }
    if (!gpx.ok || !json.ok || !csv.ok) return;
    expect(gpx.value.track).toHaveLength(30);
    expect(json.value.track).toHaveLength(30);
    // All of a track, its warmth and voltage too.
    expect(json.value.track[7]).toEqual(DAY.track[7]);
    expect(json.value.marks[1]).toMatchObject({ depthM: 8.5, heightM: 2.5, errorM: 6 });
    expect(csv.value.marks[1]).toMatchObject({ depthM: 8.5, heightM: 2.5, errorM: 6 });
  });
  it('says simulated where places are made', () => {
    for (const text of [writeDayGpx(DAY), writeDayGeoJson(DAY), writeDayCsv(DAY)])
      expect(text).toMatch(/simulated/i);
    expect(writeDayGeoJson({ ...DAY, simulated: false })).not.toMatch(/simulated/i);
  });
  it('is read by programs that have nothing to do with this one', () => {
    const gpx = write('day.gpx', writeDayGpx(DAY));
    const listed = execFileSync('ogrinfo', ['-al', '-so', gpx]).toString();
    expect(listed).toMatch(/waypoints[\s\S]*Feature Count: 2/);
    expect(listed).toMatch(/track_points[\s\S]*Feature Count: 30/);
    const csvOut = join(folder, 'out.csv');
    execFileSync('gpsbabel', ['-i', 'gpx', '-f', gpx, '-o', 'unicsv', '-F', csvOut]);
    expect(Papa.parse<string[]>(readFileSync(csvOut, 'utf8').trim()).data).toHaveLength(3);
    const json = write('day.geojson', writeDayGeoJson(DAY));
    expect(execFileSync('ogrinfo', ['-al', json]).toString()).toMatch(/Feature Count: 3/);
    const csv = write('day.csv', writeDayCsv(DAY));
    const read = execFileSync('ogr2ogr', [
      '-f',
      'CSV',
      '/vsistdout/',
      csv,
      '-oo',
      'X_POSSIBLE_NAMES=longitude_deg',
      '-oo',
      'Y_POSSIBLE_NAMES=latitude_deg',
      '-lco',
      'GEOMETRY=AS_XY',
    ]).toString();
    expect(read).toMatch(/-124\.9004321/);
  });
});

describe('files of others', () => {
  it('are taken as far as they go', () => {
    const gpx = readGpx(
      '<gpx version="1.0"><wpt lat="60.1" lon="24.2"><name>Rock</name></wpt><wpt lat="160" lon="2"/><rte><rtept lat="60" lon="24"/></rte></gpx>',
    );
    expect(gpx).toMatchObject({
      ok: true,
      value: { leftOut: 1, marks: [{ kind: 'other', note: 'Rock' }], track: [{}] },
    });
    expect(readPlacesCsv('Lat,Lon\n60.1,24.2\n,\n')).toMatchObject({ ok: true, value: { leftOut: 1 } });
  });
  const entity = '<!DOCTYPE g [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;">]><gpx>&b;</gpx>';
  it.each([
    ['text', 'nothing at all'],
    ['entities', entity],
    ['cut', writeDayGpx(DAY).slice(0, 700)],
    ['an empty file', ''],
    ['a page', '<html><body/></html>'],
    ['no places', '<gpx version="1.1"/>'],
    ['too many', `<gpx>${'<wpt lat="1" lon="1"/>'.repeat(20_001)}</gpx>`],
  ])('of %s cost one sentence', (_, text) => {
    const back = readGpx(text);
    expect(back.ok).toBe(false);
    if (!back.ok) expect(back.problem).toMatch(/^[A-Z][^\n]{10,120}\.$/);
  });
  it('damaged in two hundred ways never throw, and never give a place off the earth', () => {
    // The library warns of columns that have one name.
    jest.spyOn(console, 'warn').mockImplementation(() => undefined);
    const random = seededRandom(9).fork('places');
    const texts = [writeDayGpx(DAY), writeDayGeoJson(DAY), writeDayCsv(DAY)];
    const readers = [readGpx, readGeoJson, readPlacesCsv];
    for (let k = 0; k < 200; k++) {
      const which = k % 3;
      const text = [...texts[which]!];
      for (let i = 0; i < 1 + random.integer(12); i++) {
        const at = random.integer(text.length);
        text.splice(at, random.integer(30), String.fromCharCode(random.integer(300)));
      }
      const back = readers[which]!(text.join(''));
      if (!back.ok) expect(back.problem).toMatch(/^[A-Z][^\n]{10,120}\.$/);
      else
        for (const { latitudeDeg, longitudeDeg } of [...back.value.marks, ...back.value.track]) {
          expect(Math.abs(latitudeDeg)).toBeLessThanOrEqual(90);
          expect(Math.abs(longitudeDeg)).toBeLessThanOrEqual(180);
        }
    }
  });
});
