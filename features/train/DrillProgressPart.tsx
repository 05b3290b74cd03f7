import { lazy, Suspense, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { DrillProgress } from '@/core/training/progress';
import { Chips, Text, useTones } from '@/ui';
import { DRILL_WORDS, kindWords, shareWords } from '../words/training';

const ProgressChart = lazy(() => import('../charts').then((m) => ({ default: m.ProgressChart })));

/** Fewer sittings make no line. */
const LEAST_SITTINGS = 2;

/** How the drills went: one at a time, over time and kind by kind. */
export function DrillProgressPart({ progress }: { progress: readonly DrillProgress[] }) {
  const tones = useTones();
  const [chosen, setChosen] = useState<string | null>(null);
  const [width, setWidth] = useState(0);
  const shown = progress.find((p) => p.drill === chosen) ?? progress[0];
  if (!shown) return null;
  return (
    <View
      style={styles.part}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
      testID="training-progress"
    >
      <Text kind="heading">How it goes</Text>
      {progress.length > 1 && (
        <Chips
          label="Drill"
          value={shown.drill}
          options={progress.map(({ drill }) => ({ value: drill, label: DRILL_WORDS[drill].title }))}
          onChange={setChosen}
        />
      )}
      {shown.overTime.length >= LEAST_SITTINGS && width > 0 && (
        <Suspense fallback={<Text faint>Drawing the chart…</Text>}>
          <ProgressChart progress={shown} width={width} />
        </Suspense>
      )}
      <View role="table" aria-label="Right answers by kind, weakest first">
        {shown.byKind.map(({ kind, share }) => (
          <View key={kind} role="row" style={[styles.row, { borderTopColor: tones.rule }]}>
            <Text role="cell" style={styles.kind}>
              {kindWords(shown.drill, kind)}
            </Text>
            <Text role="cell" style={styles.share}>
              {shareWords(share)}
            </Text>
          </View>
        ))}
      </View>
      {shown.bySure.length > 0 && (
        <View role="table" aria-label="What you said against what came out">
          {shown.bySure.map(({ sure, share }) => (
            <View key={sure} role="row" style={[styles.row, { borderTopColor: tones.rule }]}>
              <Text role="cell" style={styles.kind}>
                Said {Math.round(100 * sure)} %
              </Text>
              <Text role="cell" style={styles.share}>
                {shareWords(share)}
              </Text>
            </View>
          ))}
        </View>
      )}
      <Text faint kind="small">
        “Likely” is where the true share lies with 95 % (Wilson interval).
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: 10, maxWidth: 720, width: '100%' },
  row: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, borderTopWidth: 1, paddingVertical: 8 },
  kind: { flexGrow: 1, flexBasis: 150 },
  share: { flexGrow: 2, flexBasis: 200 },
});
