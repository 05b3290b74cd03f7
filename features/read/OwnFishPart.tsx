import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useStore } from 'zustand';
import { problemOf } from '@/core/formats';
import { legendStep } from '@/core/picture';
import { besideOwn, drawnSteps, kindOfGroup, levelsOf, ownKinds } from '@/core/logbook/ownKinds';
import type { FishFinding } from '@/core/reading';
import { fishGroup } from '@/core/reading/marks/fishGroup';
import { measure } from '@/core/units';
import { keepOwnFish, ownFishStore, passStore, viewOf, viewStore, type PassReading } from '@/stores';
import { Button, Chips, NumberField, Sheet, Text } from '@/ui';
import { useUnits } from '../units';
import { groupLine, kindOfGroupLine } from '../words/fishGroup';
import { BESIDE_WORDS, ownKindWords, stepWords } from '../words/ownFish';
import { noteCaught } from './callInDay';

/** A mark against the marks of one's own caught fish; and its being one of them. */
export function OwnFishPart({ finding, reading }: { finding: FishFinding; reading: PassReading }) {
  const units = useUnits();
  const picture = useStore(viewStore, (s) => viewOf(s, 'read').picture);
  const fish = useStore(ownFishStore, (s) => s.fish);
  const relative = useStore(
    passStore,
    (s) => s.pass.source.kind === 'recording' && s.pass.source.placeless === true,
  );
  const face = useStore(passStore, (s) => s.pass.rig.faces.find((f) => f.id === s.settings.faceId));
  const gainDb = useStore(passStore, (s) => s.settings.gainDb);
  const [asking, setAsking] = useState(false);
  const steps = picture && drawnSteps(finding, reading.timeS, picture);
  if (!picture || !steps || !face) return null;
  const { frequencyHz } = face;
  const shown = [legendStep(steps[0]), legendStep(steps[1])] as const;
  const group = fishGroup(finding, reading.reading.findings, reading.wayM);
  const groupKind = group && kindOfGroup(fish, group.kind);
  const own = ownKinds(fish, { frequencyHz, relative }, picture.scale);
  return (
    <View style={styles.part} testID="own-fish">
      <Text>
        Most of it is drawn in {stepWords(shown)} of the legend. {group && groupLine(group)}
      </Text>
      {groupKind && <Text testID="kind-of-group">{kindOfGroupLine(groupKind)}</Text>}
      {own.map((kind) => (
        <Text key={kind.kind}>
          {ownKindWords(kind, units)} {BESIDE_WORDS[besideOwn(shown, kind)]}
        </Text>
      ))}
      <View style={styles.row}>
        <Button
          tone="quiet"
          label="I caught this fish"
          onPress={() => setAsking(true)}
          testID="caught-this"
        />
      </View>
      {asking && (
        <CaughtSheet
          kinds={own.map((k) => k.kind)}
          likelyM={finding.lengthM?.[1] ?? 0.3}
          onClose={() => setAsking(false)}
          onKeep={(kind, lengthM) =>
            problemOf(
              keepOwnFish(
                {
                  kind,
                  lengthM,
                  frequencyHz,
                  relative,
                  levelDb: levelsOf(picture.scale, steps),
                  gainDb,
                  thicknessM: finding.heightM,
                  depthM: finding.rangeM,
                  group: group?.kind ?? null,
                },
                () => noteCaught(finding, reading, { species: kind, lengthM }),
              ),
            )
          }
        />
      )}
    </View>
  );
}

interface CaughtProps {
  /** Kinds caught before, the commonest first. */
  kinds: readonly string[];
  likelyM: number;
  onClose: () => void;
  /** Keeps it, or says what is wrong. */
  onKeep: (kind: string, lengthM: number | null) => string | null;
}

/** Which fish it was, and how long if it was measured. */
function CaughtSheet({ kinds, likelyM, onClose, onKeep }: CaughtProps) {
  const { system } = useUnits();
  const small = measure(system, 'small');
  const [kind, setKind] = useState(kinds[0] ?? '');
  const [measured, setMeasured] = useState<'no' | 'yes'>('no');
  const [lengthM, setLengthM] = useState(likelyM);
  const [problem, setProblem] = useState<string | null>(null);
  const keep = (): void => {
    if (kind.trim() === '') return setProblem('Say which fish it was.');
    const wrong = onKeep(kind, measured === 'yes' ? lengthM : null);
    setProblem(wrong);
    if (wrong === null) onClose();
  };
  return (
    <Sheet title="You caught this fish" open onClose={onClose}>
      <TextInput
        mode="outlined"
        label="Kind"
        aria-label="Kind"
        value={kind}
        maxLength={60}
        onChangeText={setKind}
        testID="caught-kind"
      />
      <View style={styles.row}>
        {kinds.slice(0, 4).map((k) => (
          <Button key={k} label={k} onPress={() => setKind(k)} />
        ))}
      </View>
      <Chips
        label="Its length"
        value={measured}
        options={[
          { value: 'no', label: 'Not measured' },
          { value: 'yes', label: 'Measured' },
        ]}
        onChange={setMeasured}
      />
      {measured === 'yes' && (
        <NumberField
          label="Length"
          value={small.fromSi(lengthM)}
          unit={small.unit}
          low={small.fromSi(0.01)}
          high={small.fromSi(5)}
          decimals={0}
          onChange={(shown) => setLengthM(small.toSi(shown))}
          testID="caught-length"
        />
      )}
      {problem && <Text role="alert">{problem}</Text>}
      <Button tone="main" label="Keep" onPress={keep} testID="keep-caught" />
      <Text faint kind="small">
        Its step, thickness, depth and gain are kept. Later marks are held against it.
      </Text>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  part: { gap: 6 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
