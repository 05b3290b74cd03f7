import { FIRST_BRIEF } from '@/core/advice';
import { GENERIC_RIG } from '@/core/rig';
import type { DrillSet } from '@/core/training/drillSet';
import { LONGEST_LINK } from './benchLink';
import { readDrillFile, writeDrillFile } from '@/core/formats/drillFile';
import { drillLink, readDrillLink } from './drillSet';

const SET: DrillSet = {
  by: 'Guide',
  drill: 'name',
  rounds: Array.from({ length: 10 }, (_, k) => ({ kind: 'fish', level: 1 as const, seed: 4000000000 + k })),
  brief: FIRST_BRIEF,
  rig: GENERIC_RIG,
  answers: [{ kind: 'fish', level: 1, seed: 4000000000, given: 'fish', right: true, sure: 0.8, turns: 0 }],
};

const at = 'https://boat.example/train';

it('a drill of ten rounds fits in a link, and comes out of it without the giver’s answers', async () => {
  const link = await drillLink(SET, at);
  if (!link.ok) throw new Error(link.problem);
  expect(link.value.length).toBeLessThanOrEqual(LONGEST_LINK);
  const read = await readDrillLink(link.value.slice(at.length));
  expect(read).toMatchObject({ ok: true, value: { ...SET, answers: [] } });
  const cut = await readDrillLink(link.value.slice(at.length, -40));
  expect(cut).toMatchObject({ ok: false, problem: expect.stringContaining('cut short or damaged') });
  expect(await readDrillLink('#bench=abc')).toBeNull();
});

it('a drill file comes out as it went in, and what is none changes nothing', () => {
  expect(readDrillFile(writeDrillFile(SET))).toMatchObject({ ok: true, value: SET });
  for (const text of ['', '{', writeDrillFile(SET).replace('"name"', '"chess"'), `"${'x'.repeat(200_000)}"`])
    expect(readDrillFile(text)).toMatchObject({ ok: false });
});
