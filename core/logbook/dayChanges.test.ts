import { joinedDays, longestPause, splitDay } from './dayChanges';
import { demoWeek } from './demoWeek';

const [, monday, tuesday] = demoWeek();
const counts = (d: { marks: unknown[]; bites: unknown[]; calls: unknown[]; track: unknown[] }): number[] => [
  d.marks.length,
  d.bites.length,
  d.calls.length,
  d.track.length,
];

it('a day split where it paused, and joined again, has all it had', () => {
  const gone = {
    ...monday!,
    track: monday!.track.filter((_, k) => k < 200 || k > 320),
    bites: [],
    calls: [],
    // One pass saved and one thing said at each end of it.
    passes: [0, 400].map((k) => ({ at: monday!.track[k]!.at, entryId: `e${k}`, title: 'A pass' })),
    coached: [0, 400].map((k) => ({ at: monday!.track[k]!.at, words: 'Slow down.' })),
    files: [0, 400].map((k) => ({ at: monday!.track[k]!.at, fileId: `f${k}`, title: 'screen.png' })),
    used: [0, 400].map((k) => ({
      at: monday!.track[k]!.at,
      phase: 'vertical' as const,
      picture: 'cone' as const,
      control: 'gain' as const,
      value: k,
      shown: `${k}`,
    })),
    bed: [{ latitudeDeg: -47, longitudeDeg: -124, hard: 0.5 }],
  };
  const at = longestPause(gone)!;
  expect(at).toBe(gone.track[200]!.at);
  const [first, second] = splitDay(gone, at, 'second');
  expect(counts(first).map((n, k) => n + counts(second)[k]!)).toEqual(counts(gone));
  expect(second).toMatchObject({ id: 'second', startedAt: at, waterName: 'Vessmere' });
  // The phase that went on goes on.
  expect(second.phases).toEqual([{ at, phase: 'vertical' }]);
  expect(
    [first, second].map((d) => [d.passes, d.coached, d.files, d.used].map((list) => list.length)),
  ).toEqual([
    [1, 1, 1, 1],
    [1, 1, 1, 1],
  ]);
  const joined = joinedDays(second, first)!;
  expect(joined.passes).toEqual(gone.passes);
  expect(joined.coached).toEqual(gone.coached);
  expect(joined).toMatchObject({ files: gone.files, used: gone.used, bed: gone.bed });
  expect(joined.id).toBe(gone.id);
  expect(counts(joined)).toEqual(counts(gone));
  expect(joined.track).toEqual(gone.track);
});

it('a day without a pause is not split, and days too full are not joined', () => {
  expect(
    longestPause({ ...monday!, track: monday!.track.slice(0, 30), bites: [], calls: [], marks: [] }),
  ).toBeNull();
  const full = {
    ...tuesday!,
    bites: Array.from({ length: 700 }, (_, k) => ({ ...tuesday!.bites[0]!, id: `b${k}` })),
  };
  expect(joinedDays({ ...full, id: 'other' }, full)).toBeNull();
});
