import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useStore } from 'zustand';
import type { NamedCalibration } from '@/core/formats/screenFile';
import type { PixelImage } from '@/core/screenPicture';
import { MOST_MORE_PANELS } from '@/core/screenPicture/calibration';
import { measure } from '@/core/units';
import {
  deleteCalibration,
  keepCalibration,
  passStore,
  screenCalibrationStore,
  takeScreenPictureToBench,
} from '@/stores';
import { Button, chooseFile, Chips, NumberField, Text, useTones, useWide } from '@/ui';
import { useUnits } from '../units';
import {
  anotherPanel,
  BEGIN,
  calibrationOf,
  sameLegend,
  STEPS,
  stepBack,
  takenUp,
  tapped,
  tapsOf,
  type Calibrating,
} from './calibrating';
import { CalibrationPicture } from './CalibrationPicture';
import { takeHandedPicture } from './handedPicture';

/** Shared with what opens kept pictures, and loaded when the first is wanted. */
const opener = () => import('@/stores/openPicture');

/** What a tap is asked for now. */
function asksOf({ step, photo, corners, depthAt, legend }: Calibrating): string {
  const nth = (done: number, names: readonly string[]): string => names[done] ?? names[0]!;
  switch (step) {
    case 'corners':
      return photo
        ? `Tap the ${nth(corners.length, ['top left', 'top right', 'bottom right', 'bottom left'])} corner of the echoes.`
        : `Tap the ${nth(corners.length, ['top left', 'bottom right'])} corner of the echoes.`;
    case 'depths':
      return `Tap the line of ${nth(depthAt.length, ['a small depth', 'a large depth'])} on its scale.`;
    case 'legend':
      return `Tap the ${nth(legend.length, ['weakest', 'strongest'])} colour of the legend.`;
    case 'rest':
      return 'Check the numbers, then read it.';
  }
}

/** A picture of one's own sounder's screen: what must be known of it, and then it is read as a pass is. */
export function ScreenPictureScreen() {
  const tones = useTones();
  const router = useRouter();
  const wide = useWide();
  const { system } = useUnits();
  const depth = measure(system, 'depth');
  const speed = measure(system, 'speed');
  const faces = useStore(passStore, (s) => s.pass.rig.faces);
  const kept = useStore(screenCalibrationStore, (s) => s.kept);
  const [opened, setOpened] = useState<{ file: Blob; image: PixelImage } | null>(null);
  const image = opened?.image ?? null;
  const [name, setName] = useState('');
  const begin: Calibrating = { ...BEGIN, faceId: faces[0]?.id ?? '' };
  const [c, setC] = useState<Calibrating>(begin);
  const [keepAs, setKeepAs] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);

  const take = async (file: File): Promise<void> => {
    setProblem(null);
    const { openPicture } = await opener();
    const picture = await openPicture(file);
    if (!picture.ok) return setProblem(`${picture.problem} Nothing was changed.`);
    setOpened({ file, image: picture.value });
    setName(file.name.replace(/\.\w+$/, ''));
    setC((now) => ({ ...BEGIN, faceId: now.faceId }));
  };
  useEffect(() => {
    const files = (list: DataTransfer | null): File | undefined =>
      [...(list?.files ?? [])].find((f) => f.type.startsWith('image/'));
    const paste = (event: ClipboardEvent): void => {
      const file = files(event.clipboardData);
      if (file) void take(file);
    };
    const over = (event: DragEvent): void => event.preventDefault();
    const drop = (event: DragEvent): void => {
      event.preventDefault();
      const file = event.dataTransfer?.files[0];
      if (file) void take(file);
    };
    const handed = takeHandedPicture();
    if (handed) queueMicrotask(() => void take(handed));
    document.addEventListener('paste', paste);
    document.addEventListener('dragover', over);
    document.addEventListener('drop', drop);
    return () => {
      document.removeEventListener('paste', paste);
      document.removeEventListener('dragover', over);
      document.removeEventListener('drop', drop);
    };
  }, []);

  /** A beam that no panel shows yet. */
  const nextFace = (): string =>
    (faces.find((f) => f.id !== c.faceId && c.others.every((panel) => panel.faceId !== f.id)) ?? faces[0])
      ?.id ?? '';
  const choose = async (): Promise<void> => {
    const { PICTURE_KINDS } = await opener();
    const file = await chooseFile(PICTURE_KINDS);
    if (file) await take(file);
  };
  const takeKept = (item: NamedCalibration): void => {
    const own = (id: string): string => (faces.some((f) => f.id === id) ? id : (faces[0]?.id ?? ''));
    const panels = item.calibration.panels.map((panel) => ({ ...panel, faceId: own(panel.faceId) }));
    setC(takenUp({ ...item.calibration, panels }, own(item.faceId)));
    setKeepAs(item.name);
  };
  const read = async (): Promise<void> => {
    const told = calibrationOf(c);
    if (!opened || !told) return;
    const { calibration, faceId } = told;
    const face = faces.find((f) => f.id === faceId);
    const more = calibration.panels.flatMap((panel) => faces.find((f) => f.id === panel.faceId) ?? []);
    if (!face || more.length !== calibration.panels.length) return;
    const wrong = [calibration, ...calibration.panels].some(
      ({ depths: [a, b] }) => a.down >= b.down || a.depthM >= b.depthM,
    );
    if (wrong) return setProblem('The large depth must be more, and lie lower, than the small one.');
    if (keepAs.trim() !== '') {
      const done = keepCalibration(keepAs, faceId, calibration);
      if (!done.ok) return setProblem(done.problem);
    }
    setBusy(true);
    const taken = await takeScreenPictureToBench({ ...opened, name }, { calibration, face, more });
    setBusy(false);
    if (!taken.ok) return setProblem(taken.problem);
    router.push('/read');
  };

  if (!image)
    return (
      <ScrollView contentContainerStyle={[styles.page, wide && styles.pageWide]}>
        <Text kind="title">Read your own screen</Text>
        <Text>
          Open a screenshot or a photo of your sounder. You show where its depths and colours are, and it is
          read like a pass.
        </Text>
        <Text faint>
          You can also paste it, or drop it here. It stays on this device. PNG, JPEG and WebP open.
        </Text>
        <View style={styles.row}>
          <Button
            tone="main"
            label="Choose a picture"
            onPress={() => void choose()}
            testID="choose-picture"
          />
        </View>
        {problem && (
          <Text role="alert" testID="picture-problem">
            {problem}
          </Text>
        )}
        {kept.length > 0 && (
          <View style={styles.part}>
            <Text kind="heading">Screens you calibrated</Text>
            {kept.map((item) => (
              <View key={item.id} style={styles.row}>
                <Text>{item.name}</Text>
                <Button
                  tone="quiet"
                  label="Delete"
                  spoken={`Delete ${item.name}`}
                  onPress={() => deleteCalibration(item.id)}
                />
              </View>
            ))}
          </View>
        )}
      </ScrollView>
    );

  const at = STEPS.indexOf(c.step);
  const asks = asksOf(c);
  const fields = (
    <View style={styles.part}>
      <Text kind="title">Your own screen</Text>
      <Text bold role="status" testID="asks">
        {c.others.length > 0 ? `Panel ${c.others.length + 1}, ` : ''}
        {at + 1} of {STEPS.length}: {asks}
      </Text>
      {c.step === 'corners' && (
        <>
          <Chips
            label="What it is"
            value={c.photo ? 'photo' : 'shot'}
            options={[
              { value: 'shot', label: 'Screenshot' },
              { value: 'photo', label: 'Photo' },
            ]}
            onChange={(kind) => setC({ ...c, corners: [], photo: kind === 'photo' })}
          />
          <Text faint kind="small">
            Leave out menus, the scale and the narrow column of the newest echo.
          </Text>
          {c.others.length === 0 &&
            kept.map((item) => (
              <Button
                key={item.id}
                label={`Use ${item.name}`}
                spoken={`Use the calibration ${item.name}`}
                onPress={() => takeKept(item)}
              />
            ))}
        </>
      )}
      {c.step === 'legend' && c.others.length > 0 && (
        <View style={styles.row}>
          <Button label="Same colours as before" onPress={() => setC(sameLegend(c))} testID="same-legend" />
        </View>
      )}
      {c.step === 'rest' && (
        <>
          {[0, 1].map((i) => (
            <NumberField
              key={i}
              label={i === 0 ? 'The small depth' : 'The large depth'}
              value={depth.fromSi(c.depthM[i]!)}
              unit={depth.unit}
              low={0}
              high={depth.fromSi(400)}
              onChange={(shown) =>
                setC({
                  ...c,
                  depthM: i === 0 ? [depth.toSi(shown), c.depthM[1]] : [c.depthM[0], depth.toSi(shown)],
                })
              }
              testID={`depth-${i}`}
            />
          ))}
          <Chips
            label="The newest echoes are"
            value={c.now}
            options={[
              { value: 'right', label: 'Newest on the right' },
              { value: 'left', label: 'Newest on the left' },
            ]}
            onChange={(now) => setC({ ...c, now })}
          />
          <NumberField
            label="Seconds across the picture"
            value={c.acrossS}
            unit="s"
            low={2}
            high={3600}
            decimals={0}
            onChange={(acrossS) => setC({ ...c, acrossS })}
            testID="across"
          />
          <NumberField
            label="Boat speed"
            value={speed.fromSi(c.speedMps)}
            unit={speed.unit}
            low={0}
            high={speed.fromSi(15)}
            onChange={(shown) => setC({ ...c, speedMps: speed.toSi(shown) })}
            testID="own-speed"
          />
          <Chips
            label="The beam it shows"
            value={c.faceId}
            options={faces.map((f) => ({ value: f.id, label: f.label }))}
            onChange={(faceId) => setC({ ...c, faceId })}
          />
          {c.others.length < MOST_MORE_PANELS && (
            <View style={styles.row}>
              <Button
                icon="plus"
                label="Add another panel"
                onPress={() => setC(anotherPanel(c, nextFace()))}
                testID="add-panel"
              />
            </View>
          )}
          <TextInput
            mode="outlined"
            label="Keep for this screen as"
            placeholder="My console screen"
            value={keepAs}
            onChangeText={setKeepAs}
            maxLength={60}
            testID="keep-as"
          />
        </>
      )}
      {problem && (
        <Text role="alert" testID="picture-problem">
          {problem}
        </Text>
      )}
      <View style={styles.row}>
        {c.step === 'rest' && (
          <Button
            tone="main"
            label={busy ? 'Reading…' : 'Read it'}
            disabled={busy}
            onPress={() => void read()}
            testID="read-picture"
          />
        )}
        <Button
          label="Back"
          onPress={() => {
            setProblem(null);
            if (c.step === 'corners' && c.corners.length === 0 && c.others.length === 0) setOpened(null);
            else setC(stepBack(c));
          }}
        />
      </View>
    </View>
  );
  return (
    <View style={[styles.screen, { flexDirection: wide ? 'row' : 'column' }]}>
      <View style={styles.picture}>
        <CalibrationPicture
          image={image}
          calibrating={c}
          asks={asks}
          onTap={(place) => tapsOf(c) > 0 && setC(tapped(c, place))}
        />
      </View>
      <ScrollView
        style={[wide ? styles.side : styles.foot, { borderColor: tones.rule }]}
        contentContainerStyle={styles.pad}
      >
        {fields}
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  page: { padding: 16, gap: 14 },
  pageWide: { padding: 32, maxWidth: 720, width: '100%', alignSelf: 'center' },
  picture: { flex: 1, minHeight: 0, padding: 8 },
  side: { maxWidth: 420, borderLeftWidth: 1 },
  foot: { flex: 1, borderTopWidth: 1 },
  pad: { padding: 16 },
  part: { gap: 12 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 10, alignItems: 'center' },
});
