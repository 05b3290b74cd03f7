import { ScrollView, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import type { Sitting } from '@/core/training/answer';
import type { Drill, Trained } from '@/core/training/drill';
import type { DrillSet } from '@/core/training/drillSet';
import { trainingProgress } from '@/core/training/progress';
import { trainingStore } from '@/stores';
import { BigButton, Text, useTones } from '@/ui';
import { drillLine, kindWords } from '../words/training';
import { startSitting } from './sittingStore';
import { AnswersCompared } from './AnswersCompared';
import { ShareDrill } from './ShareDrill';

interface Props {
  running: { drill: Drill; trained: Trained; sitting: Sitting; set: DrillSet | null };
}

/** How a sitting went: what was right and what was not, and all of this drill so far. */
export function SittingEnd({ running: { drill, trained, sitting, set } }: Props) {
  const tones = useTones();
  const sittings = useStore(trainingStore, (s) => s.sittings);
  const progress = trainingProgress(sittings).find((p) => p.drill === drill);
  const { answers } = sitting;
  const right = answers.filter((a) => a.right).length;
  return (
    <ScrollView contentContainerStyle={styles.end} testID="sitting-end">
      <Text bold kind="heading" testID="sitting-result">
        {right} of {answers.length} right
      </Text>
      {progress && <Text>All your answers to this drill: {drillLine(progress)}</Text>}
      <View role="list" aria-label="Your answers">
        {answers.map((answer, k) => (
          <View key={k} role="listitem" style={[styles.answer, { borderTopColor: tones.rule }]}>
            <Text bold style={{ color: answer.right ? tones.water : tones.buoy }}>
              {answer.right ? '✓' : '✗'}
            </Text>
            <Text style={styles.grow}>{kindWords(drill, answer.kind)}</Text>
            <Text faint>
              {answer.sure === null ? `${answer.turns} turns` : `${Math.round(100 * answer.sure)} % sure`}
            </Text>
          </View>
        ))}
      </View>
      {set && <AnswersCompared set={set} mine={answers} />}
      <BigButton
        tone="main"
        label="Ten more"
        onPress={() => startSitting(drill, trained)}
        testID="ten-more"
      />
      <ShareDrill sitting={sitting} trained={trained} />
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  end: { gap: 12, paddingBottom: 24, maxWidth: 640 },
  answer: { flexDirection: 'row', gap: 12, borderTopWidth: 1, paddingVertical: 10 },
  grow: { flex: 1 },
});
