import { useWindowDimensions } from 'react-native';
import Svg, { Ellipse, Line, Path, Polygon, Text as SvgText } from 'react-native-svg';
import { footprintAt, pointingAt } from '@/core/advice';
import type { Rig } from '@/core/rig';
import { FONT, useTones } from '@/ui';
import { useUnits } from '../units';

/** Widest a drawing is, px, and what stands to its sides on a narrow screen. */
const WIDEST = 340;
const MARGINS = 32;
export const useDrawingWidth = (): number => Math.min(WIDEST, useWindowDimensions().width - MARGINS);

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
