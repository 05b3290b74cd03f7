import { leanAfloat, pointingAt, type Lean } from '@/core/rig';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { degToRad, radToDeg } from '@/core/units';
import type { Result } from '@/core/formats';
import { changeRig, planStore } from '@/stores';
import { Button, Chips, NumberField, Text } from '@/ui';
import { useUnits } from '../units';
import { shimWords } from './answers';
import { hasTiltSensor, useTilt } from './useTilt';
import { decimal } from '@/ui/decimal';

/** Most a thing is believed to lean, degrees. */
const MOST_DEG = 30;

const LEVEL: Lean = { alongRad: 0, athwartRad: 0 };

/** A lean in words. */
function leanWords({ alongRad, athwartRad }: Lean): string {
  const part = (rad: number, plus: string, minus: string): string =>
    `${decimal(Math.abs(radToDeg(rad)), 1)}° ${rad >= 0 ? plus : minus}`;
  return `${part(alongRad, 'ahead', 'astern')} and ${part(athwartRad, 'to port', 'to starboard')}`;
}

/** A lean, typed or taken from the sensor. */
function LeanFields({
  label,
  name,
  lean,
  onChange,
  reading,
}: {
  label: string;
  name: string;
  lean: Lean;
  onChange: (lean: Lean) => Result | void;
  /** What the sensor says now, null when it is not asked. */
  reading: Lean | null;
}) {
  const field = (key: keyof Lean, words: string, part: string) => (
    <NumberField
      label={words}
      unit="°"
      value={radToDeg(lean[key])}
      low={-MOST_DEG}
      high={MOST_DEG}
      onChange={(x) => onChange({ ...lean, [key]: degToRad(x) })}
      testID={`${name}-${part}`}
    />
  );
  return (
    <View style={styles.lean}>
      <Text bold>{label}</Text>
      <View style={styles.row}>
        {field('alongRad', 'Looks ahead by', 'along')}
        {field('athwartRad', 'Looks to port by', 'athwart')}
        {reading && (
          <Button
            label="Take the reading"
            spoken={`${label}: take the reading`}
            onPress={() => onChange(reading)}
          />
        )}
      </View>
    </View>
  );
}

/** The device's own tilt sensor, with a level of the user's to count from. */
function Sensor({ onReading }: { onReading: (reading: Lean | null) => void }) {
  const [measuring, setMeasuring] = useState(false);
  const [zero, setZero] = useState<Lean>(LEVEL);
  const tilt = useTilt(measuring);
  if (!hasTiltSensor())
    return (
      <Text faint kind="small">
        This browser gives no tilt sensor here; a phone’s own level, typed in, is as good.
      </Text>
    );
  const raw = tilt && { alongRad: degToRad(tilt.alongDeg), athwartRad: degToRad(tilt.athwartDeg) };
  const now = raw && {
    alongRad: raw.alongRad - zero.alongRad,
    athwartRad: raw.athwartRad - zero.athwartRad,
  };
  return (
    <>
      <View style={styles.row}>
        <Button
          label={measuring ? 'Stop measuring' : 'Measure with this device'}
          onPress={() => {
            setMeasuring(!measuring);
            onReading(null);
          }}
        />
        {raw && <Button label="This is level" onPress={() => setZero(raw)} />}
        {now && <Button tone="main" label="Hold this reading" onPress={() => onReading(now)} />}
      </View>
      {measuring && !tilt && <Text>Waiting for the sensor. If nothing comes, type the angles instead.</Text>}
      {now && (
        <Text kind="figure">
          {decimal(radToDeg(now.alongRad), 1)}° fore and aft, {decimal(radToDeg(now.athwartRad), 1)}° athwart
          {tilt.steady ? ', steady' : ', hold still'}
        </Text>
      )}
    </>
  );
}

/** Depths the error of a tilt is told for, m. */
const DEPTHS_M = [5, 10, 20, 40];

/** How far off the footprint points, and with it every mark, against depth. */
function OffByDepth() {
  const { mount } = useStore(planStore, (s) => s.rig);
  const units = useUnits();
  if (Math.hypot(mount.alongRad, mount.athwartRad) < degToRad(0.5)) return null;
  return (
    <View testID="off-by-depth">
      <Text faint kind="small">
        As it hangs now the beams look off, and a mark set straight below is as far wrong, by
      </Text>
      {DEPTHS_M.map((depthM) => {
        const { forwardM, portM, tooDeepM } = pointingAt(mount, depthM);
        return (
          <Text key={depthM} kind="figure">
            {units.show('depth', depthM, 0)}: {units.height(Math.hypot(forwardM, portM))}, bed{' '}
            {units.height(tooDeepM)} too deep
          </Text>
        );
      })}
    </View>
  );
}

/** Fore-and-aft and athwart tilt, measured or typed, afloat or on the trailer, and the shim it asks for. */
export function Level() {
  const { mount } = useStore(planStore, (s) => s.rig);
  const [where, setWhere] = useState<'afloat' | 'trailer'>('afloat');
  const [reading, setReading] = useState<Lean | null>(null);
  const [deckAfloat, setDeckAfloat] = useState(LEVEL);
  const [deckOnTrailer, setDeckOnTrailer] = useState(LEVEL);
  const [faceOnTrailer, setFaceOnTrailer] = useState(LEVEL);
  const take = (lean: Lean): Result => changeRig({ mount: { ...mount, ...lean } });
  const carried = leanAfloat(deckAfloat, deckOnTrailer, faceOnTrailer);
  return (
    <View style={styles.block}>
      <Text>
        Level to the water at rest, not to the hull or the trailer. Measure the deck afloat at its usual load,
        then deck and transducer on the trailer: what counts is how they lean against each other.
      </Text>
      <Chips
        label="Where you measure"
        value={where}
        options={[
          { value: 'afloat', label: 'The transducer, afloat' },
          { value: 'trailer', label: 'On the trailer' },
        ]}
        onChange={setWhere}
      />
      <Sensor onReading={setReading} />
      {where === 'afloat' ? (
        <LeanFields
          label="Transducer, boat afloat"
          name="tilt"
          lean={mount}
          onChange={take}
          reading={reading}
        />
      ) : (
        <>
          <LeanFields
            label="Deck, boat afloat"
            name="deck-afloat"
            lean={deckAfloat}
            onChange={setDeckAfloat}
            reading={reading}
          />
          <LeanFields
            label="Deck, on the trailer"
            name="deck-trailer"
            lean={deckOnTrailer}
            onChange={setDeckOnTrailer}
            reading={reading}
          />
          <LeanFields
            label="Transducer, on the trailer"
            name="face-trailer"
            lean={faceOnTrailer}
            onChange={setFaceOnTrailer}
            reading={reading}
          />
          <Text testID="carried">Afloat it will look {leanWords(carried)}.</Text>
          <Button label="Use it" onPress={() => take(carried)} testID="use-lean" />
        </>
      )}
      <Text testID="shim">{shimWords(mount.alongRad, mount.athwartRad)}</Text>
      <OffByDepth />
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: 10, paddingBottom: 28 },
  lean: { gap: 6 },
  row: { flexDirection: 'row', gap: 10, flexWrap: 'wrap', alignItems: 'center' },
});
