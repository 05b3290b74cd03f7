import { useEffect, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import { settles, type Unsettling } from '@/core/bench/unsettling';
import { unitOf } from '@/core/rig';
import {
  askNextMove,
  closeWalk,
  dropNextMove,
  leaveTuning,
  makeMove,
  passStore,
  startWalk,
  stopWalk,
  tuningStore,
  viewOf,
  viewStore,
} from '@/stores';
import { Button, IconButton, Text, useTones } from '@/ui';
import { useUnits } from '../units';
import { CHOICES } from './ChoiceDial';
import { judgedWords, moveCost, moveReason, moveWords, unsettledWords } from '../words/moves';

/** The dial that has left gain and colours unsettled, by name. */
const dialNameOf = (setting: Unsettling): string =>
  setting === 'faceId' ? 'This beam' : setting === 'gainMode' ? 'The new gain mode' : CHOICES[setting].label;

/** A picture is judged once its dials have rested so long, ms. */
const AT_REST_MS = 700;

/** Asks for the next move whenever the picture rests, and drops it when a dial turns. */
function useNextMove(): void {
  const { settings, nowS, playing, pass } = useStore(
    passStore,
    useShallow((s) => ({ settings: s.settings, nowS: s.nowS, playing: s.playing, pass: s.pass })),
  );
  const drawn = useStore(viewStore, (s) => viewOf(s, 'tune').picture !== null);
  const walking = useStore(tuningStore, (s) => s.walk?.going ?? false);
  useEffect(() => {
    if (walking) return;
    dropNextMove();
    if (playing || !drawn) return;
    const timer = setTimeout(() => void askNextMove(), AT_REST_MS);
    return () => clearTimeout(timer);
  }, [settings, nowS, playing, pass, drawn, walking]);
  useEffect(() => leaveTuning, []);
}

/** The walk that is under way or done: its moves as words, and a way to stop. */
function Walk() {
  const units = useUnits();
  const unit = useStore(passStore, (s) => unitOf(s.pass.rig));
  const walk = useStore(tuningStore, (s) => s.walk);
  const problem = useStore(tuningStore, (s) => s.asking.problem);
  if (!walk) return null;
  const last = walk.moves[walk.made - 1];
  return (
    <View style={styles.row} testID="walk">
      <View style={styles.words} role="status">
        <Text kind="small" bold>
          {last
            ? `Move ${walk.made}${walk.seeking ? '' : ` of ${walk.moves.length}`}: ${moveWords(last, unit, units)}`
            : walk.going
              ? 'Looking for the first move…'
              : 'It is tuned: no turn of a dial betters it.'}
        </Text>
        {last && <Text kind="small">{problem ?? `${moveReason(last)}.`}</Text>}
      </View>
      {walk.going ? (
        <Button tone="quiet" label="Stop" spoken="Stop tuning" onPress={stopWalk} testID="stop-walk" />
      ) : (
        <IconButton icon="close" label="Put the walk away" onPress={closeWalk} />
      )}
    </View>
  );
}

/** The one turn that helps most, with its reason; tap to make it. */
export function NextMove() {
  useNextMove();
  const tones = useTones();
  const units = useUnits();
  const unit = useStore(passStore, (s) => unitOf(s.pass.rig));
  const { next, walk, asking } = useStore(tuningStore);
  const [why, setWhy] = useState(false);
  const move = next?.moves[0];
  const cost = move && moveCost(move);
  const unsettledBy = useStore(passStore, (s) => s.unsettledBy);
  const follows = move && unsettledBy && settles(move.change) ? unsettledBy : null;
  if (walk) return <Walk />;
  return (
    <View>
      <View style={styles.row} testID="next-move">
        <View style={styles.words} role="status">
          {move ? (
            <Pressable
              role="button"
              aria-expanded={why}
              aria-label={`Next: ${moveWords(move, unit, units)}. ${moveReason(move)}. Why`}
              onPress={() => setWhy(!why)}
              style={styles.press}
              testID="why-move"
            >
              <Text kind="small" bold>
                {follows ? `${dialNameOf(follows)} asks for` : 'Next'}: {moveWords(move, unit, units)}
              </Text>
              <Text kind="small" style={{ color: tones.water }}>
                {moveReason(move)} {why ? '▴' : '▾'}
              </Text>
            </Pressable>
          ) : (
            <Text kind="small" faint>
              {asking.problem ??
                (next
                  ? next.now.fish > 0
                    ? 'It is tuned: no turn of a dial betters it.'
                    : judgedWords(next.now)
                  : unsettledBy
                    ? unsettledWords(dialNameOf(unsettledBy))
                    : 'Looking for the next move…')}
            </Text>
          )}
        </View>
        {move && (
          <>
            <Button
              label={follows ? 'Do both' : 'Do it'}
              spoken={follows ? 'Do both as one turn' : 'Do it'}
              onPress={() => makeMove(move)}
              testID="do-move"
            />
            <Button
              tone="quiet"
              label="Tune it"
              spoken="Tune it, one dial at a time"
              onPress={() => void startWalk()}
              testID="start-walk"
            />
          </>
        )}
      </View>
      {why && move && next && (
        <View style={[styles.why, { borderLeftColor: tones.buoy }]}>
          <Text kind="small">
            {judgedWords(next.now)} With this turn it would be {Math.round(move.after.found)}.
            {cost ? ` But ${cost}.` : ''} The reader and the eye work from the pings alone; both can be wrong.
          </Text>
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 4, paddingHorizontal: 8, minHeight: 48 },
  words: { flex: 1, minWidth: 0 },
  press: { minHeight: 48, justifyContent: 'center' },
  why: { borderLeftWidth: 3, marginHorizontal: 8, paddingLeft: 8, paddingVertical: 4 },
});
