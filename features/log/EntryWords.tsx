import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import type { Entry } from '@/core/logbook';
import { rewordEntry } from '@/stores';
import { Button } from '@/ui';

/** The words of an entry, to be changed. */
export function EntryWords({ entry, onDone }: { entry: Entry; onDone: () => void }) {
  const [call, setCall] = useState(entry.call);
  const [note, setNote] = useState(entry.note);
  return (
    <View style={styles.words}>
      <TextInput
        mode="outlined"
        label="Your call"
        aria-label="Your call"
        value={call}
        maxLength={200}
        onChangeText={setCall}
        testID="entry-call"
      />
      <TextInput
        mode="outlined"
        label="Note"
        aria-label="Note"
        value={note}
        maxLength={4000}
        multiline
        onChangeText={setNote}
        testID="entry-note"
      />
      <View style={styles.row}>
        <Button
          tone="main"
          label="Keep these words"
          onPress={() => {
            rewordEntry(entry.id, { call: call.trim(), note: note.trim() });
            onDone();
          }}
          testID="entry-keep"
        />
        <Button label="Leave them" onPress={onDone} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  words: { gap: 8 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
