import { lazy, Suspense } from 'react';
import { Text } from '@/ui';
import type { Day, TrackPoint } from '@/core/logbook/day';
import { measure } from '@/core/units';
import { decimal } from '@/ui/decimal';
import { useUnits } from '../units';
import { timeWords } from '../words/day';

const TraceChart = lazy(() => import('../charts').then((m) => ({ default: m.TraceChart })));

/** Points of a trace, and as wide as the sketch of the way over it, px. */
const POINTS = 40;
const WIDTH = 300;
/** Charts narrower than this in what they show are a line of words, in the trace's own unit. */
const LEAST_SPAN = { supplyV: 0.2, temperatureC: 0.5 };

interface Point {
  at: string;
  value: number;
}

/** A quantity through the day, evenly in its points. */
function traceOf(track: readonly TrackPoint[], of: (p: TrackPoint) => number | null): Point[] {
  const known = track.flatMap((p) => {
    const value = of(p);
    return value === null ? [] : [{ at: p.at, value }];
  });
  if (known.length <= POINTS) return known;
  return Array.from(
    { length: POINTS },
    (_, k) => known[Math.round((k * (known.length - 1)) / (POINTS - 1))]!,
  );
}

/** Warmth and voltage through the day: in words, and drawn where they changed. */
export function DayTraces({ day }: { day: Day }) {
  const { show, system } = useUnits();
  const traces = [
    {
      key: 'temperatureC' as const,
      name: 'Temperature',
      points: traceOf(day.track, (p) => p.temperatureC),
      words: (x: number) => show('temperature', x, 1),
      shown: measure(system, 'temperature').fromSi,
    },
    {
      key: 'supplyV' as const,
      name: 'Voltage',
      points: traceOf(day.track, (p) => p.supplyV),
      words: (x: number) => `${decimal(x, 1)}\u00a0V`,
      shown: (x: number) => x,
    },
  ].filter(({ points }) => points.length > 1);
  return (
    <>
      {traces.map(({ key, name, points, words, shown }) => {
        const values = points.map((p) => p.value);
        const [low, high] = [Math.min(...values), Math.max(...values)];
        const least = points.find((p) => p.value === low)!;
        return (
          <Suspense key={`${key} ${system}`} fallback={null}>
            <Text kind="small" testID={`trace-${key}`}>
              {words(low) === words(high)
                ? `${name} ${words(low)} all day.`
                : `${name} ${words(low)} to ${words(high)}, lowest at ${timeWords(least.at)}.`}
            </Text>
            {high - low >= LEAST_SPAN[key] && (
              <TraceChart
                title={`${name} through the day`}
                points={points.map((p) => ({ label: timeWords(p.at), value: shown(p.value) }))}
                width={WIDTH}
              />
            )}
          </Suspense>
        );
      })}
    </>
  );
}
