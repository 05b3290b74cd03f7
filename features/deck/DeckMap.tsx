import { useMemo, useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import Svg, { Circle, G, Line, Path, Text as SvgText } from 'react-native-svg';
import { offsetFrom, type Position } from '@/core/maths';
import type { Day, TrackPoint } from '@/core/logbook/day';
import { lanesLeft, type LaneLeft } from '@/core/marks';
import { depthContours } from '@/core/marks/depthContours';
import { formatNumber, M_PER_FOOT } from '@/core/units';
import { BigButton, EmptyState, FONT, Text, useTones } from '@/ui';
import { useUnits } from '../units';
import { MARK_WORDS } from '../words/deck';
import { deckView } from './deckView';
import { LaneLines } from './LaneLines';
import { LanesPart } from './LanesPart';
import { PlacesFiles } from './PlacesFiles';
import type { BoatNow } from './useBoatNow';

/** What the track is coloured by. */
type ColouredBy = 'depth' | 'temperature' | 'hardness';
const NEXT: Record<ColouredBy, ColouredBy> = {
  depth: 'temperature',
  temperature: 'hardness',
  hardness: 'depth',
};
const BY_WORDS: Record<ColouredBy, string> = {
  depth: 'By depth',
  temperature: 'By temperature',
  hardness: 'By hardness',
};
const NO_LANES: readonly LaneLeft[] = [];
const SPANS_M = [40, 80, 160, 320, 640, 1280];
const FIRST_SPAN = 2;
const TRACK_STEPS = 6;
/** Points farther apart in time are not joined, ms. */
const GAP_MS = 60_000;
const SIZE = 100;
/** Share of the screen's height the chart takes at most. */
const MAP_SHARE = 0.5;
/** Contours this far apart, by how much water is shown. */
const everyOf = (spanM: number, feet: boolean): number =>
  feet ? (spanM > 300 ? 10 : 5) * M_PER_FOOT : spanM > 300 ? 4 : 2;

const valueOf = (point: TrackPoint, by: ColouredBy): number | null =>
  by === 'depth' ? point.depthM : by === 'temperature' ? point.temperatureC : null;

/** What the dots of the bed say. */
const hardnessWords = (day: Day | null): string =>
  day && day.bed.length > 0
    ? ' Bed of the passes you saved: dark is hard, pale is soft.'
    : ' Save a pass in Read, and the bed it went over is drawn here.';

/** Middle of the water a track lies in. */
function middleOf(track: readonly TrackPoint[]): Position | null {
  if (track.length === 0) return null;
  const middle = (of: (p: TrackPoint) => number): number =>
    (Math.min(...track.map(of)) + Math.max(...track.map(of))) / 2;
  return { latitudeDeg: middle((p) => p.latitudeDeg), longitudeDeg: middle((p) => p.longitudeDeg) };
}

/** An own plain chart: the track, contours sounded on it, marks with their error circles, the boat. No map tiles. */
export function DeckMap({ boat, day }: { boat: BoatNow; day: Day | null }) {
  const tones = useTones();
  const { height } = useWindowDimensions();
  const { show, system } = useUnits();
  const [spanAt, setSpanAt] = useState(FIRST_SPAN);
  const [northUp, setNorthUp] = useState(true);
  const [by, setBy] = useState<ColouredBy>('depth');
  const spanM = SPANS_M[spanAt]!;
  const track = useMemo(() => day?.track ?? [], [day]);
  const centre: Position | null =
    boat.fix?.place ?? middleOf(track) ?? day?.marks[day.marks.length - 1] ?? day?.lanes ?? null;
  const origin: Position | null = track[0] ?? centre;
  const everyM = everyOf(spanM, system === 'feet');
  const contours = useMemo(
    () =>
      origin
        ? depthContours(
            track.flatMap((p) => {
              if (p.depthM === null) return [];
              const { eastM, northM } = offsetFrom(origin, p);
              return [{ x: eastM, y: northM, depthM: p.depthM }];
            }),
            everyM,
          )
        : [],
    [track, origin, everyM],
  );
  const lanes = day?.lanes ?? null;
  const left = useMemo(
    () =>
      lanes
        ? lanesLeft(
            lanes,
            track.map((p) => ({ ...p, timeS: Date.parse(p.at) / 1000 })),
          )
        : NO_LANES,
    [lanes, track],
  );
  if (!centre || !origin)
    return (
      <EmptyState
        title="Nothing to draw yet"
        hint="Turn on boat data. Your track, marks and the depths you have sounded are then drawn here."
      />
    );
  const here = offsetFrom(origin, centre);
  const perM = SIZE / spanM;
  const xy = (eastM: number, northM: number): [number, number] => [
    (eastM - here.eastM) * perM,
    -(northM - here.northM) * perM,
  ];
  const at = (place: Position): [number, number] => {
    const { eastM, northM } = offsetFrom(origin, place);
    return xy(eastM, northM);
  };
  const known = track.flatMap((p) => valueOf(p, by) ?? []);
  const [low, high] = [Math.min(...known), Math.max(...known)];
  const stepOf = (p: TrackPoint): number => {
    const value = valueOf(p, by);
    if (value === null || !(high > low)) return 0;
    return Math.min(TRACK_STEPS - 1, Math.floor(((value - low) / (high - low)) * TRACK_STEPS));
  };
  const shade = (step: number): number => 0.3 + (0.7 * step) / (TRACK_STEPS - 1);
  const paths = Array.from({ length: TRACK_STEPS }, () => '');
  for (let i = 0; i + 1 < track.length; i++) {
    const [a, b] = [track[i]!, track[i + 1]!];
    if (Date.parse(b.at) - Date.parse(a.at) > GAP_MS) continue;
    const [x, y] = at(a);
    const [u, v] = at(b);
    paths[stepOf(a)] += `M${x.toFixed(2)} ${y.toFixed(2)}L${u.toFixed(2)} ${v.toFixed(2)}`;
  }
  // What is not kept yet: from the last point of the track to the boat.
  const ended = track[track.length - 1];
  const tail =
    ended && boat.fix
      ? `M${at(ended)
          .map((n) => n.toFixed(2))
          .join(' ')}L0 0`
      : '';
  const lines = new Map<number, string>();
  // A number on each contour, at its piece nearest to the middle of the chart.
  const middles = new Map<number, [number, number]>();
  for (const { depthM, from, to } of contours) {
    const [x, y] = xy(...from);
    const [u, v] = xy(...to);
    const before = middles.get(depthM);
    if (!before || Math.hypot(x, y) < Math.hypot(...before)) middles.set(depthM, [x, y]);
    lines.set(
      depthM,
      `${lines.get(depthM) ?? ''}M${x.toFixed(2)} ${y.toFixed(2)}L${u.toFixed(2)} ${v.toFixed(2)}`,
    );
  }
  const turn = northUp || !boat.fix ? 0 : (-boat.fix.headingRad * 180) / Math.PI;
  const bow = boat.fix ? (boat.fix.headingRad * 180) / Math.PI : 0;
  const ringM = spanM / 4;
  const marks = day?.marks ?? [];
  return (
    <View style={styles.part}>
      <View
        style={[
          styles.chart,
          { maxHeight: MAP_SHARE * height, borderColor: tones.rule, backgroundColor: tones.page },
        ]}
        role="img"
        aria-label={`Chart of ${show('depth', spanM, 0)} across: ${marks.length} ${marks.length === 1 ? 'mark' : 'marks'}, ${lines.size} depth contours`}
        testID="deck-map"
      >
        <Svg width="100%" height="100%" viewBox="-50 -50 100 100">
          <G transform={`rotate(${turn})`}>
            {[...lines].map(([depthM, d]) => (
              <Path key={depthM} d={d} stroke={tones.faint} strokeWidth={0.45} fill="none" opacity={0.8} />
            ))}
            {[...middles].map(([depthM, [x, y]]) => (
              <SvgText
                key={depthM}
                x={x}
                y={y}
                fontSize={3.6}
                fontFamily={FONT.text}
                textAnchor="middle"
                fill={tones.ink}
                stroke={tones.page}
                strokeWidth={0.9}
                {...{ paintOrder: 'stroke' }}
                transform={`rotate(${-turn} ${x} ${y})`}
              >
                {formatNumber(system, 'depth', depthM, 0)}
              </SvgText>
            ))}
            {paths.map((d, step) => (
              <Path
                key={step}
                d={d}
                stroke={tones.water}
                strokeWidth={1.1}
                fill="none"
                opacity={shade(step)}
                strokeLinecap="round"
              />
            ))}
            {tail !== '' && (
              <Path d={tail} stroke={tones.water} strokeWidth={1.1} fill="none" opacity={0.6} />
            )}
            {by === 'hardness' &&
              day?.bed.map((place, k) => {
                const [x, y] = at(place);
                return (
                  <Circle
                    key={k}
                    cx={x}
                    cy={y}
                    r={1.5}
                    fill={tones.ink}
                    fillOpacity={0.1 + 0.9 * place.hard}
                    stroke={tones.ink}
                    strokeWidth={0.3}
                  />
                );
              })}
            {lanes && <LaneLines lanes={lanes} left={left} at={at} />}
            {marks.map((mark) => {
              const [x, y] = at(mark);
              return (
                <G key={mark.id} onPress={() => deckView.setState({ markId: mark.id, part: 'find' })}>
                  <Circle
                    cx={x}
                    cy={y}
                    r={Math.max(1.2, mark.errorM * perM)}
                    fill={tones.buoy}
                    fillOpacity={0.12}
                    stroke={tones.buoy}
                    strokeWidth={0.5}
                  />
                  <Path
                    d={`M${x - 1.6} ${y}H${x + 1.6}M${x} ${y - 1.6}V${y + 1.6}`}
                    stroke={tones.buoy}
                    strokeWidth={0.8}
                  />
                  <SvgText
                    x={x}
                    y={y - Math.max(1.6, mark.errorM * perM) - 1}
                    fontSize={4.2}
                    fontFamily={FONT.bold}
                    textAnchor="middle"
                    fill={tones.ink}
                    transform={`rotate(${-turn} ${x} ${y})`}
                  >
                    {MARK_WORDS[mark.kind]}
                  </SvgText>
                </G>
              );
            })}
            <Circle r={ringM * perM} stroke={tones.rule} strokeWidth={0.4} fill="none" />
            <Circle r={2 * ringM * perM - 0.4} stroke={tones.rule} strokeWidth={0.4} fill="none" />
            {boat.fix && (
              <Path
                d="M0 -5L3 4L0 2.2L-3 4Z"
                fill={tones.ink}
                stroke={tones.ground}
                strokeWidth={0.6}
                transform={`rotate(${bow})`}
              />
            )}
            <Line x1={44} y1={-38} x2={44} y2={-46} stroke={tones.ink} strokeWidth={0.8} />
            <SvgText x={44} y={-33} fontSize={5} fontFamily={FONT.bold} textAnchor="middle" fill={tones.ink}>
              N
            </SvgText>
          </G>
        </Svg>
      </View>
      <Text style={styles.words}>
        {show('depth', spanM, 0)} across, rings {show('depth', ringM, 0)}.
        {lines.size > 0 ? ` Contours every ${show('depth', everyM, 0)}.` : ''}
        {by === 'hardness' ? hardnessWords(day) : ''}
        {known.length > 1 && high > low
          ? ` Track: faint ${by === 'depth' ? show('depth', low) : show('temperature', low, 1)}, strong ${
              by === 'depth' ? show('depth', high) : show('temperature', high, 1)
            }.`
          : ''}{' '}
        Not for navigation.
      </Text>
      <View style={styles.row}>
        <BigButton
          label="Closer"
          onPress={() => setSpanAt(Math.max(0, spanAt - 1))}
          disabled={spanAt === 0}
          testID="map-closer"
        />
        <BigButton
          label="Wider"
          onPress={() => setSpanAt(Math.min(SPANS_M.length - 1, spanAt + 1))}
          disabled={spanAt === SPANS_M.length - 1}
        />
        <BigButton
          label={northUp ? (boat.compass ? 'Bow up' : 'Course up') : 'North up'}
          onPress={() => setNorthUp(!northUp)}
          testID="map-up"
        />
        <BigButton label={BY_WORDS[NEXT[by]]} onPress={() => setBy(NEXT[by])} testID="map-by" />
      </View>
      <LanesPart boat={boat} day={day} left={left} middle={centre} />
      <PlacesFiles day={day} />
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: 10 },
  chart: { width: '100%', aspectRatio: 1, borderWidth: 1, alignSelf: 'center' },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
  words: { fontSize: 20, lineHeight: 27 },
});
