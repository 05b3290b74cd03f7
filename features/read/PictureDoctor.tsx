import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Symptom } from '@/core/bench/symptoms/symptom';
import { passStore, withRecording, type PassReading } from '@/stores';
import { Button, Text } from '@/ui';
import { benchWorker } from '@/workers';
import { DOCTOR_WORDS } from '../words/pictureDoctor';

/** What is wrong with the picture of a screen that was read; null until it is known. */
function useDiagnosis(reading: PassReading): readonly Symptom[] | null {
  const [known, setKnown] = useState<{ of: PassReading; symptoms: readonly Symptom[] } | null>(null);
  useEffect(() => {
    let gone = false;
    const { pass, settings } = passStore.getState();
    withRecording(pass, () =>
      benchWorker().run({ kind: 'diagnose', pass, settings }, { lane: 'diagnose' }),
    ).then(
      ({ result }) => !gone && setKnown({ of: reading, symptoms: result.symptoms }),
      // Superseded by a newer one.
      () => undefined,
    );
    return () => {
      gone = true;
    };
  }, [reading]);
  return known?.of === reading ? known.symptoms : null;
}

/** Which one setting of the unit to turn, judged by the picture of its screen. */
export function PictureDoctor({ reading }: { reading: PassReading }) {
  const symptoms = useDiagnosis(reading);
  const [all, setAll] = useState(false);
  if (!symptoms) return null;
  const told = symptoms.flatMap((symptom) => DOCTOR_WORDS[symptom] ?? []);
  const shown = all ? told : told.slice(0, 1);
  return (
    <View style={styles.part} role="status" testID="picture-doctor">
      <Text bold>{told.length > 0 ? 'Turn this first' : 'Your settings'}</Text>
      {told.length === 0 && <Text>Nothing on this picture asks for another setting.</Text>}
      {shown.map(({ shows, turn, then, rival }) => (
        <View key={turn} style={styles.one}>
          <Text bold>{turn}</Text>
          <Text>
            {shows} {then}
          </Text>
          <Text faint kind="small">
            It could also be: {rival}
          </Text>
        </View>
      ))}
      {told.length > 1 && !all && (
        <Button
          tone="quiet"
          label={`${told.length - 1} more, once that is done`}
          onPress={() => setAll(true)}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  part: { paddingHorizontal: 12, paddingVertical: 8, gap: 4 },
  one: { gap: 2 },
});
