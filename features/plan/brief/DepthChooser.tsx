import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { planStore } from '@/stores';
import { Button, NumberField, SpanDial, Text } from '@/ui';
import { useChange, useSteps } from './useChange';

/** From where to where: fish and bed on one slider, or typed. */
export function DepthChooser() {
  const { brief } = useStore(planStore);
  const { change, problem } = useChange();
  const { system, depth } = useSteps();
  const show = (x: number): string => `${x.toFixed(0)}\u00a0${depth.unit}`;
  const deepest = Math.round(depth.fromSi(brief.toM > 40 ? 180 : 60));
  const gap = depth.unit === 'ft' ? 4 : 1;
  const from = Math.round(depth.fromSi(brief.fromM));
  const to = Math.round(depth.fromSi(brief.toM));
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
          onChange: (x) => change({ fromM: depth.toSi(x), toM: Math.max(brief.toM, depth.toSi(x + gap)) }),
        }}
        to={{
          label: 'Bed',
          name: 'depth-to',
          value: to,
          onChange: (x) =>
            change({ toM: Math.max(2, depth.toSi(x)), fromM: Math.min(brief.fromM, depth.toSi(x - gap)) }),
        }}
      />
      <View style={styles.row}>
        <NumberField
          label="Or type: fish from"
          unit={depth.unit}
          value={depth.fromSi(brief.fromM)}
          low={1}
          high={Math.floor(depth.fromSi(299))}
          length={system}
          onChange={(x) => change({ fromM: depth.toSi(x) })}
          testID="typed-from"
        />
        <NumberField
          label="Bed at"
          unit={depth.unit}
          value={depth.fromSi(brief.toM)}
          low={2}
          high={Math.floor(depth.fromSi(300))}
          length={system}
          onChange={(x) => change({ toM: depth.toSi(x) })}
          testID="typed-to"
        />
      </View>
      {problem && <Text role="alert">{problem}</Text>}
      {brief.toM >= depth.toSi(deepest) - 0.5 && deepest < depth.fromSi(100) && (
        <Button label="Deeper water" onPress={() => change({ toM: 60 })} />
      )}
    </>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
});
