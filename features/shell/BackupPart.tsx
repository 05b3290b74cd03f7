import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { keptFileStore } from '@/stores';
import { Button, chooseFile, Text } from '@/ui';
import { restoredWords } from '../words/backup';
import { roomWords } from '../words/keptFiles';
import { exportEverything } from './exportEverything';

/** What the browser says of its storage; null where it says nothing. */
interface Room {
  usedMb: number;
  ofMb: number;
  lasting: boolean;
}

async function askRoom(): Promise<Room | null> {
  if (!navigator.storage?.estimate) return null;
  const { usage = 0, quota = 0 } = await navigator.storage.estimate();
  const lasting = (await navigator.storage.persisted?.()) ?? false;
  return { usedMb: usage / 1e6, ofMb: quota / 1e6, lasting };
}

/** All of it out as one file and in again, and how long the browser keeps it. */
export function BackupPart({ onDone, onLeave }: { onDone: () => void; onLeave: () => void }) {
  const router = useRouter();
  const files = roomWords(useStore(keptFileStore, (s) => s.kept));
  const [room, setRoom] = useState<Room | null>(null);
  const [said, setSaid] = useState<{ words: string; bad: boolean } | null>(null);
  const [progress, setProgress] = useState<string | null>(null);
  useEffect(() => {
    void askRoom().then(setRoom, () => undefined);
  }, []);
  const bringIn = async (): Promise<void> => {
    setSaid(null);
    const file = await chooseFile('application/zip,.zip,application/json,.json');
    if (!file) return;
    setProgress('Opening the backup…');
    try {
      const { backupTooLarge, readBackup } = await import('@/core/formats/exchange');
      // The size is looked at before a byte is read.
      const large = backupTooLarge(file.size);
      const opened = large ?? readBackup(new Uint8Array(await file.arrayBuffer()));
      const restored = opened.ok
        ? await (
            await import('@/stores/backup')
          ).restoreBackup(opened.value, (done, of) => setProgress(`Bringing in ${done} of ${of}…`))
        : opened;
      setSaid(
        restored.ok
          ? { words: restoredWords(restored.value), bad: false }
          : { words: restored.problem, bad: true },
      );
      onDone();
    } catch {
      setSaid({ words: 'The backup could not be opened here. Reload the app, then try again.', bad: true });
    }
    setProgress(null);
  };
  const keepLasting = async (): Promise<void> => {
    const lasting = (await navigator.storage.persist?.()) ?? false;
    setRoom((now) => now && { ...now, lasting });
    if (!lasting)
      setSaid({
        words:
          'The browser will not promise that. Put the app on your home screen, and save a backup now and then.',
        bad: false,
      });
  };
  return (
    <View style={styles.part}>
      <Text>
        Everything you save stays in this browser. Save a backup before you clear the browser’s data.
      </Text>
      <View style={styles.row}>
        <Button label="Save a backup" onPress={() => void exportEverything()} testID="export-everything" />
        <Button
          label="Bring a backup in"
          disabled={progress !== null}
          onPress={() => void bringIn()}
          testID="restore-backup"
        />
      </View>
      <Text faint kind="small">
        A backup from another device comes in beside what is here. Nothing is taken away.
      </Text>
      {progress && <Text role="status">{progress}</Text>}
      {said && (
        <Text role={said.bad ? 'alert' : 'status'} testID="backup-said">
          {said.words}
        </Text>
      )}
      {room && (
        <>
          <Text testID="storage-used">
            {room.usedMb < 10 ? room.usedMb.toFixed(1) : Math.round(room.usedMb)} MB used, the app itself
            included{room.ofMb > 0 ? `, of about ${Math.round(room.ofMb / 100) / 10} GB` : ''}.{' '}
            {room.lasting
              ? 'The browser keeps it until you delete it.'
              : 'The browser may clear it when the device is full.'}
          </Text>
          {files && (
            <View style={styles.row}>
              <Text testID="room-for-files">{files}</Text>
              <Button
                label="Choose what to delete"
                onPress={() => {
                  onLeave();
                  router.push('/read?files');
                }}
              />
            </View>
          )}
          {!room.lasting && (
            <View style={styles.row}>
              <Button
                label="Ask the browser to keep it"
                onPress={() => void keepLasting()}
                testID="persist"
              />
            </View>
          )}
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: 10 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
