import { useRouter } from 'expo-router';
import { useState } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { useStore } from 'zustand';
import { readLogFile, tooLarge, writeGpx, writeLogFile } from '@/core/formats';
import { importEntries, logStore, notify } from '@/stores';
import { Button, chooseFile, EmptyState, saveFile, Text, WIDE_PX } from '@/ui';
import { EntryRow } from './EntryRow';

/** Day part of a file name. */
const today = (): string => new Date().toISOString().slice(0, 10);

/** Kept passes: open one on the bench again, take them away as files, bring them back. */
export function LogScreen() {
  const entries = useStore(logStore, (s) => s.entries);
  const router = useRouter();
  const { width } = useWindowDimensions();
  const [open, setOpen] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const marks = entries.reduce((sum, e) => sum + e.marks.length, 0);

  const bringIn = async (): Promise<void> => {
    setProblem(null);
    const file = await chooseFile('application/json,.json');
    if (!file) return;
    // The size is looked at before a byte is read.
    const large = tooLarge(file.size);
    if (large) return setProblem(large);
    const result = readLogFile(await file.text());
    if (!result.ok) return setProblem(result.problem);
    importEntries(result.entries);
    notify(`Brought in ${result.entries.length} ${result.entries.length === 1 ? 'entry' : 'entries'}.`);
  };

  return (
    <ScrollView contentContainerStyle={[styles.page, width >= WIDE_PX && styles.pageWide]}>
      <Text kind="title">Log</Text>
      <View style={styles.actions}>
        <Button
          label="Export log"
          icon="tray-arrow-down"
          spoken="Export the log as a JSON file"
          disabled={entries.length === 0}
          onPress={() =>
            saveFile(`nimble-echo-log-${today()}.json`, writeLogFile(entries), 'application/json')
          }
          testID="export-json"
        />
        <Button
          label="Marks as GPX"
          icon="map-marker-outline"
          spoken="Export the marks as a GPX file"
          disabled={marks === 0}
          onPress={() =>
            saveFile(`nimble-echo-marks-${today()}.gpx`, writeGpx(entries), 'application/gpx+xml')
          }
          testID="export-gpx"
        />
        <Button
          label="Import log"
          icon="tray-arrow-up"
          spoken="Import a log from a JSON file"
          onPress={() => void bringIn()}
          testID="import-json"
        />
      </View>
      {problem && (
        <Text role="alert" testID="import-problem">
          {problem}
        </Text>
      )}
      {entries.length === 0 ? (
        <EmptyState
          title="Nothing kept yet"
          hint="Read a pass and keep it: its settings, its marks and your call go together, so that you can see later what worked."
          action={{ label: 'Go to Read', onPress: () => router.push('/read') }}
        />
      ) : (
        <View role="list" aria-label="Kept passes">
          {entries.map((entry) => (
            <EntryRow
              key={entry.id}
              entry={entry}
              open={open === entry.id}
              onPress={() => setOpen(open === entry.id ? null : entry.id)}
            />
          ))}
        </View>
      )}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  page: { padding: 16, gap: 14, paddingBottom: 40 },
  pageWide: { padding: 32, maxWidth: 900, width: '100%', alignSelf: 'center' },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
});
