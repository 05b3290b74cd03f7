import { useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import Svg, { Ellipse, Line, Path, Polygon, Text as SvgText } from 'react-native-svg';
import { footprintAt, pointingAt } from '@/core/advice';
import type { BoatPlace, Rig } from '@/core/rig';
import { FONT, Text, useTones } from '@/ui';
import { useUnits } from '../units';

/** Widest a drawing is, px, and what stands to its sides on a narrow screen. */
const WIDEST = 340;
const MARGINS = 32;
const useDrawingWidth = (): number => Math.min(WIDEST, useWindowDimensions().width - MARGINS);

/** Width of a small boat as a share of its length. */
const BEAM_SHARE = 0.37;

interface DragPointProps {
  label: string;
  place: BoatPlace;
  /** Middle of the drawing, px, and px a metre. */
  middle: { x: number; y: number };
  perM: number;
  onMove: (place: BoatPlace) => void;
  colour: string;
  /** Where its name stands, so that names of things at one place keep apart. */
  side: 'left' | 'right' | 'above';
}

/** A place on the boat under the finger. Its numbers can be typed as well, so it is no more than a quick way. */
function DragPoint({ label, place, middle, perM, onMove, colour, side }: DragPointProps) {
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
      <Text kind="small" style={[styles.dragWord, WORD_AT[side]]}>
        {label}
      </Text>
    </View>
  );
}

const WORD_AT = {
  left: { right: 40, top: 13, textAlign: 'right' },
  right: { left: 40, top: 13, textAlign: 'left' },
  above: { left: -21, top: -8, textAlign: 'center' },
} as const;

const TOP_HEIGHT = 320;

/** The boat from above: transducer in the middle, antenna and rod where they are. */
export function TopView({
  rig,
  onMove,
}: {
  rig: Rig;
  onMove: (which: 'antenna' | 'rod' | 'stern', place: BoatPlace) => void;
}) {
  const tones = useTones();
  const width = useDrawingWidth();
  const { stern: hull, antenna, rod } = rig.positions;
  // Everything is measured from the transducer: the hull lies about it.
  const front = Math.max(hull.x + rig.lengthM, antenna.x, rod.x) + 0.5;
  const behind = Math.max(-hull.x, 0) + 0.8;
  const perM = (TOP_HEIGHT - 60) / (front + behind);
  const middle = { x: width / 2, y: 20 + front * perM };
  const keel = middle.x - hull.y * perM;
  const w = ((BEAM_SHARE * rig.lengthM) / 2) * perM;
  const stern = middle.y - hull.x * perM;
  const bow = stern - rig.lengthM * perM;
  const shoulder = stern - 0.62 * rig.lengthM * perM;
  return (
    <View style={{ width, height: TOP_HEIGHT }}>
      <Svg width={width} height={TOP_HEIGHT} aria-hidden>
        <Path
          d={`M ${keel - w} ${stern} L ${keel - w} ${shoulder} Q ${keel - w * 0.8} ${bow + 20} ${keel} ${bow} Q ${keel + w * 0.8} ${bow + 20} ${keel + w} ${shoulder} L ${keel + w} ${stern} Z`}
          fill={tones.page}
          stroke={tones.ink}
          strokeWidth={2}
        />
      </Svg>
      {/* Dragging the transducer moves all else the other way. */}
      <DragPoint
        label="Transducer"
        side="left"
        place={{ x: 0, y: 0 }}
        middle={middle}
        perM={perM}
        colour={tones.ink}
        onMove={(p) =>
          onMove('stern', {
            x: Math.round(10 * (hull.x - p.x)) / 10,
            y: Math.round(10 * (hull.y - p.y)) / 10,
          })
        }
      />
      <DragPoint
        label="Antenna"
        side="above"
        place={rig.positions.antenna}
        middle={middle}
        perM={perM}
        colour={tones.water}
        onMove={(p) => onMove('antenna', p)}
      />
      <DragPoint
        label="Rod"
        side="right"
        place={rig.positions.rod}
        middle={middle}
        perM={perM}
        colour={tones.buoy}
        onMove={(p) => onMove('rod', p)}
      />
    </View>
  );
}

const SIDE_HEIGHT = 240;

/** The boat from the side over a depth, its beams to scale, tilt and all. */
export function SideView({ rig, depthM, fishM }: { rig: Rig; depthM: number; fishM: number }) {
  const tones = useTones();
  const { show } = useUnits();
  const width = useDrawingWidth();
  const top = 34;
  const bed = SIDE_HEIGHT - 30;
  const perM = (bed - top) / depthM;
  const { forwardM } = pointingAt(rig.mount, depthM);
  const half = (width / 2 - 20) / perM;
  const faces = [...rig.faces].sort((a, b) => b.beam.alongRad - a.beam.alongRad);
  const middle = width / 2;
  return (
    <Svg width={width} height={SIDE_HEIGHT} aria-hidden>
      <Line x1={0} x2={width} y1={top} y2={top} stroke={tones.rule} strokeWidth={2} />
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
      {fishM < depthM - 0.5 && (
        <>
          <Line
            x1={0}
            x2={width}
            y1={top + fishM * perM}
            y2={top + fishM * perM}
            stroke={tones.buoy}
            strokeWidth={1.5}
            strokeDasharray="6 5"
          />
          <SvgText x={6} y={top + fishM * perM - 5} fontSize={15} fontFamily={FONT.text} fill={tones.ink}>
            {`fish at ${show('depth', fishM, 0)}`}
          </SvgText>
        </>
      )}
      <Line x1={0} x2={width} y1={bed} y2={bed} stroke={tones.ink} strokeWidth={3} />
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
  dragWord: { position: 'absolute', width: 90 },
});
