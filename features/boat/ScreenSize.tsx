import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { waterPerRow } from '@/core/rig';
import { measure } from '@/core/units';
import { changeUnit, openUnitOf, planStore } from '@/stores';
import { Chips, Dial, NumberField, Text } from '@/ui';
import { useUnits } from '../units';

/** Zooms a unit has. */
const ZOOMS = ['1', '2', '4', '8'] as const;

/** Rows and columns, and so the water a pixel shows at any range and zoom. */
export function ScreenSize() {
  const unit = useStore(planStore, openUnitOf);
  const several = useStore(planStore, (s) => s.rig.units.length > 1);
  const brief = useStore(planStore, (s) => s.brief);
  const units = useUnits();
  const depth = measure(units.system, 'depth');
  const small = measure(units.system, 'small');
  const [rangeM, setRange] = useState(1.2 * brief.toM);
  const [zoom, setZoom] = useState<(typeof ZOOMS)[number]>('1');
  const row = waterPerRow(rangeM / Number(zoom), unit.screen.rows);
  const field = (key: 'rows' | 'columns', label: string) => (
    <NumberField
      label={label}
      unit="pixels"
      value={unit.screen[key]}
      low={100}
      high={2000}
      decimals={0}
      onChange={(x) => changeUnit({ screen: { ...unit.screen, [key]: Math.round(x) } })}
      testID={`screen-${key}`}
    />
  );
  return (
    <View style={styles.block}>
      <Text kind="heading">{several ? `Screen of ${unit.name}` : 'Screen'}</Text>
      <View style={styles.row}>
        {field('rows', 'Rows')}
        {field('columns', 'Columns')}
      </View>
      <View style={styles.row}>
        <NumberField
          label="Height of the picture"
          unit={small.unit}
          value={small.fromSi(unit.pictureHeightM)}
          low={small.fromSi(0.03)}
          high={small.fromSi(1)}
          onChange={(x) => changeUnit({ pictureHeightM: small.toSi(x) })}
          testID="picture-height"
        />
        <NumberField
          label="You stand from it"
          unit={depth.unit}
          value={depth.fromSi(unit.viewedFromM)}
          low={depth.fromSi(0.2)}
          high={depth.fromSi(5)}
          decimals={2}
          onChange={(x) => changeUnit({ viewedFromM: depth.toSi(x) })}
          testID="viewed-from"
        />
      </View>
      <Text faint>A mark too small to see from there counts as faint.</Text>
      <NumberField
        label="Most pings"
        unit="a second"
        value={unit.fastestPingRate}
        low={1}
        high={60}
        onChange={(x) => changeUnit({ fastestPingRate: x })}
        testID="fastest-pings"
      />
      <Dial
        label="Range"
        name="screen-range"
        value={Math.round(depth.fromSi(rangeM))}
        low={2}
        high={Math.round(depth.fromSi(200))}
        step={1}
        show={(x) => `${x.toFixed(0)}\u00a0${depth.unit}`}
        onChange={(x) => setRange(depth.toSi(x))}
      />
      <Chips
        label="Zoom"
        value={zoom}
        options={ZOOMS.map((z) => ({ value: z, label: `×${z}` }))}
        onChange={setZoom}
      />
      <Text testID="screen-row">One row is {units.show('small', row)} of water.</Text>
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: 10, paddingBottom: 28 },
  row: { flexDirection: 'row', gap: 10, flexWrap: 'wrap', alignItems: 'center' },
});
