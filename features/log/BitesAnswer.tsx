import { lazy, memo, Suspense, useState } from 'react';
import { View } from 'react-native';
import { SORTED_BY, type BiteRate, type SortedBy } from '@/core/logbook/biteRates';
import { Chips, Text } from '@/ui';
import { useLogAnswer } from '../useLogAnswer';
import { useUnits, type Units } from '../units';
import { biteLine, groupWords, SORTED_WORDS } from '../words/logAnswers';
import { AnswerRows, NoAnswer } from './AnswerRows';

const BiteChart = lazy(() => import('../charts').then((m) => ({ default: m.BiteChart })));

/** Bars whose whole names fit side by side on a phone. */
const MOST_WHOLE_NAMES = 5;

/** Takes as bars, an hour where time is known of all of them. */
function chartOf(
  rows: readonly BiteRate[],
  by: SortedBy,
  units: Units,
): { title: string; bars: { label: string; value: number }[] } {
  const timed = rows.every((r) => r.rate !== null);
  const names = rows.map((r) => groupWords(by, r.key, units));
  const unit = /\s(m|ft|°C|°F|h)$/.exec(names[0] ?? '')?.[1];
  // Where many stand side by side a band is called by where it begins.
  const short = (name: string): string =>
    unit && rows.length > MOST_WHOLE_NAMES ? name.split('–')[0]! : name.replace(/\s(m|ft|°C|°F|h)$/, '');
  return {
    title: `${timed ? 'Takes an hour' : 'Takes'} by ${SORTED_WORDS[by].toLowerCase()}${unit ? `, ${unit}` : ''}`,
    bars: rows.map((r, k) => ({ value: timed ? r.rate!.perHour : r.takes, label: short(names[k]!) })),
  };
}

/** What was sorted, as bars and as a table. */
const Sorted = memo(function Sorted({ by, rows }: { by: SortedBy; rows: readonly BiteRate[] }) {
  const units = useUnits();
  const [width, setWidth] = useState(0);
  const what = SORTED_WORDS[by].toLowerCase();
  if (rows.length === 0) return <Text>No bite tells its {what} yet. Say it on Deck when one comes.</Text>;
  return (
    <View onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}>
      {rows.length > 1 && width > 0 && (
        <Suspense fallback={<Text faint>Drawing the chart…</Text>}>
          <BiteChart {...chartOf(rows, by, units)} width={width} />
        </Suspense>
      )}
      <AnswerRows
        label={`Bites by ${what}`}
        rows={rows.map((r) => [String(r.key), groupWords(by, r.key, units), biteLine(r)])}
      />
    </View>
  );
});

/** Bites by what they are sorted by. */
export function BitesAnswer({ waterName }: { waterName: string | undefined }) {
  const [by, setBy] = useState<SortedBy>('depth');
  const { answer, problem, again } = useLogAnswer({ of: 'bites', by, waterName });
  if (problem) return <NoAnswer problem={problem} again={again} />;
  return (
    <>
      <Chips
        label="Bites by"
        value={by}
        options={SORTED_BY.map((name) => ({ value: name, label: SORTED_WORDS[name] }))}
        onChange={setBy}
      />
      {answer && <Sorted by={answer.by} rows={answer.bites} />}
    </>
  );
}
