import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { seededRandom } from '@/core/maths';
import { allDoors, type Door } from './doors';
import { mutate } from './mutate';

/** Damaged things tried on each door here; `npm run fuzz` tries thousands. */
const TRIED = 60;
const FIXTURES = join(__dirname, 'fixtures', 'doors');

let opened: Awaited<ReturnType<typeof allDoors>>;
beforeAll(async () => {
  opened = await allDoors();
});
afterAll(() => opened.close());

/** One or two plain sentences of at most 200 characters, or nothing for what was taken. */
const plain = (words: string | null): boolean =>
  words === null ||
  (/^[A-Z“][^\n\t]*[.?!]$/.test(words) &&
    words.length <= 200 &&
    !/undefined|NaN|\[object|Expected/.test(words));

const doorNamed = (name: string): Door => opened.doors.find((d) => d.name === name)!;

it.each([
  'log',
  'entry on the device',
  'plan',
  'backup',
  'GPX',
  'GeoJSON',
  'CSV',
  'NMEA 0183',
  'drill',
  'link',
  'screen calibration',
  'picture',
  'recording',
])('%s: whole ones pass, damaged ones cost a sentence', async (name) => {
  const door = doorNamed(name);
  const random = seededRandom(9).fork(name);
  for (const sample of door.samples) expect([name, await door.open(sample)]).toEqual([name, null]);
  for (let k = 0; k < TRIED; k++) {
    const words = await door.open(mutate(door.samples[k % door.samples.length]!, random));
    expect([words, plain(words)]).toEqual([words, true]);
  }
});

it('what once crashed or hung a door no longer does', async () => {
  const files = existsSync(FIXTURES) ? readdirSync(FIXTURES) : [];
  for (const file of files) {
    const door = opened.doors.find((d) => file.startsWith(`${d.name.replaceAll(' ', '-')}.`))!;
    const words = await door.open(readFileSync(join(FIXTURES, file)));
    expect([file, plain(words)]).toEqual([file, true]);
  }
});
