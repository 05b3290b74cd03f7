import { useState } from 'react';
import { TextInput } from 'react-native-paper';
import { MOST_KEPT_MARKS } from '@/core/logbook';
import {
  correctionsOf,
  correctionStore,
  keepEntry,
  noteDayPass,
  newId,
  notify,
  passStore,
  type PassReading,
} from '@/stores';
import { Button, Sheet, Text } from '@/ui';

/** Longest call and note the log takes. */
const LONGEST_CALL = 200;
const LONGEST_NOTE = 4000;

/** What is said once an entry is kept, or when it could not be. */
const keptWords = (kept: Awaited<ReturnType<typeof keepEntry>>): string =>
  !kept.ok
    ? kept.problem
    : kept.value === 'kept'
      ? 'Saved to the log.'
      : 'Your device is full. This is held in memory, and saved once there is room.';

interface Props {
  open: boolean;
  /** The reading of the very pass on the bench. */
  reading: PassReading | null;
  onClose: () => void;
}

/** Keeps the pass: what was set, what was seen, and what the user makes of it. */
export function KeepSheet({ open, reading, onClose }: Props) {
  const [call, setCall] = useState('');
  const [note, setNote] = useState('');
  const [busy, setBusy] = useState(false);
  if (!open || !reading) return null;
  const keep = async (): Promise<void> => {
    const { pass, settings } = passStore.getState();
    const placeless = pass.source.kind === 'recording' && pass.source.placeless === true;
    setBusy(true);
    const id = newId();
    const title = reading.facts.title.slice(0, 120) || 'A pass';
    const kept = await keepEntry({
      id,
      keptAt: new Date().toISOString(),
      title,
      call: call.trim(),
      note: note.trim(),
      source: pass.source,
      rig: pass.rig,
      settings,
      // A mark without a place is none to go back to.
      marks: placeless ? [] : reading.marks.slice(0, MOST_KEPT_MARKS),
      corrections: [...correctionsOf(correctionStore.getState(), { pass, settings })],
    });
    setBusy(false);
    notify(keptWords(kept));
    if (!kept.ok) return;
    noteDayPass(id, (call.trim() || title).slice(0, 120), {
      places: placeless ? [] : reading.bed,
      simulated: pass.source.kind !== 'recording',
    });
    setCall('');
    setNote('');
    onClose();
  };
  const marks = reading.marks.length;
  return (
    <Sheet title="Save to log" open onClose={onClose}>
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
      <Button
        tone="main"
        label={busy ? 'Saving…' : 'Save'}
        disabled={busy}
        onPress={() => void keep()}
        testID="keep"
      />
    </Sheet>
  );
}
