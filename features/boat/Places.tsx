import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { firstTransducerAt, placeOfFace, transducersOf, type BoatPlace, type Transducer } from '@/core/rig';
import { measure } from '@/core/units';
import type { Result } from '@/core/formats';
import { changeRig, moveTransducer, planStore } from '@/stores';
import { NumberField, Text } from '@/ui';
import { useUnits } from '../units';
import { SideView, TopView, type PlacePoint } from './PlacesDrawing';

/** A transducer's kind in a word or two. */
function shortName({ label }: Transducer): string {
  const name = label.split(',')[0]!;
  return name.charAt(0).toUpperCase() + name.slice(1);
}

/** Where things are, dragged or typed. */
export function Places() {
  const { rig } = useStore(planStore);
  const { system } = useUnits();
  const depth = measure(system, 'depth');
  const { positions } = rig;
  const most = Math.round(depth.fromSi(30));
  const [first, ...others] = transducersOf(rig);
  const moved = (which: 'antenna' | 'rod' | 'stern') => (place: BoatPlace) =>
    changeRig({ positions: { ...positions, [which]: place } });
  const points: PlacePoint[] = [
    {
      name: 'antenna',
      label: 'Antenna',
      kind: 'antenna',
      place: positions.antenna,
      grab: () => moved('antenna'),
    },
    { name: 'rod', label: 'Rod', kind: 'rod', place: positions.rod, grab: () => moved('rod') },
    ...others.map((t): PlacePoint => ({
      name: t.id,
      label: shortName(t),
      kind: 'transducer',
      place: placeOfFace(rig, t.faces[0]!.id),
      grab: () => (place) => moveTransducer(t, place),
    })),
    {
      name: 'transducer',
      label: first && others.length > 0 ? shortName(first) : 'Transducer',
      kind: 'transducer',
      place: { x: 0, y: 0 },
      grab: () => (place) => changeRig(firstTransducerAt(rig, place)),
    },
  ];
  const field = (
    name: string,
    label: string,
    place: BoatPlace,
    axis: 'x' | 'y',
    onMove: (place: BoatPlace) => Result,
  ) => (
    <NumberField
      label={label}
      unit={depth.unit}
      value={depth.fromSi(place[axis])}
      low={-most}
      high={most}
      onChange={(x) => onMove({ ...place, [axis]: depth.toSi(x) })}
      testID={`${name}-${axis}`}
    />
  );
  const both = (name: string, label: string, place: BoatPlace, onMove: (place: BoatPlace) => Result) => (
    <View key={name} style={styles.row}>
      {field(name, `${label} forward`, place, 'x', onMove)}
      {field(name, `${label} to port`, place, 'y', onMove)}
    </View>
  );
  return (
    <View style={styles.block}>
      <Text faint kind="small">
        From above, bow up, and from the side, bow to the right. Drag a dot or its name, or type how far it is
        from the {others.length > 0 ? 'first ' : ''}transducer.
      </Text>
      <TopView rig={rig} points={points} />
      <SideView rig={rig} points={points} />
      {both('antenna', 'Antenna', positions.antenna, moved('antenna'))}
      {both('rod', 'Rod', positions.rod, moved('rod'))}
      {others.map((t) =>
        both(t.id, shortName(t), placeOfFace(rig, t.faces[0]!.id), (place) => moveTransducer(t, place)),
      )}
      <View style={styles.row}>
        {field('stern', 'Stern forward', positions.stern, 'x', moved('stern'))}
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
