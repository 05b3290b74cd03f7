import { StyleSheet, View } from 'react-native';
import type { LogComparison } from '@/core/logbook';
import type { ConflictChoice } from '@/stores';
import { Button, Sheet, Text, useTones } from '@/ui';

/** Pairs shown; the rest is counted. */
const SHOWN = 20;

interface Props {
  comparison: LogComparison | null;
  onChoose: (choice: ConflictChoice) => void;
  onClose: () => void;
}

/** What a file and the log both have, with other words: nothing is overwritten unless the user says so. */
export function ConflictSheet({ comparison, onChoose, onClose }: Props) {
  const tones = useTones();
  if (!comparison) return null;
  const { conflicts } = comparison;
  const count = conflicts.length;
  return (
    <Sheet title="The same entries, changed" open onClose={onClose}>
      <Text testID="conflicts">
        {count} {count === 1 ? 'entry is' : 'entries are'} in the file and in your log, and differ. Nothing is
        changed until you choose.
      </Text>
      <View style={styles.row}>
        <Button tone="main" label="Keep both" onPress={() => onChoose('both')} />
        <Button label="Keep mine" onPress={() => onChoose('mine')} />
        <Button label="Take the file’s" onPress={() => onChoose('theirs')} />
      </View>
      {conflicts.slice(0, SHOWN).map(({ mine, theirs }) => (
        <View key={mine.id} style={[styles.pair, { borderTopColor: tones.rule }]}>
          <Text>Mine: {mine.call || mine.title}</Text>
          {mine.note !== '' && (
            <Text faint kind="small">
              {mine.note}
            </Text>
          )}
          <Text>The file’s: {theirs.call || theirs.title}</Text>
          {theirs.note !== '' && (
            <Text faint kind="small">
              {theirs.note}
            </Text>
          )}
        </View>
      ))}
      {count > SHOWN && <Text faint>And {count - SHOWN} more.</Text>}
    </Sheet>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
  pair: { borderTopWidth: 1, paddingTop: 8, gap: 2 },
});
