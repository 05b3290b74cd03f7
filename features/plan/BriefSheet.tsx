import { useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useStore } from 'zustand';
import {
  BRIEF_BEDS,
  CLARITIES,
  KEEPS,
  PRESENTATIONS,
  SPECIES,
  targetOf,
  USUAL_SPEED_MPS,
  type Brief,
  type Keeps,
  type Species,
} from '@/core/advice';
import { degToRad, measure, radToDeg } from '@/core/units';
import { addSpecies, aimAt, changeBrief, changeFace, changeRig, planStore } from '@/stores';
import { Button, Chips, Dial, NumberField, Sheet, SpanDial, Text, Tick, useTones } from '@/ui';
import { useUnits } from '../units';
import { BED_WORDS, CLARITY_WORDS, KEEPS_WORDS, PRESENTATION_WORDS, type BriefPiece } from './wording';

const TITLE: Record<BriefPiece, string> = {
  species: 'Fish and size',
  depth: 'Depth',
  water: 'Water',
  presentation: 'How you fish',
  beam: 'Beam and transducer',
};

/** Choosers of a brief; each says what it will not take and leaves the brief as it was. */
function useChange(): {
  change: (c: Partial<Brief>) => string | null;
  problem: string | null;
  setProblem: (p: string | null) => void;
} {
  const [problem, setProblem] = useState<string | null>(null);
  return {
    change: (c) => {
      const wrong = changeBrief(c);
      setProblem(wrong);
      return wrong;
    },
    problem,
    setProblem,
  };
}

/** Whole steps of a dial in the user's unit, as SI. */
function useSteps() {
  const { system, show } = useUnits();
  return {
    system,
    show,
    depth: measure(system, 'depth'),
    small: measure(system, 'small'),
    speed: measure(system, 'speed'),
    temperature: measure(system, 'temperature'),
  };
}

/** A kind the library lacks: its name, its bladder and where it keeps. */
function OwnKind() {
  const { brief } = useStore(planStore);
  const tones = useTones();
  const [open, setOpen] = useState(false);
  const [label, setLabel] = useState('');
  const [bladder, setBladder] = useState<Species['bladder']>('closed');
  const [keeps, setKeeps] = useState<Keeps>('midwater');
  const [problem, setProblem] = useState<string | null>(null);
  if (!open)
    return <Button label="Add a kind of your own" onPress={() => setOpen(true)} testID="add-species" />;
  return (
    <View style={[styles.face, { borderTopColor: tones.rule }]}>
      <TextInput
        mode="outlined"
        label="Name of the kind"
        accessibilityLabel="Name of the kind"
        value={label}
        maxLength={40}
        onChangeText={setLabel}
        testID="own-species-name"
      />
      <Text faint kind="small">
        The echo is mostly swim bladder; it takes the sizes set above.
      </Text>
      <Chips
        label="Swim bladder"
        value={bladder}
        options={[
          { value: 'closed', label: 'Bladder, closed' },
          { value: 'open', label: 'Bladder, open' },
          { value: 'small', label: 'Small or none' },
        ]}
        onChange={setBladder}
      />
      <Chips
        label="Where it keeps"
        value={keeps}
        options={KEEPS.map((k) => ({ value: k, label: KEEPS_WORDS[k] }))}
        onChange={setKeeps}
      />
      {problem && <Text role="alert">{problem}</Text>}
      <Button
        label="Add it"
        onPress={() => {
          const wrong =
            label.trim() === ''
              ? 'Give it a name.'
              : addSpecies({ label: label.trim(), bladder, keeps, lengthM: [...brief.lengthM] });
          setProblem(wrong);
          if (!wrong) {
            setLabel('');
            setOpen(false);
          }
        }}
        testID="own-species-add"
      />
    </View>
  );
}

function SpeciesChooser() {
  const { brief, ownSpecies } = useStore(planStore);
  const { change, problem, setProblem } = useChange();
  const { small } = useSteps();
  const [low, high] = brief.lengthM.map((m) => small.fromSi(m)) as [number, number];
  const length = (x: number): string => `${x.toFixed(0)}\u00a0${small.unit}`;
  const most = Math.round(small.fromSi(1.5));
  const kinds: readonly Species[] = [...ownSpecies, ...SPECIES];
  const [sought, setSought] = useState('');
  const found = kinds.filter((s) => s.label.toLowerCase().includes(sought.trim().toLowerCase()));
  return (
    <>
      <Dial
        label="Smallest"
        name="length-low"
        value={Math.round(low)}
        low={1}
        high={most}
        step={1}
        show={length}
        onChange={(x) => change({ lengthM: [small.toSi(x), Math.max(small.toSi(x), brief.lengthM[1])] })}
      />
      <Dial
        label="Largest"
        name="length-high"
        value={Math.round(high)}
        low={1}
        high={most}
        step={1}
        show={length}
        onChange={(x) => change({ lengthM: [Math.min(small.toSi(x), brief.lengthM[0]), small.toSi(x)] })}
      />
      {problem && <Text role="alert">{problem}</Text>}
      <Text faint kind="small" testID="keeps">
        {targetOf(brief).label} usually keeps {KEEPS_WORDS[targetOf(brief).keeps]}.
      </Text>
      <OwnKind />
      <TextInput
        mode="outlined"
        label="Find a kind"
        accessibilityLabel="Find a kind"
        value={sought}
        maxLength={40}
        onChangeText={setSought}
        testID="find-species"
      />
      {found.length === 0 && <Text faint>No such kind here: add it as your own, above.</Text>}
      <Chips
        label="Kind of fish"
        value={brief.speciesId}
        options={found.map((s) => ({ value: s.id, label: s.label }))}
        onChange={(id) => {
          const species = kinds.find((s) => s.id === id);
          if (species) setProblem(aimAt(species));
        }}
      />
    </>
  );
}

function DepthChooser() {
  const { brief } = useStore(planStore);
  const { change, problem } = useChange();
  const { system, depth } = useSteps();
  const show = (x: number): string => `${x.toFixed(0)}\u00a0${depth.unit}`;
  const deepest = Math.round(depth.fromSi(brief.toM > 40 ? 180 : 60));
  const gap = depth.unit === 'ft' ? 4 : 1;
  const from = Math.round(depth.fromSi(brief.fromM));
  const to = Math.round(depth.fromSi(brief.toM));
  return (
    <>
      <SpanDial
        low={1}
        high={deepest}
        step={1}
        apart={gap}
        show={show}
        from={{
          label: 'Shallowest fish',
          name: 'depth-from',
          value: from,
          onChange: (x) => change({ fromM: depth.toSi(x), toM: Math.max(brief.toM, depth.toSi(x + gap)) }),
        }}
        to={{
          label: 'Bed',
          name: 'depth-to',
          value: to,
          onChange: (x) =>
            change({ toM: Math.max(2, depth.toSi(x)), fromM: Math.min(brief.fromM, depth.toSi(x - gap)) }),
        }}
      />
      <View style={styles.row}>
        <NumberField
          label="Or type: fish from"
          unit={depth.unit}
          value={depth.fromSi(brief.fromM)}
          low={1}
          high={Math.floor(depth.fromSi(299))}
          length={system}
          onChange={(x) => change({ fromM: depth.toSi(x) })}
          testID="typed-from"
        />
        <NumberField
          label="Bed at"
          unit={depth.unit}
          value={depth.fromSi(brief.toM)}
          low={2}
          high={Math.floor(depth.fromSi(300))}
          length={system}
          onChange={(x) => change({ toM: depth.toSi(x) })}
          testID="typed-to"
        />
      </View>
      {problem && <Text role="alert">{problem}</Text>}
      {brief.toM >= depth.toSi(deepest) - 0.5 && deepest < depth.fromSi(100) && (
        <Button label="Deeper water" onPress={() => change({ toM: 60 })} />
      )}
    </>
  );
}

function WaterChooser() {
  const { brief } = useStore(planStore);
  const { change, problem } = useChange();
  const { depth, temperature, speed } = useSteps();
  return (
    <>
      <Chips
        label="Fresh or salt"
        value={brief.saltUnderM !== null ? 'over' : brief.salinity < 1 ? 'fresh' : 'salt'}
        options={[
          { value: 'fresh', label: 'Fresh' },
          { value: 'salt', label: 'Salt' },
          { value: 'over', label: 'Fresh over salt' },
        ]}
        onChange={(kind) =>
          change({ salinity: kind === 'salt' ? 35 : 0, saltUnderM: kind === 'over' ? 3 : null })
        }
      />
      {brief.saltUnderM !== null && (
        <Dial
          label="Salt from"
          value={Math.round(depth.fromSi(brief.saltUnderM))}
          low={1}
          high={Math.round(depth.fromSi(40))}
          step={1}
          show={(x) => `${x.toFixed(0)}\u00a0${depth.unit} down`}
          onChange={(x) => change({ saltUnderM: Math.max(0.5, depth.toSi(x)) })}
        />
      )}
      <Chips
        label="Clarity"
        value={brief.clarity}
        options={CLARITIES.map((c) => ({ value: c, label: CLARITY_WORDS[c] }))}
        onChange={(clarity) => change({ clarity })}
      />
      <Chips
        label="Bed"
        value={brief.bed}
        options={BRIEF_BEDS.map((b) => ({ value: b, label: BED_WORDS[b] }))}
        onChange={(bed) => change({ bed })}
      />
      <Dial
        label="Temperature"
        value={Math.round(temperature.fromSi(brief.temperatureC))}
        low={Math.round(temperature.fromSi(0))}
        high={Math.round(temperature.fromSi(30))}
        step={1}
        show={(x) => `${x.toFixed(0)}\u00a0${temperature.unit}`}
        onChange={(x) => change({ temperatureC: temperature.toSi(x) })}
      />
      <Chips
        label="Layer"
        value={brief.thermoclineM === null ? 'none' : 'layer'}
        options={[
          { value: 'none', label: 'Mixed' },
          { value: 'layer', label: 'Layered' },
        ]}
        onChange={(kind) => change({ thermoclineM: kind === 'layer' ? 9 : null })}
      />
      {brief.thermoclineM !== null && (
        <Dial
          label="Depth of the layer"
          value={Math.round(depth.fromSi(brief.thermoclineM))}
          low={Math.round(depth.fromSi(2))}
          high={Math.round(depth.fromSi(40))}
          step={1}
          show={(x) => `${x.toFixed(0)}\u00a0${depth.unit}`}
          onChange={(x) => change({ thermoclineM: depth.toSi(x) })}
        />
      )}
      <Dial
        label="Wind"
        value={Math.round(speed.fromSi(brief.windMps))}
        low={0}
        high={Math.round(speed.fromSi(12))}
        step={1}
        show={(x) => `${x.toFixed(0)}\u00a0${speed.unit}`}
        onChange={(x) => change({ windMps: speed.toSi(x) })}
      />
      {problem && <Text role="alert">{problem}</Text>}
    </>
  );
}

function PresentationChooser() {
  const { brief } = useStore(planStore);
  const { change, problem } = useChange();
  const { speed } = useSteps();
  return (
    <>
      <Chips
        label="How you fish"
        value={brief.presentation}
        options={PRESENTATIONS.map((p) => ({ value: p, label: PRESENTATION_WORDS[p].chip }))}
        onChange={(p) => change({ presentation: p, speedMps: USUAL_SPEED_MPS[p] })}
      />
      <Dial
        label="Boat speed"
        name="boat-speed"
        value={Number(speed.fromSi(brief.speedMps).toFixed(1))}
        low={0}
        high={Math.round(speed.fromSi(15))}
        step={speed.unit === 'mph' ? 0.1 : 0.2}
        show={(x) => `${x.toFixed(1)}\u00a0${speed.unit}`}
        onChange={(x) => change({ speedMps: Math.min(15, speed.toSi(x)) })}
      />
      <Tick
        label="Other sounders near"
        hint="boats within earshot, or your own second one"
        on={brief.othersNear}
        onPress={() => change({ othersNear: !brief.othersNear })}
      />
      {problem && <Text role="alert">{problem}</Text>}
    </>
  );
}

function BeamChooser() {
  const { brief, rig } = useStore(planStore);
  const tones = useTones();
  const { change, problem, setProblem } = useChange();
  return (
    <>
      <Chips
        label="Beam"
        value={brief.faceId ?? 'auto'}
        options={[
          { value: 'auto', label: 'Whichever suits' },
          ...rig.faces.map((f) => ({ value: f.id, label: f.label })),
        ]}
        onChange={(id) => change({ faceId: id === 'auto' ? null : id })}
      />
      {problem && <Text role="alert">{problem}</Text>}
      {rig.faces.map((face) => (
        <View key={face.id} style={[styles.face, { borderTopColor: tones.rule }]}>
          <Text bold>{face.label}</Text>
          <Dial
            label={face.beam.shape === 'cone' ? 'Cone angle' : 'Slice, side to side'}
            name={`cone-${face.id}`}
            value={Math.round(radToDeg(face.beam.athwartRad))}
            low={5}
            high={90}
            step={1}
            show={(x) => `${x.toFixed(0)}°`}
            onChange={(x) => {
              const athwartRad = degToRad(x);
              const alongRad = face.beam.shape === 'cone' ? athwartRad : face.beam.alongRad;
              setProblem(changeFace(face.id, { beam: { ...face.beam, alongRad, athwartRad } }));
            }}
          />
          <Dial
            label="Power"
            value={face.powerW}
            low={50}
            high={1000}
            step={50}
            show={(x) => `${x.toFixed(0)}\u00a0W`}
            onChange={(x) => setProblem(changeFace(face.id, { powerW: x }))}
          />
        </View>
      ))}
      <View style={[styles.face, { borderTopColor: tones.rule }]}>
        <Text bold>Screen of the unit</Text>
        <Dial
          label="Rows"
          value={rig.screen.rows}
          low={160}
          high={1000}
          step={20}
          show={(x) => `${x.toFixed(0)} pixels`}
          onChange={(x) => setProblem(changeRig({ screen: { ...rig.screen, rows: x } }))}
        />
        <Dial
          label="Columns"
          value={rig.screen.columns}
          low={160}
          high={1200}
          step={20}
          show={(x) => `${x.toFixed(0)} pixels`}
          onChange={(x) => setProblem(changeRig({ screen: { ...rig.screen, columns: x } }))}
        />
      </View>
    </>
  );
}

const CHOOSER: Record<BriefPiece, () => ReactNode> = {
  species: SpeciesChooser,
  depth: DepthChooser,
  water: WaterChooser,
  presentation: PresentationChooser,
  beam: BeamChooser,
};

/** The chooser of one piece of the brief. */
export function BriefSheet({ piece, onClose }: { piece: BriefPiece | null; onClose: () => void }) {
  if (!piece) return null;
  const Chooser = CHOOSER[piece];
  return (
    <Sheet title={TITLE[piece]} open onClose={onClose}>
      <Chooser />
      <Button tone="main" label="Done" onPress={onClose} />
    </Sheet>
  );
}

const styles = StyleSheet.create({
  face: { borderTopWidth: 1, paddingTop: 12, gap: 8 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
});
