import { FIRST_BRIEF, startSetup, type Setup, type TriedColours } from '@/core/advice';
import { GENERIC_RIG } from '@/core/rig';
import { MOST_TRIED, planStore } from './plan';
import { keepTried, toTry, withTried } from './tried';

const TRIED: TriedColours = {
  gainDb: -3,
  firstColourDb: 6,
  colourSpreadDb: 44,
  found: 6.2,
  foundBefore: 3.1,
  fish: 8,
  passes: 2,
};
const made = (tried: TriedColours | null): Setup => startSetup(FIRST_BRIEF, GENERIC_RIG, {}, {}, tried);

describe('what was tried of a setup', () => {
  const wanted = toTry(FIRST_BRIEF, GENERIC_RIG, made(null))!;

  it('takes the place of what is worked out, for that water and boat alone', () => {
    const tried = { [wanted.key]: TRIED };
    const before = withTried(FIRST_BRIEF, GENERIC_RIG, {}, made);
    expect(before.untried?.key).toBe(wanted.key);
    expect(before.setup.settings).toEqual(made(null).settings);
    const after = withTried(FIRST_BRIEF, GENERIC_RIG, tried, made);
    expect(after.untried).toBeNull();
    expect(after.setup.settings).toMatchObject({ gainDb: -3, firstColourDb: 6, colourSpreadDb: 44 });
    const deeper = { ...FIRST_BRIEF, toM: FIRST_BRIEF.toM + 1 };
    const elsewhere = withTried(deeper, GENERIC_RIG, tried, (t) =>
      startSetup(deeper, GENERIC_RIG, {}, {}, t),
    );
    expect(elsewhere.untried?.key).not.toBe(wanted.key);
  });
  it('is found again whatever the order of the keys, and for the beam that was chosen by name', () => {
    const turned = Object.fromEntries(Object.entries(FIRST_BRIEF).reverse()) as typeof FIRST_BRIEF;
    expect(toTry(turned, GENERIC_RIG, made(null))!.key).toBe(wanted.key);
    const named = { ...FIRST_BRIEF, faceId: made(null).settings.faceId };
    expect(toTry(named, GENERIC_RIG, startSetup(named, GENERIC_RIG))!.key).toBe(wanted.key);
  });
  it('where no fish was met leaves what is worked out, and is not tried again', () => {
    const { setup, untried } = withTried(FIRST_BRIEF, GENERIC_RIG, { [wanted.key]: null }, made);
    expect(untried).toBeNull();
    expect(setup.settings).toEqual(made(null).settings);
  });
  it('is not asked for where the gain is held, or goes by another way', () => {
    expect(toTry(FIRST_BRIEF, GENERIC_RIG, startSetup(FIRST_BRIEF, GENERIC_RIG, {}, { gain: 3 }))).toBeNull();
    expect(
      toTry(FIRST_BRIEF, GENERIC_RIG, startSetup(FIRST_BRIEF, GENERIC_RIG, { gain: 'big-only' })),
    ).toBeNull();
    const spreadHeld = startSetup(FIRST_BRIEF, GENERIC_RIG, {}, { colourSpread: 30 });
    expect(toTry(FIRST_BRIEF, GENERIC_RIG, spreadHeld)).toMatchObject({
      held: { firstColour: false, colourSpread: true },
    });
    const firstHeld = toTry(
      FIRST_BRIEF,
      GENERIC_RIG,
      startSetup(FIRST_BRIEF, GENERIC_RIG, {}, { firstColour: 4 }),
    )!;
    expect(firstHeld.held.firstColour).toBe(true);
    expect(firstHeld.key).not.toBe(wanted.key);
  });
  it('is kept up to a number, the newest of all', () => {
    for (let k = 0; k < MOST_TRIED + 5; k++) keepTried(`key-${k}`, TRIED);
    const keys = Object.keys(planStore.getState().tried);
    expect(keys).toHaveLength(MOST_TRIED);
    expect(keys).toContain(`key-${MOST_TRIED + 4}`);
    expect(keys).not.toContain('key-0');
  });
});
