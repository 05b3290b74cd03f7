import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Line, Path } from 'react-native-svg';
import type { BoatPlace, Rig } from '@/core/rig';
import { Text, useTones } from '@/ui';
import { useDrawingWidth } from './BeamsView';

/** Something that has its place on the boat. */
export interface PlacePoint {
  name: string;
  label: string;
  place: BoatPlace;
  /** Under the water, on the deck, or let down from it. */
  kind: 'transducer' | 'antenna' | 'rod';
  /** Takes hold of it: what then moves it, counted from how all lay at that moment. */
  grab: () => (place: BoatPlace) => void;
}

interface Spot {
  x: number;
  y: number;
}

/** How a view lays the boat out, px: where a place is drawn, and where a place comes to when it is dragged. */
interface Layout {
  view: 'top' | 'side';
  at: (point: PlacePoint) => Spot;
  dragged: (place: BoatPlace, across: number, down: number) => BoatPlace;
  /** Where the words stand, one for each point. */
  words: (points: readonly PlacePoint[]) => Spot[];
  /** Where the line from a point meets its word. */
  lead: (word: Spot) => Spot;
  height: number;
}

/** Smallest size a finger meets, and how far words stand apart, px. */
const TOUCH_PX = 48;
const WORD_HEIGHT = 26;
const WORD_WIDTH = 104;

/** Values moved as little as needed to stand `apart`, in their order and between the bounds as far as there is room. */
export function spaced(values: readonly number[], apart: number, low: number, high: number): number[] {
  const order = values.map((_, i) => i).sort((a, b) => values[a]! - values[b]!);
  const out = values.slice();
  let least = low;
  for (const i of order) {
    out[i] = Math.max(values[i]!, least);
    least = out[i]! + apart;
  }
  let most = high;
  for (const i of order.reverse()) {
    out[i] = Math.min(out[i]!, most);
    most = out[i]! - apart;
  }
  return out;
}

const tenth = (x: number): number => Math.round(x * 10) / 10;

/** What follows the finger: a dot or its word. Its numbers can be typed as well, so it is no more than a quick way. */
function Handle({
  point,
  spot,
  layout,
  word,
}: {
  point: PlacePoint;
  spot: Spot;
  layout: Layout;
  word: boolean;
}) {
  const tones = useTones();
  // Where the place was, and where the finger, when it was taken hold of.
  const [held, setHeld] = useState<
    ({ place: BoatPlace; move: ReturnType<PlacePoint['grab']> } & Spot) | null
  >(null);
  const colour = { transducer: tones.ink, antenna: tones.water, rod: tones.buoy }[point.kind];
  return (
    <View
      onStartShouldSetResponder={() => true}
      onResponderTerminationRequest={() => false}
      onResponderGrant={({ nativeEvent: { pageX, pageY } }) =>
        setHeld({ place: point.place, move: point.grab(), x: pageX, y: pageY })
      }
      onResponderMove={({ nativeEvent: { pageX, pageY } }) => {
        if (!held) return;
        const { x, y } = layout.dragged(held.place, pageX - held.x, pageY - held.y);
        held.move({ x: tenth(x), y: tenth(y) });
      }}
      onResponderRelease={() => setHeld(null)}
      aria-hidden
      testID={word ? undefined : `${layout.view}-${point.name}`}
      style={
        word
          ? [styles.word, { left: spot.x, top: spot.y - WORD_HEIGHT / 2 }]
          : [styles.dot, { left: spot.x - TOUCH_PX / 2, top: spot.y - TOUCH_PX / 2 }]
      }
    >
      {word ? (
        <Text kind="small">{point.label}</Text>
      ) : (
        <View style={[styles.mark, { backgroundColor: colour }]} />
      )}
    </View>
  );
}

/** The hull and what has its place on it. */
function Drawing({
  hull,
  water,
  layout,
  points,
}: {
  hull: string;
  water?: number;
  layout: Layout;
  points: readonly PlacePoint[];
}) {
  const tones = useTones();
  const width = useDrawingWidth();
  const spots = points.map(layout.at);
  const words = layout.words(points);
  return (
    <View style={[styles.drawing, { width, height: layout.height }]}>
      <Svg width={width} height={layout.height} aria-hidden>
        <Path d={hull} fill={tones.page} stroke={tones.ink} strokeWidth={2} />
        {water !== undefined && (
          <Line x1={0} x2={width} y1={water} y2={water} stroke={tones.water} strokeWidth={1.5} />
        )}
        {points.map((point, i) => (
          <Line
            key={point.name}
            x1={spots[i]!.x}
            y1={spots[i]!.y}
            x2={layout.lead(words[i]!).x}
            y2={layout.lead(words[i]!).y}
            stroke={tones.faint}
            strokeWidth={1}
          />
        ))}
      </Svg>
      {points.map((point, i) => (
        <Handle key={point.name} point={point} spot={words[i]!} layout={layout} word />
      ))}
      {points.map((point, i) => (
        <Handle key={point.name} point={point} spot={spots[i]!} layout={layout} word={false} />
      ))}
    </View>
  );
}

interface Props {
  rig: Rig;
  points: readonly PlacePoint[];
}

/** Length that must fit: the hull and all that stands before or behind it, m forward of the transducer. */
function reachOf({ positions: { stern }, lengthM }: Rig, points: readonly PlacePoint[]) {
  const all = [stern.x, stern.x + lengthM, ...points.map(({ place }) => place.x)];
  return { aft: Math.min(...all), fore: Math.max(...all) };
}

/** Width of a small boat as a share of its length. */
const BEAM_SHARE = 0.37;
const TOP_HEIGHT = 320;
const EDGE_PX = 30;

/** The boat from above, bow up. */
export function TopView({ rig, points }: Props) {
  const width = useDrawingWidth();
  const { stern: hull } = rig.positions;
  const { aft, fore } = reachOf(rig, points);
  const perM = (TOP_HEIGHT - 2 * EDGE_PX) / (fore - aft);
  const middle = { x: (width - WORD_WIDTH) / 2 + hull.y * perM, y: EDGE_PX + fore * perM };
  const keel = middle.x - hull.y * perM;
  const w = ((BEAM_SHARE * rig.lengthM) / 2) * perM;
  const stern = middle.y - hull.x * perM;
  const bow = stern - rig.lengthM * perM;
  const shoulder = stern - 0.62 * rig.lengthM * perM;
  const layout: Layout = {
    view: 'top',
    height: TOP_HEIGHT,
    at: ({ place }) => ({ x: middle.x - place.y * perM, y: middle.y - place.x * perM }),
    dragged: (place, across, down) => ({ x: place.x - down / perM, y: place.y - across / perM }),
    words: (all) =>
      spaced(
        all.map((p) => layout.at(p).y),
        WORD_HEIGHT,
        WORD_HEIGHT / 2,
        TOP_HEIGHT - WORD_HEIGHT / 2,
      ).map((y) => ({ x: width - WORD_WIDTH, y })),
    lead: ({ x, y }) => ({ x: x - 4, y }),
  };
  return (
    <Drawing
      hull={`M ${keel - w} ${stern} L ${keel - w} ${shoulder} Q ${keel - w * 0.8} ${bow + 20} ${keel} ${bow} Q ${keel + w * 0.8} ${bow + 20} ${keel + w} ${shoulder} L ${keel + w} ${stern} Z`}
      layout={layout}
      points={points}
    />
  );
}

/** Heights in the drawing from the side, px: words, deck, water, keel. */
const SIDE = {
  height: 170,
  above: 14,
  antenna: 44,
  deck: 58,
  water: 82,
  keel: 96,
  transducer: 102,
  below: 152,
};

/** The boat from the side, bow to the right: how far forward things are. */
export function SideView({ rig, points }: Props) {
  const width = useDrawingWidth();
  const { stern } = rig.positions;
  const { aft, fore } = reachOf(rig, points);
  const perM = (width - 2 * EDGE_PX) / (fore - aft);
  const px = (x: number): number => EDGE_PX + (x - aft) * perM;
  const heightOf = { antenna: SIDE.antenna, rod: SIDE.deck, transducer: SIDE.transducer };
  // Names over the boat, and under it in as many rows as they need.
  const under = points.filter(({ kind }) => kind === 'transducer');
  const rowCount = Math.ceil(under.length / Math.floor(width / WORD_WIDTH));
  const rows = [SIDE.above, ...Array.from({ length: rowCount }, (_, r) => SIDE.below + r * WORD_HEIGHT)];
  const rowOf = (all: readonly PlacePoint[], i: number): number =>
    all[i]!.kind === 'transducer' ? 1 + (under.indexOf(all[i]!) % rowCount) : 0;
  const layout: Layout = {
    view: 'side',
    height: SIDE.below + rowCount * WORD_HEIGHT,
    at: ({ place, kind }) => ({ x: px(place.x), y: heightOf[kind] }),
    dragged: (place, across) => ({ x: place.x + across / perM, y: place.y }),
    words: (all) => {
      const out: Spot[] = all.map(() => ({ x: 0, y: 0 }));
      rows.forEach((row, r) => {
        const mine = all.map((_, i) => i).filter((i) => rowOf(all, i) === r);
        const xs = spaced(
          mine.map((i) => px(all[i]!.place.x)),
          WORD_WIDTH,
          4,
          width - WORD_WIDTH,
        );
        mine.forEach((i, k) => (out[i] = { x: xs[k]!, y: row }));
      });
      return out;
    },
    lead: ({ x, y }) => ({ x: x + 10, y: y + (y < SIDE.water ? WORD_HEIGHT : -WORD_HEIGHT) / 2 }),
  };
  const [a, b] = [px(stern.x), px(stern.x + rig.lengthM)];
  return (
    <Drawing
      hull={`M ${a} ${SIDE.deck} L ${a} ${SIDE.keel} L ${b - 0.25 * (b - a)} ${SIDE.keel} Q ${b - 8} ${SIDE.keel - 4} ${b} ${SIDE.deck - 6} Z`}
      water={SIDE.water}
      layout={layout}
      points={points}
    />
  );
}

// What is dragged neither selects words nor scrolls the page.
const unselected = { userSelect: 'none' } as object;
const held = { ...unselected, touchAction: 'none' } as object;

const styles = StyleSheet.create({
  drawing: { ...unselected },
  dot: {
    position: 'absolute',
    width: TOUCH_PX,
    height: TOUCH_PX,
    alignItems: 'center',
    justifyContent: 'center',
    ...held,
  },
  mark: { width: 18, height: 18, borderRadius: 9 },
  word: { position: 'absolute', width: WORD_WIDTH, height: WORD_HEIGHT, justifyContent: 'center', ...held },
});
