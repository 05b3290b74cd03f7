import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { LineChart } from 'react-native-gifted-charts/dist/LineChart';
import type { DrillProgress } from '@/core/training/progress';
import { Chips, FONT, Text, useTones } from '@/ui';
import { DRILL_WORDS, kindWords, shareWords } from '../words/training';

const HEIGHT = 140;
/** Sittings a chart shows at most, the newest. */
const MOST_SITTINGS = 24;
/** Fewer sittings make no line. */
const LEAST_SITTINGS = 2;
/** Widths that hold a chart's own axis, px. */
const AXIS_PX = 56;

/** Share of right answers, sitting by sitting, with the line of blind guesses in it. */
function OverTime({ progress, width }: { progress: DrillProgress; width: number }) {
  const tones = useTones();
  const shown = progress.overTime.slice(-MOST_SITTINGS);
  const axis = { color: tones.ink, fontFamily: FONT.text, fontSize: 13 };
  const chance = Math.round(100 * progress.chance);
  const first = shown[0]!;
  const last = shown.at(-1)!;
  return (
    <View
      role="img"
      aria-label={`Right answers by sitting: from ${Math.round(100 * first.share)} % to ${Math.round(100 * last.share)} % over ${shown.length} sittings${chance > 0 ? `; blind guesses come to ${chance} %` : ''}`}
      style={styles.chart}
    >
      <Text faint kind="small">
        Right of a hundred, by sitting{chance > 0 ? `; the dashed line is blind guessing, ${chance}` : ''}
      </Text>
      <LineChart
        data={shown.map(({ share }) => ({ value: Math.round(100 * share) }))}
        color1={tones.water}
        dataPointsColor1={tones.water}
        height={HEIGHT}
        width={width - AXIS_PX}
        spacing={(width - AXIS_PX - 24) / Math.max(1, shown.length - 1)}
        initialSpacing={8}
        thickness={2}
        maxValue={100}
        noOfSections={4}
        rulesColor={tones.rule}
        xAxisColor={tones.ink}
        yAxisColor={tones.rule}
        yAxisTextStyle={axis}
        showReferenceLine1={chance > 0}
        referenceLine1Position={chance}
        referenceLine1Config={{ color: tones.buoy, dashWidth: 6, dashGap: 5, thickness: 2 }}
        disableScroll
      />
    </View>
  );
}

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
      {shown.overTime.length >= LEAST_SITTINGS && width > 0 && <OverTime progress={shown} width={width} />}
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
  chart: { gap: 6, overflow: 'hidden' },
  row: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, borderTopWidth: 1, paddingVertical: 8 },
  kind: { flexGrow: 1, flexBasis: 150 },
  share: { flexGrow: 2, flexBasis: 200 },
});
