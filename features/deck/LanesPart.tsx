import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { lanesOver } from '@/core/advice';
import type { Day } from '@/core/logbook/day';
import { lengthLeft, type LaneLeft } from '@/core/marks';
import type { Position } from '@/core/maths';
import { layLanes, notify, planStore } from '@/stores';
import { BigButton, Chips, Sheet, Text } from '@/ui';
import { groundStore } from '../plan/ground';
import { usePlan } from '../plan/usePlan';
import { useUnits } from '../units';
import { minutesWords } from '../words/deck';
import type { BoatNow } from './useBoatNow';

/** Water that is gone over, along and across, m. */
const SIZES_M = [40, 80, 160, 320];
const AS_PLANNED = 'plan';
/** Slower than this no time is told, m/s. */
const SLOWEST_MPS = 0.3;

interface Props {
  boat: BoatNow;
  day: Day | null;
  left: readonly LaneLeft[];
  /** Middle of the chart, where lanes are laid. */
  middle: Position;
}

/** Lanes over the water of the chart: laid by the beam in use, and what of them is left. */
export function LanesPart({ boat, day, left, middle }: Props) {
  const { show } = useUnits();
  const { setup } = usePlan();
  const brief = useStore(planStore, (s) => s.brief);
  const [open, setOpen] = useState(false);
  // As the plan has it, or a square of a size.
  const [size, setSize] = useState(AS_PLANNED);
  const planned = useStore(groundStore);
  // Lanes are laid on the chart that is looked at.
  const simulated = boat.source === 'off' ? (day?.simulated ?? false) : boat.source === 'simulated';
  const searchMps =
    boat.speedMps !== null && boat.speedMps >= SLOWEST_MPS
      ? boat.speedMps
      : Math.max(SLOWEST_MPS, brief.speedMps || 1.5);
  const lay = (headingRad: number): void => {
    const square = Number(size);
    const { lengthM, widthM } = size === AS_PLANNED ? planned : { lengthM: square, widthM: square };
    const ground = {
      ...planned,
      lengthM,
      widthM,
      depthM: boat.depthM ?? brief.toM,
      speedMps: searchMps,
      fuelLph: null,
    };
    setOpen(false);
    let laid: ReturnType<typeof lanesOver>;
    try {
      laid = lanesOver(setup.prediction.face, ground);
    } catch {
      return notify('That is too much water for this beam. Take a smaller size.');
    }
    const { swathM, spacingM, count } = laid;
    const { latitudeDeg, longitudeDeg } = middle;
    layLanes({ latitudeDeg, longitudeDeg, headingRad, lengthM, count, spacingM, swathM }, simulated);
  };
  const lanes = day?.lanes ?? null;
  const leftM = lengthLeft(left);
  const leftLanes = left.filter((lane) => lane.left.length > 0).length;
  return (
    <View style={styles.part}>
      {lanes && (
        <Text style={styles.words} testID="lanes-left">
          {leftM === 0
            ? `All ${lanes.count} lanes are gone over.`
            : `${leftLanes} of ${lanes.count} lanes left: ${show('depth', leftM, 0)}, about ${minutesWords(leftM / searchMps)}.`}
        </Text>
      )}
      <View style={styles.row}>
        <BigButton
          label={lanes ? 'Lay lanes anew' : 'Lay lanes here'}
          onPress={() => setOpen(true)}
          testID="lay-lanes"
        />
        {lanes && (
          <BigButton label="Take lanes up" onPress={() => layLanes(null, simulated)} testID="lift-lanes" />
        )}
      </View>
      <Sheet title="Lanes over this water" open={open} onClose={() => setOpen(false)}>
        <Text>
          About the middle of the chart, as wide as your {setup.prediction.face.label} beam at{' '}
          {show('depth', boat.depthM ?? brief.toM, 0)}.
        </Text>
        <Chips
          large
          label="Size of the water"
          value={size}
          options={[
            {
              value: AS_PLANNED,
              label: `Planned: ${show('depth', planned.lengthM, 0)} by ${show('depth', planned.widthM, 0)}`,
            },
            ...SIZES_M.map((m) => ({ value: String(m), label: show('depth', m, 0) })),
          ]}
          onChange={setSize}
        />
        <BigButton
          tone="main"
          label={boat.fix ? 'Along my course' : 'North to south'}
          onPress={() => lay(boat.fix?.headingRad ?? 0)}
          testID="lanes-along"
        />
        <BigButton
          label={boat.fix ? 'Across my course' : 'West to east'}
          onPress={() => lay((boat.fix?.headingRad ?? 0) + Math.PI / 2)}
          testID="lanes-across"
        />
      </Sheet>
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: 10 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
  words: { fontSize: 20, lineHeight: 27 },
});
