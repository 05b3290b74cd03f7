import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { degToRad, radToDeg } from '@/core/units';
import { problemOf } from '@/core/formats';
import { changeFace, changeUnit, openUnitOf, planStore } from '@/stores';
import { Chips, Dial, Text, useTones } from '@/ui';
import { useChange } from './useChange';

/** Which beam, and its numbers. */
export function BeamChooser() {
  const { brief, rig } = useStore(planStore);
  const { screen } = useStore(planStore, openUnitOf);
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
              setProblem(problemOf(changeFace(face.id, { beam: { ...face.beam, alongRad, athwartRad } })));
            }}
          />
          <Dial
            label="Power"
            value={face.powerW}
            low={50}
            high={1000}
            step={50}
            show={(x) => `${x.toFixed(0)}\u00a0W`}
            onChange={(x) => setProblem(problemOf(changeFace(face.id, { powerW: x })))}
          />
        </View>
      ))}
      <View style={[styles.face, { borderTopColor: tones.rule }]}>
        <Text bold>Screen of the unit</Text>
        <Dial
          label="Rows"
          value={screen.rows}
          low={160}
          high={1000}
          step={20}
          show={(x) => `${x.toFixed(0)} pixels`}
          onChange={(x) => setProblem(problemOf(changeUnit({ screen: { ...screen, rows: x } })))}
        />
        <Dial
          label="Columns"
          value={screen.columns}
          low={160}
          high={1200}
          step={20}
          show={(x) => `${x.toFixed(0)} pixels`}
          onChange={(x) => setProblem(problemOf(changeUnit({ screen: { ...screen, columns: x } })))}
        />
      </View>
    </>
  );
}

const styles = StyleSheet.create({
  face: { borderTopWidth: 1, paddingTop: 12, gap: 8 },
});
