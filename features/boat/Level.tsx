import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { degToRad, radToDeg } from '@/core/units';
import { changeRig, planStore } from '@/stores';
import { Button, NumberField, Text } from '@/ui';
import { shimWords } from './answers';
import { hasTiltSensor, useTilt } from './useTilt';

/** Fore-and-aft and athwart tilt, measured or typed, and the shim it asks for. */
export function Level() {
  const { rig } = useStore(planStore);
  const [measuring, setMeasuring] = useState(false);
  const [zero, setZero] = useState<{ alongDeg: number; athwartDeg: number } | null>(null);
  const tilt = useTilt(measuring);
  const { mount } = rig;
  const set = (alongDeg: number, athwartDeg: number): string | null =>
    changeRig({ mount: { ...mount, alongRad: degToRad(alongDeg), athwartRad: degToRad(athwartDeg) } });
  return (
    <View style={styles.block}>
      <Text kind="heading">Level check</Text>
      <Text>
        Level to the water at rest, not to the hull or the trailer. Measure the boat afloat at its usual load,
        then turn the transducer to match on the trailer.
      </Text>
      <View style={styles.row}>
        <NumberField
          label="Looks ahead by"
          unit="°"
          value={radToDeg(mount.alongRad)}
          low={-30}
          high={30}
          onChange={(x) => set(x, radToDeg(mount.athwartRad))}
          testID="tilt-along"
        />
        <NumberField
          label="Looks to port by"
          unit="°"
          value={radToDeg(mount.athwartRad)}
          low={-30}
          high={30}
          onChange={(x) => set(radToDeg(mount.alongRad), x)}
          testID="tilt-athwart"
        />
      </View>
      <Text testID="shim">{shimWords(mount.alongRad, mount.athwartRad)}</Text>
      {hasTiltSensor() ? (
        <>
          <Button
            label={measuring ? 'Stop measuring' : 'Measure with this device'}
            onPress={() => setMeasuring(!measuring)}
          />
          {measuring && !tilt && (
            <Text>Waiting for the sensor. If nothing comes, type the angles instead.</Text>
          )}
          {measuring && tilt && (
            <>
              <Text kind="figure">
                {(tilt.alongDeg - (zero?.alongDeg ?? 0)).toFixed(1)}° fore and aft,{' '}
                {(tilt.athwartDeg - (zero?.athwartDeg ?? 0)).toFixed(1)}° athwart
                {tilt.steady ? ', steady' : ', hold still'}
              </Text>
              <View style={styles.row}>
                <Button label="This is level" onPress={() => setZero(tilt)} />
                <Button
                  tone="main"
                  label="Take it"
                  onPress={() => {
                    set(tilt.alongDeg - (zero?.alongDeg ?? 0), tilt.athwartDeg - (zero?.athwartDeg ?? 0));
                    setMeasuring(false);
                  }}
                />
              </View>
            </>
          )}
        </>
      ) : (
        <Text faint kind="small">
          This browser gives no tilt sensor here; a phone’s own level, typed in, is as good.
        </Text>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: 10, paddingBottom: 28 },
  row: { flexDirection: 'row', gap: 10, flexWrap: 'wrap', alignItems: 'center' },
});
