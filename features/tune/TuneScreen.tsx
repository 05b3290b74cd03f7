import { useCallback, useEffect, useMemo, useState } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import { packedColour } from '@/core/picture';
import {
  drawView,
  openView,
  otherWater,
  passStore,
  setPlaying,
  stopView,
  undoTurn,
  viewOf,
  viewStore,
} from '@/stores';
import { Button, IconButton, Text, useTones, useWide } from '@/ui';
import { useSlow } from '../useSlow';
import { AskingNote } from './AskingNote';
import { BenchFromLink } from './BenchFromLink';
import { CompareLine } from './CompareLine';
import { CutawayPanel } from './CutawayPanel';
import { cursorStore } from './cursorStore';
import { Dials } from './Dials';
import { MeterLine } from './MeterLine';
import { NextMove } from './NextMove';
import { SaveSheet } from './SaveSheet';
import { ShallowAlarm } from './ShallowAlarm';
import { SymptomSheet } from './SymptomSheet';
import { Shortcuts } from './Shortcuts';
import { PictureFacts } from './PictureFacts';
import { TunePictures } from './TunePictures';
import { useShownPictures } from './useShownPictures';
import { usePlay } from './usePlay';
import { WaterSheet } from './WaterSheet';
import { STAGE_WORDS } from './wording';

/** Beside its buttons a phone has room for what tells one water from another: what follows the colon. */
const shortTitle = (title: string): string =>
  title.replace(/^.*: (?=.)/, '').replace(/^./, (first) => first.toUpperCase());

/** What is on the bench, and what can be done with all of it. */
function Head({
  wide,
  onWater,
  onWrong,
  onSave,
}: {
  wide: boolean;
  onWater: () => void;
  onWrong: () => void;
  onSave: () => void;
}) {
  const playing = useStore(passStore, (s) => s.playing);
  const title = useStore(viewStore, (s) => viewOf(s, 'tune').facts?.title ?? 'The bench');
  const stage = useSlow(useStore(viewStore, (s) => viewOf(s, 'tune').stage));
  const face = useStore(
    passStore,
    (s) => s.pass.rig.faces.find((f) => f.id === s.settings.faceId)?.label ?? s.settings.faceId,
  );
  const source = useStore(passStore, (s) => s.pass.source);
  const turned = useStore(passStore, (s) => s.past.length > 0);
  const of = source.kind === 'recording' ? source.name : wide ? `water no. ${source.seed}` : null;
  return (
    <View style={styles.head}>
      <View style={styles.title}>
        <Text bold numberOfLines={1} {...(wide ? {} : { role: 'heading', 'aria-level': 1 })}>
          {wide ? title : shortTitle(title)}
        </Text>
        <Text faint kind="small" numberOfLines={1}>
          {stage && !playing ? STAGE_WORDS[stage] : [face, of].filter(Boolean).join(' · ')}
        </Text>
      </View>
      {turned && !wide && <IconButton icon="undo-variant" label="Undo the last turn" onPress={undoTurn} />}
      <IconButton icon="help-circle-outline" label="What is wrong with the picture" onPress={onWrong} />
      <IconButton icon="bookmark-plus-outline" label="Save or use these settings" onPress={onSave} />
      <IconButton icon="waves" label="Choose the water" onPress={onWater} />
      {stage && !playing && <Button tone="quiet" label="Stop" onPress={() => stopView('tune')} />}
      {source.kind !== 'recording' && (
        <IconButton icon="water-sync" label="Other water of the same kind" onPress={otherWater} />
      )}
      <IconButton
        icon={playing ? 'pause' : 'play'}
        label={playing ? 'Pause the pass' : 'Play the pass'}
        onPress={() => setPlaying(!playing)}
      />
    </View>
  );
}

/** Draws the bench's pictures whenever what they show has changed. */
function useTuneViews(): void {
  const { settings, nowS, playing, pass, earlier } = useStore(
    passStore,
    useShallow((s) => ({
      settings: s.settings,
      nowS: s.nowS,
      playing: s.playing,
      pass: s.pass,
      earlier: s.earlier,
    })),
  );
  const { pictures, other } = useShownPictures();
  const { buoy } = useTones();
  const outlines = useMemo(
    () => (pictures === 'outlines' && other ? { settings: other, rgba: packedColour(buoy) } : null),
    [pictures, other, buoy],
  );
  const second = pictures === 'two' ? other : null;
  const two = second !== null;
  useEffect(() => openView('tune'), []);
  useEffect(() => (two ? openView('tune-second') : undefined), [two]);
  usePlay(() =>
    Promise.all([
      drawView('tune', undefined, undefined, outlines, passStore.getState().earlier),
      ...(second ? [drawView('tune-second', second)] : []),
    ]),
  );
  useEffect(() => {
    if (!playing) void drawView('tune', settings, nowS, outlines, earlier);
  }, [settings, nowS, playing, pass, outlines, earlier]);
  useEffect(() => {
    if (!playing && second) void drawView('tune-second', second, nowS);
  }, [second, nowS, playing, pass]);
}

/** Follows the bench without drawing anything itself, so that a dial redraws no more than it moves. */
function Drawing() {
  useTuneViews();
  return null;
}

function Note() {
  const { problem, silent } = useStore(
    viewStore,
    useShallow((s) => ({ problem: viewOf(s, 'tune').problem, silent: viewOf(s, 'tune').silent })),
  );
  return (
    <AskingNote
      asking={{ problem, silent }}
      onStop={() => stopView('tune')}
      onRetry={{ label: 'Draw again', press: () => void drawView('tune') }}
    />
  );
}

/** Screens less high show no words under the picture, and somewhat higher ones the next move only: the picture comes first, px. */
const LEAST_ROOMY_PX = 560;
const LEAST_FOR_METERS_PX = 720;

/** On the water: one picture, one dial under the thumb. */
export function TuneScreen() {
  const tones = useTones();
  const [waterOpen, setWaterOpen] = useState(false);
  const openWater = useCallback(() => setWaterOpen(true), []);
  const [wrongOpen, setWrongOpen] = useState(false);
  const openWrong = useCallback(() => setWrongOpen(true), []);
  const [saveOpen, setSaveOpen] = useState(false);
  const openSave = useCallback(() => setSaveOpen(true), []);
  const wide = useWide();
  const cutaway = useStore(cursorStore, (s) => s.cutaway);
  // A phone shows the cutaway in the place of what is said about the picture.
  const comparing = useStore(passStore, (s) => s.compared !== null);
  const { height } = useWindowDimensions();
  // A phone on its side has room for the picture only.
  const roomy = height >= LEAST_ROOMY_PX && (wide || (!cutaway && !comparing));
  const screen = (
    <View style={wide ? styles.pictureWide : styles.picture}>
      <Head wide={wide} onWater={openWater} onWrong={openWrong} onSave={openSave} />
      <Note />
      <ShallowAlarm />
      <TunePictures />
      {cutaway && <CutawayPanel />}
      <PictureFacts />
      <CompareLine />
      {roomy && (
        <>
          {(wide || height >= LEAST_FOR_METERS_PX) && <MeterLine />}
          <NextMove />
        </>
      )}
    </View>
  );
  const around = (
    <>
      <Drawing />
      <BenchFromLink />
      <Shortcuts />
      <SymptomSheet open={wrongOpen} onClose={() => setWrongOpen(false)} />
      <SaveSheet open={saveOpen} onClose={() => setSaveOpen(false)} />
      <WaterSheet open={waterOpen} onClose={() => setWaterOpen(false)} />
    </>
  );
  if (wide)
    return (
      <View style={styles.wide}>
        {around}
        {screen}
        <ScrollView
          style={[styles.side, { borderLeftColor: tones.rule }]}
          contentContainerStyle={styles.sideIn}
        >
          <Text kind="title">Tune</Text>
          <Dials wide />
        </ScrollView>
      </View>
    );
  return (
    <View style={styles.phone}>
      {around}
      {screen}
      <Dials wide={false} />
    </View>
  );
}

const styles = StyleSheet.create({
  wide: { flex: 1, flexDirection: 'row', minHeight: 0 },
  phone: { flex: 1, minHeight: 0, paddingBottom: 4 },
  picture: { flex: 1, minHeight: 0, paddingHorizontal: 4 },
  pictureWide: { flex: 2, minHeight: 0, padding: 12 },
  side: { flex: 1, borderLeftWidth: 1, maxWidth: 420 },
  sideIn: { padding: 16, gap: 14 },
  head: { flexDirection: 'row', alignItems: 'center', paddingLeft: 8 },
  title: { flex: 1, minWidth: 0 },
});
