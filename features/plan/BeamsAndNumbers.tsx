import { lazy, memo, Suspense, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Brief, Expectation, Setup } from '@/core/advice';
import { Button, Text } from '@/ui';
import { useUnits } from '../units';
import { expectationWords, predictionNumbers, predictionWords } from '../words/expectation';
import { BudgetBar } from './BudgetBar';

/** Charts are loaded when one is first asked for. */
const MarginChart = lazy(() => import('../charts').then((m) => ({ default: m.MarginChart })));

interface Props {
  brief: Brief;
  setup: Setup;
  expected: Expectation;
}

/** More of what to expect: details, what each beam would show, and the numbers behind it at a tap. */
export const BeamsAndNumbers = memo(function BeamsAndNumbers({ brief, setup, expected }: Props) {
  const [chartWidth, setChartWidth] = useState(0);
  const units = useUnits();
  const [numbers, setNumbers] = useState(false);
  const { details } = expectationWords(brief, expected, setup, units);
  return (
    <View style={styles.block}>
      <Text kind="heading">Good to know</Text>
      {details.map((line) => (
        <Text key={line}>{line}</Text>
      ))}
      <Text kind="heading">What each beam shows</Text>
      {[setup.prediction, ...setup.others].map((p) => (
        <View key={p.face.id}>
          <Text bold={p === setup.prediction}>{predictionWords(brief, p, units)}</Text>
          {numbers && (
            <>
              <BudgetBar prediction={p} depthM={expected.depthM} />
              <Text faint kind="small">
                {predictionNumbers(p)}
              </Text>
            </>
          )}
        </View>
      ))}
      {numbers && (
        <View onLayout={({ nativeEvent }) => setChartWidth(nativeEvent.layout.width)}>
          <Suspense fallback={<Text faint>Drawing the chart…</Text>}>
            {chartWidth > 0 && <MarginChart setup={setup} width={chartWidth} />}
          </Suspense>
        </View>
      )}
      <View style={styles.more}>
        <Button
          tone="quiet"
          label={numbers ? 'Hide numbers' : 'Show numbers'}
          onPress={() => setNumbers(!numbers)}
          testID="show-numbers"
        />
      </View>
    </View>
  );
});

const styles = StyleSheet.create({
  block: { gap: 6 },
  more: { alignItems: 'flex-start' },
});
