import { memo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from '@/ui';
import { useLogAnswer } from '../useLogAnswer';
import { spotLine, spotName } from '../words/logAnswers';
import { AnswerPart, AnswerRows, NoAnswer } from './AnswerRows';
import { BitesAnswer } from './BitesAnswer';
import { FilterChips } from './FilterChips';
import { SetupsAnswer } from './SetupsAnswer';

const MOST_SPOTS = 12;
const CHOICES = { of: 'choices' } as const;

/** Spots by what they brought an hour. */
function SpotsAnswer({ waterName }: { waterName: string | undefined }) {
  const { answer } = useLogAnswer({ of: 'spots', waterName });
  if (!answer || answer.spots.length === 0) return null;
  return (
    <AnswerPart title="Spots">
      <AnswerRows
        label="Spots, the best an hour first"
        rows={answer.spots.slice(0, MOST_SPOTS).map((s, k) => [`${k}`, spotName(s), spotLine(s)])}
      />
    </AnswerPart>
  );
}

/** What the days say: bites by what they were sorted by, spots an hour fished, and lines held against other values. */
export const LogAnswers = memo(function LogAnswers() {
  const [water, setWater] = useState<string | null>(null);
  const { answer: choices, simulated, problem, again } = useLogAnswer(CHOICES);
  if (problem) return <NoAnswer problem={problem} again={again} />;
  if (!choices?.answered) return null;
  const waterName = water ?? undefined;
  return (
    <View style={styles.answers} testID="log-answers">
      <AnswerPart title={`What the days say${simulated ? ', on simulated days' : ''}`}>
        <FilterChips
          label="Water"
          all="All waters"
          value={water}
          choices={choices.waters}
          words={(name) => name}
          onChange={setWater}
        />
        <BitesAnswer waterName={waterName} />
      </AnswerPart>
      <SpotsAnswer waterName={waterName} />
      <SetupsAnswer waterName={waterName} choices={choices} />
      <Text faint kind="small">
        “Likely” holds 95 %: of shares by Wilson, of counts an hour by the Poisson law (Byar).
      </Text>
    </View>
  );
});

const styles = StyleSheet.create({ answers: { gap: 20, maxWidth: 720, width: '100%' } });
