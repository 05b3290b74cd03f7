import Svg, { Circle, Path, Text as SvgText } from 'react-native-svg';
import type { Day, DayMark } from '@/core/logbook/day';
import { offsetFrom } from '@/core/maths';
import { FONT, useTones } from '@/ui';
import { MARK_WORDS } from '../words/deck';

const SIZE = 300;
const MARGIN = 24;
/** Points farther apart in time are not joined, ms. */
const GAP_MS = 120_000;
const LEAST_HEIGHT = 120;
/** A name this near to the right edge stands to the left of its mark. */
const NAME_ROOM = 90;
const NAME_HEIGHT = 12;
const MOST_NAMES = 12;
/** Water shown at least, m. */
const LEAST_M = 60;

const nameOf = (mark: DayMark): string => mark.note.slice(0, 18) || MARK_WORDS[mark.kind];

/** A day's way and marks, north up, to be printed. */
export function TrackSketch({ day }: { day: Day }) {
  const tones = useTones();
  const places = [...day.track, ...day.marks];
  const [start] = places;
  if (!start) return null;
  const at = places.map((p) => offsetFrom(start, p));
  const [west, east] = [Math.min(...at.map((p) => p.eastM)), Math.max(...at.map((p) => p.eastM))];
  const [south, north] = [Math.min(...at.map((p) => p.northM)), Math.max(...at.map((p) => p.northM))];
  const perM = (SIZE - 2 * MARGIN) / Math.max(LEAST_M, east - west, north - south);
  // No higher than the way needs.
  const height = Math.max(LEAST_HEIGHT, (north - south) * perM + 2 * MARGIN);
  const x = (eastM: number): number => SIZE / 2 + (eastM - (east + west) / 2) * perM;
  const y = (northM: number): number => height / 2 - (northM - (north + south) / 2) * perM;
  const way = day.track
    .map((p, k) => {
      const { eastM, northM } = at[k]!;
      const before = day.track[k - 1];
      const joined = before !== undefined && Date.parse(p.at) - Date.parse(before.at) <= GAP_MS;
      return `${joined ? 'L' : 'M'}${x(eastM).toFixed(1)} ${y(northM).toFixed(1)}`;
    })
    .join('');
  // A name that would lie over another is left out: the list below has all.
  const names: { mark: DayMark; left: number; top: number; toLeft: boolean }[] = [];
  day.marks.forEach((mark, k) => {
    const { eastM, northM } = at[day.track.length + k]!;
    const toLeft = x(eastM) > SIZE - NAME_ROOM;
    const [left, top] = [x(eastM) + (toLeft ? -7 : 7), y(northM) + 4];
    const free = names.every(
      (n) => Math.abs(n.top - top) >= NAME_HEIGHT || Math.abs(n.left - left) >= NAME_ROOM,
    );
    if (names.length < MOST_NAMES && free) names.push({ mark, left, top, toLeft });
  });
  return (
    <Svg
      width={SIZE}
      height={height}
      accessibilityLabel={`The day’s way, with ${day.marks.length} marks, north up`}
    >
      {way !== '' && <Path d={way} stroke={tones.water} strokeWidth={1.5} fill="none" />}
      {day.marks.map((mark, k) => {
        const { eastM, northM } = at[day.track.length + k]!;
        return <Circle key={mark.id} cx={x(eastM)} cy={y(northM)} r={4} fill={tones.buoy} />;
      })}
      {names.map(({ mark, left, top, toLeft }) => (
        <SvgText
          key={mark.id}
          x={left}
          y={top}
          textAnchor={toLeft ? 'end' : 'start'}
          fontSize={11}
          fontFamily={FONT.text}
          fill={tones.ink}
          stroke={tones.page}
          strokeWidth={3}
          {...{ paintOrder: 'stroke' }}
        >
          {nameOf(mark)}
        </SvgText>
      ))}
    </Svg>
  );
}
