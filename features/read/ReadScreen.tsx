import { useLocalSearchParams, useRouter } from 'expo-router';
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
import { Button, EmptyState, Text, useTones, useWide } from '@/ui';
import { AskingNote } from '../tune/AskingNote';
import { STAGE_WORDS } from '../tune/wording';
import { clock } from '../units';
import { useSlow } from '../useSlow';
import { correctionWords } from '../words/called';
import { AddedMarks } from './AddedMarks';
import { AlsoSeen } from './AlsoSeen';
import { AddSheet } from './CorrectSheet';
import { DisplayDials } from './DisplayDials';
import { FindingList } from './FindingList';
import { KeepSheet } from './KeepSheet';
import { drawnAs } from './passWindow';
import { PictureDoctor } from './PictureDoctor';
import { ReadPicture } from './ReadPicture';
import { addAt, lookAnew, readStore } from './readStore';
import { ReadTools } from './ReadTools';
import { SeenSwitches } from './SeenSwitches';
import { TakeAway } from './TakeAway';
import { TruthLine } from './TruthLine';
import { TogetherLine } from './TogetherLine';
import { useOtherBeam, useTogether } from './useTogether';
import { useTruth } from './useTruth';

/** The pass, what was found in it, and why. */
export function ReadScreen() {
  const tones = useTones();
  const router = useRouter();
  const { settings, pass } = useStore(
    passStore,
    useShallow((s) => ({ settings: s.settings, pass: s.pass })),
  );
  const key = useMemo(() => readingKey({ settings, pass }), [settings, pass]);
  const reading = useStore(readingStore, (s) => s.readings.get(key) ?? null);
  // How reading stands, of this very pass and no other.
  const asking = useStore(readingStore, (s) => (s.askedKey === key ? s.asking : RESTING));
  const view = useStore(viewStore, (s) => viewOf(s, 'read'));
  const { picture, facts } = view;
  const corrections = useStore(correctionStore, (s) => correctionsOf(s, { settings, pass }));
  const {
    closeUp,
    adding,
    truth: truthAsked,
  } = useStore(
    readStore,
    useShallow((s) => ({ closeUp: s.closeUp, adding: s.adding, truth: s.truth })),
  );
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
    const drawn = drawnAs(settings, closeUp, durationS, columns);
    void drawView('read', drawn.settings, drawn.nowS);
  }, [settings, durationS, columns, closeUp, pass]);

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
          disabled={!reading}
          onPress={() => setKeeping(true)}
          testID="open-keep"
        />
      </View>
      <AskingNote
        asking={view}
        onStop={() => stopView('read')}
        onRetry={{ label: 'Draw again', press: () => void drawView('read') }}
      />
      <View ref={paper} style={styles.paper}>
        <ReadPicture
          picture={picture}
          palette={settings.palette}
          reading={reading}
          corrections={corrections}
          truth={truth}
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

  const list = asking.problem ? (
    <EmptyState
      title="The pass was not read"
      hint={asking.problem}
      action={{ label: 'Read again', onPress: () => void readPass() }}
    />
  ) : !reading ? (
    <>
      <Text faint style={styles.pad}>
        Reading the pass…
      </Text>
      <AskingNote
        asking={asking}
        onStop={stopReading}
        onRetry={{ label: 'Read again', press: () => void readPass() }}
      />
    </>
  ) : (
    <View>
      <SeenSwitches
        reading={reading.reading}
        made={pass.source.kind !== 'recording'}
        other={beam?.label ?? null}
      />
      {reading.reading.findings.length === 0 && (
        <EmptyState
          title="Nothing stands out"
          hint="No mark stands clear of the noise in this pass. Try another beam, or other water."
          action={{ label: 'Go to Tune', onPress: () => router.push('/tune') }}
        />
      )}
      {pass.source.kind === 'recording' && pass.source.placeless && (
        <>
          <PictureDoctor reading={reading} />
          <Text faint kind="small" style={styles.pad}>
            Read from a picture: it holds less than pings do. Strengths are relative, and nothing has a place.
          </Text>
        </>
      )}
      {other && <TogetherLine other={other} />}
      {truth && <TruthLine reading={reading} truth={truth} />}
      <FindingList reading={reading} corrections={corrections} truth={truth} other={other} />
      <AddedMarks corrections={corrections} title={reading.facts.title} />
      <AlsoSeen reading={reading} />
      <TakeAway reading={reading} corrections={corrections} picture={paper} />
      <Text faint kind="small" style={styles.pad}>
        The app reads marks. It cannot tell the kind of fish.
      </Text>
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
        {list}
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
  pad: { padding: 12 },
});
