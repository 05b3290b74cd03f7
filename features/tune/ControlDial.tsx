import { View } from 'react-native';
import { useStore } from 'zustand';
import { CONTROLS, type ControlName, type Settings } from '@/core/picture';
import { unitOf } from '@/core/rig';
import { changeSettings, passStore } from '@/stores';
import { Button, Dial } from '@/ui';
import { useUnits } from '../units';
import { controlName, controlValue, dialScale } from '../words/controls';

interface Props {
  name: ControlName;
  /** Highest it is turned here, in SI, where that is less than it can be. */
  highest?: number;
}

/** The dial of a control, all of it from the table. Follows its own setting and nothing else. */
export function ControlDial({ name, highest }: Props) {
  const units = useUnits();
  const setting = CONTROLS[name].setting as keyof Settings;
  const value = useStore(passStore, (s) => s.settings[setting]) as number | null;
  const unit = useStore(passStore, (s) => unitOf(s.pass.rig));
  const scale = dialScale(name, units);
  const shown = value ?? CONTROLS[name].lowest;
  const high = highest === undefined ? scale.high : Math.min(scale.high, Math.round(scale.toDial(highest)));
  const dial = (
    <Dial
      label={controlName(name, unit)}
      name={`dial-${name}`}
      value={scale.toDial(shown)}
      low={scale.low}
      high={high}
      step={scale.step}
      stride={scale.stride}
      show={(x) => (value === null ? 'off' : controlValue(name, scale.fromDial(x), units))}
      onChange={(x) => changeSettings({ [setting]: scale.fromDial(x) })}
    />
  );
  if (CONTROLS[name].plain !== null || value === null) return dial;
  return (
    <View>
      {dial}
      <Button
        tone="quiet"
        label="Off"
        spoken={`${controlName(name, unit)}: off`}
        onPress={() => changeSettings({ [setting]: null })}
      />
    </View>
  );
}
