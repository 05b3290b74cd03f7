import { excessNoiseFromWeight } from '@/core/rig';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { waterOf } from '@/core/advice';
import { measure } from '@/core/units';
import { DEFAULT_EXCESS_NOISE_DB, type Engine } from '@/core/water';
import { problemOf } from '@/core/formats';
import { changeRig, notify, planStore } from '@/stores';
import { Button, Chips, NumberField, Text } from '@/ui';
import { useUnits } from '../units';
import { useLogAnswer } from '../useLogAnswer';

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
  const { answer, simulated } = useLogAnswer({ of: 'noise', rig });
  const learned = answer?.noise ?? null;
  const face = rig.faces[0]!;
  const excess = excessNoiseFromWeight(rig, face, waterOf(brief), {
    massKg: Number(massKg),
    lostAtM,
    engine,
  });
  return (
    <View style={styles.block}>
      <Text>
        Lower a small lead weight straight under the {face.label}. Turn the gain up to first specks. Note the
        depth where you lose it. The bed is no use for this: it shows far too deep.
      </Text>
      <Text faint>
        {rig.excessNoiseDb === DEFAULT_EXCESS_NOISE_DB
          ? 'Your boat’s noise is assumed, not measured.'
          : 'Your boat’s noise is measured. Measure again after a change of mount or engine.'}
      </Text>
      {learned && (
        <>
          <Text testID="learned-noise">
            Your {simulated ? 'simulated days' : 'days'} say {Math.round(learned.medianDb)} dB over the
            quietest, from {learned.count} {learned.count === 1 ? 'weight' : 'weights'} lost
            {learned.count > 1
              ? `, ${Math.round(learned.lowDb)} to ${Math.round(learned.highDb)} dB each`
              : ''}
            .
          </Text>
          <Button
            label="Use what the days say"
            onPress={() => {
              const wrong = problemOf(changeRig({ excessNoiseDb: Math.round(learned.medianDb * 10) / 10 }));
              notify(wrong ?? 'Saved. Your plan now uses the noise your days tell of.');
            }}
            testID="use-learned"
          />
        </>
      )}
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
        label="Use this depth"
        spoken={`Use this depth: noise ${Math.round(excess)} dB over the quietest`}
        onPress={() => {
          const wrong = problemOf(changeRig({ excessNoiseDb: Math.round(excess * 10) / 10 }));
          notify(
            wrong ??
              `Saved. Your plan now uses your boat’s own noise, measured at ${show('depth', lostAtM)}.`,
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
