import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { passStore, type PassReading } from '@/stores';
import { Text, useTones } from '@/ui';
import { useUnits } from '../units';
import { coveredWords, seenWords } from '../words/reading';

/** What the reader has seen besides marks: the bed, layers, structure, and echoes that are no fish. */
export function AlsoSeen({ reading: { reading, timeS, wayM } }: { reading: PassReading }) {
  const tones = useTones();
  const units = useUnits();
  const beam = useStore(passStore, (s) => s.pass.rig.faces.find((f) => f.id === s.settings.faceId)?.beam);
  const seen = seenWords(reading, { timeS, wayM }, units);
  const covered = beam ? coveredWords(reading, beam.athwartRad, wayM.at(-1) ?? 0, units) : null;
  return (
    <View testID="also-seen">
      {seen.length > 0 && (
        <View role="list" aria-label="Also seen">
          {seen.map(({ name, words }, i) => (
            <View key={i} role="listitem" style={[styles.row, { borderTopColor: tones.rule }]}>
              <Text bold>{name}</Text>
              <Text>{words}</Text>
            </View>
          ))}
        </View>
      )}
      {covered && (
        <Text faint kind="small" style={styles.row}>
          {covered}
        </Text>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    borderTopWidth: 1,
    borderTopColor: 'transparent',
    paddingVertical: 8,
    paddingHorizontal: 12,
    gap: 2,
  },
});
