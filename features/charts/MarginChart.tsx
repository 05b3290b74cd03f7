import { StyleSheet, View } from 'react-native';
import { LineChart } from 'react-native-gifted-charts/dist/LineChart';
import { marginCurve, type Setup } from '@/core/advice';
import { measure } from '@/core/units';
import { FONT, Text, useTones } from '@/ui';
import { useUnits } from '../units';

const POINTS = 16;
const HEIGHT = 180;
/** Margins beyond this say no more, dB. */
const MOST_DB = 40;

/** Echo over what is needed to tell it from noise, by depth, a line a beam; at nought it is lost. */
export function MarginChart({ setup, width }: { setup: Setup; width: number }) {
  const tones = useTones();
  const { system } = useUnits();
  const depth = measure(system, 'depth');
  const all = [setup.prediction, ...setup.others].slice(0, 3);
  const deepestM = 1.6 * setup.settings.rangeM;
  const colours = [tones.buoy, tones.water, tones.ink];
  const lines = all.map((p) =>
    marginCurve(p, deepestM, POINTS).map(({ depthM, overDb }, k) => ({
      value: Math.max(-10, Math.min(MOST_DB, overDb)),
      label: k % 5 === 0 ? `${Math.round(depth.fromSi(depthM))}` : undefined,
    })),
  );
  const axis = { color: tones.ink, fontFamily: FONT.text, fontSize: 13 };
  return (
    <View
      role="img"
      aria-label={`Echo over the noise by depth: ${all.map((p) => `${p.face.label} is lost at ${Math.round(depth.fromSi(p.deepestM))} ${depth.unit}`).join(', ')}`}
      style={styles.chart}
    >
      <Text faint kind="small">
        Decibels over what is needed, by depth in {depth.unit}; at 0 it is lost
      </Text>
      <LineChart
        data={lines[0]!}
        {...(lines[1] ? { data2: lines[1] } : {})}
        {...(lines[2] ? { data3: lines[2] } : {})}
        color1={colours[0]!}
        color2={colours[1]!}
        color3={colours[2]!}
        height={HEIGHT}
        width={width - 60}
        spacing={(width - 80) / POINTS}
        initialSpacing={8}
        thickness={2}
        hideDataPoints
        maxValue={MOST_DB}
        mostNegativeValue={-10}
        stepValue={10}
        noOfSections={4}
        noOfSectionsBelowXAxis={1}
        rulesColor={tones.rule}
        xAxisColor={tones.ink}
        yAxisColor={tones.rule}
        xAxisLabelTextStyle={axis}
        yAxisTextStyle={axis}
        disableScroll
      />
      <View style={styles.legend}>
        {all.map((p, k) => (
          <View key={p.face.id} style={styles.entry}>
            <View style={[styles.swatch, { backgroundColor: colours[k] }]} />
            <Text kind="small">{p.face.label}</Text>
          </View>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  chart: { gap: 8, overflow: 'hidden' },
  legend: { flexDirection: 'row', flexWrap: 'wrap', gap: 14 },
  entry: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  swatch: { width: 18, height: 4 },
});
