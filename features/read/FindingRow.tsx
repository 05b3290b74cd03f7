import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { Finding } from '@/core/reading';
import { Button, Text, TOUCH_PX, useTones } from '@/ui';
import { clock, useUnits } from '../units';
import {
  aboutWords,
  confidenceWords,
  findingNumbers,
  findingTitle,
  reasonWords,
  rivalWords,
  SHAPE_WORDS,
} from './wording';

interface Props {
  finding: Finding;
  open: boolean;
  onPress: () => void;
}

/** One finding: the numbers to compare in a line, the evidence on demand. */
export function FindingRow({ finding, open, onPress }: Props) {
  const tones = useTones();
  const units = useUnits();
  const [numbers, setNumbers] = useState(false);
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
            {show('depth', finding.rangeM)} down · {height(finding.heightM)}{' '}
            {finding.kind === 'cover' ? 'high' : 'thick'} · {confidenceWords(finding.confidence)}
            {finding.kind === 'cover' && finding.about.over + finding.about.beside > 0
              ? ` · ${finding.about.over + finding.about.beside} fish about it`
              : ''}
          </Text>
        </View>
      </Pressable>
      {open && (
        <View style={styles.more}>
          {finding.kind === 'cover' &&
            aboutWords(finding.about).map((words, i) => (
              <Text bold={i === 0} key={words}>
                {words}
              </Text>
            ))}
          {finding.kind === 'fish' && <Text>Shape: {SHAPE_WORDS[finding.shape]}.</Text>}
          <Text>
            Its true depth is {band('depth', finding.depthM[0], finding.depthM[1])}. A mark off to the side is
            drawn too deep. You passed it at {clock(finding.timeS)}.
          </Text>
          {finding.kind !== 'cover' && finding.gapToBedM !== null && (
            <Text>It is {show('depth', finding.gapToBedM)} above the bed.</Text>
          )}
          {finding.kind === 'fish' && finding.lengthM && (
            <Text>
              If it is a fish, it is about {show('small', finding.lengthM[1], 0)} long. One pass can mean{' '}
              {band('small', finding.lengthM[0], finding.lengthM[2], 0)}. A long mark is not a big fish.
            </Text>
          )}
          {finding.kind === 'fish' &&
            Math.max(finding.legsM.before, finding.legsM.after) > finding.heightM && (
              <Text>
                Its legs drop {height(finding.legsM.before)} before its top and {height(finding.legsM.after)}{' '}
                after it.
              </Text>
            )}
          <Text bold>Why</Text>
          {finding.reasons.map((reason) => (
            <Text key={reason.name}>– {reasonWords(reason, units)}.</Text>
          ))}
          <Text>{rivalWords(finding.rival)}</Text>
          {numbers ? (
            <Text testID="finding-numbers">{findingNumbers(finding)}</Text>
          ) : (
            <Button tone="quiet" label="Numbers" onPress={() => setNumbers(true)} />
          )}
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
