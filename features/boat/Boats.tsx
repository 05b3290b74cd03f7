import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useStore } from 'zustand';
import { problemOf } from '@/core/formats';
import { addBoat, boatsStore, changeRig, deleteBoat, otherBoats, planStore, switchBoat } from '@/stores';
import { Button, Text } from '@/ui';

/** Longest name of a boat. */
const LONGEST_NAME = 60;

/** The boats kept, and the one in use. */
export function Boats() {
  const rig = useStore(planStore, (s) => s.rig);
  const boatId = useStore(planStore, (s) => s.boatId);
  const boats = useStore(boatsStore, (s) => s.boats);
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <View style={styles.block}>
      <TextInput
        mode="outlined"
        label="Name of this boat"
        accessibilityLabel="Name of this boat"
        value={rig.name}
        maxLength={LONGEST_NAME}
        onChangeText={(name) => setProblem(problemOf(changeRig({ name })))}
        testID="boat-name"
      />
      {otherBoats(boats, boatId).map(({ id, rig: other }) => (
        <View key={id} style={styles.row}>
          <Text style={styles.grow}>{other.name}</Text>
          <Button label="Use" spoken={`Use ${other.name}`} onPress={() => switchBoat(id)} />
          <Button
            tone="quiet"
            label="Delete"
            spoken={`Delete ${other.name}`}
            onPress={() => deleteBoat(id)}
          />
        </View>
      ))}
      <Button
        icon="plus"
        label="Add another boat"
        onPress={() => setProblem(problemOf(addBoat()))}
        testID="add-boat"
      />
      {problem && <Text role="alert">{problem}</Text>}
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: 10, paddingBottom: 28 },
  row: { flexDirection: 'row', gap: 10, flexWrap: 'wrap', alignItems: 'center' },
  grow: { flex: 1, minWidth: 120 },
});
