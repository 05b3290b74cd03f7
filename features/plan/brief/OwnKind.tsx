import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useStore } from 'zustand';
import { KEEPS, type Keeps, type Species } from '@/core/advice';
import { problemOf } from '@/core/formats';
import { addSpecies, planStore } from '@/stores';
import { Button, Chips, Text, useTones } from '@/ui';
import { KEEPS_WORDS } from '../../words/brief';

/** A kind the library lacks: its name, its bladder and where it keeps. */
export function OwnKind() {
  const { brief } = useStore(planStore);
  const tones = useTones();
  const [open, setOpen] = useState(false);
  const [label, setLabel] = useState('');
  const [bladder, setBladder] = useState<Species['bladder']>('closed');
  const [keeps, setKeeps] = useState<Keeps>('midwater');
  const [problem, setProblem] = useState<string | null>(null);
  if (!open)
    return <Button label="Add a kind of your own" onPress={() => setOpen(true)} testID="add-species" />;
  return (
    <View style={[styles.face, { borderTopColor: tones.rule }]}>
      <TextInput
        mode="outlined"
        label="Name of the kind"
        accessibilityLabel="Name of the kind"
        value={label}
        maxLength={40}
        onChangeText={setLabel}
        testID="own-species-name"
      />
      <Text faint kind="small">
        The echo is mostly swim bladder; it takes the sizes set above.
      </Text>
      <Chips
        label="Swim bladder"
        value={bladder}
        options={[
          { value: 'closed', label: 'Bladder, closed' },
          { value: 'open', label: 'Bladder, open' },
          { value: 'small', label: 'Small or none' },
        ]}
        onChange={setBladder}
      />
      <Chips
        label="Where it keeps"
        value={keeps}
        options={KEEPS.map((k) => ({ value: k, label: KEEPS_WORDS[k] }))}
        onChange={setKeeps}
      />
      {problem && <Text role="alert">{problem}</Text>}
      <Button
        label="Add it"
        onPress={() => {
          const wrong =
            label.trim() === ''
              ? 'Give it a name.'
              : problemOf(addSpecies({ label: label.trim(), bladder, keeps, lengthM: [...brief.lengthM] }));
          setProblem(wrong);
          if (!wrong) {
            setLabel('');
            setOpen(false);
          }
        }}
        testID="own-species-add"
      />
    </View>
  );
}

const styles = StyleSheet.create({
  face: { borderTopWidth: 1, paddingTop: 12, gap: 8 },
});
