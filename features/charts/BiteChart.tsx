import { StyleSheet, View } from 'react-native';
import { BarChart } from 'react-native-gifted-charts/dist/BarChart';
import { FONT, Text, useTones } from '@/ui';

const HEIGHT = 150;
const AXIS_PX = 52;

interface Props {
  /** What the bars count: `Takes by depth`. */
  title: string;
  bars: readonly { label: string; value: number }[];
  width: number;
}

/** Bars of takes, group by group. */
export function BiteChart({ title, bars, width }: Props) {
  const tones = useTones();
  const highest = Math.max(1, Math.ceil(Math.max(...bars.map((b) => b.value))));
  const sections = Math.min(4, highest);
  // The scale counts in whole numbers.
  const most = Math.ceil(highest / sections) * sections;
  const room = (width - AXIS_PX) / bars.length;
  const axis = { color: tones.ink, fontFamily: FONT.text, fontSize: 12 };
  return (
    <View role="img" aria-label={`${title}; the table below says the same`} style={styles.chart}>
      <Text faint kind="small">
        {title}
      </Text>
      <BarChart
        data={[...bars]}
        frontColor={tones.water}
        height={HEIGHT}
        width={width - AXIS_PX}
        barWidth={Math.max(6, 0.6 * room)}
        spacing={0.4 * room}
        initialSpacing={4}
        maxValue={most}
        noOfSections={sections}
        rulesColor={tones.rule}
        xAxisColor={tones.ink}
        yAxisColor={tones.rule}
        xAxisLabelTextStyle={axis}
        yAxisTextStyle={axis}
        disableScroll
      />
    </View>
  );
}

const styles = StyleSheet.create({ chart: { gap: 6, overflow: 'hidden' } });
