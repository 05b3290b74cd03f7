import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { isPinnable, type Debated, type Pinnable, type Setup, type SetupLine } from '@/core/advice';
import { CONTROLS, type PictureKind } from '@/core/picture';
import { keepTo, pinLine, stopTrying, tryingStore } from '@/stores';
import { Button, Dial, Sheet, Text, Tick, useTones } from '@/ui';
import { useUnits } from '../units';
import { controlName } from '../words/controls';
import { PRACTICE_WORDS } from '../words/practices';
import { becauseWords, lineReason } from '../words/reasons';
import { lineValue, pinWords } from '../words/setupValues';
import { useOwnUnit } from './usePlan';

/** The other ways to set a line, each with its own value and reason. */
function OtherWays({ line, setup }: { line: SetupLine; setup: Setup }) {
  const units = useUnits();
  const own = useOwnUnit();
  const tones = useTones();
  const valueOf = (other: SetupLine['others'][number]): string =>
    lineValue({ control: line.control, ...other }, units, setup.prediction.face, own);
  return (
    <View role="list" aria-label={`Other ways, ${controlName(line.control, own)}`} style={styles.ways}>
      {line.others.map((other) => (
        <View
          key={other.practice}
          role="listitem"
          style={[styles.way, { borderLeftColor: tones.water }]}
          testID={`practice-${line.control}-${other.practice}`}
        >
          <View style={styles.wayHead}>
            <Text bold>{PRACTICE_WORDS[other.practice]}</Text>
            {valueOf(other) !== PRACTICE_WORDS[other.practice] && <Text kind="figure">{valueOf(other)}</Text>}
          </View>
          <Text faint kind="small">
            {becauseWords(other.because, units)}
          </Text>
          <View style={styles.habit}>
            <Button
              tone="quiet"
              label="Set it this way"
              spoken={`${controlName(line.control, own)}: set it this way, ${PRACTICE_WORDS[other.practice]}`}
              onPress={() => keepTo(line.control as Debated, other.practice)}
              testID={`habit-${line.control}-${other.practice}`}
            />
          </View>
        </View>
      ))}
    </View>
  );
}

/** Holds a line at a value of the user's own. */
function Held({ line, card }: { line: SetupLine & { control: Pinnable }; card: PictureKind }) {
  const units = useUnits();
  const own = useOwnUnit();
  const { lowest, highest, step, stride } = CONTROLS[line.control];
  return (
    <Dial
      label={`${controlName(line.control, own)}, held`}
      name={`pin-${line.control}`}
      value={line.value}
      low={lowest}
      high={highest}
      step={step}
      stride={stride}
      show={(x) => pinWords(line.control, x, units)}
      onChange={(x) => pinLine(line.control, x, card)}
    />
  );
}

/** How trying the gain gets on. */
function Trying({ of }: { of: string }) {
  const { key, share, left } = useStore(tryingStore);
  const problem = left[of];
  if (problem) return <Text role="alert">Trying it on made passes did not work. {problem}</Text>;
  if (key !== of) return null;
  return (
    <View style={styles.trying}>
      <Text style={styles.grow} testID="trying-share">
        Trying it on made passes over water like yours: {Math.round(100 * share)}&nbsp;%
      </Text>
      <Button
        tone="quiet"
        label="Stop"
        spoken="Stop trying"
        onPress={() => stopTrying(true)}
        testID="stop-trying"
      />
    </View>
  );
}

interface Props {
  line: SetupLine;
  setup: Setup;
  card: PictureKind;
  untried: string | null;
  onClose: () => void;
}

/** One line of the card: its reason, the other ways to set it, and a hold. */
export function LineSheet({ line, setup, card, untried, onClose }: Props) {
  const units = useUnits();
  const own = useOwnUnit();
  const { control } = line;
  return (
    <Sheet title={controlName(control, own)} open onClose={onClose}>
      <Text bold style={styles.value} testID={`sheet-${control}`}>
        {lineValue(line, units, setup.prediction.face, own)}
      </Text>
      <Text>{lineReason(line, units)}</Text>
      {control === 'gain' && untried !== null && <Trying of={untried} />}
      {isPinnable(control) && (
        <Tick
          label="Hold at a value of mine"
          on={line.pinned}
          onPress={() => pinLine(control, line.pinned ? null : line.value, card)}
          testID={`hold-${control}`}
        />
      )}
      {line.pinned && isPinnable(control) && <Held line={{ ...line, control }} card={card} />}
      {line.others.length > 0 && (
        <>
          <Text kind="heading">Other ways</Text>
          <OtherWays line={line} setup={setup} />
        </>
      )}
    </Sheet>
  );
}

const styles = StyleSheet.create({
  value: { fontSize: 28, lineHeight: 36 },
  ways: { gap: 12 },
  way: { borderLeftWidth: 3, paddingLeft: 12, gap: 2 },
  wayHead: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'baseline',
    columnGap: 12,
    flexWrap: 'wrap',
  },
  trying: { flexDirection: 'row', alignItems: 'center', columnGap: 12 },
  grow: { flex: 1, minWidth: 0 },
  habit: { alignItems: 'flex-start' },
});
