import {
  viewing,
  labOf,
  LIGHTS,
  ownSettings,
  paletteColours,
  PALETTE_NAMES,
  PALETTE_STEPS,
  PALETTES,
  palettesFor,
  PLAIN_SETTINGS,
  type Lab,
  type Picture,
} from '@/core/picture';
import { see } from '@/core/picture/drawing';
import { contrastRatio, DEFICIENCIES, luminance, seenWith } from '@/core/testing/colourVision';

const difference = (a: Lab, b: Lab): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
/** As many steps as are told apart at a glance: five at night, eight else. */
const glances = (name: (typeof PALETTE_NAMES)[number]): number => (PALETTES[name].light === 'night' ? 5 : 8);
const EYES = Object.keys(DEFICIENCIES) as (keyof typeof DEFICIENCIES)[];

describe.each(PALETTE_NAMES)('palette %s', (name) => {
  const { ground, steps, bedSteps } = paletteColours(name);
  const count = glances(name);
  const told = Array.from(
    { length: count },
    (_, i) => steps[Math.round((i * (PALETTE_STEPS - 1)) / (count - 1))]!,
  );

  it.each(EYES)('has a first colour off the ground, and steps told apart, for eyes with %s', (eyes) => {
    const seen = told.map((rgb) => seenWith(eyes, rgb));
    expect(contrastRatio(seen[0]!, seenWith(eyes, ground))).toBeGreaterThanOrEqual(3);
    const lab = seen.map(labOf);
    for (let i = 1; i < count; i++)
      expect(difference(lab[i]!, lab[i - 1]!)).toBeGreaterThanOrEqual(count === 5 ? 6 : 7);
  });
  it('runs one way in lightness, also below the bed', () => {
    for (const ramp of [steps, bedSteps]) {
      const lightness = ramp.map((rgb) => labOf(rgb)[0]);
      const way = Math.sign(lightness[PALETTE_STEPS - 1]! - lightness[0]!);
      for (let i = 8; i < PALETTE_STEPS; i += 8)
        expect(way * (lightness[i]! - lightness[i - 8]!)).toBeGreaterThan(0);
    }
  });
  it('draws what lies under the bed in no brown: violet-grey, off the colours over it', () => {
    for (const k of [0, 80, 160]) {
      const [, a, b] = labOf(bedSteps[k]!);
      // Brown is dark orange: to the red and to the yellow.
      expect(a > 4 && b > 6 && PALETTES[name].light !== 'night').toBe(false);
      expect(difference(labOf(bedSteps[k]!), labOf(steps[k]!))).toBeGreaterThan(9.2);
    }
  });
  it('shows a mark of 3 × 3 cells in its first colour after the eye’s blur', () => {
    const [rows, columns] = [60, 80];
    const stepsOf = new Uint16Array(rows * columns);
    for (let c = 39; c <= 41; c++) for (let r = 29; r <= 31; r++) stepsOf[c * rows + r] = 1;
    const picture: Picture = {
      rows,
      columns,
      steps: stepsOf,
      pixels: new Uint32Array(0),
      liveColumn: new Uint16Array(rows),
      scale: { bottomDb: -60, leastDb: -60, stepsPerDb: 5 },
      rowM: 0.1,
      topM: new Float32Array(columns),
      bedM: new Float32Array(columns).fill(NaN),
      timeS: new Float64Array(columns),
      nowS: 0,
      columnsFilled: columns,
    };
    const place = { column: 40, row: 30, halfColumns: 1, halfRows: 1 };
    const [mark] = see(picture, name, false, [place], viewing(65, 640, 350)).marks;
    expect(mark!.contrast).toBeGreaterThanOrEqual(25);
  });
});

it('has palettes of its own for every light and both kinds of picture, five at least in all', () => {
  expect(PALETTE_NAMES.length).toBeGreaterThanOrEqual(5);
  const firsts = LIGHTS.flatMap((light) => [palettesFor(light, 'cone')[0], palettesFor(light, 'slice')[0]]);
  expect(new Set(firsts).size).toBe(2 * LIGHTS.length);
});

it('outshines no text at night', () => {
  // The theme's brightest words at night, #ffa08f.
  const brightest = luminance([255, 160, 143]);
  for (const name of [...palettesFor('night', 'cone'), ...palettesFor('night', 'slice')]) {
    const { ground, steps, bedSteps } = paletteColours(name);
    for (const rgb of [ground, ...steps, ...bedSteps]) expect(luminance(rgb)).toBeLessThanOrEqual(brightest);
  }
});

it('leaves range, pings and time to all pictures, and gives each its own gain and colours', () => {
  const own = Object.keys(ownSettings(PLAIN_SETTINGS));
  expect(own).toEqual(
    expect.arrayContaining(['gainDb', 'firstColourDb', 'colourSpreadDb', 'tvg', 'topWater']),
  );
  for (const shared of ['rangeM', 'topM', 'pingRate', 'chartSpeed', 'faceId', 'palette', 'zoom', 'bedLockM'])
    expect(own).not.toContain(shared);
});
