import { useState } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { useStore } from 'zustand';
import { waterOf } from '@/core/advice';
import { degToRad, measure, radToDeg } from '@/core/units';
import { waterPerRow } from '@/core/rig';
import { changeRig, planStore } from '@/stores';
import { Chips, Dial, NumberField, SpanDial, Text, useTones, WIDE_PX } from '@/ui';
import { useUnits } from '../units';
import { beamAnswers, boatAnswers, type Answer, type Asked } from './answers';
import { BeamsView } from './BeamsView';
import { Boats } from './Boats';
import { Faults } from './Faults';
import { Level } from './Level';
import { NoiseCheck } from './NoiseCheck';
import { Places } from './Places';
import { Transducers } from './Transducers';
import { UnitScales } from './UnitScales';

function Answers({ list }: { list: readonly Answer[] }) {
  const tones = useTones();
  return (
    <View role="list">
      {list.map(({ question, answer }) => (
        <View key={question} role="listitem" style={[styles.answer, { borderTopColor: tones.rule }]}>
          <Text faint kind="small">
            {question}
          </Text>
          <Text>{answer}</Text>
        </View>
      ))}
    </View>
  );
}

/** Zooms a unit has. */
const ZOOMS = ['1', '2', '4', '8'] as const;

/** Rows and columns, and so the water a pixel shows at any range and zoom. */
function Screen() {
  const { rig, brief } = useStore(planStore);
  const units = useUnits();
  const depth = measure(units.system, 'depth');
  const [rangeM, setRange] = useState(1.2 * brief.toM);
  const [zoom, setZoom] = useState<(typeof ZOOMS)[number]>('1');
  const row = waterPerRow(rangeM / Number(zoom), rig.screen.rows);
  const field = (key: 'rows' | 'columns', label: string) => (
    <NumberField
      label={label}
      unit="pixels"
      value={rig.screen[key]}
      low={100}
      high={2000}
      decimals={0}
      onChange={(x) => changeRig({ screen: { ...rig.screen, [key]: Math.round(x) } })}
      testID={`screen-${key}`}
    />
  );
  return (
    <View style={styles.block}>
      <Text kind="heading">Screen of the unit</Text>
      <View style={styles.row}>
        {field('rows', 'Rows')}
        {field('columns', 'Columns')}
      </View>
      <NumberField
        label="Most pings a second"
        unit="a second"
        value={rig.fastestPingRate}
        low={1}
        high={60}
        onChange={(x) => changeRig({ fastestPingRate: x })}
        testID="fastest-pings"
      />
      <Dial
        label="Range"
        name="screen-range"
        value={Math.round(depth.fromSi(rangeM))}
        low={2}
        high={Math.round(depth.fromSi(200))}
        step={1}
        show={(x) => `${x.toFixed(0)} ${depth.unit}`}
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

/** The user's own boat: everything else counts with these numbers. */
export function BoatScreen() {
  const { rig, brief } = useStore(planStore);
  const units = useUnits();
  const { width } = useWindowDimensions();
  const wide = width >= WIDE_PX;
  const depth = measure(units.system, 'depth');
  const [asked, setAsked] = useState<Asked>({
    depthM: brief.toM,
    fishM: brief.fromM,
    slopeRad: degToRad(10),
    pingRate: rig.fastestPingRate,
  });
  const ask = (change: Partial<Asked>): void => setAsked({ ...asked, ...change });
  const deepest = Math.round(depth.fromSi(Math.max(60, brief.toM)));
  const shown = (x: number): string => `${x.toFixed(0)}\u00a0${depth.unit}`;
  const water = waterOf(brief);
  const answers = (
    <View style={styles.block}>
      <Text kind="heading">At a depth</Text>
      <SpanDial
        low={1}
        high={deepest}
        step={1}
        apart={1}
        show={shown}
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
        high={Math.round(rig.fastestPingRate)}
        step={1}
        show={(x) => x.toFixed(0)}
        onChange={(x) => ask({ pingRate: x })}
      />
      <BeamsView rig={rig} depthM={asked.depthM} fishM={asked.fishM} />
      {rig.faces.map((face) => (
        <View key={face.id} testID={`answers-${face.id}`}>
          <Text bold>{face.label}</Text>
          <Answers list={beamAnswers(rig, face, asked, water, units)} />
        </View>
      ))}
      <Text bold>The boat</Text>
      <Answers list={boatAnswers(rig, asked, water, units)} />
    </View>
  );
  return (
    <ScrollView contentContainerStyle={[styles.page, wide && styles.pageWide]}>
      <View style={wide && styles.half}>
        <Boats />
        {!wide && answers}
        <Transducers />
        <Places />
      </View>
      <View style={wide && styles.half}>
        {wide && answers}
        <Level />
        <NoiseCheck />
        <Screen />
        <UnitScales />
        <Faults />
      </View>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  page: { padding: 16, paddingBottom: 40 },
  pageWide: {
    flexDirection: 'row',
    gap: 40,
    padding: 32,
    maxWidth: 1240,
    width: '100%',
    alignSelf: 'center',
  },
  half: { flex: 1, minWidth: 0 },
  block: { gap: 10, paddingBottom: 28 },
  row: { flexDirection: 'row', gap: 10, flexWrap: 'wrap', alignItems: 'center' },
  answer: { borderTopWidth: 1, paddingVertical: 6 },
});
