import { StyleSheet, View } from 'react-native';
import { LineChart } from 'react-native-gifted-charts/dist/LineChart';
import { FONT, useTones } from '@/ui';

const HEIGHT = 90;
const AXIS_PX = 46;
const SECTIONS = 2;

interface Props {
  /** What is drawn: `Voltage through the day`. */
  title: string;
  points: readonly { label: string; value: number }[];
  width: number;
}

/** One quantity through a day, from its lowest to its highest. */
export function TraceChart({ title, points, width }: Props) {
  const tones = useTones();
  const values = points.map((p) => p.value);
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const axis = { color: tones.ink, fontFamily: FONT.text, fontSize: 12 };
  return (
    <View
      role="img"
      aria-label={`${title}, from ${points[0]!.label} to ${points[points.length - 1]!.label}`}
      style={styles.chart}
    >
      <LineChart
        data={points.map((p) => ({ value: p.value - low }))}
        color={tones.water}
        hideDataPoints
        height={HEIGHT}
        width={width - AXIS_PX}
        spacing={(width - AXIS_PX - 16) / Math.max(1, points.length - 1)}
        initialSpacing={4}
        thickness={2}
        maxValue={high - low}
        noOfSections={SECTIONS}
        // The scale begins at the lowest: a day's change is small against the whole.
        yAxisLabelTexts={Array.from({ length: SECTIONS + 1 }, (_, k) =>
          (low + ((high - low) * k) / SECTIONS).toFixed(1),
        )}
        rulesColor={tones.rule}
        xAxisColor={tones.ink}
        yAxisColor={tones.rule}
        yAxisTextStyle={axis}
        disableScroll
      />
    </View>
  );
}

const styles = StyleSheet.create({ chart: { gap: 6, overflow: 'hidden' } });
