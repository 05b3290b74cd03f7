import { memo, useMemo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { expectationOf, type Brief, type Setup } from '@/core/advice';
import { planStore } from '@/stores';
import { PixelPicture, Text, useTones } from '@/ui';
import { useMiniature } from '../useMiniature';
import { useUnits } from '../units';
import { BudgetBar } from './BudgetBar';
import { MarginChart } from './MarginChart';
import { expectationWords, predictionNumbers, predictionWords } from './expectationWords';

/** Highest a miniature is shown, px. */
const MINIATURE_PX = 220;

/** The predicted picture of one fish, made by the simulator at this very setup. */
function Miniature({ brief, setup }: { brief: Brief; setup: Setup }) {
  const rig = useStore(planStore, (s) => s.rig);
  const tones = useTones();
  const { picture, problem } = useMiniature(brief, rig, setup.settings);
  if (problem) return <Text role="alert">{problem}</Text>;
  if (!picture)
    return (
      <View style={[styles.waiting, { borderColor: tones.rule }]}>
        <Text faint kind="small">
          Drawing one fish with this setup…
        </Text>
      </View>
    );
  const scale = MINIATURE_PX / picture.rows;
  return (
    <PixelPicture
      width={picture.columns}
      height={picture.rows}
      pixels={picture.pixels}
      label="One fish at the middle of this water, drawn with this setup on your own screen’s rows"
      shownWidth={Math.max(140, picture.columns * scale)}
      shownHeight={MINIATURE_PX}
      testID="miniature"
    />
  );
}

/** What the setup will show, in words first, numbers behind a tap. */
export const WhatToExpect = memo(function WhatToExpect({ brief, setup }: { brief: Brief; setup: Setup }) {
  const rig = useStore(planStore, (s) => s.rig);
  const [chartWidth, setChartWidth] = useState(0);
  const units = useUnits();
  const tones = useTones();
  const [numbers, setNumbers] = useState(false);
  const e = useMemo(() => expectationOf(brief, rig, setup.prediction, setup.settings), [brief, rig, setup]);
  return (
    <View style={[styles.expect, { borderColor: tones.rule }]}>
      <Text kind="heading">What to expect</Text>
      <View style={styles.side}>
        <Miniature brief={brief} setup={setup} />
        <View testID="expectation" style={styles.words}>
          {expectationWords(e, units).map((words) => (
            <Text key={words}>{words}</Text>
          ))}
        </View>
      </View>
      <Text kind="heading">What each beam would show</Text>
      {[setup.prediction, ...setup.others].map((p) => (
        <View key={p.face.id}>
          <Text bold={p === setup.prediction}>{predictionWords(p, units)}</Text>
          {numbers && (
            <>
              <BudgetBar prediction={p} depthM={e.depthM} />
              <Text faint kind="small">
                {predictionNumbers(p)}
              </Text>
            </>
          )}
        </View>
      ))}
      {numbers && (
        <View onLayout={({ nativeEvent }) => setChartWidth(nativeEvent.layout.width)}>
          {chartWidth > 0 && <MarginChart setup={setup} width={chartWidth} />}
        </View>
      )}
      <Pressable
        role="button"
        testID="show-numbers"
        aria-expanded={numbers}
        onPress={() => setNumbers(!numbers)}
        style={styles.more}
      >
        <Text style={{ color: tones.water }}>{numbers ? 'Hide the numbers' : 'Show the numbers'}</Text>
      </Pressable>
    </View>
  );
});

const styles = StyleSheet.create({
  expect: { borderTopWidth: 2, paddingTop: 14, gap: 8, marginTop: 12 },
  side: { flexDirection: 'row', flexWrap: 'wrap', gap: 16 },
  waiting: { width: 140, height: MINIATURE_PX, borderWidth: 1, padding: 12, justifyContent: 'center' },
  words: { gap: 6, flexGrow: 1, flexBasis: 180, flexShrink: 1 },
  more: { minHeight: 48, justifyContent: 'center' },
});
