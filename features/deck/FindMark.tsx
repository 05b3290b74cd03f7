import { StyleSheet, View } from 'react-native';
import Svg, { Circle, Path } from 'react-native-svg';
import { useStore } from 'zustand';
import { giveUpAt, offSpot, schoolDrift, wayBack, type SchoolDrift } from '@/core/marks';
import type { Day, DayMark } from '@/core/logbook/day';
import { measure } from '@/core/units';
import { deleteMark, joinSchool, setMarkHeight } from '@/stores';
import { BigButton, EmptyState, NumberField, Text, useTones } from '@/ui';
import { usePlan } from '../plan/usePlan';
import { clock, useUnits, type Units } from '../units';
import { degreesWords, driftWords, pointWords } from '../words/coach';
import { CAUSE_WORDS, MARK_WORDS } from '../words/deck';
import { deckView } from './deckView';
import { faceFromAntenna } from './marking';
import { ReverseCount } from './ReverseCount';
import type { BoatNow } from './useBoatNow';
import { useRunOn } from './useRunOn';

/** Marks shown to choose from, the newest. */
const MOST_SHOWN = 8;

const atS = ({ at }: DayMark): number => Date.parse(at) / 1000;

/** All marks of a mark's school, itself among them, oldest first. */
function schoolOf(mark: DayMark, marks: readonly DayMark[]): DayMark[] {
  const first = mark.schoolId ?? mark.id;
  return marks.filter((m) => m.id === first || m.schoolId === first);
}

/** The way to steer: an arrow from the bow, or a ring where the boat is over it. */
function SteerArrow({ steerRad, over, label }: { steerRad: number; over: boolean; label: string }) {
  const tones = useTones();
  const turn = (steerRad * 180) / Math.PI;
  return (
    <View role="img" aria-label={label}>
      <Svg width={190} height={190} viewBox="-50 -50 100 100">
        <Circle r={46} fill="none" stroke={tones.rule} strokeWidth={2} />
        {over ? (
          <Circle r={26} fill="none" stroke={tones.buoy} strokeWidth={12} />
        ) : (
          <Path
            d="M 0 -42 L 24 6 L 7 0 L 7 40 L -7 40 L -7 0 L -24 6 Z"
            fill={tones.buoy}
            transform={`rotate(${turn})`}
          />
        )}
      </Svg>
    </View>
  );
}

function steerWords(steerRad: number): string {
  const deg = Math.round((steerRad * 180) / Math.PI);
  if (Math.abs(deg) < 5) return 'Straight ahead';
  if (Math.abs(deg) > 150) return `Turn round to the ${deg > 0 ? 'right' : 'left'}`;
  return `Steer ${Math.abs(deg)}° ${deg > 0 ? 'right' : 'left'}`;
}

function School({ drift, nowS, units }: { drift: SchoolDrift; nowS: number; units: Units }) {
  const [what, sure] = driftWords(drift, units);
  const until = giveUpAt(drift, nowS);
  return (
    <View testID="school">
      <Text bold style={styles.words}>
        {what}
      </Text>
      <Text style={styles.words}>
        {sure}{' '}
        {until === null
          ? ''
          : until <= nowS
            ? 'It may be anywhere now: give it up, or mark it again.'
            : `Worth going for ${clock(until - nowS)} more.`}
      </Text>
    </View>
  );
}

/** Back to a mark: an arrow and a distance, from the transducer and not from the antenna. */
export function FindMark({ boat, day }: { boat: BoatNow; day: Day | null }) {
  const units = useUnits();
  const { rig, setup } = usePlan();
  const { markId, holdId } = useStore(deckView);
  const runOnS = useRunOn();
  const marks = day?.marks ?? [];
  const mark = marks.find((m) => m.id === markId) ?? marks[marks.length - 1];
  if (!day || !mark)
    return (
      <>
        <ReverseCount boat={boat} />
        <EmptyState
          title="No marks today"
          hint="Press Mark when something passes under the boat. The way back to it then stands here."
        />
      </>
    );
  const school = schoolOf(mark, marks);
  const drift = schoolDrift(school.map((m) => ({ atS: atS(m), place: m, errorM: m.errorM })));
  const there = drift ? drift.at(boat.nowS) : { place: mark, radiusM: mark.errorM };
  const face = faceFromAntenna(rig, setup.prediction.face.id);
  const way =
    boat.fix &&
    wayBack(
      boat.fix,
      face,
      boat.speedMps ?? 0,
      { place: there.place, errorM: there.radiusM },
      runOnS ?? undefined,
    );
  const held = marks.find((m) => m.id === holdId);
  const off = held && boat.fix ? offSpot(boat.fix, face, held) : null;
  const lastFish = [...marks]
    .reverse()
    .find((m) => m.id !== mark.id && m.kind === mark.kind && atS(m) < atS(mark));
  const { show } = units;
  const height = measure(units.system, 'depth');
  return (
    <View style={styles.part}>
      <ReverseCount boat={boat} />
      <View style={styles.row}>
        {way ? (
          <SteerArrow
            steerRad={way.steerRad}
            over={way.over}
            label={way.over ? 'You are over it' : steerWords(way.steerRad)}
          />
        ) : null}
        <View style={styles.figures}>
          <Text bold style={styles.big} testID="find-distance">
            {way ? show('depth', way.distanceM, 0) : ''}
          </Text>
          <Text bold style={styles.words} testID="find-steer">
            {way
              ? way.over
                ? 'Over it: drop the buoy now.'
                : `${steerWords(way.steerRad)}. It lies ${pointWords(way.bearingRad)}, ${degreesWords(way.bearingRad)}.`
              : 'The boat’s place is not known. Turn on boat data below.'}
          </Text>
          {way && (boat.speedMps ?? 0) > 0.3 && (
            <Text style={styles.words}>
              Out of gear you run on {show('depth', way.runOnM, 0)}
              {runOnS === null ? ', as boats usually do' : ', as yours did today'}.
            </Text>
          )}
        </View>
      </View>
      <Text bold style={styles.words}>
        {MARK_WORDS[mark.kind]},{' '}
        {new Date(mark.at).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })}
      </Text>
      <Text style={styles.words}>
        It lies within {show('depth', there.radiusM, 0)}: look with the widest beam first, then the narrow
        one. Most of that is {CAUSE_WORDS[mark.cause]}. A buoy lands some way off: do not run it over.
      </Text>
      {mark.kind === 'cover' && mark.depthM !== null && (
        <>
          <Text style={styles.words}>
            The bed there is at {show('depth', mark.depthM)}
            {mark.heightM === null ? '' : `, the top at ${show('depth', mark.depthM - mark.heightM)}`}.
          </Text>
          <NumberField
            label="How high it stands"
            value={height.fromSi(mark.heightM ?? 0)}
            unit={height.unit}
            low={0}
            high={height.fromSi(mark.depthM)}
            onChange={(value) => setMarkHeight(day.id, mark.id, height.toSi(value))}
            testID="cover-height"
          />
        </>
      )}
      {drift && <School drift={drift} nowS={boat.nowS} units={units} />}
      {off && (
        <Text bold style={styles.words} testID="hold">
          You lie {show('depth', Math.hypot(off.aheadM, off.portM), 0)} off the spot: it is{' '}
          {show('depth', Math.abs(off.aheadM), 0)} {off.aheadM > 0 ? 'ahead' : 'astern'},{' '}
          {show('depth', Math.abs(off.portM), 0)} to {off.portM > 0 ? 'the left' : 'the right'}.
        </Text>
      )}
      <View style={styles.row}>
        <BigButton
          label={held ? 'Stop holding' : 'Hold here'}
          spoken={held ? 'Stop watching the distance from this spot' : 'Watch the distance from this spot'}
          onPress={() => deckView.setState({ holdId: held ? null : mark.id })}
          testID="hold-spot"
        />
        {(mark.kind === 'fish' || mark.kind === 'bait') && (lastFish || mark.schoolId) && (
          <BigButton
            label={mark.schoolId ? 'Not the same school' : 'Same school again'}
            onPress={() =>
              joinSchool(day.id, mark.id, mark.schoolId ? null : (lastFish!.schoolId ?? lastFish!.id))
            }
            testID="same-school"
          />
        )}
        <BigButton label="Delete" onPress={() => deleteMark(day.id, mark.id)} testID="delete-mark" />
      </View>
      {marks.length > 1 && (
        <View style={styles.list} role="list" aria-label="Marks of today">
          {[...marks]
            .slice(-MOST_SHOWN)
            .reverse()
            .map((m) => (
              <View key={m.id} role="listitem">
                <BigButton
                  label={`${MARK_WORDS[m.kind]} ${new Date(m.at).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })}`}
                  tone={m.id === mark.id ? 'chosen' : 'plain'}
                  onPress={() => deckView.setState({ markId: m.id })}
                />
              </View>
            ))}
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: 10 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 10, alignItems: 'center' },
  figures: { flex: 1, minWidth: 150, gap: 4 },
  big: { fontSize: 44, lineHeight: 50 },
  words: { fontSize: 20, lineHeight: 27 },
  list: { gap: 8 },
});
