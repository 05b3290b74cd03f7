import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import type { Settings } from '@/core/picture';
import { changeSettings, passStore } from '@/stores';
import { Chips, Text } from '@/ui';

/** Settings that are one of a few, and what each way is called. */
export const CHOICES = {
  gainMode: { label: 'Who sets the gain', ways: { manual: 'By hand', auto: 'Auto, with your offset' } },
  tvg: { label: 'Gain by depth', ways: { target: 'For fish', volume: 'For layers', flat: 'Off' } },
  power: { label: 'Power', ways: { full: 'Full', low: 'Low' } },
  contrastMode: { label: 'Who sets the contrast', ways: { manual: 'By hand', auto: 'Auto' } },
  between: { label: 'Between pings', ways: { repeat: 'Last ping again', blend: 'Blended' } },
  chartSync: { label: 'Chart speed', ways: { false: 'By hand', true: 'With the boat’s speed' } },
  bedRamp: { label: 'Below the bed', ways: { false: 'Same colours', true: 'Colours of its own' } },
} as const satisfies Partial<Record<keyof Settings, { label: string; ways: Record<string, string> }>>;

export type Choice = keyof typeof CHOICES;

/** A setting that is one of a few, as a row of chips. */
export function ChoiceDial({ name }: { name: Choice }) {
  const value = useStore(passStore, (s) => s.settings[name]);
  const { label, ways } = CHOICES[name];
  const asSetting = (way: string): unknown => (typeof value === 'boolean' ? way === 'true' : way);
  return (
    <View style={styles.choice}>
      <Text faint kind="small" aria-hidden>
        {label}
      </Text>
      <Chips
        label={label}
        value={String(value)}
        options={Object.entries(ways).map(([way, words]) => ({ value: way, label: words as string }))}
        onChange={(way) => changeSettings({ [name]: asSetting(way) })}
      />
    </View>
  );
}

const styles = StyleSheet.create({ choice: { gap: 4, paddingHorizontal: 12 } });
