import { useEffect } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { COMPARE_SIDES, keepShown, passStore, showBank, showCompared, type CompareSide } from '@/stores';
import { Button, Chips, Dial, Text, useTones } from '@/ui';
import { TRAP_WORDS } from '../words/traps';
import { cursorStore, wipeTo } from './cursorStore';

const SIDE_WORDS: Record<CompareSide, string> = {
  turn: 'Turn',
  beside: 'Beside',
  wipe: 'Wipe',
  blink: 'Blink',
};

/** Between two blinks, ms: slow enough to harm nobody. */
const BLINK_MS = 900;

function useBlink(): void {
  const blinking = useStore(passStore, (s) => s.compared?.side === 'blink');
  useEffect(() => {
    if (!blinking) return;
    const timer = setInterval(() => {
      const { compared } = passStore.getState();
      if (compared) showBank(compared.shown === 'a' ? 'b' : 'a');
    }, BLINK_MS);
    return () => clearInterval(timer);
  }, [blinking]);
}

/** Two ways to set the same pings: which is shown and how, what a lesson says of it, and either kept. */
export function CompareLine() {
  useBlink();
  const tones = useTones();
  const compared = useStore(passStore, (s) => s.compared);
  const trap = useStore(passStore, (s) => s.trap);
  const wipe = useStore(cursorStore, (s) => s.wipe);
  if (!compared) return null;
  const { shown, side } = compared;
  const lesson = trap && TRAP_WORDS[trap];
  return (
    <View style={[styles.line, { borderTopColor: tones.rule }]} testID="compare-line">
      {lesson && (
        <View role="status" testID="lesson">
          <Text kind="small" bold>
            {lesson.title}
          </Text>
          <Text kind="small">
            {shown.toUpperCase()}: {lesson[shown]}
          </Text>
          {side !== 'wipe' && (
            <Text kind="small" faint>
              {lesson.learn}
            </Text>
          )}
        </View>
      )}
      <View style={styles.row}>
        <Chips
          label="Way shown"
          value={shown}
          options={[
            { value: 'a', label: 'A' },
            { value: 'b', label: 'B' },
          ]}
          onChange={showBank}
          nowrap
          compact
        />
        <Chips
          label="Show the two"
          value={side}
          options={COMPARE_SIDES.map((each) => ({ value: each, label: SIDE_WORDS[each] }))}
          onChange={showCompared}
          compact
        />
        <Button
          tone="quiet"
          label={`Use ${shown.toUpperCase()}`}
          spoken={`Go on with ${shown.toUpperCase()}`}
          onPress={keepShown}
          testID="keep-shown"
        />
      </View>
      {side === 'wipe' && (
        <Dial
          label="Divider"
          name="dial-wipe"
          value={Math.round(100 * wipe)}
          low={0}
          high={100}
          step={1}
          stride={10}
          show={(x) => `${x} %`}
          onChange={(x) => wipeTo(x / 100)}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  line: { borderTopWidth: 1, paddingHorizontal: 8, paddingVertical: 4, gap: 4 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' },
});
