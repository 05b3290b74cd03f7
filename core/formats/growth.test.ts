import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import * as v from 'valibot';
import { BriefSchema } from '@/core/advice';
import { ENTRY_FORMAT, openData, readLogFile } from '@/core/formats';
import { SETTINGS_ENTRIES, SettingsSchema } from '@/core/picture';
import { RigSchema, unitOf } from '@/core/rig';

const FOLDER = join(__dirname, 'fixtures');
const fixtures = (kind: string): [string, string][] =>
  readdirSync(FOLDER)
    .filter((name) => name.startsWith(`${kind}-`))
    .map((name) => [name, readFileSync(join(FOLDER, name), 'utf8')]);

/** Every shape that ever landed; none may be taken away. */
it('has all the fixtures there were', () => {
  expect(fixtures('log').map(([name]) => name)).toEqual([
    'log-first.json',
    'log-fuller-brief.json',
    'log-picture-chain.json',
  ]);
  expect(fixtures('kept')).toHaveLength(6);
});

describe('what every version ever wrote', () => {
  it.each(fixtures('log'))('opens with nothing lost: %s', (_, text) => {
    const { entries } = JSON.parse(text) as { entries: Record<string, never>[] };
    const result = readLogFile(text);
    if (!result.ok) throw new Error(result.problem);
    expect(result.value).toHaveLength(entries.length);
    result.value.forEach((entry, k) => {
      const { brief, seed, settings, marks, ...words } = entries[k]! as Record<string, object>;
      expect(entry).toMatchObject(words);
      expect(entry.settings).toMatchObject(settings!);
      expect(entry.marks).toEqual(marks);
      // The water it was kept over, made as it was then; its boat was not kept.
      expect(entry.source).toMatchObject({ kind: 'brief', seed, water: 1, brief });
      expect(entry.rig).toBeNull();
    });
  });

  it.each(fixtures('kept'))('opens with nothing lost: %s', (_, text) => {
    const kept = JSON.parse(text) as Record<'brief' | 'rig' | 'settings', Record<string, never>>;
    expect(v.parse(BriefSchema, kept.brief)).toMatchObject(kept.brief);
    expect(v.parse(SettingsSchema, kept.settings)).toMatchObject(kept.settings);
    const rig = v.parse(RigSchema, kept.rig);
    const { screen, fastestPingRate, feeds: _feeds, tilt, ...same } = kept.rig;
    expect(rig).toMatchObject(same);
    expect(unitOf(rig)).toMatchObject({ screen, fastestPingRate });
    if (tilt) expect(rig.mount).toMatchObject(tilt);
  });

  it('a beam shown at the bow alone stays there, on a unit of its own', () => {
    const kept = JSON.parse(fixtures('kept').find(([name]) => name === 'kept-places.json')![1]) as {
      rig: Record<string, unknown>;
    };
    const rig = v.parse(RigSchema, { ...kept.rig, feeds: { 'cone-200': 'bow', 'slice-455': 'stern' } });
    expect(rig.units.map((u) => [u.station, u.faceIds])).toEqual([
      ['stern', ['cone-83', 'slice-455']],
      ['bow', ['cone-200', 'cone-83']],
    ]);
  });
});

it('a control added later loses nothing', () => {
  const [, text] = fixtures('log')[0]!;
  const { entries } = JSON.parse(text) as { entries: { settings: object }[] };
  const More = v.object({ ...SETTINGS_ENTRIES, newControl: v.optional(v.number(), 5) });
  for (const { settings } of entries) {
    const read = v.parse(More, settings);
    expect(read).toMatchObject({ ...settings, newControl: 5 });
  }
  // An entry that has one from a newer version is not thrown away by an older: it drops what it does not know.
  const entry = { ...(entries[0] as object), settings: { ...entries[0]!.settings, newControl: 5 } };
  expect(openData(ENTRY_FORMAT, 1, entry).ok).toBe(true);
});
