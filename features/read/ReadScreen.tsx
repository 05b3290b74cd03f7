import { useLocalSearchParams } from 'expo-router';
import { useEffect, useMemo, useRef, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import type { Correction } from '@/core/logbook';
import {
  correct,
  correctionsOf,
  correctionStore,
  drawView,
  openView,
  passScreen,
  passStore,
  readingKey,
  readingStore,
  readPass,
  RESTING,
  stopReading,
  stopView,
  viewOf,
  viewStore,
} from '@/stores';
import { Button, Text, useTones, useWide } from '@/ui';
import { AskingNote } from '../tune/AskingNote';
import { STAGE_WORDS } from '../tune/wording';
import { clock } from '../units';
import { useSlow } from '../useSlow';
import { correctionWords } from '../words/called';
import { AddSheet } from './CorrectSheet';
import { DisplayDials } from './DisplayDials';
import { KeepSheet } from './KeepSheet';
import { Overview } from './Overview';
import { drawnAs, drawnOut } from './passWindow';
import { PassFindings } from './PassFindings';
import { ReadPicture } from './ReadPicture';
import { addAt, drawOut, lookAnew, readStore } from './readStore';
import { ReadTools } from './ReadTools';
import { useOtherBeam, useTogether } from './useTogether';
import { useTruth } from './useTruth';

/** The pass, what was found in it, and why. */
export function ReadScreen() {
  const tones = useTones();
  const { settings, pass } = useStore(
    passStore,
    useShallow((s) => ({ settings: s.settings, pass: s.pass })),
  );
  const key = useMemo(() => readingKey({ settings, pass }), [settings, pass]);
  const whole = useStore(readingStore, (s) => s.readings.get(key) ?? null);
  // Of a long pass what is known so far.
  const partial = useStore(readingStore, (s) => (s.partial?.key === key ? s.partial : null));
  const reading = whole ?? partial?.reading ?? null;
  // How reading stands, of this very pass and no other.
  const asking = useStore(readingStore, (s) => (s.askedKey === key ? s.asking : RESTING));
  const view = useStore(viewStore, (s) => viewOf(s, 'read'));
  const { picture, facts } = view;
  const corrections = useStore(correctionStore, (s) => correctionsOf(s, { settings, pass }));
  const {
    along,
    closeUp,
    adding,
    truth: truthAsked,
  } = useStore(
    readStore,
    useShallow((s) => ({ along: s.along, closeUp: s.closeUp, adding: s.adding, truth: s.truth })),
  );
  const strip = useStore(viewStore, (s) => viewOf(s, 'read-whole').picture);
  const truth = useTruth(reading, truthAsked);
  const beam = useOtherBeam(reading);
  const other = useTogether(reading, beam);
  // From the bench a pass can come to be saved at once.
  const { save } = useLocalSearchParams<{ save?: string }>();
  const [keeping, setKeeping] = useState(save !== undefined);
  const [display, setDisplay] = useState(false);
  const paper = useRef<View>(null);
  const wide = useWide();
  const stage = useSlow(asking.stage ?? view.stage);

  useEffect(() => openView('read'), []);
  useEffect(() => {
    lookAnew();
    void readPass();
  }, [key]);
  const durationS = reading?.facts.durationS ?? facts?.durationS ?? null;
  const { columns } = passScreen({ pass });
  useEffect(() => {
    // Before the length of the pass is known it is drawn at the bench's chart speed.
    if (durationS === null)
      return void drawView('read', { ...settings, topM: 0, zoom: 1, zoomAtM: null, bedLockM: null }, null);
    const drawn = drawnAs(settings, closeUp, durationS, columns, along);
    void drawView('read', drawn.settings, drawn.nowS);
  }, [settings, durationS, columns, closeUp, along, pass]);
  const long = durationS === null ? 1 : drawnOut(settings, durationS, columns);
  useEffect(() => drawOut(long), [key, long]);
  useEffect(() => (along > 1 ? openView('read-whole') : undefined), [along]);
  useEffect(() => {
    if (durationS === null || along === 1) return;
    const drawn = drawnAs(settings, null, durationS, columns);
    void drawView('read-whole', drawn.settings, drawn.nowS);
  }, [settings, durationS, columns, along, pass]);

  const say = (said: Correction): void => {
    addAt(null);
    correct(said, facts?.title ?? '', correctionWords(said));
  };

  const picturePart = (
    <View style={[wide ? styles.pictureWide : styles.picture, display && !wide && styles.roomy]}>
      <View style={styles.head}>
        <View style={styles.title}>
          <Text kind="title">Read</Text>
          <Text faint kind="small" numberOfLines={2}>
            {stage
              ? STAGE_WORDS[stage]
              : `${facts?.title ?? 'The pass on the bench'}${durationS ? `, ${clock(durationS)} long` : ''}`}
          </Text>
        </View>
        {stage && (
          <Button
            tone="quiet"
            label="Stop"
            onPress={() => {
              stopReading();
              stopView('read');
            }}
          />
        )}
        <Button
          tone="main"
          icon="bookmark-plus-outline"
          label="Save to log"
          spoken="Save this pass to the log"
          disabled={!whole}
          onPress={() => setKeeping(true)}
          testID="open-keep"
        />
      </View>
      <AskingNote
        asking={view}
        onStop={() => stopView('read')}
        onRetry={{ label: 'Draw again', press: () => void drawView('read') }}
      />
      {along > 1 && durationS !== null && (
        <Overview
          whole={strip}
          durationS={durationS}
          reading={reading}
          readShare={whole ? 1 : (partial?.share ?? 0)}
        />
      )}
      <View ref={paper} style={styles.paper}>
        <ReadPicture
          picture={picture}
          palette={settings.palette}
          reading={reading}
          corrections={corrections}
          truth={truth}
          durationS={durationS}
        />
      </View>
      <ReadTools
        picture={picture}
        palette={settings.palette}
        reading={reading}
        onDisplay={() => setDisplay(!display)}
      />
      {display && <DisplayDials />}
    </View>
  );

  return (
    <View style={[styles.screen, { flexDirection: wide ? 'row' : 'column' }]}>
      {picturePart}
      <ScrollView
        style={
          wide
            ? [styles.side, { borderLeftColor: tones.rule }]
            : [styles.foot, { borderTopColor: tones.rule }]
        }
      >
        <PassFindings
          reading={reading}
          share={partial?.share ?? null}
          asking={asking}
          source={pass.source}
          corrections={corrections}
          truth={truth}
          other={other}
          otherLabel={beam?.label ?? null}
          paper={paper}
        />
      </ScrollView>
      <KeepSheet open={keeping} reading={reading} onClose={() => setKeeping(false)} />
      {adding && <AddSheet place={adding} onSay={say} onClose={() => addAt(null)} />}
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  picture: { flex: 1.6, minHeight: 0, paddingHorizontal: 4 },
  pictureWide: { flex: 2, minHeight: 0, padding: 12 },
  /** With a dial under it the picture still has room. */
  roomy: { flex: 4 },
  paper: { flex: 1, minHeight: 0 },
  head: { flexDirection: 'row', alignItems: 'center', gap: 8, paddingHorizontal: 8, paddingVertical: 6 },
  title: { flex: 1, minWidth: 0 },
  side: { flex: 1, borderLeftWidth: 1, maxWidth: 460 },
  foot: { flex: 1, borderTopWidth: 1 },
});
