import { Suspense, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import type { CutawayFish } from '@/core/bench/cutaway';
import { passStore, setNow } from '@/stores';
import { Text, useWide } from '@/ui';
import { CutawayDrawing } from '../cutaway';
import { useUnits } from '../units';
import { madeWords, sectionWords } from '../words/cutaway';
import { pointAt } from './cursorStore';
import { useCutaway } from './useCutaway';

/** Points at a fish's mark, and goes to where it is on the picture. */
function toMark({ mark }: CutawayFish): void {
  if (!mark) return;
  const { nowS } = passStore.getState();
  if (nowS !== null && nowS < mark.nearestS) setNow(mark.toS + 2);
  pointAt({ timeS: mark.nearestS, depthM: mark.nearestM });
}

/** The true water beside the picture: what made the echo that is pointed at, and why it is drawn where it is. */
export function CutawayPanel() {
  const units = useUnits();
  const wide = useWide();
  const { cutaway, problem, rangeM } = useCutaway();
  const asked = rangeM !== null;
  const [width, setWidth] = useState(0);
  const height = wide ? 190 : 170;
  return (
    <View onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)} testID="cutaway">
      {cutaway && width > 0 && (
        <Suspense fallback={<View style={{ height }} />}>
          <CutawayDrawing cutaway={cutaway} width={width} height={height} rangeM={rangeM} onFish={toMark} />
        </Suspense>
      )}
      <ScrollView style={styles.words} role="status">
        {problem ? (
          <Text kind="small">{problem}</Text>
        ) : cutaway ? (
          (asked ? madeWords(cutaway, units) : [sectionWords(cutaway, units)]).map((words) => (
            <Text kind="small" key={words}>
              {words}
            </Text>
          ))
        ) : (
          <Text kind="small" faint>
            Cutting the water open…
          </Text>
        )}
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  words: { maxHeight: 96, paddingHorizontal: 8, paddingTop: 4 },
});
