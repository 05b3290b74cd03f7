import { syntheticRecording } from './syntheticRecording';
import { withBedsOff, type BedsOff } from './withBedsOff';

/** How far levels at some ranges are moved, dB. */
function moved(off: BedsOff, ping: number, rangesM: readonly number[]): number[] {
  const { recording, channel } = syntheticRecording({ pings: 2, samples: 300, stepM: 0.04 });
  const [changed] = withBedsOff(recording, [5, 4], off).channels;
  return rangesM.map((rangeM) => {
    const at = ping * 300 + Math.round(rangeM / 0.04);
    return Math.round(changed!.levelDb[at]! - channel.levelDb[at]!);
  });
}

it('moves a harder bed’s echoes, the second twice as far, and nothing before them', () => {
  expect(moved({ hardDb: [3, -2] }, 0, [4.9, 5.1, 9.9, 10.1])).toEqual([0, 3, 3, 6]);
  expect(moved({ hardDb: [3, -2] }, 1, [3.9, 4.1, 8.1])).toEqual([0, -2, -4]);
});

it('moves a rougher bed’s echoes alike', () => {
  expect(moved({ roughDb: [3, -2] }, 1, [3.9, 4.1, 8.1])).toEqual([0, -2, -2]);
  expect(moved({ roughDb: [3, 3], hardDb: [1, 1] }, 0, [4.9, 5.1, 10.1])).toEqual([0, 4, 5]);
});
