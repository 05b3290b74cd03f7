import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { DONE, problemOf, type Result } from '@/core/formats';
import type { UnitSystem } from '@/core/units';
import { otherUnit, readNumber } from './readNumber';
import { Text } from './Text';
import { useTones } from './theme';
import { decimal } from './decimal';

interface Props {
  label: string;
  /** The value in the unit shown. */
  value: number;
  unit: string;
  low: number;
  high: number;
  decimals?: number;
  /** Given for a length: a value that is the one before in the other unit is asked about once. */
  length?: UnitSystem;
  /** Takes a good value, or says what else is wrong with it. */
  onChange: (value: number) => Result | void;
  testID?: string;
}

/** A typed number with its unit. What cannot be is not taken, and the field says what can. */
export function NumberField({
  label,
  value,
  unit,
  low,
  high,
  decimals = 1,
  length,
  onChange,
  testID,
}: Props) {
  const tones = useTones();
  // A field has the minus of the keyboard, as it is typed.
  const shown = decimal(value, decimals).replace('−', '-');
  const [text, setText] = useState(shown);
  const [problem, setProblem] = useState<string | null>(null);
  // What was last looked at: a correction is taken when the field is left, a question asked is not answered by leaving it.
  const [takenText, setTakenText] = useState(shown);
  // A value that was asked about and is entered again is meant.
  const [asked, setAsked] = useState<number | null>(null);
  // Another hand (a drag, another boat) may change it: the field then begins anew.
  const [begunFrom, setBegunFrom] = useState(shown);
  if (begunFrom !== shown) {
    setBegunFrom(shown);
    setText(shown);
    setProblem(null);
    setAsked(null);
  }
  const take = (): void => {
    setTakenText(text);
    const number = readNumber(text, { low, high, unit });
    if (!number.ok) {
      setProblem(number.problem);
      return;
    }
    const read = number.value;
    const doubt = length && read !== asked ? otherUnit(read, value, length) : null;
    if (doubt !== null) {
      setAsked(read);
      setProblem(doubt);
      return;
    }
    if (text !== shown) setProblem(problemOf(onChange(read) ?? DONE));
    else setProblem(null);
  };
  return (
    <View style={styles.field}>
      <TextInput
        mode="outlined"
        label={`${label}, ${unit}`}
        accessibilityLabel={`${label}, ${unit}`}
        value={text}
        onChangeText={setText}
        onBlur={() => (problem === null || text !== takenText ? take() : undefined)}
        onSubmitEditing={take}
        inputMode="decimal"
        maxLength={12}
        error={problem !== null}
        testID={testID}
      />
      {problem && (
        <Text role="alert" kind="small" style={{ color: tones.buoy }}>
          {problem}
        </Text>
      )}
    </View>
  );
}

const styles = StyleSheet.create({ field: { flex: 1, minWidth: 140, gap: 2 } });
