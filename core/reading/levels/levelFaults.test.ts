import { seededRandom } from '@/core/maths';
import type { Stretch } from '@/core/recording';
import { faceOf, GENERIC_RIG } from '@/core/rig';
import { makeScene, recipeOf, trackOver } from '@/core/scene';
import { simulate } from '@/core/sounder';
import { withNuisances, type Nuisance } from '@/core/testing/nuisances';
import { paintedPass } from '@/core/testing/paintedWater';
import { readChannel } from '../readChannel';
import { levelFaults, type LevelFault } from './levelFaults';

const SCENES: readonly string[] = ['east-shelf', 'weed-edge', 'silty-channel'];
const passes: Stretch[] = [
  ...SCENES.map((id) =>
    simulate({
      scene: makeScene(id, 3),
      track: trackOver(id, 3),
      rig: GENERIC_RIG,
      faces: [faceOf(GENERIC_RIG, 'cone-200')],
      pingRate: recipeOf(id).pingRate,
      farM: 24,
      seed: 3,
    }),
  ),
  ...[1, 2, 3].map((seed) => paintedPass(seed).recording),
];

const namesAfter = (nuisance: Nuisance): LevelFault['name'][][] =>
  passes.map((pass, i) =>
    levelFaults(withNuisances(pass, [nuisance], seededRandom(i)).channels[0]!).map((f) => f.name),
  );

describe('faults of the levels of a recording', () => {
  it('are none where levels are as the receiver heard them', () => {
    expect(passes.flatMap((pass) => levelFaults(pass.channels[0]!))).toEqual([]);
  });

  it('name levels cut off and pings repeated on all waters', () => {
    const loudest = ({ channels }: Stretch): number => channels[0]!.levelDb.reduce((a, b) => Math.max(a, b));
    let cut = 0;
    namesAfter('clipped').forEach((names, i) => {
      const limited = withNuisances(passes[i]!, ['clipped'], seededRandom(i));
      // A soft bed may stay under the limit.
      if (loudest(passes[i]!) - loudest(limited) < 3) return;
      cut++;
      expect(names).toEqual(['cut']);
    });
    expect(cut).toBeGreaterThanOrEqual(3);
    for (const names of namesAfter('pings-lost')) expect(names).toEqual(['repeated']);
  });

  it('are not told of what changes no level', () => {
    for (const names of namesAfter('beam-width-off')) expect(names).toEqual([]);
    for (const names of namesAfter('eight-bit')) expect(names).toEqual([]);
  });

  it('take lengths and ground from what is said', () => {
    const [shelf] = passes;
    const clean = readChannel(shelf!, shelf!.channels[0]!);
    expect(clean.hardness.length).toBeGreaterThan(0);
    expect(clean.findings.some((f) => f.kind === 'fish' && f.lengthM !== null)).toBe(true);
    const cut = withNuisances(shelf!, ['clipped'], seededRandom(1));
    const reading = readChannel(cut, cut.channels[0]!);
    expect(reading.faults.map((f) => f.name)).toEqual(['cut']);
    expect(reading.hardness).toEqual([]);
    expect(reading.findings.some((f) => f.kind === 'fish')).toBe(true);
    for (const f of reading.findings) if (f.kind === 'fish') expect(f.lengthM).toBeNull();
  });

  it('name a gain that rises steeply with range', () => {
    const [shelf] = passes;
    const { sampleCount: n, sampleStepM, firstRangeM } = shelf!.channels[0]!;
    const gained = (law: number): LevelFault[] =>
      levelFaults({
        ...shelf!.channels[0]!,
        levelDb: shelf!.channels[0]!.levelDb.map(
          (x, i) => x + law * Math.log10(Math.max(0.5, firstRangeM + (i % n) * sampleStepM)),
        ),
      });
    expect(gained(5)).toEqual([]);
    for (const law of [20, 40])
      expect(gained(law)).toEqual([{ name: 'gain-in', dbPerDecade: expect.any(Number) as number }]);
    const [fault] = gained(30);
    expect(fault!.name === 'gain-in' && Math.abs(fault!.dbPerDecade - 30)).toBeLessThan(6);
  });
});
