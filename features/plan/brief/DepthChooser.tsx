import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { deepestFishOf, withDepths, type Brief } from '@/core/advice';
import type { Result } from '@/core/formats';
import { planStore } from '@/stores';
import { Button, NumberField, SpanDial, Text, Tick } from '@/ui';
import { useChange, useSteps } from './useChange';

/** Where the fish are and how deep the bed is: on one slider, or typed in any order. */
export function DepthChooser() {
  const { brief } = useStore(planStore);
  const { change, problem } = useChange();
  const { system, depth } = useSteps();
  const show = (x: number): string => `${x.toFixed(0)}\u00a0${depth.unit}`;
  const deepest = Math.round(depth.fromSi(brief.toM > 40 ? 180 : 60));
  const gap = Math.ceil(depth.fromSi(1));
  const from = Math.round(depth.fromSi(brief.fromM));
  const to = Math.round(depth.fromSi(brief.toM));
  const set = (depths: Partial<Pick<Brief, 'fromM' | 'fishToM' | 'toM'>>): Result =>
    change(withDepths(brief, depths));
  const typed = (
    label: string,
    valueM: number,
    least: number,
    most: number,
    take: (m: number) => Result,
    name: string,
  ) => (
    <NumberField
      label={label}
      unit={depth.unit}
      value={depth.fromSi(valueM)}
      low={least}
      high={Math.floor(depth.fromSi(most))}
      length={system}
      onChange={(x) => take(depth.toSi(x))}
      testID={name}
    />
  );
  return (
    <>
      <SpanDial
        low={1}
        high={deepest}
        step={1}
        apart={gap}
        show={show}
        from={{
          label: 'Shallowest fish',
          name: 'depth-from',
          value: from,
          onChange: (x) => set({ fromM: depth.toSi(x) }),
        }}
        to={{
          label: 'Bed',
          name: 'depth-to',
          value: to,
          onChange: (x) => set({ toM: Math.max(2, depth.toSi(x)) }),
        }}
      />
      <View style={styles.row}>
        {typed('Fish from', brief.fromM, 1, 299, (m) => set({ fromM: m }), 'typed-from')}
        {brief.fishToM !== null &&
          typed('Fish to', brief.fishToM, 1, 300, (m) => set({ fishToM: m }), 'typed-fish-to')}
        {typed('Bed at', brief.toM, 2, 300, (m) => set({ toM: m }), 'typed-to')}
      </View>
      <Tick
        label="Fish keep off the bed"
        hint="then say how deep they go"
        on={brief.fishToM !== null}
        onPress={() =>
          set({ fishToM: brief.fishToM === null ? (brief.fromM + deepestFishOf(brief)) / 2 : null })
        }
      />
      {problem && <Text role="alert">{problem}</Text>}
      {brief.toM >= depth.toSi(deepest) - 0.5 && deepest < depth.fromSi(100) && (
        <Button label="Deeper water" onPress={() => set({ toM: 60 })} />
      )}
    </>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
});
