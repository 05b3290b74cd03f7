import { useRouter } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import {
  PALETTES,
  palettesFor,
  type EyeAnswer,
  type EyeTrial,
  type PaletteName,
  type PictureKind,
} from '@/core/picture';
import { EYE_CHECK_CELLS, eyeCheckPicture, eyeCheckResult, eyeCheckTrials } from '@/core/picture/drawing';
import { seededRandom } from '@/core/maths';
import { choosePalette, notify } from '@/stores';
import { Button, Chips, PixelPicture, Text, useTones } from '@/ui';

const QUARTERS = ['Top left', 'Top right', 'Bottom left', 'Bottom right'] as const;
/** A picture is shown for so long, ms; the answer can come later. */
const SHOWN_MS = 4000;
/** Side of the picture, px: two layout pixels a cell and a little, as wide as a phone leaves. */
const SIDE_PX = 2.5 * EYE_CHECK_CELLS;

interface Check {
  kind: PictureKind;
  palettes: readonly [PaletteName, PaletteName];
  trials: readonly EyeTrial[];
  answers: readonly EyeAnswer[];
  seed: number;
}

/** One look: the picture, its four quarters to tap, and a way to say that nothing was seen. */
function Look({ check, onAnswer }: { check: Check; onAnswer: (answer: EyeAnswer) => void }) {
  const tones = useTones();
  const k = check.answers.length;
  const trial = check.trials[k]!;
  const [hidden, setHidden] = useState(false);
  const pixels = useMemo(
    () => eyeCheckPicture(trial, seededRandom(check.seed).fork(`look ${k}`)),
    [trial, check.seed, k],
  );
  useEffect(() => {
    const timer = setTimeout(() => setHidden(true), SHOWN_MS);
    return () => clearTimeout(timer);
  }, []);
  return (
    <>
      <Text testID="eye-progress">
        Picture {k + 1} of {check.trials.length}. Tap the quarter with the arch.
      </Text>
      <View style={[styles.picture, { borderColor: tones.faint, backgroundColor: tones.page }]}>
        {!hidden && (
          <PixelPicture
            width={EYE_CHECK_CELLS}
            height={EYE_CHECK_CELLS}
            pixels={pixels}
            label="A picture with one arch in one quarter"
            shownWidth={SIDE_PX}
            shownHeight={SIDE_PX}
            testID="eye-picture"
          />
        )}
        {QUARTERS.map((name, q) => (
          <Pressable
            key={name}
            role="button"
            aria-label={name}
            onPress={() => onAnswer(q)}
            style={[
              styles.quarter,
              { borderColor: tones.faint, left: (q % 2) * (SIDE_PX / 2), top: q < 2 ? 0 : SIDE_PX / 2 },
            ]}
            testID={`eye-quarter-${q}`}
          />
        ))}
      </View>
      <Button label="I see none" onPress={() => onAnswer(null)} testID="eye-none" />
    </>
  );
}

function Result({ check, onAgain }: { check: Check; onAgain: () => void }) {
  const router = useRouter();
  const { light } = useTones();
  const { palettes, trials, answers, kind } = check;
  const { found, of, better } = eyeCheckResult(palettes, trials, answers);
  const label = (name: PaletteName): string => PALETTES[name].label;
  return (
    <>
      <Text bold testID="eye-result">
        {better
          ? `You see more with ${label(better)}.`
          : 'You see about the same with both. Take the one you like.'}
      </Text>
      {palettes.map((name, k) => (
        <Text key={name}>
          {label(name)}: you found {found[k]} of {of} arches.
        </Text>
      ))}
      <Text faint>The check is short, so small differences count as chance. Do it again in other light.</Text>
      <View style={styles.row}>
        {palettes.map((name) => (
          <Button
            key={name}
            tone={name === better ? 'main' : 'plain'}
            label={`Use ${label(name)}`}
            onPress={() => {
              choosePalette(light, kind, name);
              notify(`${label(name)} is your palette in this light.`);
              router.back();
            }}
            testID={`eye-use-${name}`}
          />
        ))}
        <Button tone="quiet" label="Check again" onPress={onAgain} />
      </View>
    </>
  );
}

/** Two minutes in today's light: which palette shows this person most. */
export function EyeCheckScreen() {
  const { light } = useTones();
  const router = useRouter();
  const [kind, setKind] = useState<PictureKind>('cone');
  const [check, setCheck] = useState<Check | null>(null);
  const start = (): void => {
    const seed = Date.now() % 2 ** 31;
    const [a, b] = palettesFor(light, kind);
    const palettes = [a!, b!] as const;
    setCheck({ kind, palettes, trials: eyeCheckTrials(palettes, seededRandom(seed)), answers: [], seed });
  };
  return (
    <ScrollView contentContainerStyle={styles.page}>
      <Text kind="title">Eye check</Text>
      {!check ? (
        <>
          <Text>
            Find which palette shows you most in the light you have now. It takes about two minutes and 24
            pictures.
          </Text>
          <Text>
            Each picture has one arch in one quarter. You see it for 4 seconds. Tap where it is. Hold the
            screen as you do when you fish.
          </Text>
          <Text bold>Which picture?</Text>
          <Chips
            label="Which picture?"
            value={kind}
            options={[
              { value: 'cone', label: 'Cone' },
              { value: 'slice', label: 'Slice' },
            ]}
            onChange={setKind}
          />
          <View style={styles.row}>
            <Button tone="main" label="Start" onPress={start} testID="eye-start" />
            <Button tone="quiet" label="Back" onPress={() => router.back()} />
          </View>
        </>
      ) : check.answers.length < check.trials.length ? (
        <>
          <Look
            key={check.answers.length}
            check={check}
            onAnswer={(answer) => setCheck({ ...check, answers: [...check.answers, answer] })}
          />
          <Button tone="quiet" label="Stop" onPress={() => setCheck(null)} />
        </>
      ) : (
        <Result check={check} onAgain={start} />
      )}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  page: { padding: 16, gap: 14, paddingBottom: 40, maxWidth: 700, width: '100%', alignSelf: 'center' },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
  picture: { width: SIDE_PX + 2, height: SIDE_PX + 2, borderWidth: 1, alignSelf: 'center' },
  quarter: { position: 'absolute', width: SIDE_PX / 2, height: SIDE_PX / 2, borderWidth: 0.5 },
});
