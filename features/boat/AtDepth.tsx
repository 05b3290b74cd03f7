import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { waterOf } from '@/core/advice';
import { unitOf } from '@/core/rig';
import { degToRad, measure, radToDeg } from '@/core/units';
import { planStore } from '@/stores';
import { Dial, SpanDial, Text } from '@/ui';
import { useUnits } from '../units';
import { beamAnswers, boatAnswers, type Asked } from './answers';
import { AnswersTable } from './AnswersTable';
import { BeamsView } from './BeamsView';

/** What each beam does at a depth: one table, a column a beam. */
export function AtDepth() {
  const { rig, brief } = useStore(planStore);
  const units = useUnits();
  const depth = measure(units.system, 'depth');
  const [asked, setAsked] = useState<Asked>({
    depthM: brief.toM,
    fishM: brief.fromM,
    slopeRad: degToRad(10),
    pingRate: unitOf(rig).fastestPingRate,
  });
  const ask = (change: Partial<Asked>): void => setAsked({ ...asked, ...change });
  const deepest = Math.round(depth.fromSi(Math.max(60, brief.toM)));
  const water = waterOf(brief);
  return (
    <View style={styles.block}>
      <SpanDial
        low={1}
        high={deepest}
        step={1}
        apart={1}
        show={(x) => `${x.toFixed(0)}\u00a0${depth.unit}`}
        from={{
          label: 'Fish',
          name: 'boat-fish',
          value: Math.round(depth.fromSi(asked.fishM)),
          onChange: (x) => ask({ fishM: depth.toSi(x), depthM: Math.max(asked.depthM, depth.toSi(x + 1)) }),
        }}
        to={{
          label: 'Bed',
          name: 'boat-depth',
          value: Math.round(depth.fromSi(asked.depthM)),
          onChange: (x) => ask({ depthM: depth.toSi(x), fishM: Math.min(asked.fishM, depth.toSi(x - 1)) }),
        }}
      />
      <BeamsView rig={rig} depthM={asked.depthM} fishM={asked.fishM} />
      <AnswersTable
        columns={rig.faces.map((face) => ({
          id: face.id,
          title: face.label,
          answers: beamAnswers(rig, face, asked, water, units),
        }))}
      />
      <Text kind="heading">The boat</Text>
      <AnswersTable columns={[{ id: 'boat', title: '', answers: boatAnswers(rig, asked, water, units) }]} />
      <Dial
        label="Slope of the bed"
        name="boat-slope"
        value={Math.round(radToDeg(asked.slopeRad))}
        low={0}
        high={45}
        step={1}
        show={(x) => `${x.toFixed(0)}°`}
        onChange={(x) => ask({ slopeRad: degToRad(x) })}
      />
      <Dial
        label="Pings a second"
        name="boat-pings"
        value={Math.round(asked.pingRate)}
        low={1}
        high={Math.round(unitOf(rig).fastestPingRate)}
        step={1}
        show={(x) => x.toFixed(0)}
        onChange={(x) => ask({ pingRate: x })}
      />
    </View>
  );
}

const styles = StyleSheet.create({ block: { gap: 10 } });
