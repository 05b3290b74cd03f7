import { View, StyleSheet } from 'react-native';
import { notify, openBench, readBenchText, benchLink, benchText } from '@/stores';
import { Button, chooseFile, saveFile, Text } from '@/ui';
import { shareLink } from '../shareLink';

async function share(): Promise<void> {
  const link = await benchLink(`${location.origin}/tune`);
  if (!link.ok) return notify(link.problem);
  await shareLink('Bench', link.value, 'Save the bench as a file instead.');
}

/** The bench on another device: as a link, or as a file. */
export function BenchShare({ onDone }: { onDone: () => void }) {
  const open = async (): Promise<void> => {
    const file = await chooseFile('.json,application/json');
    if (!file) return;
    const read = readBenchText(await file.text());
    if (!read.ok) return notify(read.problem);
    openBench(read.value);
    onDone();
  };
  return (
    <View style={styles.share}>
      <Text bold>This bench on another device</Text>
      <View style={styles.row}>
        <Button label="Share a link" onPress={() => void share()} testID="share-bench" />
        <Button
          label="Save as a file"
          onPress={() => saveFile('bench.json', benchText(), 'application/json')}
          testID="save-bench"
        />
        <Button label="Open a bench file" onPress={() => void open()} testID="open-bench" />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  share: { gap: 8 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
