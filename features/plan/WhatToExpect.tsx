import { memo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import type { Brief, Expectation, Setup } from '@/core/advice';
import type { Rig } from '@/core/rig';
import { foldExpectation, preferenceStore } from '@/stores';
import { Icon, Text, TOUCH_PX, useTones } from '@/ui';
import { useUnits } from '../units';
import { expectationWords, VERDICT_WORDS } from '../words/expectation';
import { FishPicture } from './FishPicture';

interface Props {
  brief: Brief;
  /** As the open unit has it. */
  rig: Rig;
  setup: Setup;
  expected: Expectation;
}

const PICTURE = { width: 168, height: 132 };
const LARGE_PICTURE = { width: 260, height: 190 };
/** From this width on the large picture leaves the words a column of their own, px. */
const ROOMY_PX = 440;

/** What the setup will show: a picture, a verdict, two or three sentences; folds to one line. */
export const WhatToExpect = memo(function WhatToExpect({ brief, rig, setup, expected }: Props) {
  const units = useUnits();
  const tones = useTones();
  const [roomPx, setRoomPx] = useState(0);
  const folded = useStore(preferenceStore, (s) => s.expectationFolded);
  const { verdict, lines } = expectationWords(brief, expected, setup, units);
  const word = (
    <View
      style={[
        styles.verdict,
        { borderColor: verdict === 'clear' ? tones.water : tones.buoy },
        verdict === 'clear' && { backgroundColor: tones.water },
      ]}
    >
      <Text kind="small" bold style={{ color: verdict === 'clear' ? tones.onWater : tones.ink }}>
        {VERDICT_WORDS[verdict]}
      </Text>
    </View>
  );
  return (
    <View
      style={[styles.expect, { borderColor: tones.rule }]}
      role="region"
      aria-label="What to expect"
      onLayout={({ nativeEvent: { layout } }) => setRoomPx(layout.width)}
    >
      <Pressable
        role="button"
        aria-expanded={!folded}
        aria-label={folded ? `What to expect: ${verdict}. ${lines[0]} Show` : 'What to expect: fold'}
        onPress={() => foldExpectation(!folded)}
        style={styles.head}
        testID="fold-expectation"
      >
        {word}
        <Text style={styles.grow} numberOfLines={1}>
          {folded ? lines[0] : 'What to expect'}
        </Text>
        <Icon name={folded ? 'chevron-down' : 'chevron-up'} colour={tones.ink} />
      </Pressable>
      {!folded && (
        <View style={styles.side}>
          <FishPicture
            brief={brief}
            rig={rig}
            setup={setup}
            expected={expected}
            {...(roomPx >= ROOMY_PX ? LARGE_PICTURE : PICTURE)}
          />
          <View testID="expectation" style={styles.words}>
            {lines.map((line) => (
              <Text key={line}>{line}</Text>
            ))}
          </View>
        </View>
      )}
    </View>
  );
});

const styles = StyleSheet.create({
  expect: { borderTopWidth: 1, borderBottomWidth: 1 },
  head: { minHeight: TOUCH_PX, flexDirection: 'row', alignItems: 'center', gap: 10 },
  verdict: { borderWidth: 2, borderRadius: 4, paddingHorizontal: 8, paddingVertical: 2 },
  grow: { flex: 1, minWidth: 0 },
  side: { flexDirection: 'row', gap: 12, paddingBottom: 10 },
  words: { gap: 6, flex: 1, minWidth: 0 },
});
