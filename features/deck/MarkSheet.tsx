import { useState } from 'react';
import { StyleSheet, View, type GestureResponderEvent } from 'react-native';
import { MARK_KINDS, type MarkKind } from '@/core/logbook/day';
import { screenOf } from '@/core/rig';
import { feedStore, keepMark, notify } from '@/stores';
import { BigButton, Sheet, Text, useTones } from '@/ui';
import { usePlan } from '../plan/usePlan';
import { clock, useUnits } from '../units';
import { CAUSE_WORDS, MARK_WORDS } from '../words/deck';
import { placedNow } from './marking';
import { boatOf } from './useBoatNow';

interface Props {
  /** When it was opened, s: the echo stands still on the bar while it is chosen. Null while it is closed. */
  openedS: number | null;
  onClose: () => void;
}

const BAR_PX = 64;

/** What was seen, and where on the screen: one tap each. */
export function MarkSheet({ openedS, onClose }: Props) {
  const tones = useTones();
  const units = useUnits();
  const { rig, setup } = usePlan();
  const [share, setShare] = useState(1);
  const [width, setWidth] = useState(0);
  const historyS = screenOf(rig).columns / setup.settings.chartSpeed;
  const agoS = (1 - share) * historyS;
  const point = ({ nativeEvent }: GestureResponderEvent): void => {
    if (width > 0) setShare(Math.min(1, Math.max(0, nativeEvent.locationX / width)));
  };
  const close = (): void => {
    setShare(1);
    onClose();
  };
  const keep = (kind: MarkKind): void => {
    const { source, feed, fixes, nowS } = feedStore.getState();
    const boat = boatOf(source, feed, fixes, nowS);
    const lagS = agoS + Math.max(0, nowS - (openedS ?? nowS));
    const placed = placedNow(boat, fixes, rig, setup.prediction.face, lagS);
    if (!placed) {
      notify('The boat’s place is not known now, so nothing was marked. Look at its data.');
      return close();
    }
    keepMark(
      {
        atS: nowS - lagS,
        kind,
        ...placed.place,
        errorM: placed.errorM,
        cause: placed.cause,
        depthM: kind === 'cover' ? boat.depthM : null,
        heightM: null,
        schoolId: null,
        note: '',
      },
      source === 'simulated',
      `${MARK_WORDS[kind]} marked, within ${units.show('depth', placed.errorM, 0)}. Most of that is ${CAUSE_WORDS[placed.cause]}.`,
    );
    close();
  };
  return (
    <Sheet title="Mark what you saw" open={openedS !== null} onClose={close}>
      <Text style={styles.words}>Where on the screen? The right edge is now.</Text>
      <View
        style={[styles.bar, { borderColor: tones.ink, backgroundColor: tones.ground }]}
        onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
        onStartShouldSetResponder={() => true}
        onMoveShouldSetResponder={() => true}
        onResponderGrant={point}
        onResponderMove={point}
        role="slider"
        aria-label="Where on the screen it was"
        aria-valuemin={0}
        aria-valuemax={Math.round(historyS)}
        aria-valuenow={Math.round(agoS)}
        aria-valuetext={agoS < 0.5 ? 'now' : `${clock(agoS)} ago`}
        tabIndex={0}
        {...{
          onKeyDown: (event: { key: string; preventDefault: () => void }) => {
            const by = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
            if (by === 0) return;
            event.preventDefault();
            setShare((s) => Math.min(1, Math.max(0, s + by / historyS)));
          },
        }}
        testID="mark-bar"
      >
        <View
          style={[styles.at, { left: `${share * 100}%`, backgroundColor: tones.buoy, pointerEvents: 'none' }]}
        />
      </View>
      <Text bold style={styles.words} testID="mark-ago">
        {agoS < 0.5 ? 'Under the boat now' : `${clock(agoS)} ago`}
      </Text>
      <View style={styles.kinds}>
        {MARK_KINDS.map((kind) => (
          <View key={kind} style={styles.kind}>
            <BigButton label={MARK_WORDS[kind]} onPress={() => keep(kind)} testID={`mark-${kind}`} />
          </View>
        ))}
      </View>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  words: { fontSize: 20, lineHeight: 28 },
  bar: { height: BAR_PX, borderWidth: 1, borderRadius: 4, overflow: 'hidden', userSelect: 'none' },
  at: { position: 'absolute', top: 0, bottom: 0, width: 6, marginLeft: -3 },
  kinds: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
  kind: { flexGrow: 1, flexBasis: 140 },
});
