import { syntheticRecording } from './syntheticRecording';
import { withBedsOff } from './withBedsOff';

it('moves a bed’s echoes, the second twice as far, and nothing before them', () => {
  const { recording, channel } = syntheticRecording({ pings: 2, samples: 300, stepM: 0.04 });
  const [off] = withBedsOff(recording, [5, 4], [3, -2]).channels;
  const moved = (ping: number, rangeM: number): number => {
    const at = ping * 300 + Math.round(rangeM / 0.04);
    return off!.levelDb[at]! - channel.levelDb[at]!;
  };
  expect([4.9, 5.1, 9.9, 10.1].map((r) => Math.round(moved(0, r)))).toEqual([0, 3, 3, 6]);
  expect([3.9, 4.1, 8.1].map((r) => Math.round(moved(1, r)))).toEqual([0, -2, -4]);
});
