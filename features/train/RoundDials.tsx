import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { CONTROLS, type Settings } from '@/core/picture';
import { unitOf, type Rig } from '@/core/rig';
import { TURNED } from '@/core/training/dialledIn';
import { Chips, Dial } from '@/ui';
import { useUnits } from '../units';
import { controlName, controlValue, dialScale } from '../words/controls';
import { turnRound } from './sittingStore';

type Turned = (typeof TURNED)[number];

/** The dials of a round, one under the thumb at a time. */
export function RoundDials({ settings, rig }: { settings: Settings; rig: Rig }) {
  const units = useUnits();
  const unit = unitOf(rig);
  const [name, setName] = useState<Turned>('gain');
  const setting = CONTROLS[name].setting as keyof Settings;
  const value = settings[setting] as number;
  const scale = dialScale(name, units);
  return (
    <View style={styles.dials}>
      <Chips
        label="Dial"
        value={name}
        options={TURNED.map((n) => ({ value: n, label: controlName(n, unit) }))}
        onChange={setName}
        compact
      />
      <Dial
        label={controlName(name, unit)}
        name="round-dial"
        value={scale.toDial(value)}
        low={scale.low}
        high={scale.high}
        step={scale.step}
        stride={scale.stride}
        show={(x) => controlValue(name, scale.fromDial(x), units)}
        onChange={(x) => turnRound({ [setting]: scale.fromDial(x) })}
      />
    </View>
  );
}

const styles = StyleSheet.create({ dials: { gap: 6 } });
