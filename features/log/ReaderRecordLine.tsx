import { useMemo } from 'react';
import { StyleSheet } from 'react-native';
import { readerRecord, type Entry } from '@/core/logbook';
import { Text } from '@/ui';
import { recordWords } from '../words/record';

/** How often the reader was right by the user's own word, over all that is in the log. */
export function ReaderRecordLine({ entries }: { entries: readonly Entry[] }) {
  const words = useMemo(() => {
    const all = entries.flatMap((e) => e.corrections);
    return recordWords(readerRecord(all), readerRecord(all, 'fish'), readerRecord(all, 'bait'));
  }, [entries]);
  if (words.length === 0) return null;
  return (
    <Text style={styles.line} testID="reader-record">
      {words.join(' ')}
    </Text>
  );
}

const styles = StyleSheet.create({ line: { maxWidth: 640 } });
