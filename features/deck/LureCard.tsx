import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { deepestFishOf } from '@/core/advice';
import {
  hangingLure,
  lureDepth,
  rodReach,
  sinkSpeed,
  USUAL_LINE_M,
  USUAL_LURE_KG,
} from '@/core/advice/lureOnLine';
import type { Day } from '@/core/logbook/day';
import { lureInView, placeFromFace } from '@/core/rig';
import { measure } from '@/core/units';
import { keepLostWeight, planStore } from '@/stores';
import { BigButton, Chips, NumberField, Text } from '@/ui';
import { usePlan } from '../plan/usePlan';
import { useUnits } from '../units';
import { CallOutPart } from './CallOutPart';
import type { BoatNow } from './useBoatNow';

/** Farther aft than so many depths nobody fishes it. */
const PLANES = 2;

/** Where to hang the lure, when it is seen, how long it sinks and how far aft it hangs. */
export function LureCard({ boat, day }: { boat: BoatNow; day: Day | null }) {
  const { show, system } = useUnits();
  const depth = measure(system, 'depth');
  const [lostAtM, setLostAt] = useState(12);
  const { rig, setup } = usePlan();
  const brief = useStore(planStore, (s) => s.brief);
  const [grams, setGrams] = useState(1000 * (brief.lure?.massKg ?? USUAL_LURE_KG));
  const [dressed, setDressed] = useState(brief.lure?.dressed ?? true);
  const { face } = setup.prediction;
  const cover = [...(day?.marks ?? [])]
    .reverse()
    .find((m) => m.kind === 'cover' && m.depthM !== null && m.heightM !== null);
  const coverTopM = cover ? cover.depthM! - cover.heightM! : null;
  const fishM = (brief.fromM + deepestFishOf(brief)) / 2;
  const depthM = coverTopM !== null ? lureDepth({ topM: coverTopM }) : lureDepth({ fishM });
  const tackle = { massKg: grams / 1000, dressed, lineM: USUAL_LINE_M };
  const speedMps = boat.speedMps ?? 0;
  const { aftM, lineOutM } = hangingLure(tackle, depthM, speedMps);
  const rod = placeFromFace(rig, face.id, rig.positions.rod);
  const view = lureInView(face, rig.mount, rod);
  const reachM = rodReach(depthM, Math.min(face.beam.alongRad, face.beam.athwartRad));
  return (
    <View style={styles.part} testID="lure-card">
      <Text bold style={styles.big}>
        Stop at {show('depth', depthM)}
      </Text>
      <Text style={styles.words}>
        {coverTopM !== null
          ? `The cover you marked tops out at ${show('depth', coverTopM)}.`
          : `The plan’s fish are about ${show('depth', fishM)} down: a little over them.`}{' '}
        It sinks there in about {Math.max(1, Math.round(depthM / sinkSpeed(tackle)))}
        {`\u00a0s.`}
      </Text>
      <CallOutPart
        words={`Drop. Stop at ${show('depth', depthM)}.`}
        sinkS={Math.round(depthM / sinkSpeed(tackle))}
      />
      {speedMps > 0.1 && (
        <Text style={styles.words}>
          {aftM > PLANES * depthM
            ? `At ${show('speed', speedMps)} it planes up: it does not get there.`
            : `At ${show('speed', speedMps)} it hangs ${show('depth', aftM)} aft, with ${show('depth', lineOutM)} of line out.`}
        </Text>
      )}
      <Text style={styles.words}>
        {view === null
          ? 'At your rod’s place the beam never has it.'
          : `Let straight down at your rod’s place it is in the picture from ${show('depth', view.fromM)}${
              view.toM === null ? '' : ` to ${show('depth', view.toM)}`
            }.`}{' '}
        To see it at {show('depth', depthM)} keep the rod tip within {show('depth', reachM)} of the
        transducer.
      </Text>
      <View style={styles.row}>
        <NumberField
          label="Weight of the lure"
          value={grams}
          unit="g"
          low={1}
          high={1000}
          decimals={0}
          onChange={setGrams}
          testID="lure-grams"
        />
      </View>
      <Chips
        large
        label="What is about the weight"
        value={dressed ? 'dressed' : 'bare'}
        options={[
          { value: 'dressed', label: 'Soft bait or skirt' },
          { value: 'bare', label: 'Bare metal' },
        ]}
        onChange={(value) => setDressed(value === 'dressed')}
      />
      {!dressed && (
        <>
          <View style={styles.row}>
            <NumberField
              label="Lost from the picture at"
              value={Number(depth.fromSi(lostAtM).toFixed(1))}
              unit={depth.unit}
              low={depth.fromSi(0.5)}
              high={Math.round(depth.fromSi(300))}
              onChange={(x) => setLostAt(depth.toSi(x))}
              length={system}
              testID="lost-weight-at"
            />
          </View>
          <BigButton
            label="Keep that: it tells your noise"
            onPress={() =>
              keepLostWeight(
                { massKg: grams / 1000, depthM: lostAtM, faceId: face.id },
                boat.source === 'simulated',
                `Lost at ${show('depth', lostAtM)}, kept. Boat, Noise check shows what your days say.`,
              )
            }
            testID="keep-lost"
          />
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  // A field is as high as it needs only in a row.
  row: { flexDirection: 'row' },
  part: { gap: 10, paddingTop: 8 },
  big: { fontSize: 32, lineHeight: 38 },
  words: { fontSize: 20, lineHeight: 27 },
});
