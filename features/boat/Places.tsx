import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { measure } from '@/core/units';
import { changeRig, planStore } from '@/stores';
import { NumberField, Text } from '@/ui';
import { useUnits } from '../units';
import { TopView } from './BoatDrawing';

/** Where things are, dragged or typed. */
export function Places() {
  const { rig } = useStore(planStore);
  const { system } = useUnits();
  const depth = measure(system, 'depth');
  const { positions } = rig;
  const most = Math.round(depth.fromSi(30));
  const field = (which: 'antenna' | 'rod' | 'stern', axis: 'x' | 'y', label: string) => (
    <NumberField
      label={label}
      unit={depth.unit}
      value={depth.fromSi(positions[which][axis])}
      low={-most}
      high={most}
      onChange={(x) =>
        changeRig({
          positions: { ...positions, [which]: { ...positions[which], [axis]: depth.toSi(x) } },
        })
      }
      testID={`${which}-${axis}`}
    />
  );
  return (
    <View style={styles.block}>
      <Text kind="heading">Where things are</Text>
      <Text faint kind="small">
        Seen from above, bow up. Drag the antenna, the rod and the transducer, or type how far they are from
        it.
      </Text>
      <TopView
        rig={rig}
        onMove={(which, place) => void changeRig({ positions: { ...positions, [which]: place } })}
      />
      <View style={styles.row}>
        {field('antenna', 'x', 'Antenna forward')}
        {field('antenna', 'y', 'Antenna to port')}
      </View>
      <View style={styles.row}>
        {field('rod', 'x', 'Rod forward')}
        {field('rod', 'y', 'Rod to port')}
      </View>
      <View style={styles.row}>
        {field('stern', 'x', 'Stern forward')}
        <NumberField
          label="Length of the boat"
          unit={depth.unit}
          value={depth.fromSi(rig.lengthM)}
          low={Math.ceil(depth.fromSi(2))}
          high={Math.floor(depth.fromSi(40))}
          length={system}
          onChange={(x) => changeRig({ lengthM: depth.toSi(x) })}
          testID="boat-length"
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: 10, paddingBottom: 28 },
  row: { flexDirection: 'row', gap: 10, flexWrap: 'wrap', alignItems: 'center' },
});
