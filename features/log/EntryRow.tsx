import { useRouter } from 'expo-router';
import { Pressable, StyleSheet, View } from 'react-native';
import { targetOf } from '@/core/advice';
import type { Entry } from '@/core/logbook';
import { deleteEntry, planStore, takeToBench } from '@/stores';
import { Button, Text, TOUCH_PX, useTones } from '@/ui';
import { PRESENTATION_WORDS } from '../plan/wording';
import { confidenceWords } from '../read/wording';
import { useUnits } from '../units';

const when = (iso: string): string =>
  new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeStyle: 'short' }).format(new Date(iso));

interface Props {
  entry: Entry;
  open: boolean;
  onPress: () => void;
}

/** One kept pass: the call first, the rest on demand. */
export function EntryRow({ entry, open, onPress }: Props) {
  const tones = useTones();
  const router = useRouter();
  const { show, band, height } = useUnits();
  const { brief, settings, marks } = entry;
  const again = (): void => {
    takeToBench({ brief, rig: planStore.getState().rig, seed: entry.seed, settings });
    router.push('/tune');
  };
  return (
    <View role="listitem" style={[styles.row, { borderTopColor: tones.rule }]}>
      <Pressable role="button" aria-expanded={open} onPress={onPress} style={styles.head}>
        <Text bold>{entry.call || 'No call made'}</Text>
        <Text faint kind="small">
          {entry.title} · {when(entry.keptAt)} · {marks.length} {marks.length === 1 ? 'mark' : 'marks'}
        </Text>
      </Pressable>
      {open && (
        <View style={styles.more}>
          {entry.note !== '' && <Text>{entry.note}</Text>}
          <Text>
            {targetOf(brief).label}, {band('depth', brief.fromM, brief.toM, 0)},{' '}
            {PRESENTATION_WORDS[brief.presentation].sentence}
            {brief.speedMps > 0.05 ? ` at ${show('speed', brief.speedMps)}` : ''}.
          </Text>
          <Text>
            Range {show('depth', settings.rangeM, 0)}, gain {String(settings.gainDb).replace('-', '−')} dB,
            colours {settings.firstColourDb} + {settings.colourSpreadDb} dB, {settings.pingRate} pings and{' '}
            {settings.chartSpeed} columns a second.
          </Text>
          {marks.map((mark, i) => (
            <Text key={i} kind="small" faint>
              {mark.kind === 'cloud'
                ? 'Cloud'
                : mark.kind === 'cover'
                  ? 'On the bed'
                  : `Mark (${mark.shape})`}{' '}
              at {show('depth', mark.rangeM)}, {height(mark.heightM)} high, {confidenceWords(mark.confidence)}
            </Text>
          ))}
          <View style={styles.actions}>
            <Button label="Open on the bench" onPress={again} />
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
}

const styles = StyleSheet.create({
  row: { borderTopWidth: 1 },
  head: { minHeight: TOUCH_PX + 8, justifyContent: 'center', paddingVertical: 8 },
  more: { gap: 8, paddingBottom: 16 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 10, paddingTop: 6 },
});
