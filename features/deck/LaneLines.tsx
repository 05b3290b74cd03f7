import { Path } from 'react-native-svg';
import { placeFrom, type Position } from '@/core/maths';
import type { LaidLanes, LaneLeft } from '@/core/marks';
import { useTones } from '@/ui';

interface Props {
  lanes: LaidLanes;
  left: readonly LaneLeft[];
  /** Where a place lies on the chart. */
  at: (place: Position) => [x: number, y: number];
}

/** Lanes on the chart: thin all along, strong where they are still to be gone over. */
export function LaneLines({ lanes, left, at }: Props) {
  const tones = useTones();
  const [cos, sin] = [Math.cos(lanes.headingRad), Math.sin(lanes.headingRad)];
  const point = (along: number, across: number): string => {
    const x = along - lanes.lengthM / 2;
    const [u, v] = at(placeFrom(lanes, x * sin + across * cos, x * cos - across * sin));
    return `${u.toFixed(2)} ${v.toFixed(2)}`;
  };
  const path = (parts: readonly (readonly [number, number, number])[]): string =>
    parts.map(([from, to, across]) => `M${point(from, across)}L${point(to, across)}`).join('');
  const all = path(left.map(({ acrossM }) => [0, lanes.lengthM, acrossM] as const));
  const open = path(
    left.flatMap(({ acrossM, left: parts }) => parts.map(([a, b]) => [a, b, acrossM] as const)),
  );
  return (
    <>
      <Path d={all} stroke={tones.rule} strokeWidth={0.4} fill="none" />
      <Path d={open} stroke={tones.buoy} strokeWidth={0.8} strokeDasharray="2 1.2" fill="none" />
    </>
  );
}
