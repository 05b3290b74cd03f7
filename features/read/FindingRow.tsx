import { Pressable, StyleSheet, View } from 'react-native';
import type { Finding } from '@/core/reading';
import { Text, TOUCH_PX, useTones } from '@/ui';
import { clock, useUnits } from '../units';
import { confidenceWords, findingTitle, reasonWords, rivalWords, SHAPE_WORDS } from './wording';

interface Props {
  finding: Finding;
  open: boolean;
  onPress: () => void;
}

/** One finding: the numbers to compare in a line, the evidence on demand. */
export function FindingRow({ finding, open, onPress }: Props) {
  const tones = useTones();
  const units = useUnits();
  const { show, band, height } = units;
  return (
    <View
      style={[styles.row, { borderTopColor: tones.rule }, open && { backgroundColor: tones.waterWash }]}
      role="listitem"
    >
      <Pressable
        role="button"
        aria-expanded={open}
        onPress={onPress}
        style={styles.head}
        testID={`finding-${finding.id}`}
      >
        <Text kind="figure" style={styles.id}>
          {finding.id}
        </Text>
        <View style={styles.words}>
          <Text bold>{findingTitle(finding)}</Text>
          <Text faint kind="small">
            {show('depth', finding.rangeM)} down · {height(finding.heightM)} high ·{' '}
            {finding.kind === 'fish'
              ? `${finding.strengthDb.toFixed(0).replace('-', '−')} dB strong`
              : `${finding.overBackgroundDb.toFixed(0)} dB over the water`}{' '}
            · {confidenceWords(finding.confidence)}
          </Text>
        </View>
      </Pressable>
      {open && (
        <View style={styles.more}>
          {finding.kind === 'fish' && <Text>Shape: {SHAPE_WORDS[finding.shape]}.</Text>}
          <Text>
            True depth {band('depth', finding.depthM[0], finding.depthM[1])}: it is drawn deeper if it passed
            to one side. Seen at {clock(finding.timeS)}.
          </Text>
          {finding.kind !== 'cover' && finding.gapToBedM !== null && (
            <Text>{show('depth', finding.gapToBedM)} above the bed echo.</Text>
          )}
          {finding.kind === 'fish' && finding.lengthM && (
            <Text>
              If a fish with a closed swim bladder: about {show('small', finding.lengthM[1], 0)}, anywhere in{' '}
              {band('small', finding.lengthM[0], finding.lengthM[2], 0)}; its height as drawn says nothing of
              its size.
            </Text>
          )}
          <Text bold>Because it</Text>
          {finding.reasons.map((reason) => (
            <Text key={reason.name}>– {reasonWords(reason, units)}</Text>
          ))}
          <Text>{rivalWords(finding.rival)}</Text>
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { borderTopWidth: 1 },
  head: {
    minHeight: TOUCH_PX + 8,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    paddingVertical: 8,
    paddingHorizontal: 8,
  },
  id: { minWidth: 26, textAlign: 'right' },
  words: { flex: 1, minWidth: 0 },
  more: { paddingLeft: 46, paddingRight: 12, paddingBottom: 14, gap: 6 },
});
