import { Pressable, ScrollView, StyleSheet } from 'react-native';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import type { Reading } from '@/core/reading';
import { Icon, Text, TOUCH_PX, useTones } from '@/ui';
import { readStore, SEEN, switchSeen, turnTogether, turnTruth, type Seen } from './readStore';

const WORDS: Record<Seen, string> = {
  fish: 'Fish',
  cloud: 'Bait',
  cover: 'On the bed',
  bed: 'Bed line',
  water: 'Layers and echoes',
};

/** What there is of each kind on a pass. */
function countsOf({ findings, layers, named, lures, bed }: Reading): Record<Seen, number> {
  const of = (kind: Seen): number => findings.filter((f) => f.kind === kind).length;
  return {
    fish: of('fish'),
    cloud: of('cloud'),
    cover: of('cover'),
    bed: bed.rangeM.some((r) => r > 0) ? 1 : 0,
    water: layers.length + lures.length + named.filter((e) => e.kind !== 'electrical-bar').length,
  };
}

function Switch({
  words,
  on,
  onPress,
  testID,
}: {
  words: string;
  on: boolean;
  onPress: () => void;
  testID: string;
}) {
  const tones = useTones();
  return (
    <Pressable
      role="checkbox"
      aria-checked={on}
      aria-label={words}
      onPress={onPress}
      style={[styles.chip, { borderColor: on ? tones.water : tones.faint }]}
      testID={testID}
    >
      <Icon
        name={on ? 'checkbox-marked' : 'checkbox-blank-outline'}
        size={20}
        colour={on ? tones.water : tones.ink}
      />
      <Text kind="small">{words}</Text>
    </Pressable>
  );
}

/** Each kind that was seen, and of made water the truth, to be drawn and listed or not. */
export function SeenSwitches({
  reading,
  made,
  other,
}: {
  reading: Reading;
  made: boolean;
  /** What the boat's other beam is called. */
  other: string | null;
}) {
  const { hidden, truth, together } = useStore(
    readStore,
    useShallow((s) => ({ hidden: s.hidden, truth: s.truth, together: s.together })),
  );
  const counts = countsOf(reading);
  return (
    <ScrollView
      horizontal
      showsHorizontalScrollIndicator={false}
      role="group"
      aria-label="What is shown"
      style={styles.scroll}
      contentContainerStyle={styles.row}
    >
      {SEEN.filter((kind) => counts[kind] > 0).map((kind) => {
        const words = kind === 'bed' ? WORDS.bed : `${WORDS[kind]} ${counts[kind]}`;
        return (
          <Switch
            key={kind}
            words={words}
            on={!hidden.includes(kind)}
            onPress={() => switchSeen(kind)}
            testID={`seen-${kind}`}
          />
        );
      })}
      {other && (
        <Switch words={`With ${other}`} on={together} onPress={turnTogether} testID="turn-together" />
      )}
      {made && <Switch words="Truth" on={truth} onPress={turnTruth} testID="turn-truth" />}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  scroll: { flexGrow: 0 },
  row: { gap: 8, paddingHorizontal: 12, paddingVertical: 8 },
  chip: {
    minHeight: TOUCH_PX,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 6,
    paddingHorizontal: 10,
    borderRadius: 4,
    borderWidth: 1,
  },
});
