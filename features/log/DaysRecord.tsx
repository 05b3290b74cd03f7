import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Tally } from '@/core/logbook/callRecord';
import { wilson } from '@/core/maths';
import { Button, Text, useTones } from '@/ui';
import { useUnits } from '../units';
import { useLogAnswer } from '../useLogAnswer';
import {
  callBeamLine,
  callDepthLine,
  callRecordWords,
  kindLine,
  readerCallWords,
  lureLine,
  sureLine,
} from '../words/daysRecord';

/** A share as a dot in its interval, of nought to all; where it was said to be, a line. */
function IntervalBar({ tally, said }: { tally: Tally; said: number | null }) {
  const tones = useTones();
  const [low, high] = wilson(tally.right, tally.of);
  return (
    <View style={[styles.bar, { borderColor: tones.rule }]} aria-hidden>
      <View
        style={[
          styles.span,
          { left: `${100 * low}%`, width: `${100 * (high - low)}%`, backgroundColor: tones.water },
        ]}
      />
      <View
        style={[styles.dot, { left: `${(100 * tally.right) / tally.of}%`, backgroundColor: tones.ink }]}
      />
      {said !== null && (
        <View style={[styles.said, { left: `${100 * said}%`, backgroundColor: tones.buoy }]} />
      )}
    </View>
  );
}

const CALLS = { of: 'calls' } as const;

/** What the days on the water say: how often one's own calls were right, how sure that is, and what the lures did. */
export function DaysRecord() {
  const [open, setOpen] = useState(false);
  const units = useUnits();
  const router = useRouter();
  const { answer, simulated } = useLogAnswer(CALLS);
  if (!answer) return null;
  const { calls, readers, lures } = answer;
  const words = callRecordWords(calls);
  const readerWords = readerCallWords(readers);
  if (words.length === 0 && lures.length === 0 && readerWords === null) return null;
  return (
    <View style={styles.part} testID="days-record">
      <Text kind="heading">Your calls{simulated ? ', on simulated days' : ''}</Text>
      {words.length > 0 && <Text>{words.join(' ')}</Text>}
      {readerWords && <Text testID="reader-calls">{readerWords}</Text>}
      <View style={styles.row}>
        <Button
          tone="quiet"
          label={open ? 'Fold' : 'By kind, depth, beam, sureness, lure'}
          onPress={() => setOpen(!open)}
          testID="open-days-record"
        />
        <Button
          tone="quiet"
          label="Train your eye"
          onPress={() => router.push('/train')}
          testID="train-calls"
        />
      </View>
      {open && (
        <>
          {calls.byWhat.map((line) => (
            <View key={line.what}>
              <Text>{kindLine(line)}</Text>
              <IntervalBar tally={line.tally} said={null} />
            </View>
          ))}
          {calls.byDepth.map((line) => (
            <View key={line.fromM}>
              <Text>{callDepthLine(line, units)}</Text>
              <IntervalBar tally={line.tally} said={null} />
            </View>
          ))}
          {calls.byBeam.map((line) => (
            <View key={line.beam}>
              <Text>{callBeamLine(line)}</Text>
              <IntervalBar tally={line.tally} said={null} />
            </View>
          ))}
          {calls.bySure.map((line) => (
            <View key={line.sure}>
              <Text>{sureLine(line)}</Text>
              <IntervalBar tally={line.tally} said={line.sure} />
            </View>
          ))}
          {calls.bySure.length > 0 && (
            <Text faint kind="small">
              The dot is what came out, the band how far it can be trusted, the line what you said.
            </Text>
          )}
          {lures.map((record) => (
            <Text key={record.lure}>{lureLine(record)}</Text>
          ))}
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: 6, maxWidth: 640 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  bar: { height: 14, borderWidth: 1, borderRadius: 2, marginTop: 2, overflow: 'hidden' },
  span: { position: 'absolute', top: 0, bottom: 0, opacity: 0.45 },
  dot: { position: 'absolute', top: 1, width: 10, height: 10, marginLeft: -5, borderRadius: 5 },
  said: { position: 'absolute', top: 0, bottom: 0, width: 3, marginLeft: -1 },
});
