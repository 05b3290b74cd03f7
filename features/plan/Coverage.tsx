import { memo, useState } from 'react';
import { useStore } from 'zustand';
import { Pressable, StyleSheet, View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import { driftOver, lanesOver, type Brief, type Ground, type Lanes, type Setup } from '@/core/advice';
import { measure, type UnitSystem } from '@/core/units';
import { Chips, Dial, Text, useTones } from '@/ui';
import { useUnits, type Units } from '../units';
import { decimal } from '@/ui/decimal';
import { groundStore } from './ground';

const SKETCH = { width: 300, height: 180 };

/** The ground from above, the beam's width along each lane. */
function Sketch({ lanes, ground }: { lanes: Lanes; ground: Ground }) {
  const tones = useTones();
  const per = Math.min((SKETCH.width - 20) / ground.lengthM, (SKETCH.height - 20) / ground.widthM);
  const [w, h] = [ground.lengthM * per, ground.widthM * per];
  const [left, middle] = [(SKETCH.width - w) / 2, SKETCH.height / 2];
  return (
    <View
      role="img"
      aria-label={`${lanes.count} lanes over the ground, seen from above`}
      style={styles.sketch}
    >
      <Svg width={SKETCH.width} height={SKETCH.height} aria-hidden>
        {lanes.acrossM.map((y, k) => (
          <Rect
            key={k}
            x={left}
            y={middle + (y - lanes.swathM / 2) * per}
            width={w}
            height={Math.max(1, lanes.swathM * per)}
            fill={tones.water}
            opacity={0.22}
          />
        ))}
        {lanes.acrossM.map((y, k) => (
          <Line
            key={k}
            x1={left}
            x2={left + w}
            y1={middle + y * per}
            y2={middle + y * per}
            stroke={tones.water}
            strokeWidth={1.5}
          />
        ))}
        <Rect
          x={left}
          y={middle - h / 2}
          width={w}
          height={h}
          fill="none"
          stroke={tones.ink}
          strokeWidth={1.5}
        />
      </Svg>
    </View>
  );
}

/** Litres in a US gallon, which goes with feet and miles. */
const L_PER_GALLON = 3.785411784;
const fuelIn = (system: UnitSystem, litres: number): string =>
  system === 'feet' ? `${decimal(litres / L_PER_GALLON, 1)}\u00a0gal` : `${decimal(litres, 1)}\u00a0l`;

const minutes = (s: number): string =>
  s < 5400 ? `${Math.max(1, Math.round(s / 60))}\u00a0min` : `${decimal(s / 3600, 1)}\u00a0h`;

function laneWords(lanes: Lanes, ground: Ground, units: Units, face: string): string {
  const fuel = lanes.fuelL === null ? '' : ` and ${fuelIn(units.system, lanes.fuelL)} of fuel`;
  return (
    `${lanes.count} ${lanes.count === 1 ? 'lane' : `lanes, ${units.height(lanes.spacingM)} apart`}: the ${face} beam covers ${units.height(lanes.swathM)} at ${units.show('depth', ground.depthM, 0)}. ` +
    `${units.show('depth', lanes.distanceM, 0)} to go, ${minutes(lanes.timeS)}${fuel}. ` +
    `A piece of cover ${units.height(ground.coverM)} across is crossed with a chance of ${Math.round(100 * lanes.crossed)}\u00a0%.`
  );
}

/** Lanes or drifts over a flat or a point, with the setup's own beam. */
export const Coverage = memo(function Coverage({ brief, setup }: { brief: Brief; setup: Setup }) {
  const units = useUnits();
  const tones = useTones();
  const [open, setOpen] = useState(false);
  const [way, setWay] = useState<'lanes' | 'drifts'>('lanes');
  const ground = useStore(groundStore);
  const setGround = groundStore.setState;
  const depth = measure(units.system, 'depth');
  const far = (
    label: string,
    name: 'lengthM' | 'widthM' | 'coverM',
    low: number,
    high: number,
    step: number,
  ) => (
    <Dial
      label={label}
      name={`ground-${name}`}
      value={Math.round(depth.fromSi(ground[name]))}
      low={low}
      high={Math.round(depth.fromSi(high))}
      step={step}
      show={(x) => `${x.toFixed(0)}\u00a0${depth.unit}`}
      onChange={(x) => setGround({ [name]: depth.toSi(x) })}
    />
  );
  const whole: Ground = {
    ...ground,
    depthM: brief.toM,
    speedMps: Math.max(0.3, brief.speedMps),
    fuelLph: ground.fuelLph > 0 ? ground.fuelLph : null,
  };
  const { face } = setup.prediction;
  let lanes: Lanes | null = null;
  let problem: string | null = null;
  if (open)
    try {
      lanes = way === 'lanes' ? lanesOver(face, whole) : driftOver(face, whole, brief.windMps);
    } catch (error) {
      problem = `No ${way}: ${error instanceof Error ? error.message.replace(/^\w+: /, '') : String(error)}.`;
    }
  return (
    <View style={[styles.coverage, { borderColor: tones.rule }]}>
      <Pressable
        role="button"
        aria-expanded={open}
        onPress={() => setOpen(!open)}
        style={styles.more}
        testID="coverage"
      >
        <Text bold style={{ color: tones.water }}>
          {open ? 'Hide lanes and drifts' : 'Lanes and drifts over a spot'}
        </Text>
      </Pressable>
      {open && (
        <>
          <Chips
            label="Lanes or drifts"
            value={way}
            options={[
              { value: 'lanes', label: 'Lanes under power' },
              { value: 'drifts', label: 'Drifts before the wind' },
            ]}
            onChange={setWay}
          />
          {far('Length of the ground', 'lengthM', 10, 2000, 10)}
          {far('Width of the ground', 'widthM', 5, 1000, 5)}
          <Dial
            label="Overlap of lanes"
            value={Math.round(100 * ground.overlap)}
            low={-200}
            high={90}
            step={5}
            show={(x) => (x < 0 ? `a gap of ${-x}\u00a0%` : `${x}\u00a0%`)}
            onChange={(x) => setGround({ overlap: x / 100 })}
          />
          {far('Cover looked for, across', 'coverM', 1, 30, 1)}
          <Dial
            label="Fuel at this speed"
            value={ground.fuelLph}
            low={0}
            high={40}
            step={0.5}
            show={(x) => (x === 0 ? 'not counted' : `${fuelIn(units.system, x)} an hour`)}
            onChange={(x) => setGround({ fuelLph: x })}
          />
          {problem && <Text role="alert">{problem}</Text>}
          {lanes && (
            <>
              <Sketch lanes={lanes} ground={whole} />
              <Text testID="lanes">
                {laneWords(lanes, whole, units, face.label)}
                {way === 'drifts' &&
                  ` A small boat drifts at about a twenty-fifth of the wind, ${units.show('speed', 0.04 * brief.windMps)}; the time is with the way back up.`}
              </Text>
              {lanes.crossed < 1 && lanes.spacingM > lanes.swathM && (
                <Text faint kind="small">
                  Between lanes there is water no beam sees.
                </Text>
              )}
            </>
          )}
        </>
      )}
    </View>
  );
});

const styles = StyleSheet.create({
  coverage: { borderTopWidth: 2, paddingTop: 6, marginTop: 12, gap: 8 },
  sketch: { alignItems: 'center' },
  more: { minHeight: 48, justifyContent: 'center' },
});
