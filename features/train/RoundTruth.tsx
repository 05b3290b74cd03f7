import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Round } from '@/core/training/drill';
import { BigButton, Text, useTones } from '@/ui';
import { CutawayFromAbove, CutawaySection } from '../cutaway/CutawayDrawing';
import { useUnits } from '../units';
import { dialledWords, outcomeWords, whyWords } from '../words/training';
import { nextRound } from './sittingStore';
import { useKeys } from './useKeys';

const GAP = 6;
const SIDE_SHARE = 0.64;
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
        <View style={styles.row}>
          <CutawaySection cutaway={cutaway} width={SIDE_SHARE * width - GAP} height={HEIGHT} rangeM={null} />
          <CutawayFromAbove cutaway={cutaway} width={(1 - SIDE_SHARE) * width} height={HEIGHT} />
        </View>
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
  row: { flexDirection: 'row', gap: GAP },
});
