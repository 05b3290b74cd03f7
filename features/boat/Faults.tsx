import { MOUNT_FAULTS, type MountFault } from '@/core/bench/mountFaults';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { startSetup, type Brief } from '@/core/advice';
import { planStore } from '@/stores';
import { Button, PixelPicture, Text } from '@/ui';
import { useMiniature } from '../useMiniature';

/** What a fault of the mount looks like, in words. */
const FAULTS: Record<MountFault, { name: string; looks: string }> = {
  none: { name: 'Sound', looks: 'two still fish over a flat bed, as your boat would draw them' },
  loose: { name: 'Loose', looks: 'the foot of the bed is ragged from ping to ping, and marks are torn' },
  tilted: {
    name: 'Tilted',
    looks:
      'the same leg of every arch is missing, marks come early or late, and the bed is a thick pale band',
  },
  churned: {
    name: 'Churned water',
    looks: 'the picture fills with specks and fish fade as the boat speeds up, and clears when it slows',
  },
  obstructed: {
    name: 'Obstructed',
    looks: 'all of it is paler, fish to one side are missing whichever way you go',
  },
  'wrong-kind': {
    name: 'Wrong kind chosen in the unit',
    looks: 'the depth may be right, yet fish are faint or missing and a beam may be empty',
  },
};

const SHOWN_PX = { width: 150, height: 150 };

function Fault({ fault }: { fault: MountFault }) {
  const { brief, rig, habits } = useStore(planStore);
  const tried = useMemo(() => {
    // A narrow beam shows a fault of the mount best.
    const cones = rig.faces.filter((f) => f.beam.shape === 'cone');
    const narrow = (cones.length > 0 ? cones : rig.faces).reduce((a, b) =>
      b.beam.athwartRad < a.beam.athwartRad ? b : a,
    );
    const search: Brief = { ...brief, presentation: 'search', speedMps: 1.5, faceId: narrow.id };
    return { search, settings: startSetup(search, rig, habits).settings };
  }, [brief, rig, habits]);
  const { picture, problem } = useMiniature(tried.search, rig, tried.settings, fault);
  const { name, looks } = FAULTS[fault];
  return (
    <View style={styles.fault}>
      {picture ? (
        <PixelPicture
          width={picture.columns}
          height={picture.rows}
          pixels={picture.pixels}
          label={`${name}: ${looks}`}
          shownWidth={SHOWN_PX.width}
          shownHeight={SHOWN_PX.height}
          testID={`fault-${fault}`}
        />
      ) : (
        <View style={SHOWN_PX}>
          <Text faint kind="small">
            {problem ?? 'Drawing…'}
          </Text>
        </View>
      )}
      <View style={styles.words}>
        <Text bold>{name}</Text>
        <Text kind="small">{looks}.</Text>
      </View>
    </View>
  );
}

/** The mount's checklist: what each fault draws, made by the simulator on this very boat. */
export function Faults() {
  const [open, setOpen] = useState(false);
  return (
    <View style={styles.block}>
      <Text>
        Solid, level to the water at rest, ahead of and below what churns, nothing in its way, and the right
        kind chosen in the unit.
      </Text>
      {open ? (
        MOUNT_FAULTS.map((fault) => <Fault key={fault} fault={fault} />)
      ) : (
        <Button label="Show what each fault draws" onPress={() => setOpen(true)} testID="faults" />
      )}
      <Text>
        Never let a transducer transmit out of the water: pause it before the trailer or the lift. The water
        is what cools it.
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: 10, paddingBottom: 28 },
  fault: { flexDirection: 'row', flexWrap: 'wrap', gap: 12 },
  words: { flexGrow: 1, flexBasis: 150, flexShrink: 1, gap: 2 },
});
