import { paletteTable, type PaletteName } from '@/core/picture';
import { EYE_CHECK_CELLS, eyeCheckPicture, eyeCheckResult, eyeCheckTrials } from '@/core/picture/drawing';
import { seededRandom } from '@/core/maths';

const BOTH: readonly [PaletteName, PaletteName] = ['ink', 'pencil'];

describe('an eye check', () => {
  const trials = eyeCheckTrials(BOTH, seededRandom(3));
  it('asks the same of both palettes, in another order for another seed', () => {
    const asked = (palette: PaletteName): string[] =>
      trials
        .filter((t) => t.palette === palette)
        .map((t) => `${t.overDb} ${t.quarter}`)
        .sort();
    expect(asked('ink')).toEqual(asked('pencil'));
    expect(new Set(asked('ink')).size).toBe(12);
    expect(eyeCheckTrials(BOTH, seededRandom(4))).not.toEqual(trials);
    expect(eyeCheckTrials(BOTH, seededRandom(3))).toEqual(trials);
  });
  it('draws more colour in the quarter of the mark, and a few specks elsewhere', () => {
    for (const [k, trial] of trials.entries()) {
      const pixels = eyeCheckPicture(trial, seededRandom(100 + k));
      const ground = paletteTable(trial.palette).rgba[0]!;
      const counts = [0, 0, 0, 0];
      pixels.forEach((c, i) => {
        if (c === ground) return;
        const row = Math.floor(i / EYE_CHECK_CELLS);
        counts[(row < EYE_CHECK_CELLS / 2 ? 0 : 2) + (i % EYE_CHECK_CELLS < EYE_CHECK_CELLS / 2 ? 0 : 1)]!++;
      });
      const others = counts.filter((_, q) => q !== trial.quarter);
      // exp(−10^0.75) of 4096 cells is 15 specks, ± four times their root.
      for (const n of others) expect(Math.abs(n - 14.8)).toBeLessThan(4 * Math.sqrt(14.8));
      // The mark has 38 cells; at −1 dB the share e^(−10^0.1) of them shows, 28 %, at 6 dB 78 %.
      if (trial.overDb === 6) expect(counts[trial.quarter]!).toBeGreaterThan(Math.max(...others));
    }
  });
  it('names the palette that shows more, and none when that may be chance', () => {
    const seen = (misses: (t: (typeof trials)[number]) => boolean) =>
      eyeCheckResult(
        BOTH,
        trials,
        trials.map((t) => (misses(t) ? null : t.quarter)),
      );
    expect(seen(() => false)).toEqual({ found: [12, 12], of: 12, better: null });
    // Five that differ, all one way: 2 · 2⁻⁵ = 0.06.
    const five = seen((t) => t.palette === 'ink' && (t.overDb === -1 || (t.overDb === 2 && t.quarter === 0)));
    expect(five).toEqual({ found: [7, 12], of: 12, better: 'pencil' });
    // Four: 0.125.
    expect(seen((t) => t.palette === 'pencil' && t.overDb === -1)).toEqual({
      found: [12, 8],
      of: 12,
      better: null,
    });
    expect(() => eyeCheckResult(BOTH, trials, [])).toThrow(/24 looks but 0 answers/);
  });
  it('counts a wrong quarter as not found', () => {
    const wrong = trials.map((t) => (t.quarter + 1) % 4);
    expect(eyeCheckResult(BOTH, trials, wrong).found).toEqual([0, 0]);
  });
});
