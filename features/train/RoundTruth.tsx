import { Suspense, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Round } from '@/core/training/drill';
import { BigButton, Text, useTones } from '@/ui';
import { CutawayDrawing } from '../cutaway';
import { useUnits } from '../units';
import { dialledWords, outcomeWords, whyWords } from '../words/training';
import { nextRound } from './sittingStore';
import { useKeys } from './useKeys';

const HEIGHT = 150;

interface Props {
  round: Round;
  right: boolean;
  /** What the picture came to where dials were turned. */
  dialled: { score: number; turns: number } | null;
  last: boolean;
}

/** What it truly was, cut open, and why: at once after the answer. */
export function RoundTruth({ round, right, dialled, last }: Props) {
  const tones = useTones();
  const units = useUnits();
  const [width, setWidth] = useState(0);
  const { cutaway, score } = round;
  useKeys((key) => {
    if (key === 'Enter') nextRound();
  });
  return (
    <View
      style={styles.truth}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
      testID="truth"
    >
      <View role="status" style={[styles.words, { borderLeftColor: right ? tones.water : tones.buoy }]}>
        <Text bold kind="heading" testID="outcome">
          {outcomeWords(round, right, units)}
        </Text>
        {dialled && score && (
          <Text>{dialledWords({ now: dialled.score, best: score.best }, dialled.turns)}</Text>
        )}
        <Text testID="why">{whyWords(round, units)}</Text>
      </View>
      {cutaway && width > 0 && (
        <Suspense fallback={<View style={{ height: HEIGHT }} />}>
          <CutawayDrawing cutaway={cutaway} width={width} height={HEIGHT} rangeM={null} />
        </Suspense>
      )}
      <BigButton
        tone="main"
        label={last ? 'See how it went' : 'Next'}
        onPress={nextRound}
        testID="next-round"
      />
    </View>
  );
}

const styles = StyleSheet.create({
  truth: { gap: 8 },
  words: { borderLeftWidth: 4, paddingLeft: 10, gap: 2 },
});
