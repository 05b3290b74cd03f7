import { PLAIN_SETTINGS, viewing, type Settings } from '@/core/picture';
import { readRecording, type Finding } from '@/core/reading';
import { durationOf, recordingOf } from '@/core/recording';
import { GENERIC_RIG, screenOf } from '@/core/rig';
import { recipeOf } from '@/core/scene';
import { simulate } from '@/core/sounder';
import { pictureJudge, type JudgedPass } from './judgedPicture';
import { soundingRequest } from './benchPass';

describe('a judged picture', () => {
  const sceneId = 'lure-answered';
  const { rangeM, pingRate } = recipeOf(sceneId);
  const settings: Settings = {
    ...PLAIN_SETTINGS,
    faceId: GENERIC_RIG.faces[0]!.id,
    rangeM,
    pingRate,
    chartSpeed: 6,
  };
  const stretch = simulate(soundingRequest({ kind: 'scene', sceneId, seed: 4 }, GENERIC_RIG, settings));
  const recording = recordingOf([stretch]);
  const { findings, lures } = readRecording(recording, settings.faceId);
  const screen = screenOf(GENERIC_RIG);
  const pass: JudgedPass = {
    recording,
    findings,
    screen,
    nowS: durationOf(recording),
    purpose: 'vertical',
    view: viewing(65, screen.columns, 350),
    bandM: [0, 400],
  };

  it('does not take an own lure that shows for specks', () => {
    expect(lures.length).toBeGreaterThan(0);
    const [without, withLures] = [pictureJudge(pass)(settings), pictureJudge({ ...pass, lures })(settings)];
    expect(withLures.specks).toBeLessThan(without.specks);
    expect(withLures.found).toBe(without.found);
    expect(withLures.score).toBeGreaterThan(without.score);
  });

  it('lets some of a crowd of marks speak for all, and takes none of the others for specks', () => {
    const fish = findings.filter((f) => f.kind === 'fish');
    const [a, b] = [fish[0]!, fish.at(-1)!];
    expect(a).not.toBe(b);
    const judge = (...of: Finding[]) => pictureJudge({ ...pass, findings: of })(settings);
    const [one, both] = [judge(a), judge(a, b)];
    const crowd = judge(...Array.from({ length: 24 }, () => [a, b]).flat());
    expect(one.found).toBeGreaterThan(0);
    expect(crowd.fish).toBe(48);
    expect(crowd.found).toBeCloseTo(48 * one.found);
    expect(both.specks).toBeLessThan(one.specks);
    expect(crowd.specks).toBeCloseTo(both.specks);
  });
});
