import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useStore } from 'zustand';
import { problemOf } from '@/core/formats';
import { showsFace, type Station } from '@/core/rig';
import { addUnit, changeUnit, openUnit, openUnitOf, planStore, removeUnit } from '@/stores';
import { Button, Chips, Text, Tick } from '@/ui';

const STATIONS: readonly { value: Station; label: string }[] = [
  { value: 'stern', label: 'At the stern' },
  { value: 'bow', label: 'At the bow' },
];

/** The boat's units: each has a screen, scales, chart timing and setup of its own, and the beams that feed it. */
export function Units() {
  const { units, faces } = useStore(planStore, (s) => s.rig);
  const unit = useStore(planStore, openUnitOf);
  const [problem, setProblem] = useState<string | null>(null);
  const fed = faces.filter((f) => showsFace(unit, f.id)).map((f) => f.id);
  return (
    <View style={styles.block}>
      <Text kind="heading">Units</Text>
      {units.length > 1 && (
        <Chips
          label="Unit"
          value={unit.id}
          options={units.map((u) => ({ value: u.id, label: u.name }))}
          onChange={openUnit}
        />
      )}
      <TextInput
        mode="outlined"
        label="Name of this unit"
        accessibilityLabel="Name of this unit"
        value={unit.name}
        maxLength={40}
        onChangeText={(name) => setProblem(problemOf(changeUnit({ name: name || 'Unit' })))}
        testID="unit-name"
      />
      <Chips
        label="Where the unit stands"
        value={unit.station}
        options={STATIONS}
        onChange={(station) => changeUnit({ station })}
      />
      {units.length > 1 && (
        <>
          <Text faint kind="small">
            Beams it shows
          </Text>
          {faces.map((face) => (
            <Tick
              key={face.id}
              label={face.label}
              on={fed.includes(face.id)}
              onPress={() => {
                const next = fed.includes(face.id) ? fed.filter((id) => id !== face.id) : [...fed, face.id];
                setProblem(
                  next.length === 0
                    ? 'A unit shows at least one beam.'
                    : problemOf(changeUnit({ faceIds: next.length === faces.length ? null : next })),
                );
              }}
            />
          ))}
          <Button
            tone="quiet"
            label="Delete this unit"
            spoken={`Delete ${unit.name}`}
            onPress={() => setProblem(problemOf(removeUnit(unit.id)))}
          />
        </>
      )}
      <Button
        icon="plus"
        label="Add another unit"
        onPress={() => setProblem(problemOf(addUnit()))}
        testID="add-unit"
      />
      {problem && <Text role="alert">{problem}</Text>}
    </View>
  );
}

const styles = StyleSheet.create({ block: { gap: 10, paddingBottom: 28 } });
