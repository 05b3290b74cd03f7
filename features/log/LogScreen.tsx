import { useRouter } from 'expo-router';
import { useCallback, useDeferredValue, useMemo, useState } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useStore } from 'zustand';
import { tooLarge, writeLogFile } from '@/core/formats';
import { entriesWith, type Entry, type LogComparison } from '@/core/logbook';
import { importEntries, logStore, notify, type ConflictChoice } from '@/stores';
import { Button, chooseFile, EmptyState, saveFile, Text, useWide } from '@/ui';
import { DaysList } from './DaysList';
import { DaysRecord } from './DaysRecord';
import { EveningCard } from './EveningCard';
import { LogAnswers } from './LogAnswers';
import { ConflictSheet } from './ConflictSheet';
import { EntryRow } from './EntryRow';
import { ReaderRecordLine } from './ReaderRecordLine';
import { compareWithLog, openLogFile, stopOpeningLog } from './importLog';

/** Day part of a file name. */
const today = (): string => new Date().toISOString().slice(0, 10);

/** Fewer entries than this are seen at a glance. */
const SEARCHED_FROM = 3;

const entriesWords = (count: number): string => `${count} ${count === 1 ? 'entry' : 'entries'}`;

async function exportMarks(entries: readonly Entry[]): Promise<void> {
  const { writeGpx } = await import('@/core/formats/exchange');
  saveFile(`nimble-echo-marks-${today()}.gpx`, writeGpx(entries), 'application/gpx+xml');
}

/** Kept passes: open one on the bench again, take them away as files, bring them back. */
export function LogScreen() {
  // A list of thousands is drawn a piece at a time.
  const entries = useDeferredValue(useStore(logStore, (s) => s.entries));
  const [sought, setSought] = useState('');
  const wanted = useDeferredValue(sought);
  const shown = useMemo(() => entriesWith(entries, wanted), [entries, wanted]);
  const loaded = useStore(logStore, (s) => s.loaded);
  const router = useRouter();
  const [open, setOpen] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  /** What is being brought in, in words. */
  const [progress, setProgress] = useState<string | null>(null);
  const [asked, setAsked] = useState<LogComparison | null>(null);
  const marks = entries.some((e) => e.marks.length > 0);
  const wide = useWide();
  const toggle = useCallback((id: string) => setOpen((now) => (now === id ? null : id)), []);

  const take = async (comparison: LogComparison, choice: ConflictChoice): Promise<void> => {
    setAsked(null);
    const result = await importEntries(comparison, choice, (done, of) =>
      setProgress(`Saving ${done} of ${entriesWords(of)}…`),
    );
    setProgress(null);
    if (!result.ok) return setProblem(result.problem);
    const { added, written } = result.value;
    notify(
      written === 'kept'
        ? `Imported ${entriesWords(added)}.`
        : `Imported ${entriesWords(added)}, but your device is full. Some are held in memory only.`,
    );
  };
  const bringIn = async (): Promise<void> => {
    setProblem(null);
    const file = await chooseFile('application/json,.json');
    if (!file) return;
    // The size is looked at before a byte is read.
    const large = tooLarge(file.size);
    if (large) return setProblem(large);
    setProgress('Opening the file…');
    const opened = await openLogFile(file);
    const comparison = opened.ok ? await compareWithLog(opened.value) : null;
    setProgress(null);
    if (!opened.ok) return setProblem(opened.problem);
    if (!comparison) return;
    if (comparison.conflicts.length > 0) setAsked(comparison);
    else await take(comparison, 'mine');
  };

  const head = (
    <View style={styles.head}>
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
          disabled={!marks}
          onPress={() => void exportMarks(entries)}
          testID="export-gpx"
        />
        <Button
          label="Import log"
          icon="tray-arrow-up"
          spoken="Import a log from a JSON file"
          disabled={progress !== null || !loaded}
          onPress={() => void bringIn()}
          testID="import-json"
        />
      </View>
      <ReaderRecordLine entries={entries} />
      <EveningCard />
      <DaysList />
      <DaysRecord />
      <LogAnswers />
      {entries.length >= SEARCHED_FROM && (
        <TextInput
          mode="outlined"
          label="Search saved passes"
          aria-label="Search saved passes"
          value={sought}
          maxLength={80}
          onChangeText={setSought}
          testID="log-search"
        />
      )}
      {progress && (
        <View style={styles.actions} role="status">
          <Text testID="import-progress">{progress}</Text>
          {progress.startsWith('Opening') && <Button tone="quiet" label="Stop" onPress={stopOpeningLog} />}
        </View>
      )}
      {problem && (
        <Text role="alert" testID="import-problem">
          {problem}
        </Text>
      )}
    </View>
  );
  const nothing =
    wanted.trim() !== '' ? (
      <Text faint>No entry has these words. Try fewer.</Text>
    ) : loaded ? (
      <EmptyState
        title="Nothing saved yet"
        hint="Read a pass and save it. Its settings, marks and your call stay together, so you can see later what worked."
        action={{ label: 'Go to Read', onPress: () => router.push('/read') }}
      />
    ) : (
      <Text faint>Opening your log…</Text>
    );
  return (
    <View style={styles.screen} role="region" aria-label="Saved passes">
      <FlatList
        data={shown}
        keyExtractor={(entry) => entry.id}
        renderItem={({ item }) => <EntryRow entry={item} open={open === item.id} onPress={toggle} />}
        extraData={open}
        initialNumToRender={10}
        maxToRenderPerBatch={6}
        windowSize={5}
        ListHeaderComponent={head}
        ListEmptyComponent={nothing}
        contentContainerStyle={[styles.page, wide && styles.pageWide]}
      />
      <ConflictSheet
        comparison={asked}
        onChoose={(choice) => asked && void take(asked, choice)}
        onClose={() => setAsked(null)}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  head: { gap: 14, paddingBottom: 14 },
  page: { padding: 16, paddingBottom: 40 },
  pageWide: { padding: 32, maxWidth: 900, width: '100%', alignSelf: 'center' },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 10, alignItems: 'center' },
});
