import { useRouter } from 'expo-router';
import { memo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { Entry } from '@/core/logbook';
import { deleteEntry, layCorrections, notify, planStore, takeToBench } from '@/stores';
import { Button, Text, TOUCH_PX, useTones } from '@/ui';
import { EntryWords } from './EntryWords';
import { sourceWords } from '../words/source';
import { confidenceWords } from '../words/confidence';
import { useUnits } from '../units';

// Made once: making one takes longer than a whole row.
const DATES = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeStyle: 'short' });
const when = (iso: string): string => DATES.format(new Date(iso));

interface Props {
  entry: Entry;
  open: boolean;
  onPress: (id: string) => void;
}

/** One kept pass: the call first, the rest on demand. */
export const EntryRow = memo(function EntryRow({ entry, open, onPress }: Props) {
  const tones = useTones();
  const router = useRouter();
  const units = useUnits();
  const [editing, setEditing] = useState(false);
  const { show, height } = units;
  const { source, rig, settings, marks } = entry;
  const again = (): void => {
    const pass = { source, rig: rig ?? planStore.getState().rig };
    takeToBench(pass, settings);
    layCorrections({ pass, settings }, entry.title, entry.corrections);
    if (rig === null) notify('This entry has no boat saved with it. It opens on your boat of today.');
    router.push('/tune');
  };
  return (
    <View
      role="article"
      aria-label={entry.call || entry.title}
      style={[styles.row, { borderTopColor: tones.rule }]}
      testID="log-entry"
    >
      <Pressable role="button" aria-expanded={open} onPress={() => onPress(entry.id)} style={styles.head}>
        <Text bold>{entry.call || 'No call yet'}</Text>
        <Text faint kind="small">
          {entry.title} · {when(entry.keptAt)} · {marks.length} {marks.length === 1 ? 'mark' : 'marks'}
        </Text>
      </Pressable>
      {open && (
        <View style={styles.more}>
          {editing ? (
            <EntryWords entry={entry} onDone={() => setEditing(false)} />
          ) : (
            entry.note !== '' && <Text>{entry.note}</Text>
          )}
          <Text>{sourceWords(source, units)}</Text>
          {rig && <Text faint>On {rig.name}.</Text>}
          <Text>
            Settings: range {show('depth', settings.rangeM, 0)}, gain{' '}
            {String(settings.gainDb).replace('-', '−')} dB, colours {settings.firstColourDb} +{' '}
            {settings.colourSpreadDb} dB, {settings.pingRate} pings and {settings.chartSpeed} columns a
            second.
          </Text>
          {marks.map((mark, i) => (
            <Text key={i} kind="small" faint>
              {mark.kind === 'cloud'
                ? 'Cloud'
                : mark.kind === 'cover'
                  ? 'On the bed'
                  : `Mark (${mark.shape})`}{' '}
              {/* Single marks of older entries have the rise of their legs in it. */}
              at {show('depth', mark.rangeM)}, {mark.kind === 'fish' ? '' : `${height(mark.heightM)} high, `}
              {confidenceWords(mark.confidence)}
            </Text>
          ))}
          <View style={styles.actions}>
            <Button label="Open on the bench" onPress={again} />
            {!editing && (
              <Button
                label="Change words"
                spoken={`Change the words of ${entry.call || entry.title}`}
                onPress={() => setEditing(true)}
                testID="reword"
              />
            )}
            <Button
              label="Delete"
              spoken={`Delete ${entry.call || entry.title}`}
              onPress={() => deleteEntry(entry.id)}
            />
          </View>
        </View>
      )}
    </View>
  );
});

const styles = StyleSheet.create({
  row: { borderTopWidth: 1 },
  head: { minHeight: TOUCH_PX + 8, justifyContent: 'center', paddingVertical: 8 },
  more: { gap: 8, paddingBottom: 16 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 10, paddingTop: 6 },
});
