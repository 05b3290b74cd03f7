import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { SURENESS } from '@/core/logbook/day';
import type { Round } from '@/core/training/drill';
import { BigButton, Text, useWide } from '@/ui';
import { useUnits } from '../units';
import { optionWords } from '../words/training';
import { answerRound } from './sittingStore';
import { useKeys } from './useKeys';

/** The answers to a round, then how sure: a tap each, or a number key each. */
export function RoundAnswer({ round }: { round: Round }) {
  const units = useUnits();
  const wide = useWide();
  const [picked, setPicked] = useState<number | null>(null);
  const { options } = round;
  const long = options.some((o) => optionWords(round, o, units).length > 24);
  const pick = (index: number): void => {
    if (picked === null) {
      if (index < options.length) setPicked(index);
    } else if (index < SURENESS.length) answerRound(picked, SURENESS[index]!);
  };
  useKeys((key) => {
    if (/^[1-9]$/.test(key)) pick(Number(key) - 1);
    else if (key === 'Escape') setPicked(null);
  });
  const key = (k: number): string => (wide ? `${k + 1}  ` : '');
  if (picked !== null)
    return (
      <View style={styles.answers} role="group" aria-label="How sure are you?">
        <View style={styles.asked}>
          <Text bold style={styles.grow}>
            {optionWords(round, options[picked]!, units).replace(/\.$/, '')}. How sure?
          </Text>
        </View>
        <View style={styles.row}>
          {SURENESS.map((sure, k) => (
            <View key={sure} style={styles.third}>
              <BigButton
                label={`${Math.round(100 * sure)} %`}
                spoken={`${Math.round(100 * sure)} % sure`}
                onPress={() => answerRound(picked, sure)}
                testID={`sure-${k}`}
              />
            </View>
          ))}
          <View style={styles.third}>
            <BigButton label="Back" onPress={() => setPicked(null)} testID="unpick" />
          </View>
        </View>
      </View>
    );
  return (
    <View style={[styles.answers, styles.row]} role="group" aria-label="Answers">
      {options.map((option, k) => (
        <View key={`${option.code} ${option.value}`} style={long ? styles.whole : styles.half}>
          <BigButton
            label={`${key(k)}${optionWords(round, option, units)}`}
            onPress={() => pick(k)}
            testID={`option-${k}`}
          />
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  answers: { gap: 8 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  asked: { flexDirection: 'row', alignItems: 'center' },
  grow: { flex: 1 },
  half: { flexGrow: 1, flexBasis: '40%' },
  third: { flexGrow: 1, flexBasis: 70 },
  whole: { flexBasis: '100%' },
});
