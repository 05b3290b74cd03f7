import { View, StyleSheet } from 'react-native';
import { notify, openBench, readBenchText, benchLink, benchText } from '@/stores';
import { Button, chooseFile, saveFile, Text } from '@/ui';

/** Gives the link to the system's share sheet, or, where there is none, to the clipboard. */
async function share(): Promise<void> {
  const link = await benchLink(`${location.origin}/tune`);
  if (!link.ok) return notify(link.problem);
  try {
    if (typeof navigator.share === 'function') await navigator.share({ title: 'Bench', url: link.value });
    else {
      await navigator.clipboard.writeText(link.value);
      notify('The link is copied. Paste it into a message.');
    }
  } catch (error) {
    // Closing the share sheet is no failure.
    if (!(error instanceof DOMException && error.name === 'AbortError'))
      notify('This browser lets no link out. Save the bench as a file instead.');
  }
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
