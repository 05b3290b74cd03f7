import { FIRST_BRIEF, SPECIES, startSetup, USUAL_SPEED_MPS, type Brief, type Setup } from '@/core/advice';
import { CONTROLS, viewing, weakestColourDb } from '@/core/picture';
import { GENERIC_RIG, transducerOf, type Rig } from '@/core/rig';
import { sightOnPass, tryColours } from '.';

const OFFSHORE: Rig = { ...GENERIC_RIG, faces: [...transducerOf('offshore-50-200').faces] };
/** Fish off the bed over deep water, at a troll: a low gain draws half of them. */
const DEEP: Brief = {
  ...FIRST_BRIEF,
  speciesId: 'red-snapper',
  lengthM: [...SPECIES.find((s) => s.id === 'red-snapper')!.lengthM],
  fromM: 32,
  toM: 106,
  fishToM: 62,
  salinity: 35,
  clarity: 'clear',
  windMps: 7,
  presentation: 'troll',
  speedMps: USUAL_SPEED_MPS.troll,
};

describe('gain and colours tried on made passes', () => {
  const setup = startSetup(DEEP, OFFSHORE);
  const shares: number[] = [];
  const tried = tryColours(DEEP, OFFSHORE, setup, undefined, (share) => shares.push(share))!;

  it('shows more fish than what is worked out, on a pass that was not tried', () => {
    const pass = sightOnPass(DEEP, OFFSHORE, setup.settings, { seed: 4, view: viewing(65, 640, 350) });
    expect(pass.fish).toBeGreaterThan(4);
    const before = pass.at({});
    const { gainDb, firstColourDb, colourSpreadDb } = tried;
    const after = pass.at({ gainDb, firstColourDb, colourSpreadDb });
    expect(after.found).toBeGreaterThan(before.found + 0.1);
    expect(after.score).toBeGreaterThan(1.15 * before.score);
  });
  it('says how many of the fish it met are found, and how many were without it', () => {
    expect(tried.found).toBeGreaterThan(tried.foundBefore);
    expect(tried.found).toBeLessThanOrEqual(tried.fish);
    // More passes are made than two only while few fish are met.
    expect(tried.fish >= 24 || tried.passes === 6).toBe(true);
    expect(tried.passes).toBeGreaterThanOrEqual(2);
  });
  it('leaves the target over the first colour, and the gain within what can be set', () => {
    const { power } = setup.settings;
    const drawnFrom = weakestColourDb({ gainDb: tried.gainDb, power }) + tried.firstColourDb;
    expect(setup.prediction.targetStrengthDb).toBeGreaterThan(drawnFrom);
    expect(tried.gainDb).toBeGreaterThanOrEqual(CONTROLS.gain.lowest);
    expect(tried.gainDb).toBeLessThanOrEqual(CONTROLS.gain.highest);
  });
  it('tells how far it has come, and is done at its end', () => {
    expect(shares.every((share, k) => share > (shares[k - 1] ?? 0) && share <= 1)).toBe(true);
    expect(shares.length).toBeGreaterThan(8);
  });
  it('goes into the setup with its reason, and the colours with it', () => {
    const after = startSetup(DEEP, OFFSHORE, {}, {}, tried);
    const line = (of: Setup, control: string) => of.lines.find((l) => l.control === control)!;
    expect(after.settings).toMatchObject({
      gainDb: tried.gainDb,
      firstColourDb: tried.firstColourDb,
      colourSpreadDb: tried.colourSpreadDb,
    });
    expect(line(after, 'gain').because).toMatchObject({ rule: 'gain-by-eye', tried });
    expect(line(after, 'colourSpread').because.rule).toBe('spread-tried');
    expect(line(setup, 'gain').because).toMatchObject({ tried: null });
  });
  it('says of a first colour over the usual one that it was tried', () => {
    const firstColourOf = (firstColourDb: number) =>
      startSetup(DEEP, OFFSHORE, {}, {}, { ...tried, firstColourDb }).lines.find(
        (l) => l.control === 'firstColour',
      )!;
    expect(firstColourOf(6)).toMatchObject({ value: 6, because: { rule: 'first-colour-tried' } });
    expect(firstColourOf(4).because.rule).toBe('first-colour-back-a-touch');
  });
  it('keeps a held first colour and spread, and a held gain what it is', () => {
    const held = startSetup(DEEP, OFFSHORE, {}, { firstColour: 3, colourSpread: 33 });
    const kept = tryColours(DEEP, OFFSHORE, held, { firstColour: true, colourSpread: true })!;
    expect(kept).toMatchObject({ firstColourDb: 3, colourSpreadDb: 33 });
    const after = startSetup(DEEP, OFFSHORE, {}, { firstColour: 3 }, kept);
    expect(after.lines.find((l) => l.control === 'firstColour')).toMatchObject({ value: 3, pinned: true });
    const gainHeld = startSetup(DEEP, OFFSHORE, {}, { gain: 7 }, tried);
    expect(gainHeld.settings.gainDb).toBe(7);
    expect(gainHeld.lines.find((l) => l.control === 'colourSpread')!.because.rule).not.toBe('spread-tried');
  });
});
