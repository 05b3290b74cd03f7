import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { speciesOf } from '@/core/advice';
import { TRANSDUCERS, type Rig } from '@/core/rig';
import { problemOf, type Result } from '@/core/formats';
import { changeBrief, changeRig, changeUnit, notify, planStore, setBegun } from '@/stores';
import { Button, Text, useTones } from '@/ui';

const facesOf = (...ids: string[]): Rig['faces'] =>
  ids.flatMap((id) => TRANSDUCERS.find((t) => t.id === id)?.faces ?? []);

/** Usual sounders, by what they have under the boat. */
const KINDS = [
  { label: 'One cone', faces: facesOf('shallow-wide-200') },
  { label: 'Two cones', faces: facesOf('twin-83-200') },
  { label: 'Two cones and imaging', faces: [...facesOf('twin-83-200'), facesOf('imaging')[0]!] },
  { label: 'Sea, 50 and 200 kHz', faces: facesOf('offshore-50-200') },
];
const SCREENS = [
  { label: 'Small, hand’s width', screen: { rows: 320, columns: 240 } },
  { label: 'Middle', screen: { rows: 480, columns: 640 } },
  { label: 'Large', screen: { rows: 720, columns: 1100 } },
];
const WATERS = [
  { label: 'Lake or river', change: { salinity: 0 } },
  {
    label: 'Sea',
    // A kind and depths of the sea, which a lake's are not.
    change: {
      salinity: 35,
      speciesId: 'cod',
      lengthM: [...speciesOf('cod').lengthM] as [number, number],
      fromM: 10,
      toM: 25,
      thermoclineM: null,
    },
  },
];

/** Three taps to a boat of one's own; a sensible one is there without them. */
export function FirstRun() {
  const tones = useTones();
  const rig = useStore(planStore, (s) => s.rig);
  const [step, setStep] = useState(0);
  const next = (result: Result): void => {
    const wrong = problemOf(result);
    if (wrong) notify(wrong);
    if (step < 2) setStep(step + 1);
    else {
      setBegun();
      notify('Your boat is set up. Change any number of it under Boat.');
    }
  };
  const asked = [
    {
      question: 'What is under your boat?',
      answers: KINDS.map(({ label, faces }) => ({ label, take: () => changeRig({ faces }) })),
    },
    {
      question: 'How large is the screen?',
      answers: SCREENS.map(({ label, screen }) => ({ label, take: () => changeUnit({ screen }) })),
    },
    {
      question: 'Where do you fish?',
      answers: WATERS.map(({ label, change }) => ({ label, take: () => changeBrief(change) })),
    },
  ][step]!;
  return (
    <View
      role="region"
      aria-label="Set up your boat"
      style={[styles.card, { borderColor: tones.water, backgroundColor: tones.page }]}
      testID="first-run"
    >
      <Text bold>
        {step + 1} of 3: {asked.question}
      </Text>
      <View style={styles.row}>
        {asked.answers.map(({ label, take }) => (
          <Button key={label} label={label} onPress={() => next(take())} />
        ))}
      </View>
      <View style={styles.row}>
        <Button tone="quiet" label={`Skip and use “${rig.name}”`} onPress={setBegun} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  card: { borderWidth: 1, borderRadius: 4, padding: 12, gap: 8 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
