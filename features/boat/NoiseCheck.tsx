import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { excessNoiseFromWeight, waterOf } from '@/core/advice';
import { measure } from '@/core/units';
import type { Engine } from '@/core/water';
import { changeRig, notify, planStore } from '@/stores';
import { Button, Chips, NumberField, Text } from '@/ui';
import { useUnits } from '../units';

/** Small weights anglers have, kg. */
const WEIGHTS = [
  { value: '0.0004', label: '0.4 g shot' },
  { value: '0.0035', label: '3.5 g jig' },
] as const;

/** The rig's own noise, from the depth at which a small weight is lost. */
export function NoiseCheck() {
  const { rig, brief } = useStore(planStore);
  const { system, show } = useUnits();
  const depth = measure(system, 'depth');
  const [massKg, setMass] = useState<(typeof WEIGHTS)[number]['value']>('0.0035');
  const [engine, setEngine] = useState<Engine>('off');
  const [lostAtM, setLost] = useState(12);
  const face = rig.faces[0]!;
  const excess = excessNoiseFromWeight(rig, face, waterOf(brief), {
    massKg: Number(massKg),
    lostAtM,
    engine,
  });
  return (
    <View style={styles.block}>
      <Text kind="heading">How noisy is your boat?</Text>
      <Text>
        Lower a small lead weight straight under {face.label}, gain up to the first specks, and note where it
        is lost. The bed is no use for this: it shows far too deep. Now: {Math.round(rig.excessNoiseDb)} dB
        over the quietest there can be.
      </Text>
      <Chips label="Weight" options={WEIGHTS} value={massKg} onChange={setMass} />
      <Chips
        label="Engine"
        options={[
          { value: 'off', label: 'At rest' },
          { value: 'gear', label: 'In gear' },
        ]}
        value={engine === 'planing' ? 'gear' : engine}
        onChange={setEngine}
      />
      <NumberField
        label="Lost at"
        unit={depth.unit}
        value={depth.fromSi(lostAtM)}
        low={Math.ceil(depth.fromSi(0.5))}
        high={Math.round(depth.fromSi(100))}
        onChange={(x) => setLost(depth.toSi(x))}
        length={system}
        testID="lost-at"
      />
      <Button
        label={`Use it: ${Math.round(excess)} dB`}
        onPress={() => {
          const wrong = changeRig({ excessNoiseDb: Math.round(excess * 10) / 10 });
          notify(
            wrong ??
              `Every prediction now counts with your boat's own noise, lost at ${show('depth', lostAtM)}.`,
          );
        }}
        testID="use-noise"
      />
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: 10, paddingBottom: 28 },
});
