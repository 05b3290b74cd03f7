import { useState } from 'react';
import { TextInput } from 'react-native-paper';
import { useStore } from 'zustand';
import { SPECIES, targetOf, type Species } from '@/core/advice';
import { problemOf } from '@/core/formats';
import { aimAt, planStore, removeSpecies } from '@/stores';
import { Button, Chips, Dial, Text } from '@/ui';
import { KEEPS_WORDS } from '../../words/brief';
import { OwnKind } from './OwnKind';
import { useChange, useSteps } from './useChange';

/** Which fish, and how long. */
export function SpeciesChooser() {
  const { brief, ownSpecies } = useStore(planStore);
  const { change, problem, setProblem } = useChange();
  const { small } = useSteps();
  const [low, high] = brief.lengthM.map((m) => small.fromSi(m)) as [number, number];
  const length = (x: number): string => `${x.toFixed(0)}\u00a0${small.unit}`;
  const most = Math.round(small.fromSi(1.5));
  const kinds: readonly Species[] = [...ownSpecies, ...SPECIES];
  const [sought, setSought] = useState('');
  const found = kinds.filter((s) => s.label.toLowerCase().includes(sought.trim().toLowerCase()));
  return (
    <>
      <Dial
        label="Smallest"
        name="length-low"
        value={Math.round(low)}
        low={1}
        high={most}
        step={1}
        show={length}
        onChange={(x) => change({ lengthM: [small.toSi(x), Math.max(small.toSi(x), brief.lengthM[1])] })}
      />
      <Dial
        label="Largest"
        name="length-high"
        value={Math.round(high)}
        low={1}
        high={most}
        step={1}
        show={length}
        onChange={(x) => change({ lengthM: [Math.min(small.toSi(x), brief.lengthM[0]), small.toSi(x)] })}
      />
      {problem && <Text role="alert">{problem}</Text>}
      <Text faint kind="small" testID="keeps">
        {targetOf(brief).label} usually keeps {KEEPS_WORDS[targetOf(brief).keeps]}.
      </Text>
      <OwnKind />
      {ownSpecies.map((s) => (
        <Button
          key={s.id}
          tone="quiet"
          label={`Delete ${s.label}`}
          onPress={() => removeSpecies(s.id)}
          testID={`delete-${s.id}`}
        />
      ))}
      <TextInput
        mode="outlined"
        label="Find a kind"
        accessibilityLabel="Find a kind"
        value={sought}
        maxLength={40}
        onChangeText={setSought}
        testID="find-species"
      />
      {found.length === 0 && <Text faint>No such kind here: add it as your own, above.</Text>}
      <Chips
        label="Kind of fish"
        value={brief.speciesId}
        options={found.map((s) => ({ value: s.id, label: s.label }))}
        onChange={(id) => {
          const species = kinds.find((s) => s.id === id);
          if (species) setProblem(problemOf(aimAt(species)));
        }}
      />
    </>
  );
}
