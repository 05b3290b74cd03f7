import { useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { distanceM } from '@/core/maths';
import { waterOf } from '@/core/advice';
import { coachNow, coachSayings, SILENT_COACH, type Coach, type CoachName } from '@/core/advice/coach';
import { placeNow, valueNow } from '@/core/feed';
import type { Day, DayMark } from '@/core/logbook/day';
import { bearingTo, turnTo, type Fix } from '@/core/marks';
import { soundSpeedOf } from '@/core/water';
import { deckStore, feedStore, noteDayCoach } from '@/stores';
import { BigButton, Text, useTones } from '@/ui';
import { usePlan } from '../plan/usePlan';
import { useUnits } from '../units';
import { coachWords } from '../words/coach';
import { deckView } from './deckView';

/** Nearest reference before the bow, m. */
function referenceAhead(fix: Fix, marks: readonly DayMark[]): number | null {
  const ahead = marks
    .filter(
      (m) => m.kind === 'reference' && Math.abs(turnTo(fix.headingRad, bearingTo(fix.place, m))) < AHEAD_RAD,
    )
    .map((m) => distanceM(fix.place, m));
  return ahead.length > 0 ? Math.min(...ahead) : null;
}

/** What lies within this of the bow is ahead, rad. */
const AHEAD_RAD = 0.6;

/** One sentence at a time of what the boat and the setup say together, with why. */
export function CoachLine({ day }: { day: Day | null }) {
  const tones = useTones();
  const units = useUnits();
  const { rig, setup, phase } = usePlan();
  const [coach, setCoach] = useState<Coach>(SILENT_COACH);
  const muted = useStore(deckView, (s) => s.muted) as readonly CoachName[];
  const holdId = useStore(deckView, (s) => s.holdId);
  useEffect(
    () =>
      feedStore.subscribe(({ source, feed, fixes, nowS }, before) => {
        if (nowS === before.nowS && feed === before.feed) return;
        if (source === 'off') return setCoach(SILENT_COACH);
        const held = day?.marks.find((m) => m.id === holdId);
        // A place that is gone warns of nothing.
        const fix = placeNow(feed, nowS) ? fixes[fixes.length - 1] : undefined;
        const sayings = coachSayings({
          settings: setup.settings,
          face: setup.prediction.face,
          mount: rig.mount,
          phase: phase.presentation,
          setupSpeedMps: phase.brief.speedMps,
          soundSpeedMps: soundSpeedOf(waterOf(phase.brief)),
          depthM: valueNow(feed, 'depthM', nowS),
          speedMps: valueNow(feed, 'speedMps', nowS),
          pitchRad: valueNow(feed, 'pitchRad', nowS),
          supplyV: valueNow(feed, 'supplyV', nowS),
          referenceM: fix ? referenceAhead(fix, day?.marks ?? []) : null,
          offSpotM: held && fix ? distanceM(fix.place, held) : null,
          shallowM: deckStore.getState().shallowM,
        });
        setCoach((was) => coachNow(was, sayings, deckView.getState().muted as readonly CoachName[], nowS));
      }),
    [setup, rig, phase, day, holdId],
  );
  const { said } = coach;
  const name = said?.saying.name ?? null;
  const words = said ? coachWords(said.saying, units)[0] : null;
  const newest = useRef(words);
  useEffect(() => {
    newest.current = words;
  });
  // Each saying once as it comes up: its numbers go on changing.
  useEffect(() => {
    if (name !== null && newest.current) noteDayCoach(newest.current);
  }, [name]);
  if (!said || muted.includes(said.saying.name)) return null;
  const [what, why] = coachWords(said.saying, units);
  return (
    <View style={[styles.line, { borderColor: tones.buoy }]} role="status" testID="coach">
      <View style={styles.words}>
        <Text bold style={styles.what}>
          {what}
        </Text>
        <Text style={styles.why}>{why}</Text>
      </View>
      <View>
        <BigButton
          label="Mute"
          spoken="Do not say this again today"
          onPress={() => deckView.setState(({ muted: before }) => ({ muted: [...before, said.saying.name] }))}
          testID="mute"
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: 10, borderWidth: 2, borderRadius: 4, padding: 8 },
  words: { flex: 1, minWidth: 0 },
  what: { fontSize: 24, lineHeight: 30 },
  why: { fontSize: 20, lineHeight: 26 },
});
