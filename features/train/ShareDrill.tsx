import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import type { Sitting } from '@/core/training/answer';
import type { Trained } from '@/core/training/drill';
import type { DrillSet } from '@/core/training/drillSet';
import { writeDrillFile } from '@/core/formats/drillFile';
import { notify } from '@/stores';
import { drillLink } from '@/stores/drillSet';
import { Button, saveFile, Text } from '@/ui';
import { shareLink } from '../shareLink';

interface Props {
  sitting: Sitting;
  trained: Trained;
}

/** Gives the rounds just answered to another: as a link, or as a file with one's own answers to be compared. */
export function ShareDrill({ sitting, trained: { brief, rig } }: Props) {
  const [by, setBy] = useState('');
  const { drill } = sitting;
  // Another has not the passes that one's own marks lie in.
  if (sitting.answers.length === 0 || drill === 'yours') return null;
  const set: DrillSet = {
    by: by.trim(),
    drill,
    rounds: sitting.answers.map(({ kind, level, seed }) => ({ kind, level, seed })),
    brief,
    rig,
    answers: sitting.answers,
  };
  const share = async (): Promise<void> => {
    const link = await drillLink(set, `${location.origin}/train`);
    if (!link.ok) return notify(link.problem);
    await shareLink('Drill', link.value, 'Save the drill as a file instead.');
  };
  return (
    <View style={styles.share}>
      <Text bold>Give these rounds to someone</Text>
      <TextInput
        mode="outlined"
        label="Your name"
        aria-label="Your name"
        value={by}
        maxLength={60}
        onChangeText={setBy}
      />
      <View style={styles.row}>
        <Button label="Share a link" onPress={() => void share()} testID="share-drill" />
        <Button
          label="Save with my answers"
          onPress={() => saveFile('drill.json', writeDrillFile(set), 'application/json')}
          testID="save-drill"
        />
      </View>
      <Text faint kind="small">
        The link holds the rounds. The file holds your answers too, to be compared.
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  share: { gap: 8 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
