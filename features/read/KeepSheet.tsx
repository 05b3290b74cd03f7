import { useState } from 'react';
import { TextInput } from 'react-native-paper';
import { useStore } from 'zustand';
import { benchStore, keepEntry, notify } from '@/stores';
import { Button, Sheet, Text } from '@/ui';

/** Longest call and note the log takes. */
const LONGEST_CALL = 200;
const LONGEST_NOTE = 4000;

/** Keeps the pass: what was set, what was seen, and what the user makes of it. */
export function KeepSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [call, setCall] = useState('');
  const [note, setNote] = useState('');
  const { reading, facts } = useStore(benchStore);
  if (!open || !reading) return null;
  const keep = (): void => {
    const { brief, settings, seed } = benchStore.getState();
    keepEntry({
      id: crypto.randomUUID?.() ?? `${Date.now()}-${seed}`,
      keptAt: new Date().toISOString(),
      title: facts?.title ?? 'A pass',
      call: call.trim(),
      note: note.trim(),
      seed,
      brief,
      settings,
      marks: [...reading.marks],
    });
    notify('Kept in the log.');
    setCall('');
    setNote('');
    onClose();
  };
  const marks = reading.marks.length;
  return (
    <Sheet title="Keep this pass" open onClose={onClose}>
      <TextInput
        mode="outlined"
        label="Your call"
        placeholder="Perch 20–30 cm, strung along the slope"
        value={call}
        onChangeText={setCall}
        maxLength={LONGEST_CALL}
        testID="call"
      />
      <TextInput
        mode="outlined"
        label="Note"
        placeholder="What proved it, what you changed"
        value={note}
        onChangeText={setNote}
        maxLength={LONGEST_NOTE}
        multiline
        numberOfLines={3}
        testID="note"
      />
      <Text faint kind="small">
        {marks} {marks === 1 ? 'mark' : 'marks'} and all settings go with it. A call is a guess until a catch
        proves it.
      </Text>
      <Button tone="main" label="Keep" onPress={keep} testID="keep" />
    </Sheet>
  );
}
