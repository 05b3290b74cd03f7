import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { deepestFishOf } from '@/core/advice';
import { lureDepth } from '@/core/advice/lureOnLine';
import { reverseOnto, USUAL_RUN_ON_S } from '@/core/marks';
import { footprintWidth, placeFromFace } from '@/core/rig';
import { planStore } from '@/stores';
import { BigButton, Text } from '@/ui';
import { usePlan } from '../plan/usePlan';
import { useUnits } from '../units';
import type { BoatNow } from './useBoatNow';
import { useRunOn } from './useRunOn';

/** A boat slower than this stops by itself, m/s. */
const LEAST_MPS = 0.3;
/** The last word stands so long, s. */
const STANDS_S = 25;

/** One tap at an arch's first leg, and it counts down to neutral, and says how far to back up and where to stop the lure. */
export function ReverseCount({ boat }: { boat: BoatNow }) {
  const { show } = useUnits();
  const { rig, setup } = usePlan();
  const brief = useStore(planStore, (s) => s.brief);
  const runOnS = useRunOn();
  const [begun, setBegun] = useState<{ atS: number; neutralInS: number; backUpM: number } | null>(null);
  const { face } = setup.prediction;
  const fishM = (brief.fromM + deepestFishOf(brief)) / 2;
  const moving = boat.speedMps !== null && boat.speedMps > LEAST_MPS;
  const leftS = begun ? begun.neutralInS - (boat.nowS - begun.atS) : 0;
  const told = begun !== null && leftS > -STANDS_S;
  if (!told && !moving) return null;
  return (
    <View style={styles.part}>
      {told && (
        <Text bold style={styles.big} role="status" testID="reverse-now">
          {leftS > 0.5
            ? `Out of gear in ${Math.ceil(leftS)} s`
            : begun.backUpM > 1
              ? `Out of gear. Back up ${show('depth', begun.backUpM, 0)}, then drop: stop at ${show('depth', lureDepth({ fishM }))}.`
              : `Out of gear. Drop: stop at ${show('depth', lureDepth({ fishM }))}.`}
        </Text>
      )}
      <BigButton
        label={told ? 'Again: first leg now' : 'First leg now: stop over it'}
        disabled={!moving}
        onPress={() =>
          setBegun({
            atS: boat.nowS,
            ...reverseOnto(
              boat.speedMps!,
              footprintWidth(fishM, face.beam.alongRad) / 2,
              placeFromFace(rig, face.id, rig.positions.rod).x,
              runOnS ?? USUAL_RUN_ON_S,
            ),
          })
        }
        testID="first-leg"
      />
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: 8 },
  big: { fontSize: 28, lineHeight: 34 },
});
