import { seededRandom } from '@/core/maths';
import { readChannel, type Finding } from '@/core/reading';
import { passed, syntheticRecording, type HandMade } from '@/core/testing/syntheticRecording';

const findingsOf = (paint: HandMade['paint']): readonly Finding[] => {
  const { recording, channel } = syntheticRecording({ paint });
  return readChannel(recording, channel).findings;
};
const countOf = (findings: readonly Finding[], kind: Finding['kind']): number =>
  findings.filter((f) => f.kind === kind).length;

describe('fish that pass close to each other', () => {
  it('are fish and no cloud, however dense they stand', () => {
    const findings = findingsOf((put) => {
      passed(put, 140, 5, { overDb: 30, reach: 24 });
      passed(put, 150, 5.3, { overDb: 30, reach: 24 });
      passed(put, 145, 5.6, { overDb: 28, reach: 24 });
    });
    expect(countOf(findings, 'cloud')).toBe(0);
    expect(countOf(findings, 'fish')).toBeGreaterThanOrEqual(2);
  });
  it('are told from bait as thin as they are', () => {
    const random = seededRandom(7);
    const findings = findingsOf((put) => {
      for (let p = 120; p < 180; p++)
        for (let k = 0; k < 14; k++) put(p, random.between(5, 5.7), random.between(8, 20));
    });
    expect(countOf(findings, 'cloud')).toBe(1);
  });
});
