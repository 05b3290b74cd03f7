import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { problemOf, type Result } from '@/core/formats';
import {
  deleteKeptFile,
  keptFileStore,
  passStore,
  sweepFiles,
  takeKeptToBench,
  getReadyForRecordings,
  takeRecordingToBench,
} from '@/stores';
import { Button, chooseFile, Sheet, Text, useTones } from '@/ui';
import { keptFileWords, roomWords } from '../words/keptFiles';

/** Recordings and pictures of screens: opened from a file, or again from what is kept on the device. */
export function FilesSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const tones = useTones();
  const router = useRouter();
  const kept = useStore(keptFileStore, (s) => s.kept);
  const { source } = useStore(passStore, (s) => s.pass);
  const [problem, setProblem] = useState<string | null>(null);
  const [opening, setOpening] = useState<string | null>(null);
  useEffect(() => {
    if (!open) return;
    void sweepFiles().catch(() => undefined);
    void getReadyForRecordings().catch(() => undefined);
  }, [open]);
  const take = async (name: string, taking: Promise<Result>): Promise<void> => {
    setProblem(null);
    setOpening(name);
    const wrong = problemOf(await taking);
    setOpening(null);
    setProblem(wrong);
    if (wrong === null) onClose();
  };
  const choose = async (): Promise<void> => {
    const file = await chooseFile('.nc,.h5,application/x-hdf5');
    if (file) await take(file.name, takeRecordingToBench(file));
  };
  const room = roomWords(kept);
  return (
    <Sheet title="Recordings and pictures" open={open} onClose={onClose}>
      <View style={styles.row}>
        <Button
          tone="main"
          label="Open a recording"
          disabled={opening !== null}
          onPress={() => void choose()}
          testID="choose-recording"
        />
        <Button
          label="Read your own screen"
          spoken="Read a picture of your own screen"
          onPress={() => {
            onClose();
            router.push('/screen');
          }}
        />
      </View>
      <Text faint kind="small">
        A recording is a file this app has saved, or another program in the same open layout (.nc, .h5).
      </Text>
      {opening !== null && <Text role="status">Opening {opening}…</Text>}
      {problem !== null && (
        <Text role="alert" testID="files-problem">
          {problem}
        </Text>
      )}
      {kept.length > 0 && (
        <View role="list" aria-label="On this device">
          {kept.map((item, k) => (
            <View
              key={item.id}
              role="listitem"
              style={[styles.item, { borderTopColor: tones.rule }]}
              testID={`kept-file-${k}`}
            >
              <Text bold numberOfLines={2}>
                {item.name}
              </Text>
              <Text faint kind="small">
                {keptFileWords(item)}
                {source.kind === 'recording' && source.fingerprint === item.id && '. It is shown now.'}
              </Text>
              <View style={styles.row}>
                <Button
                  label="Open"
                  spoken={`Open ${item.name}`}
                  disabled={opening !== null}
                  onPress={() => void take(item.name, takeKeptToBench(item))}
                />
                <Button
                  tone="quiet"
                  label="Delete"
                  spoken={`Delete ${item.name}`}
                  onPress={() => void deleteKeptFile(item.id)}
                />
              </View>
            </View>
          ))}
        </View>
      )}
      {room && (
        <Text faint kind="small">
          {room}
        </Text>
      )}
    </Sheet>
  );
}

const styles = StyleSheet.create({
  item: { borderTopWidth: 1, paddingVertical: 10, gap: 4 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
