import { bedEchoesHeard, FIRST_BRIEF, startSetup, type Brief } from '@/core/advice';
import { benchPass } from '@/core/bench';
import { fromDb, toDb } from '@/core/maths';
import { falseBeds, GENERIC_RIG } from '@/core/rig';
import { simulate } from '@/core/sounder';

/** Pings until late echoes of all before have come, and pings averaged. */
const SETTLED = 20;
const AVERAGED = 150;

/** Level over the noise at a range, dB, of a level bed alone in still water, pinged at a rate. */
function heardAt(brief: Brief, pingRate: number, rangeM: number): number {
  const setup = startSetup(brief, GENERIC_RIG);
  const request = benchPass(brief, GENERIC_RIG, { ...setup.settings, pingRate }, 5);
  const { bed } = request.scene;
  const scene = {
    ...request.scene,
    fish: [],
    clouds: [],
    layers: [],
    covers: [],
    otherSounders: [],
    bed: { ...bed, depthM: bed.depthM.map(() => brief.toM) },
  };
  const { levelDb, sampleCount, firstRangeM, sampleStepM } = simulate({ ...request, scene }).channels[0]!;
  let most = 0;
  for (let j = 0; j < sampleCount; j++) {
    // A late echo begins at its range and lasts.
    const over = firstRangeM + j * sampleStepM - rangeM;
    if (over < 0 || over > 0.7) continue;
    let sum = 0;
    for (let p = SETTLED; p < SETTLED + AVERAGED; p++) sum += fromDb(levelDb[p * sampleCount + j]!);
    most = Math.max(most, sum / AVERAGED);
  }
  return toDb(most) - setup.prediction.budget.noiseLevelDb;
}

// The simulator hears a bed's first three echoes: beds whose fourth would not be drawn.
describe.each([
  ['sand', 'cone-83', 25],
  ['mud', 'cone-200', 14],
  ['mud', 'cone-83', 25],
  ['mud', 'cone-200', 25],
] as const)('over %s with %s at %d m', (bed, faceId, toM) => {
  const brief: Brief = { ...FIRST_BRIEF, fromM: 5, toM, bed, faceId, windMps: 0, thermoclineM: null };
  const setup = startSetup(brief, GENERIC_RIG);
  const line = setup.lines.find((l) => l.control === 'pingRate')!;
  const { soundSpeedMps } = setup.prediction.budget;
  const heard = bedEchoesHeard(setup.prediction.budget, toM, bed);
  const falseBed = (rate: number) => falseBeds(toM, rate, soundSpeedMps, heard).filter((f) => f.rangeM > 1);

  it('slows down for a false bed that is heard when the rate is raised, and not at its own rate', () => {
    expect(line.because.rule).toBe('ping-rate-clear-of-late-bed');
    expect(falseBed(line.value)).toEqual([]);
    const raised = 1.2 * line.value;
    const [late] = falseBed(raised);
    expect(late!.bedEcho).toBe(heard);
    // What is drawn stands 6 dB over the noise; the simulator's own scatter is 2 dB either way.
    expect(heardAt(brief, raised, late!.rangeM)).toBeGreaterThan(4);
  });
});
