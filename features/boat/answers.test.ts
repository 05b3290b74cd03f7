import { FIRST_BRIEF, waterOf } from '@/core/advice';
import { faceOf, GENERIC_RIG, type Rig } from '@/core/rig';
import { degToRad } from '@/core/units';
import { unitsIn } from '../units';
import { beamAnswers, boatAnswers, shimWords, type Asked } from './answers';

const metric = unitsIn('metric');
const water = waterOf(FIRST_BRIEF);
const asked = (depthM: number): Asked => ({ depthM, fishM: 4, slopeRad: degToRad(10), pingRate: 20 });
const answer = (rig: Rig, id: string, depthM: number, question: RegExp): string | undefined =>
  beamAnswers(rig, faceOf(rig, id), asked(depthM), water, metric).find((a) => question.test(a.question))
    ?.answer;

describe('what a beam answers', () => {
  it('covers a circle or a strip', () => {
    // 2 · 10 · tan 10° = 3.5 m; a fan of 1.6° by 50°: 28 cm by 9.3 m.
    expect(answer(GENERIC_RIG, 'cone-200', 10, /Covers/)).toBe('a circle 3.5\u00a0m wide');
    expect(answer(GENERIC_RIG, 'slice-455', 10, /Covers/)).toBe('a strip 28\u00a0cm by 9.3\u00a0m');
  });
  it('covers less at the fish, which can be half of that to either side', () => {
    // 2 · 4 · tan 10° = 1.41 m.
    expect(answer(GENERIC_RIG, 'cone-200', 10, /Covers at 4/)).toBe('a circle 1.4\u00a0m wide');
    expect(answer(GENERIC_RIG, 'cone-200', 10, /A fish at 4/)).toBe('up to 71\u00a0cm to either side');
  });
  it('hides more over a steeper slope', () => {
    const hidden = (slopeDeg: number): string =>
      beamAnswers(
        GENERIC_RIG,
        faceOf(GENERIC_RIG, 'cone-200'),
        { ...asked(10), slopeRad: degToRad(slopeDeg) },
        water,
        metric,
      ).find((a) => a.question === `Hidden over a slope of ${slopeDeg}°`)!.answer;
    // Half a pulse of 15 cm; and, the slope steeper than the beam is wide, 10 − 10 / (cos 10° + sin 10° tan 30°) = 78 cm more.
    expect(hidden(0)).toBe('the lowest 7\u00a0cm');
    expect(hidden(30)).toBe('the lowest 86\u00a0cm');
  });
  it('is given as two lengths while its cone is not known, and says from what', () => {
    const rig = { ...GENERIC_RIG, unsureCones: ['cone-200'] };
    // 12.8° and 32°: 2.2 and 5.7 m.
    expect(answer(rig, 'cone-200', 10, /Covers/)).toBe('a circle 2.2\u00a0m to 5.7\u00a0m wide');
    expect(answer(rig, 'cone-200', 10, /not known/)).toContain('13° to 32°');
    expect(answer(rig, 'cone-200', 10, /lure/)).toMatch(/^from .*, or from /);
    // The other cone is known.
    expect(answer(rig, 'cone-83', 10, /not known/)).toBeUndefined();
  });
  it('counts lure and antenna from where its own transducer hangs', () => {
    const rig = {
      ...GENERIC_RIG,
      positions: { ...GENERIC_RIG.positions, antenna: { x: 0, y: 0 }, rod: { x: 5, y: 0 } },
      hangs: { 'cone-83': { x: 5, y: 0 } },
    };
    expect(answer(rig, 'cone-83', 10, /lure/)).toBe('at once');
    expect(answer(rig, 'cone-83', 10, /antenna/)).toBe('5\u00a0m');
    expect(answer(rig, 'cone-200', 10, /antenna/)).toBe('nothing');
    // 0.2 + 6 − 5 m.
    expect(answer(rig, 'cone-83', 10, /bow/)).toBe('1.2\u00a0m behind you');
  });
  it('says how far behind the bow its water lies, where it is read there', () => {
    expect(answer(GENERIC_RIG, 'cone-200', 10, /bow/)).toBe('6.2\u00a0m behind you');
    const [unit] = GENERIC_RIG.units;
    const bow = { ...unit!, id: 'unit-2', station: 'bow' as const, faceIds: ['slice-455'] };
    const stern = { ...GENERIC_RIG, units: [unit!, bow] };
    expect(answer(stern, 'cone-200', 10, /bow/)).toBeUndefined();
    const atBow = { ...GENERIC_RIG, positions: { ...GENERIC_RIG.positions, stern: { x: -6, y: 0 } } };
    expect(answer(atBow, 'cone-200', 10, /bow/)).toBe('under you');
  });
  it('says of a lure dropped far off that it is never seen while the beam looks away', () => {
    const away = {
      ...GENERIC_RIG,
      positions: { ...GENERIC_RIG.positions, rod: { x: 3, y: 0 } },
      mount: { ...GENERIC_RIG.mount, alongRad: degToRad(-20) },
    };
    expect(answer(away, 'cone-200', 10, /lure/)).toBe('never, dropped there');
  });
});

describe('what the boat answers', () => {
  const of = (rig: Rig, question: RegExp, pingRate = 20): string =>
    boatAnswers(rig, { ...asked(20), pingRate }, water, metric).find((a) => question.test(a.question))!
      .answer;
  it('where a tilt looks, and how much too deep the bed comes', () => {
    const tilted = { ...GENERIC_RIG, mount: { ...GENERIC_RIG.mount, alongRad: degToRad(10) } };
    // 20 tan 10° = 3.5 m; 20 / cos 10° − 20 = 31 cm.
    expect(of(tilted, /look/)).toBe('3.5\u00a0m ahead; a level bed is drawn 31\u00a0cm too deep');
    expect(of(GENERIC_RIG, /look/)).toBe('straight down');
  });
  it('how far a mark is off, and where late bed echoes fall', () => {
    const rig = { ...GENERIC_RIG, positions: { ...GENERIC_RIG.positions, antenna: { x: 3, y: 4 } } };
    expect(answer(rig, 'cone-200', 10, /antenna/)).toBe('5\u00a0m');
    expect(of(GENERIC_RIG, /False beds/)).toMatch(/second bed echo at \d/);
    expect(of(GENERIC_RIG, /False beds/, 2)).toMatch(/none/);
  });
  it('how a bracket is turned', () => {
    expect(shimWords(0, 0)).toBe('Level within half a degree.');
    expect(shimWords(degToRad(-3), degToRad(2))).toBe(
      'Turn the bracket 3° down at the back and 2° to starboard.',
    );
  });
});
