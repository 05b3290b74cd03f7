import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { PALETTE_NAMES, PALETTES, type Settings } from '@/core/picture';
import { measure } from '@/core/units';
import { benchStore, changeSettings, setNow } from '@/stores';
import { Chips, Dial, Text } from '@/ui';
import { clock, useUnits } from '../units';

/** Dials in the order a practitioner turns them. */
const DIALS = [
  { value: 'range', label: 'Range' },
  { value: 'frequency', label: 'Frequency' },
  { value: 'gain', label: 'Gain' },
  { value: 'colour', label: 'Colour' },
  { value: 'noise', label: 'Noise' },
  { value: 'chart', label: 'Chart speed' },
  { value: 'time', label: 'Back in time' },
] as const;
type DialName = (typeof DIALS)[number]['value'];

const signedDb = (x: number): string => `${x > 0 ? '+' : x < 0 ? '−' : ''}${Math.abs(x).toFixed(0)}\u00a0dB`;
const steps =
  (most: number) =>
  (x: number): string =>
    x === 0 ? 'off' : `${x} of ${most}`;

function RangeDial({ settings }: { settings: Settings }) {
  const { system } = useUnits();
  const depth = measure(system, 'depth');
  const deepest = useStore(benchStore, (s) => s.brief.toM);
  return (
    <Dial
      label="Range, from the surface down to"
      name="dial-range"
      value={Math.round(depth.fromSi(settings.rangeM))}
      low={Math.ceil(depth.fromSi(2))}
      high={Math.round(depth.fromSi(Math.max(30, 2.2 * deepest)))}
      step={1}
      show={(x) => `${x.toFixed(0)}\u00a0${depth.unit}`}
      onChange={(x) => changeSettings({ rangeM: depth.toSi(x) })}
    />
  );
}

function TimeDial() {
  const { nowS, facts } = useStore(benchStore);
  const end = facts?.durationS ?? 0;
  if (end === 0) return <Text faint>There is no pass on the bench yet.</Text>;
  return (
    <Dial
      label="Right edge of the picture"
      name="dial-time"
      value={nowS ?? end}
      low={0}
      high={Math.floor(end)}
      step={1}
      show={(x) => `${clock(x)} of ${clock(end)}`}
      onChange={(x) => setNow(x >= Math.floor(end) ? null : x)}
    />
  );
}

function OneDial({ dial }: { dial: DialName }) {
  const settings = useStore(benchStore, (s) => s.settings);
  const faces = useStore(benchStore, (s) => s.rig.faces);
  const fastest = useStore(benchStore, (s) => s.rig.fastestPingRate);
  switch (dial) {
    case 'range':
      return <RangeDial settings={settings} />;
    case 'time':
      return <TimeDial />;
    case 'frequency':
      return (
        <View style={styles.group}>
          <Chips
            label="Frequency"
            value={settings.faceId}
            options={faces.map((f) => ({ value: f.id, label: f.label }))}
            onChange={(faceId) => changeSettings({ faceId })}
          />
          <Dial
            label="Ping rate"
            name="dial-ping-rate"
            value={settings.pingRate}
            low={0.5}
            high={fastest}
            step={0.5}
            show={(x) => `${x.toFixed(1)}\u00a0a second`}
            onChange={(pingRate) => changeSettings({ pingRate })}
          />
        </View>
      );
    case 'gain':
      return (
        <Dial
          label="Gain"
          name="dial-gain"
          value={settings.gainDb}
          low={-30}
          high={40}
          step={1}
          show={signedDb}
          onChange={(gainDb) => changeSettings({ gainDb })}
        />
      );
    case 'colour':
      return (
        <View style={styles.group}>
          <Dial
            label="First colour, over the weakest"
            name="dial-first-colour"
            value={settings.firstColourDb}
            low={0}
            high={30}
            step={1}
            show={signedDb}
            onChange={(firstColourDb) => changeSettings({ firstColourDb })}
          />
          <Dial
            label="Colour spread, weak to strong"
            name="dial-colour-spread"
            value={settings.colourSpreadDb}
            low={10}
            high={60}
            step={1}
            show={(x) => `${x.toFixed(0)}\u00a0dB`}
            onChange={(colourSpreadDb) => changeSettings({ colourSpreadDb })}
          />
          <Chips
            label="Palette"
            value={settings.palette}
            options={PALETTE_NAMES.map((name) => ({ value: name, label: PALETTES[name].label }))}
            onChange={(palette) => changeSettings({ palette })}
          />
        </View>
      );
    case 'noise':
      return (
        <View style={styles.group}>
          <Dial
            label="Other sounders"
            name="dial-other-sounders"
            value={settings.otherSounders}
            low={0}
            high={3}
            step={1}
            show={steps(3)}
            onChange={(otherSounders) => changeSettings({ otherSounders })}
          />
          <Dial
            label="Noise rejection"
            name="dial-noise-rejection"
            value={settings.noiseRejection}
            low={0}
            high={8}
            step={1}
            show={steps(8)}
            onChange={(noiseRejection) => changeSettings({ noiseRejection })}
          />
          <Dial
            label="Top water"
            name="dial-top-water"
            value={settings.topWater}
            low={0}
            high={10}
            step={1}
            show={steps(10)}
            onChange={(topWater) => changeSettings({ topWater })}
          />
        </View>
      );
    case 'chart':
      return (
        <Dial
          label="Chart speed"
          name="dial-chart-speed"
          value={settings.chartSpeed}
          low={0.5}
          high={40}
          step={0.5}
          show={(x) => `${x.toFixed(1)} columns\u00a0a second`}
          onChange={(chartSpeed) => changeSettings({ chartSpeed })}
        />
      );
  }
}

/** One dial at a time under the thumb; all of them in a column when there is room. */
export function Dials({ wide }: { wide: boolean }) {
  const [dial, setDial] = useState<DialName>('gain');
  if (wide)
    return (
      <View style={styles.column}>
        {DIALS.map(({ value, label }) => (
          <View key={value} role="group" aria-label={label}>
            <OneDial dial={value} />
          </View>
        ))}
      </View>
    );
  return (
    <View style={styles.phone}>
      <ScrollView horizontal showsHorizontalScrollIndicator={false} contentContainerStyle={styles.chips}>
        <Chips label="Dial" value={dial} options={DIALS} onChange={setDial} nowrap />
      </ScrollView>
      <ScrollView style={styles.one}>
        <OneDial dial={dial} />
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  column: { gap: 14 },
  group: { gap: 10 },
  phone: { gap: 6 },
  chips: { paddingHorizontal: 12 },
  one: { maxHeight: 190, minHeight: 84, paddingHorizontal: 4 },
});
