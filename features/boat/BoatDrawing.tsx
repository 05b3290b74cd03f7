import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Ellipse, Line, Path, Polygon, Rect, Text as SvgText } from 'react-native-svg';
import { footprintAt, pointingAt } from '@/core/advice';
import type { BoatPlace, Rig } from '@/core/rig';
import { FONT, Text, useTones } from '@/ui';
import { useUnits } from '../units';

/** Boat drawn from above: half length and half width, m. */
const HALF_LENGTH_M = 3;
const HALF_WIDTH_M = 1.1;

interface DragPointProps {
  label: string;
  place: BoatPlace;
  /** Middle of the drawing, px, and px a metre. */
  middle: { x: number; y: number };
  perM: number;
  onMove: (place: BoatPlace) => void;
  colour: string;
}

/** A place on the boat under the finger. Its numbers can be typed as well, so it is no more than a quick way. */
function DragPoint({ label, place, middle, perM, onMove, colour }: DragPointProps) {
  // Where the place was, and where the finger, when it was taken hold of.
  const [held, setHeld] = useState<{ place: BoatPlace; x: number; y: number } | null>(null);
  const round = (x: number): number => Math.round(x * 10) / 10;
  return (
    <View
      onStartShouldSetResponder={() => true}
      onResponderTerminationRequest={() => false}
      onResponderGrant={({ nativeEvent: { pageX, pageY } }) => setHeld({ place, x: pageX, y: pageY })}
      onResponderMove={({ nativeEvent: { pageX, pageY } }) => {
        // The bow is up on the drawing, port is left.
        if (held)
          onMove({
            x: round(held.place.x - (pageY - held.y) / perM),
            y: round(held.place.y - (pageX - held.x) / perM),
          });
      }}
      onResponderRelease={() => setHeld(null)}
      aria-hidden
      testID={`drag-${label.toLowerCase()}`}
      style={[styles.drag, { left: middle.x - place.y * perM - 24, top: middle.y - place.x * perM - 24 }]}
    >
      <View style={[styles.dot, { backgroundColor: colour }]} />
      <Text kind="small" style={styles.dragWord}>
        {label}
      </Text>
    </View>
  );
}

const TOP = { width: 340, height: 320 };

/** The boat from above: transducer in the middle, antenna and rod where they are. */
export function TopView({
  rig,
  onMove,
}: {
  rig: Rig;
  onMove: (which: 'antenna' | 'rod', place: BoatPlace) => void;
}) {
  const tones = useTones();
  // The transducer hangs at the stern.
  const middle = { x: TOP.width / 2, y: TOP.height - 70 };
  const reach = Math.max(2 * HALF_LENGTH_M, rig.positions.antenna.x + 0.6, rig.positions.rod.x + 0.6);
  const perM = (TOP.height - 100) / reach;
  const w = HALF_WIDTH_M * perM;
  const stern = middle.y - 0.2 * perM;
  const bow = middle.y - 2 * HALF_LENGTH_M * perM;
  const shoulder = middle.y - 1.3 * HALF_LENGTH_M * perM;
  return (
    <View style={{ width: TOP.width, height: TOP.height }}>
      <Svg width={TOP.width} height={TOP.height} aria-hidden>
        <Path
          d={`M ${middle.x - w} ${stern} L ${middle.x - w} ${shoulder} Q ${middle.x - w * 0.8} ${bow + 20} ${middle.x} ${bow} Q ${middle.x + w * 0.8} ${bow + 20} ${middle.x + w} ${shoulder} L ${middle.x + w} ${stern} Z`}
          fill={tones.page}
          stroke={tones.ink}
          strokeWidth={2}
        />
        <Rect x={middle.x - 6} y={middle.y - 6} width={12} height={12} fill={tones.ink} />
        <SvgText
          x={middle.x - w - 8}
          y={middle.y + 5}
          fontSize={15}
          fontFamily={FONT.text}
          textAnchor="end"
          fill={tones.ink}
        >
          transducer
        </SvgText>
      </Svg>
      <DragPoint
        label="Antenna"
        place={rig.positions.antenna}
        middle={middle}
        perM={perM}
        colour={tones.water}
        onMove={(p) => onMove('antenna', p)}
      />
      <DragPoint
        label="Rod"
        place={rig.positions.rod}
        middle={middle}
        perM={perM}
        colour={tones.buoy}
        onMove={(p) => onMove('rod', p)}
      />
    </View>
  );
}

const SIDE = { width: 340, height: 240 };

/** The boat from the side over a depth, its beams to scale, tilt and all. */
export function SideView({ rig, depthM }: { rig: Rig; depthM: number }) {
  const tones = useTones();
  const { show } = useUnits();
  const top = 34;
  const bed = SIDE.height - 30;
  const perM = (bed - top) / depthM;
  const { forwardM } = pointingAt(rig.mount, depthM);
  const half = (SIDE.width / 2 - 20) / perM;
  const faces = [...rig.faces].sort((a, b) => b.beam.alongRad - a.beam.alongRad);
  const middle = SIDE.width / 2;
  return (
    <Svg width={SIDE.width} height={SIDE.height} aria-hidden>
      <Line x1={0} x2={SIDE.width} y1={top} y2={top} stroke={tones.rule} strokeWidth={2} />
      {faces.map((face, i) => {
        const { alongM } = footprintAt(face, depthM);
        const from = Math.max(-half, forwardM - alongM / 2);
        const to = Math.min(half, forwardM + alongM / 2);
        return (
          <Polygon
            key={face.id}
            points={`${middle},${top} ${middle + from * perM},${bed} ${middle + to * perM},${bed}`}
            fill={i % 2 === 0 ? tones.waterWash : 'transparent'}
            stroke={tones.water}
            strokeWidth={1.5}
          />
        );
      })}
      <Path
        d={`M ${middle - 8} ${top - 4} l 66 0 q 14 -4 18 -16 l -84 0 z`}
        fill={tones.page}
        stroke={tones.ink}
        strokeWidth={2}
      />
      <Line x1={0} x2={SIDE.width} y1={bed} y2={bed} stroke={tones.ink} strokeWidth={3} />
      <Ellipse cx={middle + forwardM * perM} cy={bed} rx={4} ry={4} fill={tones.buoy} />
      <SvgText x={6} y={bed + 20} fontSize={15} fontFamily={FONT.text} fill={tones.ink}>
        {`bed at ${show('depth', depthM)}, bow to the right`}
      </SvgText>
    </Svg>
  );
}

const styles = StyleSheet.create({
  drag: { position: 'absolute', width: 48, height: 48, alignItems: 'center', justifyContent: 'center' },
  dot: { width: 18, height: 18, borderRadius: 9 },
  dragWord: { position: 'absolute', top: 34, width: 80, textAlign: 'center' },
});
