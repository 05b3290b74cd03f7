import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useStore } from 'zustand';
import { coneFromWeight, coneOfShare, faceAt, TRANSDUCERS, type Face } from '@/core/rig';
import { degToRad, measure, radToDeg } from '@/core/units';
import { problemOf, type Result } from '@/core/formats';
import { changeFace, changeRig, changeTransducer, planStore, removeFace, renameFace } from '@/stores';
import { Button, Chips, NumberField, Text, Tick, useTones } from '@/ui';
import { useUnits } from '../units';

/** Rules of thumb for a footprint, as shares of the depth. */
const RULES = [
  { value: '0.25', label: 'a quarter' },
  { value: '0.3333', label: 'a third' },
  { value: '0.5', label: 'half' },
] as const;

/** A cone's angle when the user does not know it: carried wide and narrow, and how to find out. */
function UnknownCone({ face, onCone }: { face: Face; onCone: (rad: number) => void }) {
  const { rig } = useStore(planStore);
  const { system } = useUnits();
  const depth = measure(system, 'depth');
  const [depthM, setDepth] = useState(5);
  const [sideM, setSide] = useState(1);
  const unsure = rig.unsureCones.includes(face.id);
  const found = coneFromWeight(sideM, depthM);
  return (
    <>
      <Tick
        label="I do not know this cone"
        hint="you get answers for the widest and the narrowest it may be"
        on={unsure}
        onPress={() =>
          changeRig({
            unsureCones: unsure
              ? rig.unsureCones.filter((id) => id !== face.id)
              : [...rig.unsureCones, face.id],
          })
        }
      />
      {unsure && (
        <View style={styles.find}>
          <Text>
            To find out, lower a weight straight under the transducer until it shows well. Then move it
            sideways until you lose it.
          </Text>
          <View style={styles.row}>
            <NumberField
              label="Weight at"
              unit={depth.unit}
              value={depth.fromSi(depthM)}
              low={1}
              high={Math.round(depth.fromSi(30))}
              length={system}
              onChange={(x) => setDepth(depth.toSi(x))}
              testID={`cone-depth-${face.id}`}
            />
            <NumberField
              label="Lost to the side at"
              unit={depth.unit}
              value={depth.fromSi(sideM)}
              low={0.1}
              high={Math.round(depth.fromSi(30))}
              length={system}
              onChange={(x) => setSide(depth.toSi(x))}
              testID={`cone-side-${face.id}`}
            />
          </View>
          <Button
            label={`Use ${radToDeg(found).toFixed(0)}°`}
            onPress={() => {
              onCone(found);
              changeRig({ unsureCones: rig.unsureCones.filter((id) => id !== face.id) });
            }}
            testID={`cone-found-${face.id}`}
          />
          <Text>Or go by a rule: the footprint is this share of the depth.</Text>
          <Chips
            label="Footprint as a share of the depth"
            options={RULES}
            value={
              RULES.find((r) => Math.abs(coneOfShare(Number(r.value)) - face.beam.athwartRad) < 0.01)
                ?.value ?? ('' as (typeof RULES)[number]['value'])
            }
            onChange={(share) => onCone(coneOfShare(Number(share)))}
          />
        </View>
      )}
    </>
  );
}

function FaceNumbers({ face }: { face: Face }) {
  const tones = useTones();
  const [problem, setProblem] = useState<string | null>(null);
  const [name, setName] = useState(face.label);
  // Another frequency names it anew.
  const [named, setNamed] = useState(face.label);
  if (named !== face.label) {
    setNamed(face.label);
    setName(face.label);
  }
  // As it was before another frequency was typed.
  const [before, setBefore] = useState<Face | null>(null);
  const cone = face.beam.shape === 'cone';
  const following = cone ? coneAtNew(before, face) : null;
  const setAngle = (rad: number): Result =>
    changeFace(face.id, {
      beam: { ...face.beam, athwartRad: rad, alongRad: cone ? rad : face.beam.alongRad },
    });
  return (
    <View style={[styles.face, { borderTopColor: tones.rule }]}>
      <View style={styles.row}>
        <TextInput
          mode="outlined"
          label="Name of this beam"
          accessibilityLabel={`Name of the ${face.label} beam`}
          value={name}
          maxLength={40}
          onChangeText={setName}
          onBlur={() => setProblem(problemOf(renameFace(face.id, name)))}
          style={styles.grow}
          testID={`name-${face.id}`}
        />
        <Button
          tone="quiet"
          label="Remove"
          spoken={`Remove the ${face.label} beam`}
          onPress={() => setProblem(problemOf(removeFace(face.id)))}
          testID={`remove-${face.id}`}
        />
      </View>
      <View style={styles.row}>
        <NumberField
          label={cone ? 'Cone' : 'Side to side'}
          unit="°"
          value={radToDeg(face.beam.athwartRad)}
          low={5}
          high={120}
          onChange={(x) => setAngle(degToRad(x))}
          testID={`angle-${face.id}`}
        />
        <NumberField
          label="Frequency"
          unit="kHz"
          value={face.frequencyHz / 1000}
          low={20}
          high={1300}
          decimals={0}
          onChange={(x) => {
            setBefore(face);
            return changeFace(face.id, { frequencyHz: 1000 * x });
          }}
          testID={`frequency-${face.id}`}
        />
        <NumberField
          label="Power"
          unit="W"
          value={face.powerW}
          low={1}
          high={5000}
          decimals={0}
          onChange={(x) => changeFace(face.id, { powerW: x })}
          testID={`power-${face.id}`}
        />
        <NumberField
          label="Pulse"
          unit="µs"
          value={1e6 * face.pulseS}
          low={10}
          high={5000}
          decimals={0}
          onChange={(x) => changeFace(face.id, { pulseS: x / 1e6 })}
        />
      </View>
      {following !== null && (
        <View style={styles.row}>
          <Text style={styles.grow}>
            Driven at {(face.frequencyHz / 1000).toFixed(0)} kHz the same face has a cone of{' '}
            {radToDeg(following).toFixed(0)}°.
          </Text>
          <Button
            label={`Use ${radToDeg(following).toFixed(0)}°`}
            spoken={`${face.label}: use a cone of ${radToDeg(following).toFixed(0)} degrees`}
            onPress={() => {
              setProblem(problemOf(setAngle(following)));
              setBefore(null);
            }}
          />
        </View>
      )}
      {cone && <UnknownCone face={face} onCone={(rad) => setProblem(problemOf(setAngle(rad)))} />}
      {problem && <Text role="alert">{problem}</Text>}
    </View>
  );
}

/** The cone of the same face driven at another frequency: lower is wider. Null where it stays, or would be wider than a face can be. */
function coneAtNew(before: Face | null, face: Face): number | null {
  if (!before || before.frequencyHz === face.frequencyHz) return null;
  try {
    return faceAt(before, face.frequencyHz).beam.athwartRad;
  } catch {
    return null;
  }
}

/** What hangs under the boat, picked by kind, its numbers typed. */
export function Transducers() {
  const { rig } = useStore(planStore);
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <View style={styles.block}>
      <Text faint kind="small">
        Tick the nearest kind, then type your own numbers below.
      </Text>
      {TRANSDUCERS.map((t) => {
        const on = t.faces.some((f) => rig.faces.some((own) => own.id === f.id));
        return (
          <Tick
            key={t.id}
            label={t.label}
            hint={t.use}
            on={on}
            onPress={() => setProblem(problemOf(changeTransducer(t.faces, !on)))}
          />
        );
      })}
      {problem && <Text role="alert">{problem}</Text>}
      {rig.faces.map((face) => (
        <FaceNumbers key={face.id} face={face} />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: 10, paddingBottom: 28 },
  row: { flexDirection: 'row', gap: 10, flexWrap: 'wrap', alignItems: 'center' },
  face: { borderTopWidth: 1, paddingTop: 10, gap: 8 },
  find: { gap: 8, paddingLeft: 38 },
  grow: { flex: 1, minWidth: 200 },
});
