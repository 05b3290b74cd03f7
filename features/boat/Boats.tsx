import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useStore } from 'zustand';
import { boatsStore, changeRig, deleteBoat, keepBoat, planStore, switchBoat } from '@/stores';
import { Button, Text } from '@/ui';

/** Longest name of a boat. */
const LONGEST_NAME = 60;

/** The boats kept, and the one in use. */
export function Boats() {
  const { rig } = useStore(planStore);
  const { others } = useStore(boatsStore);
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <View style={styles.block}>
      <Text kind="title">Boat</Text>
      <TextInput
        mode="outlined"
        label="Name of this boat"
        accessibilityLabel="Name of this boat"
        value={rig.name}
        maxLength={LONGEST_NAME}
        onChangeText={(name) => setProblem(changeRig({ name }))}
        testID="boat-name"
      />
      {others.map((other, i) => (
        <View key={other.name} style={styles.row}>
          <Text style={styles.grow}>{other.name}</Text>
          <Button label="Use" spoken={`Use ${other.name}`} onPress={() => switchBoat(i)} />
          <Button tone="quiet" label="Delete" spoken={`Delete ${other.name}`} onPress={() => deleteBoat(i)} />
        </View>
      ))}
      <Button icon="plus" label="Add another boat" onPress={() => setProblem(keepBoat())} testID="add-boat" />
      {problem && <Text role="alert">{problem}</Text>}
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: 10, paddingBottom: 28 },
  row: { flexDirection: 'row', gap: 10, flexWrap: 'wrap', alignItems: 'center' },
  grow: { flex: 1, minWidth: 120 },
});
