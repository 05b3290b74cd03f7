import { StyleSheet, View } from 'react-native';
import { LineChart } from 'react-native-gifted-charts/dist/LineChart';
import { FONT, Text, useTones } from '@/ui';

/** Sittings, the oldest first, and what blind answers come to. */
interface Progress {
  overTime: readonly { share: number }[];
  chance: number;
}

const HEIGHT = 140;
/** Sittings a chart shows at most, the newest. */
const MOST_SITTINGS = 24;
/** Widths that hold a chart's own axis, px. */
const AXIS_PX = 56;

/** Share of right answers, sitting by sitting, with the line of blind guesses in it. */
export function ProgressChart({ progress, width }: { progress: Progress; width: number }) {
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

const styles = StyleSheet.create({ chart: { gap: 6, overflow: 'hidden' } });
