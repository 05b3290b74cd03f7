import { memo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import {
  isPinnable,
  PIN_RANGE,
  type Debated,
  type Pinnable,
  type Setup,
  type SetupLine,
} from '@/core/advice';
import { keepTo, pinLine } from '@/stores';
import { Button, Dial, Text, useTones } from '@/ui';
import { useUnits } from '../units';
import { useOwnUnit } from './usePlan';
import { becauseWords, CONTROL_WORDS, lineReason, lineValue, pinWords, SCHOOL_WORDS } from './wording';

/** The two pictures a boat has a setup for. */
export type Card = 'cone' | 'slice';

/** The other schools of a line, each with its own value and reason. */
function Schools({ line, setup }: { line: SetupLine; setup: Setup }) {
  const units = useUnits();
  const own = useOwnUnit();
  const tones = useTones();
  return (
    <View role="list" aria-label={`Other ways, ${CONTROL_WORDS[line.control]}`} style={styles.schools}>
      {line.others.map((other) => (
        <View
          key={other.school}
          role="listitem"
          style={[styles.school, { borderLeftColor: tones.water }]}
          testID={`school-${line.control}-${other.school}`}
        >
          <View style={styles.lineHead}>
            <Text bold>{SCHOOL_WORDS[other.school]}</Text>
            <Text kind="figure">
              {lineValue({ control: line.control, ...other }, units, setup.prediction.face, own)}
            </Text>
          </View>
          <Text faint kind="small">
            {becauseWords(other.because, units)}
          </Text>
          <View style={styles.habit}>
            <Button
              tone="quiet"
              label="Make it my habit"
              spoken={`${CONTROL_WORDS[line.control]}: make ${SCHOOL_WORDS[other.school]} my habit`}
              onPress={() => keepTo(line.control as Debated, other.school)}
            />
          </View>
        </View>
      ))}
    </View>
  );
}

/** Holds a line at a value of the user's own. */
function Pin({ line, card }: { line: SetupLine & { control: Pinnable }; card: Card }) {
  const units = useUnits();
  const [low, high, step] = PIN_RANGE[line.control];
  return (
    <Dial
      label={`${CONTROL_WORDS[line.control]}, held`}
      name={`pin-${line.control}`}
      value={line.value}
      low={low}
      high={high}
      step={step}
      show={(x) => pinWords(line.control, x, units)}
      onChange={(x) => pinLine(line.control, x, card)}
    />
  );
}

function Line({ line, setup, card }: { line: SetupLine; setup: Setup; card: Card }) {
  const units = useUnits();
  const own = useOwnUnit();
  const tones = useTones();
  const [open, setOpen] = useState(false);
  const words = CONTROL_WORDS[line.control];
  const { control } = line;
  const ways = `${line.others.length} other ${line.others.length === 1 ? 'way' : 'ways'}`;
  return (
    <View role="listitem" style={[styles.line, { borderTopColor: tones.rule }]}>
      <View style={styles.lineHead}>
        <Text bold>{words}</Text>
        <Text kind="figure" style={styles.value} testID={`setup-${control}`}>
          {lineValue(line, units, setup.prediction.face, own)}
        </Text>
      </View>
      <Text faint kind="small">
        {lineReason(line, units)}
      </Text>
      <View style={styles.actions}>
        {line.others.length > 0 && (
          <Pressable
            role="button"
            aria-expanded={open}
            aria-label={`${words}: ${ways}`}
            onPress={() => setOpen(!open)}
            style={styles.more}
            testID={`ways-${control}`}
          >
            <Text kind="small" style={{ color: tones.water }}>
              ⇄ {ways}
            </Text>
          </Pressable>
        )}
        {isPinnable(control) && (
          <Pressable
            role="button"
            aria-pressed={line.pinned}
            aria-label={line.pinned ? `${words}: let go` : `${words}: hold at this value`}
            onPress={() => pinLine(control, line.pinned ? null : line.value, card)}
            style={styles.more}
            testID={`hold-${control}`}
          >
            <Text kind="small" style={{ color: tones.water }}>
              {line.pinned ? 'Let go' : 'Hold'}
            </Text>
          </Pressable>
        )}
      </View>
      {line.pinned && isPinnable(control) && <Pin line={{ ...line, control }} card={card} />}
      {open && <Schools line={line} setup={setup} />}
    </View>
  );
}

/** A start setup, a line a control. @param card whose lines are held on it */
export const SetupCard = memo(function SetupCard({ setup, card }: { setup: Setup; card: Card }) {
  return (
    <View role="list" aria-label={card === 'cone' ? 'Start setup' : 'Start setup of the slice'}>
      {setup.lines.map((line) => (
        <Line key={line.control} line={line} setup={setup} card={card} />
      ))}
    </View>
  );
});

const styles = StyleSheet.create({
  line: { borderTopWidth: 1, paddingTop: 10, gap: 3, marginTop: 4 },
  lineHead: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'baseline',
    columnGap: 12,
    flexWrap: 'wrap',
  },
  value: { flexShrink: 1 },
  actions: { flexDirection: 'row', columnGap: 24, flexWrap: 'wrap' },
  schools: { gap: 12, paddingVertical: 6 },
  school: { borderLeftWidth: 3, paddingLeft: 12, gap: 2 },
  habit: { alignItems: 'flex-start' },
  more: { minHeight: 48, minWidth: 48, justifyContent: 'center' },
});
