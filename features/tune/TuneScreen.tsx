import { useCallback, useEffect, useMemo } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { useStore } from 'zustand';
import { windowSpan } from '@/core/picture';
import { waterPerColumn, waterPerRow } from '@/core/rig';
import { benchStore, cancelBench, drawBench, noteTiming, otherWater, setPlaying } from '@/stores';
import { Button, depthScale, EchoCanvas, IconButton, PaletteBar, Text, useTones, WIDE_PX } from '@/ui';
import { useUnits } from '../units';
import { Dials } from './Dials';
import { usePlay } from './usePlay';
import { STAGE_WORDS } from './wording';

/** What the picture costs and holds: water a row, way a column, seconds of history. */
function Meters() {
  const { show } = useUnits();
  const { settings, rig, brief } = useStore(benchStore);
  const row = show('small', waterPerRow(windowSpan(settings), rig.screen.rows));
  const column = waterPerColumn(brief.speedMps, settings.chartSpeed);
  return (
    <View style={styles.meters}>
      <PaletteBar palette={settings.palette} />
      <Text kind="small">
        {row} a row{column > 0.005 ? ` · ${show('small', column, 0)} a column` : ''} ·{' '}
        {Math.round(rig.screen.columns / settings.chartSpeed)} s held
      </Text>
    </View>
  );
}

/** On the water: one picture, one dial under the thumb. */
export function TuneScreen() {
  const tones = useTones();
  const { system, band, show } = useUnits();
  const { width } = useWindowDimensions();
  const { settings, picture, facts, nowS, playing, stage, problem, brief, rig, seed } = useStore(benchStore);
  const wide = width >= WIDE_PX;
  usePlay();
  useEffect(() => {
    if (!playing) void drawBench(settings, nowS);
  }, [settings, nowS, playing, brief, rig, seed]);

  const scale = useMemo(
    () =>
      depthScale(
        {
          topM: settings.bedLockM ?? settings.topM,
          spanM: windowSpan(settings),
          overBed: settings.bedLockM !== null,
        },
        system,
      ),
    [settings, system],
  );
  const painted = useCallback(() => noteTiming('picture-painted', {}), []);
  const face = rig.faces.find((f) => f.id === settings.faceId);
  const shown =
    settings.bedLockM === null
      ? band('depth', settings.topM, settings.rangeM, 0)
      : `${show('depth', settings.bedLockM, 0)} over the bed`;
  const label = `Echo picture, ${face?.label ?? ''}, ${shown}. ${facts?.title ?? ''}`;

  const screen = (
    <View style={wide ? styles.pictureWide : styles.picture}>
      <View style={styles.head}>
        <View style={styles.title}>
          <Text bold numberOfLines={1} {...(wide ? {} : { role: 'heading', 'aria-level': 1 })}>
            {facts?.title ?? 'The bench'}
          </Text>
          <Text faint kind="small" numberOfLines={1}>
            {stage && !playing ? STAGE_WORDS[stage] : `${face?.label ?? ''} · water no. ${seed}`}
          </Text>
        </View>
        {stage && !playing ? (
          <Button tone="quiet" label="Stop" onPress={cancelBench} />
        ) : (
          <IconButton icon="water-sync" label="Other water of the same kind" onPress={otherWater} />
        )}
        <IconButton
          icon={playing ? 'pause' : 'play'}
          label={playing ? 'Pause the pass' : 'Play the pass'}
          onPress={() => setPlaying(!playing)}
        />
      </View>
      {problem && (
        <View role="alert" style={[styles.problem, { borderColor: tones.danger }]}>
          <Text>{problem}</Text>
          <Button label="Draw again" onPress={() => void drawBench()} />
        </View>
      )}
      <EchoCanvas
        picture={picture}
        palette={settings.palette}
        scale={scale}
        label={label}
        onPainted={painted}
      />
      <Meters />
    </View>
  );

  if (wide)
    return (
      <View style={styles.wide}>
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
  meters: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    justifyContent: 'space-between',
    alignItems: 'center',
    columnGap: 12,
    paddingHorizontal: 8,
    paddingVertical: 4,
  },
  problem: { borderWidth: 1, padding: 10, gap: 8, margin: 8, borderRadius: 4 },
});
