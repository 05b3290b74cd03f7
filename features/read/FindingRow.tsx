import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { calledBy, type Correction } from '@/core/logbook';
import type { Finding } from '@/core/reading';
import { passStore, type PassReading } from '@/stores';
import { Button, Text, TOUCH_PX, useTones } from '@/ui';
import type { TogetherMark } from '@/workers';
import { clock, useUnits } from '../units';
import { correctionWords } from '../words/called';
import { besideWords } from '../words/together';
import { confidenceWords } from '../words/confidence';
import { callInDay } from './callInDay';
import { crossingSeen } from './crossing';
import { CrossingSketch } from './CrossingSketch';
import { hasPlaces, keepAsMark } from './keepAsMark';
import { OwnFishPart } from './OwnFishPart';
import { closer } from './readStore';
import type { Truth } from './useTruth';
import {
  aboutWords,
  findingLine,
  findingNumbers,
  findingTitle,
  reasonWords,
  rivalWords,
  SHAPE_WORDS,
  TRUTH_WORDS,
} from './wording';

/** What another beam says of a finding. */
export interface Beside {
  label: string;
  mark: TogetherMark;
}

interface Props {
  finding: Finding;
  reading: PassReading;
  open: boolean;
  /** What was said of it; null for nothing yet. */
  said: Correction | null;
  /** What else was said of it, on another device. */
  otherwise: readonly Correction[];
  /** What truly made it, where that is known and asked for. */
  truth: Truth['marks'][number] | null;
  beside: Beside | null;
  onPress: () => void;
  onSay: (correction: Correction) => void;
  onTakeBack: (correction: Correction) => void;
  onCorrect: () => void;
}

/** One finding: the numbers to compare in a line, the evidence on demand. */
export function FindingRow(props: Props) {
  const { finding, open, said, otherwise, truth, beside, onPress } = props;
  const tones = useTones();
  const units = useUnits();
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
          <View style={styles.title}>
            <Text bold style={styles.words}>
              {findingTitle(finding)}
            </Text>
            <Text kind="small">{confidenceWords(finding.confidence)}</Text>
          </View>
          <Text faint kind="small">
            {findingLine(finding, units)}
          </Text>
          {beside && <Text kind="small">{besideWords(beside.label, beside.mark, units)}</Text>}
          {said && <Text kind="small">{correctionWords(said)}</Text>}
          {otherwise.map((c, k) => (
            <Text key={k} kind="small">
              On another device: {correctionWords(c)}
            </Text>
          ))}
          {truth && (
            <Text kind="small" bold testID={`truth-${finding.id}`}>
              {truth.right ? '✓' : '×'} In truth:{' '}
              {truth.made === null
                ? 'open water'
                : truth.lengthM === null
                  ? TRUTH_WORDS[truth.made]
                  : `a fish of ${units.show('small', truth.lengthM, 0)}`}
            </Text>
          )}
        </View>
      </Pressable>
      {open && <Evidence {...props} />}
    </View>
  );
}

/** What speaks for a finding, what else it could be, what would tell; and whether it is right. */
function Evidence({ finding, reading, said, otherwise, onSay, onTakeBack, onCorrect }: Props) {
  const units = useUnits();
  const [numbers, setNumbers] = useState(false);
  const { show, band, height } = units;
  const beam = useStore(passStore, (s) => s.pass.rig.faces.find((f) => f.id === s.settings.faceId)?.beam);
  const crossing = finding.kind === 'fish' ? crossingSeen(finding, reading) : null;
  const asideM = beam ? finding.rangeM * Math.sin(Math.min(beam.athwartRad / 2, 1.2)) : null;
  const { timeS, rangeM } = finding;
  return (
    <View style={styles.more}>
      {crossing && beam && <CrossingSketch seen={crossing} halfRad={beam.alongRad / 2} />}
      {finding.kind === 'cover' &&
        aboutWords(finding.about).map((words, i) => (
          <Text bold={i === 0} key={words}>
            {words}
          </Text>
        ))}
      {finding.kind === 'fish' && <Text>Shape: {SHAPE_WORDS[finding.shape]}.</Text>}
      <Text>
        Its true depth is {band('depth', finding.depthM[0], finding.depthM[1])}.
        {asideM !== null && ` It lies up to ${show('depth', asideM)} to either side of your track.`} You
        passed it at {clock(timeS)}.
      </Text>
      {finding.kind === 'cloud' && finding.gapToBedM !== null && (
        <Text>It is {show('depth', finding.gapToBedM)} above the bed.</Text>
      )}
      {finding.kind === 'fish' && finding.lengthM && (
        <Text>
          If it is a fish, it is about {show('small', finding.lengthM[1], 0)} long. One pass can mean{' '}
          {band('small', finding.lengthM[0], finding.lengthM[2], 0)}. A long mark is not a big fish.
        </Text>
      )}
      {finding.kind === 'fish' && Math.max(finding.legsM.before, finding.legsM.after) > finding.heightM && (
        <Text>
          Its legs drop {height(finding.legsM.before)} before its top and {height(finding.legsM.after)} after
          it.
        </Text>
      )}
      {finding.kind === 'fish' && <OwnFishPart finding={finding} reading={reading} />}
      <Text bold>Why</Text>
      {finding.reasons.map((reason) => (
        <Text key={reason.name}>– {reasonWords(reason, units)}.</Text>
      ))}
      <Text>{rivalWords(finding.rival)}</Text>
      {numbers && <Text testID="finding-numbers">{findingNumbers(finding)}</Text>}
      <View style={styles.actions}>
        {said ? (
          <>
            <Button label="Take back" onPress={() => onTakeBack(said)} testID="take-back" />
            {otherwise.map((c, k) => (
              <Button key={k} label={`Take back: ${correctionWords(c)}`} onPress={() => onTakeBack(c)} />
            ))}
          </>
        ) : (
          <>
            <Button
              label="It is right"
              onPress={() => onSay({ change: 'agreed', timeS, rangeM, was: calledBy(finding) })}
              testID="agree"
            />
            <Button label="It is not" onPress={onCorrect} testID="correct" />
          </>
        )}
        {hasPlaces() && (
          <Button
            tone="quiet"
            label="Keep as a mark"
            spoken="Keep this as a mark that Deck finds the way back to"
            onPress={() => keepAsMark(finding, reading)}
            testID="keep-as-mark"
          />
        )}
        <Button
          tone="quiet"
          label="Call it"
          spoken="Keep this as a call of the reader, to be proved on Deck"
          onPress={() => callInDay(finding, reading)}
          testID="call-in-day"
        />
        <Button tone="quiet" label="Look closer" onPress={() => closer(1, finding)} />
        {!numbers && <Button tone="quiet" label="Numbers" onPress={() => setNumbers(true)} />}
      </View>
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
  title: { flexDirection: 'row', alignItems: 'baseline', gap: 8 },
  words: { flex: 1, minWidth: 0 },
  more: { paddingLeft: 46, paddingRight: 12, paddingBottom: 14, gap: 6 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 4 },
});
