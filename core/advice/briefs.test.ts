import { bedEchoesHeard, FIRST_BRIEF, SPECIES, startSetup, type Brief } from '@/core/advice';
import { seededRandom } from '@/core/maths';
import { GENERIC_RIG, type Rig, screenOf, transducerOf, waterPerColumn, waterPerRow } from '@/core/rig';

const RIGS: Rig[] = [
  GENERIC_RIG,
  { ...GENERIC_RIG, faces: [...transducerOf('offshore-50-200').faces] },
  { ...GENERIC_RIG, faces: [...transducerOf('deep-narrow-200').faces, ...transducerOf('imaging').faces] },
  { ...GENERIC_RIG, faces: [...transducerOf('swept-mid').faces] },
];

/** Forty days on the water: kinds, depths, waters and rigs that go together. */
const DAYS = Array.from({ length: 40 }, (_, k): { brief: Brief; rig: Rig } => {
  const random = seededRandom(k + 1).fork('briefs');
  const species = SPECIES[(7 * k) % SPECIES.length]!;
  const rig = RIGS[k % RIGS.length]!;
  const bait = species.lengthM[1] < 0.25;
  const toM = k % RIGS.length === 1 ? random.between(12, 45) : random.between(3, bait ? 15 : 28);
  const presentation = (['search', 'vertical', 'drift', 'troll'] as const)[random.integer(4)]!;
  return {
    rig,
    brief: {
      ...FIRST_BRIEF,
      speciesId: species.id,
      lengthM: [...species.lengthM],
      fromM: Math.max(1, toM * random.between(0.3, 0.6)),
      toM,
      salinity: k % RIGS.length === 1 ? 35 : 0,
      temperatureC: random.between(4, 26),
      windMps: random.between(0, 8),
      thermoclineM: null,
      presentation,
      speedMps: { search: 1.5, vertical: 0, drift: 0.4, troll: 1 }[presentation],
      faceId: k % 5 === 4 ? (rig.faces.find((f) => f.beam.shape === 'fan')?.id ?? null) : null,
    },
  };
});

describe('forty days', () => {
  const unmet: string[] = [];
  it.each(DAYS.map((day, k) => ({ k, ...day })))(
    '$k: $brief.speciesId to $brief.toM m',
    ({ k, brief, rig }) => {
      const { settings, prediction, others, lines } = startSetup(brief, rig);
      const rule = (control: string): string => lines.find((l) => l.control === control)!.because.rule;

      // The window covers the bed and its tail.
      expect(settings.rangeM).toBeGreaterThanOrEqual(brief.toM + 1.5);

      // The beam: the strongest, or the reason says why another.
      const best = [prediction, ...others].every((o) => o.marginDb <= prediction.marginDb + 1e-9);
      if (!best)
        expect([
          'beam-widest-that-shows',
          'beam-narrowest-that-shows',
          'beam-chosen',
          'beam-strongest',
        ]).toContain(rule('beam'));
      if (rule('beam') === 'beam-widest-that-shows' || rule('beam') === 'beam-narrowest-that-shows')
        expect(prediction.verdict).toBe('clear');
      else if (rule('beam') === 'beam-strongest') unmet.push(`${k}: no beam shows it clearly`);

      // No bed echo loud enough to be heard comes back late.
      const heard = bedEchoesHeard(prediction.budget, brief.toM, 'rock');
      expect(settings.pingRate).toBeLessThanOrEqual(
        prediction.budget.soundSpeedMps / (2 * heard * brief.toM),
      );

      // A slice is drawn true to shape, unless the unit's chart goes no faster.
      const across = waterPerColumn(brief.speedMps, settings.chartSpeed);
      const down = waterPerRow(settings.rangeM - settings.topM, screenOf(rig).rows);
      if (prediction.face.beam.shape === 'fan' && brief.speedMps > 0.25 && settings.chartSpeed < 40) {
        expect(across / down).toBeGreaterThan(0.8);
        expect(across / down).toBeLessThan(1.25);
      }

      // Enough pings for a shape, or it says that the boat is too fast.
      const pings = prediction.timeInConeS * settings.pingRate;
      if (pings < 5) {
        expect(rule('boatSpeed')).toBe('speed-too-fast');
        if (prediction.face.beam.shape === 'cone') unmet.push(`${k}: too fast for a shape`);
      }
    },
  );

  it('say that something cannot be met on at most five', () => {
    expect(unmet.length).toBeLessThanOrEqual(5);
  });
});
