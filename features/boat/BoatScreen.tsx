import { useState } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useStore } from 'zustand';
import { excessNoiseFromWeight, waterOf } from '@/core/advice';
import { TRANSDUCERS } from '@/core/rig';
import { degToRad, measure, radToDeg } from '@/core/units';
import type { Engine } from '@/core/water';
import {
  boatsStore,
  changeFace,
  changeRig,
  changeTransducer,
  deleteBoat,
  keepBoat,
  notify,
  planStore,
  switchBoat,
} from '@/stores';
import { Button, Chips, Dial, NumberField, Text, Tick, useTones, WIDE_PX } from '@/ui';
import { useUnits } from '../units';
import { beamAnswers, boatAnswers, shimWords, type Answer } from './answers';
import { SideView, TopView } from './BoatDrawing';
import { hasTiltSensor, useTilt } from './useTilt';

/** Longest name of a boat. */
const LONGEST_NAME = 60;

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

function Boats() {
  const { rig } = useStore(planStore);
  const { others } = useStore(boatsStore);
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <View style={styles.block}>
      <Text kind="title">Boat</Text>
      <TextInput
        mode="outlined"
        label="Name of this boat"
        accessibilityLabel="Name of this boat"
        value={rig.name}
        maxLength={LONGEST_NAME}
        onChangeText={(name) => setProblem(changeRig({ name }))}
        testID="boat-name"
      />
      {others.map((other, i) => (
        <View key={other.name} style={styles.row}>
          <Text style={styles.grow}>{other.name}</Text>
          <Button label="Use" spoken={`Use ${other.name}`} onPress={() => switchBoat(i)} />
          <Button tone="quiet" label="Delete" spoken={`Delete ${other.name}`} onPress={() => deleteBoat(i)} />
        </View>
      ))}
      <Button icon="plus" label="Add another boat" onPress={() => setProblem(keepBoat())} testID="add-boat" />
      {problem && <Text role="alert">{problem}</Text>}
    </View>
  );
}

/** Where things are, dragged or typed. */
function Places() {
  const { rig } = useStore(planStore);
  const { system } = useUnits();
  const depth = measure(system, 'depth');
  const { positions } = rig;
  const most = Math.round(depth.fromSi(30));
  const field = (which: 'antenna' | 'rod', axis: 'x' | 'y', label: string) => (
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
        Seen from above, bow up. Drag the antenna and the rod, or type how far they are from the transducer.
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
    </View>
  );
}

function Level() {
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

function Transducers() {
  const { rig } = useStore(planStore);
  const tones = useTones();
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <View style={styles.block}>
      <Text kind="heading">Transducers</Text>
      <Text faint kind="small">
        Kinds, not makes. If you do not know your cone, take the nearest kind and try its angle wider and
        narrower: what changes below is what you do not know. A known weight, moved sideways until it is lost,
        tells.
      </Text>
      {TRANSDUCERS.map((t) => {
        const on = t.faces.some((f) => rig.faces.some((own) => own.id === f.id));
        return (
          <Tick
            key={t.id}
            label={t.label}
            hint={t.use}
            on={on}
            onPress={() => setProblem(changeTransducer(t.faces, !on))}
          />
        );
      })}
      {problem && <Text role="alert">{problem}</Text>}
      {rig.faces.map((face) => (
        <View key={face.id} style={[styles.face, { borderTopColor: tones.rule }]}>
          <Text bold>{face.label}</Text>
          <View style={styles.row}>
            <NumberField
              label={face.beam.shape === 'cone' ? 'Cone' : 'Side to side'}
              unit="°"
              value={radToDeg(face.beam.athwartRad)}
              low={5}
              high={120}
              onChange={(x) =>
                changeFace(face.id, {
                  beam: {
                    ...face.beam,
                    athwartRad: degToRad(x),
                    alongRad: face.beam.shape === 'cone' ? degToRad(x) : face.beam.alongRad,
                  },
                })
              }
              testID={`angle-${face.id}`}
            />
            <NumberField
              label="Power"
              unit="W"
              value={face.powerW}
              low={1}
              high={5000}
              decimals={0}
              onChange={(x) => changeFace(face.id, { powerW: x })}
            />
          </View>
        </View>
      ))}
    </View>
  );
}

/** Small weights anglers have, kg. */
const WEIGHTS = [
  { value: '0.0004', label: '0.4 g shot' },
  { value: '0.0035', label: '3.5 g jig' },
] as const;

function NoiseCheck() {
  const { rig, brief } = useStore(planStore);
  const { system, show } = useUnits();
  const depth = measure(system, 'depth');
  const [massKg, setMass] = useState<(typeof WEIGHTS)[number]['value']>('0.0035');
  const [engine, setEngine] = useState<Engine>('off');
  const [lostAtM, setLost] = useState(12);
  const face = rig.faces[0]!;
  const excess = excessNoiseFromWeight(rig, face, waterOf(brief), {
    massKg: Number(massKg),
    lostAtM,
    engine,
  });
  return (
    <View style={styles.block}>
      <Text kind="heading">How noisy is your boat?</Text>
      <Text>
        Lower a small lead weight straight under {face.label}, gain up to the first specks, and note where it
        is lost. The bed is no use for this: it shows far too deep. Now: {Math.round(rig.excessNoiseDb)} dB
        over the quietest there can be.
      </Text>
      <Chips label="Weight" options={WEIGHTS} value={massKg} onChange={setMass} />
      <Chips
        label="Engine"
        options={[
          { value: 'off', label: 'At rest' },
          { value: 'gear', label: 'In gear' },
        ]}
        value={engine === 'planing' ? 'gear' : engine}
        onChange={setEngine}
      />
      <NumberField
        label="Lost at"
        unit={depth.unit}
        value={depth.fromSi(lostAtM)}
        low={Math.ceil(depth.fromSi(0.5))}
        high={Math.round(depth.fromSi(100))}
        onChange={(x) => setLost(depth.toSi(x))}
        testID="lost-at"
      />
      <Button
        label={`Use it: ${Math.round(excess)} dB`}
        onPress={() => {
          const wrong = changeRig({ excessNoiseDb: Math.round(excess * 10) / 10 });
          notify(
            wrong ??
              `Every prediction now counts with your boat's own noise, lost at ${show('depth', lostAtM)}.`,
          );
        }}
        testID="use-noise"
      />
    </View>
  );
}

/** What a faulty mount draws. */
const FAULTS = [
  ['Loose', 'the bed jumps from ping to ping like a saw; marks are torn'],
  ['Tilted', 'the same leg of every arch is missing; the level line of the bed is drawn too deep'],
  ['Churned water', 'the picture pales or blanks when the boat speeds up, and comes back when it slows'],
  ['Obstructed', 'one side of a slice is empty, whichever way you go'],
  ['Wrong kind chosen in the unit', 'a beam is missing, or depth is right and the width of marks is not'],
] as const;

function Checklist() {
  return (
    <View style={styles.block}>
      <Text kind="heading">The mount, and what its faults draw</Text>
      {FAULTS.map(([fault, looks]) => (
        <Text key={fault}>
          <Text bold>{fault}: </Text>
          {looks}.
        </Text>
      ))}
      <Text>
        Never let a transducer transmit out of the water: pause it before the trailer or the lift. The water
        is what cools it.
      </Text>
    </View>
  );
}

function Screen() {
  const { rig } = useStore(planStore);
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
  const [depthM, setDepth] = useState(brief.toM);
  const water = waterOf(brief);
  const answers = (
    <View style={styles.block}>
      <Text kind="heading">At a depth</Text>
      <Dial
        label="Depth"
        name="boat-depth"
        value={Math.round(depth.fromSi(depthM))}
        low={1}
        high={Math.round(depth.fromSi(Math.max(60, brief.toM)))}
        step={1}
        show={(x) => `${x.toFixed(0)} ${depth.unit}`}
        onChange={(x) => setDepth(depth.toSi(x))}
      />
      <SideView rig={rig} depthM={depthM} />
      {rig.faces.map((face) => (
        <View key={face.id} testID={`answers-${face.id}`}>
          <Text bold>{face.label}</Text>
          <Answers list={beamAnswers(rig, face, depthM, water, units)} />
        </View>
      ))}
      <Text bold>The boat</Text>
      <Answers list={boatAnswers(rig, depthM, water, units)} />
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
        <Checklist />
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
  grow: { flex: 1, minWidth: 120 },
  answer: { borderTopWidth: 1, paddingVertical: 6 },
  face: { borderTopWidth: 1, paddingTop: 10, gap: 8 },
});
