import { RecordingProblem } from '@/core/formats/readRecordingFile';
import { execFileSync } from 'node:child_process';
import { readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { seededRandom } from '@/core/maths';
import { durationOf, recordingOf, type Recording, type Stretch } from '@/core/recording';
import { GENERIC_RIG } from '@/core/rig';
import { makeScene, trackOver } from '@/core/scene';
import { simulate } from '@/core/sounder';
import { repeated } from '@/core/testing/repeated';
import { loadRecording, saveRecording, scratchFolder } from './recordings';

const folder = scratchFolder();
afterAll(() => rmSync(folder, { recursive: true }));
const at = (name: string): string => join(folder, name);
const save = (path: string, stretch: Stretch): Promise<void> => saveRecording(path, recordingOf([stretch]));
const load = async (path: string): Promise<Stretch> => (await loadRecording(path)).stretches[0]!;

const recording = simulate({
  scene: makeScene('sunk-crib', 2),
  track: trackOver('sunk-crib', 2, 2),
  rig: { ...GENERIC_RIG, positions: { ...GENERIC_RIG.positions, antenna: { x: 2, y: 0.5 } } },
  faces: GENERIC_RIG.faces,
  pingRate: 2,
  farM: 22,
  seed: 2,
});

describe('a recording file', () => {
  const path = at('crib.nc');
  beforeAll(() => saveRecording(path, recordingOf([recording]), 'simulated, scene sunk-crib, seed 2'));

  it('comes back as it was, channel by channel', async () => {
    const back = await load(path);
    expect(back.channels.map((c) => c.id)).toEqual(recording.channels.map((c) => c.id));
    back.channels.forEach((channel, k) => {
      const was = recording.channels[k]!;
      expect(channel.levelDb.every((x, i) => x === was.levelDb[i])).toBe(true);
      expect(channel.beam.alongRad).toBeCloseTo(was.beam.alongRad, 9);
      expect(channel.beam.shape).toBe(was.beam.shape);
      expect(channel.calibration!.sourceLevelDb).toBeCloseTo(was.calibration!.sourceLevelDb, 6);
      expect(channel.sampleStepM).toBeCloseTo(was.sampleStepM, 9);
    });
    const { eastM, northM } = recording.navigation;
    const last = eastM.length - 1;
    // Millimetres of rounding over a lake; places count from the first ping.
    expect(Math.abs(back.navigation.eastM[last]! - (eastM[last]! - eastM[0]!))).toBeLessThan(0.01);
    expect(Math.abs(back.navigation.northM[last]! - (northM[last]! - northM[0]!))).toBeLessThan(0.01);
    const turned = back.navigation.headingRad[3]! - recording.navigation.headingRad[3]!;
    expect(Math.abs(Math.sin(turned / 2))).toBeLessThan(1e-6);
  });
  it('of a long one tells the beginning first; what is damaged later is still refused', async () => {
    const one = { ...recording, channels: recording.channels.slice(0, 2) };
    const long = repeated(recordingOf([one]), Math.ceil(2600 / one.channels[0]!.pingCount));
    await saveRecording(at('long.nc'), long);
    const told: [Recording, number][] = [];
    const back = await loadRecording(at('long.nc'), (beginning, durationS) =>
      told.push([beginning, durationS]),
    );
    expect(told).toHaveLength(1);
    const [beginning, durationS] = told[0]!;
    expect(durationS).toBe(durationOf(back));
    expect(durationOf(beginning)).toBeLessThan(durationS / 3);
    beginning.stretches[0]!.channels.forEach((channel, k) => {
      const whole = back.stretches[0]!.channels[k]!;
      expect(channel.pingCount).toBeGreaterThanOrEqual(300);
      expect(channel.levelDb.length).toBe(channel.pingCount * channel.sampleCount);
      expect(channel.levelDb.every((x, i) => x === whole.levelDb[i])).toBe(true);
      expect(whole.levelDb.every((x, i) => x === long.stretches[0]!.channels[k]!.levelDb[i])).toBe(true);
    });
    const bytes = readFileSync(at('long.nc'));
    // Well behind the beginning, among the levels of the first beam.
    for (let k = 0; k < 64; k++) bytes[Math.floor(0.45 * bytes.length) + k]! ^= 85;
    writeFileSync(at('late.nc'), bytes);
    told.length = 0;
    await expect(loadRecording(at('late.nc'), (b, s) => told.push([b, s]))).rejects.toThrow(RecordingProblem);
    expect(told).toHaveLength(1);
    told.length = 0;
    await loadRecording(path, (b, s) => told.push([b, s]));
    expect(told).toEqual([]);
  });
  it('stays relative when it is not calibrated', async () => {
    const channels = [{ ...recording.channels[0]!, calibration: null }];
    await save(at('relative.nc'), { ...recording, channels });
    expect((await load(at('relative.nc'))).channels[0]!.calibration).toBeNull();
  });
  it('keeps when it began, where it has a date', async () => {
    const startedAt = '2026-09-02T06:00:00.000Z';
    await saveRecording(at('dated.nc'), recordingOf([recording], startedAt));
    expect((await loadRecording(at('dated.nc'))).startedAt).toBe(startedAt);
    expect((await loadRecording(path)).startedAt).toBeNull();
  });
  it('is read by the field’s own tools, dimensions and all', () => {
    const header = execFileSync('ncdump', ['-h', path]).toString();
    expect(header).toMatch(/backscatter_r\(ping_time, range\)/);
    expect(header).toMatch(/Conventions = "CF-1\.8"/);
    expect(header).toMatch(/:source = "simulated, scene sunk-crib, seed 2"/);
    const dump = execFileSync('h5dump', [
      '-d',
      '/Sonar/Beam_group1/backscatter_r',
      '-s',
      '0,0',
      '-c',
      '1,1',
      path,
    ]).toString();
    const first = Number(/\(0,0\): (-?[\d.]+)/.exec(dump)![1]);
    expect(Math.abs(first - recording.channels[0]!.levelDb[0]!)).toBeLessThan(0.001);
  });

  it('names every unit so that a units library knows it', async () => {
    await saveRecording(at('units.nc'), recordingOf([recording], '2026-09-02T06:00:00Z'));
    for (const file of [path, at('units.nc')]) {
      const header = execFileSync('ncdump', ['-h', file]).toString();
      const units = [...header.matchAll(/:units = "([^"]+)"/g)].map((m) => m[1]!);
      expect(units.length).toBeGreaterThan(30);
      for (const unit of new Set(units)) {
        const base = unit.startsWith('seconds since') ? 'days since 2000-01-01' : unit;
        expect(execFileSync('udunits2', ['-H', unit, '-W', base]).toString()).toMatch(/= -?[\d.]+/);
      }
    }
  });
  it('counts its heading clockwise from north', () => {
    const text = execFileSync('ncdump', ['-v', '/Platform/heading', path]).toString();
    const first = Number(/ heading = (-?[\d.]+)/.exec(text)![1]);
    const { eastM, northM } = recording.navigation;
    // A straight way at the start: where it goes is where it points.
    const bearing = (Math.atan2(eastM[1]! - eastM[0]!, northM[1]! - northM[0]!) * 180) / Math.PI;
    expect(Math.abs(((first - bearing + 540) % 360) - 180)).toBeLessThan(10);
  });
  it('of the first version opens as it did, heading and all', async () => {
    const old = await load(join(__dirname, '../core/formats/fixtures/recording-v1.nc'));
    const made = simulate({
      scene: makeScene('sunk-crib', 2),
      track: trackOver('sunk-crib', 2, 0.5),
      rig: GENERIC_RIG,
      faces: [GENERIC_RIG.faces.find((f) => f.id === 'cone-83')!],
      pingRate: 0.5,
      farM: 15,
      seed: 2,
    });
    expect(old.navigation.headingRad[3]!).toBeCloseTo(made.navigation.headingRad[3]!, 5);
    expect(old.channels[0]!.sampleCount).toBe(made.channels[0]!.sampleCount);
  });

  const problem = async (name: string): Promise<string> => {
    const error: unknown = await load(at(name)).catch((e: unknown) => e);
    expect(error).toBeInstanceOf(RecordingProblem);
    return (error as Error).message;
  };
  it('that is none, is cut off or is damaged is refused in a sentence', async () => {
    writeFileSync(at('text.nc'), 'not a recording at all'.repeat(100));
    expect(await problem('text.nc')).toBe(
      'This is not a recording. Choose a NetCDF-4 file (.nc). Nothing was changed.',
    );
    writeFileSync(at('cut.nc'), readFileSync(path));
    truncateSync(at('cut.nc'), Math.floor(readFileSync(path).length / 2));
    expect(await problem('cut.nc')).toMatch(/cut short or damaged/);
  });

  /** Writes the file again with one thing changed by the library's own hand. */
  const tampered = async (name: string, change: (file: import('h5wasm').File) => void): Promise<void> => {
    await save(at(name), recording);
    const { File } = await import('h5wasm/node');
    const file = new File(at(name), 'a');
    change(file);
    file.close();
  };
  it('with a huge data set is refused before memory is taken', async () => {
    const before = process.memoryUsage().arrayBuffers;
    await save(at('huge.nc'), recording);
    const { File } = await import('h5wasm/node');
    const file = new File(at('none.nc'), 'w');
    file.create_attribute('recording_version', 1, null, '<i');
    file.create_attribute('ping_rate', 5, null, '<d');
    const platform = file.create_group('Platform');
    // Ten thousand million pings, in a file of a few kilobytes.
    platform.create_dataset({
      name: 'ping_time',
      data: Float64Array.of(0),
      shape: [1],
      maxshape: [null],
      chunks: [1024],
    });
    (platform.get('ping_time') as import('h5wasm').Dataset).resize([10_000_000_000]);
    file.close();
    expect(await problem('none.nc')).toMatch(/10000000000 pings\. It can have 1 to 200000/);
    expect(process.memoryUsage().arrayBuffers - before).toBeLessThan(200e6);
  });
  it('that unpacks to far more than it holds is refused before it is unpacked', async () => {
    const [pings, sampleCount] = [5000, 2000];
    const zeros = (length: number): Float32Array => new Float32Array(length);
    const [channel] = recording.channels;
    const bomb: Stretch = {
      ...recording,
      navigation: {
        ...(Object.fromEntries(
          Object.keys(recording.navigation).map((row) => [row, zeros(pings)]),
        ) as unknown as Stretch['navigation']),
        timeS: Float64Array.from({ length: pings }, (_, p) => p),
      },
      channels: [{ ...channel!, pingCount: pings, sampleCount, levelDb: zeros(pings * sampleCount) }],
    };
    await save(at('bomb.nc'), bomb);
    expect(await problem('bomb.nc')).toMatch(/10 million levels in \d+ kB\. No echoes pack that small/);
  });
  it('damaged anywhere opens or costs a sentence', async () => {
    const bytes = readFileSync(join(__dirname, '../core/formats/fixtures/recording-v1.nc'));
    const random = seededRandom(17);
    let refusals = 0;
    for (let k = 0; k < 60; k++) {
      const damaged = Buffer.from(bytes);
      for (let i = 0; i < 6; i++)
        damaged[Math.floor(random.uniform() * (random.uniform() < 0.8 ? 24_000 : bytes.length))] =
          256 * random.uniform();
      writeFileSync(at('damaged.nc'), damaged);
      const error: unknown = await load(at('damaged.nc')).then(
        () => null,
        (e: unknown) => e,
      );
      if (error === null) continue;
      refusals++;
      expect(error).toBeInstanceOf(RecordingProblem);
      expect((error as Error).message).toMatch(/^[^\n]{10,200} Nothing was changed\.$/);
    }
    expect(refusals).toBeGreaterThan(3);
  });
  it('with a piece of the wrong kind, shape or size is refused by name', async () => {
    await tampered('words.nc', (file) => {
      const group = file.get('Sonar/Beam_group1') as import('h5wasm').Group;
      group.delete_attribute('beam_type');
      group.create_attribute('beam_type', 'banana');
    });
    expect(await problem('words.nc')).toMatch(/the kind of beam of beam 1 is “banana”/);
    const empty = { ...recording, channels: [] };
    await save(at('beamless.nc'), empty);
    expect(await problem('beamless.nc')).toMatch(/0 beams\. It can have 1 to 8/);
    const backwards = recording.navigation.timeS.slice().reverse();
    await save(at('back.nc'), {
      ...recording,
      navigation: { ...recording.navigation, timeS: backwards },
    });
    expect(await problem('back.nc')).toMatch(/ping 2 is earlier than the one before it/);
    const loud = { ...recording.channels[0]!, levelDb: recording.channels[0]!.levelDb.slice() };
    loud.levelDb[7] = NaN;
    await save(at('nan.nc'), { ...recording, channels: [loud] });
    expect(await problem('nan.nc')).toMatch(/the echo levels of beam 1: number 8 is NaN/);
  });
});

it('the command line makes one, the same for the same seed', async () => {
  const run = (...args: string[]): string =>
    execFileSync('node', ['--import', 'tsx', 'scripts/simulate.ts', ...args], { stdio: 'pipe' }).toString();
  const args = ['half-arches', '--seed', '4', '--faces', 'cone-200', '--ping-rate', '2'];
  expect(run(...args, '--out', at('a.nc'))).toMatch(/Shy of the boat, seed 4, 180 pings/);
  run(...args, '--out', at('b.nc'));
  // The library notes the hour in the file; what was recorded must not differ.
  const [a, b] = [await load(at('a.nc')), await load(at('b.nc'))];
  expect(a.channels[0]!.levelDb.every((x, i) => x === b.channels[0]!.levelDb[i])).toBe(true);
  expect(run('--list')).toMatch(/towed-weight/);
  expect(() => run('nowhere', '--out', at('c.nc'))).toThrow(/none is called/);
});
