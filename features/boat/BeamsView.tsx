import { useWindowDimensions } from 'react-native';
import Svg, { Ellipse, Line, Path, Polygon, Text as SvgText } from 'react-native-svg';
import { footprintAt, placeOfFace, pointingAt, type Rig } from '@/core/rig';
import { FONT, useTones } from '@/ui';
import { useUnits } from '../units';

/** Widest a drawing is, px, and what stands to its sides on a narrow screen. */
const WIDEST = 340;
const MARGINS = 32;
export const useDrawingWidth = (): number => Math.min(WIDEST, useWindowDimensions().width - MARGINS);

const SIDE_HEIGHT = 240;

/** The boat from the side over a depth, its beams to scale, tilt and all. */
export function BeamsView({ rig, depthM, fishM }: { rig: Rig; depthM: number; fishM: number }) {
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
  const stern = middle + rig.positions.stern.x * perM;
  const bow = stern + rig.lengthM * perM;
  return (
    <Svg width={width} height={SIDE_HEIGHT} aria-hidden>
      <Line x1={0} x2={width} y1={top} y2={top} stroke={tones.rule} strokeWidth={2} />
      {faces.map((face, i) => {
        const { alongM } = footprintAt(face, depthM);
        const hangs = placeOfFace(rig, face.id).x;
        const from = Math.max(-half, hangs + forwardM - alongM / 2);
        const to = Math.min(half, hangs + forwardM + alongM / 2);
        return (
          <Polygon
            key={face.id}
            points={`${middle + hangs * perM},${top} ${middle + from * perM},${bed} ${middle + to * perM},${bed}`}
            fill={i % 2 === 0 ? tones.waterWash : 'transparent'}
            stroke={tones.water}
            strokeWidth={1.5}
          />
        );
      })}
      <Path
        d={`M ${stern} ${top - 18} L ${stern} ${top - 3} L ${bow - (bow - stern) / 4} ${top - 3} Q ${bow - 4} ${top - 4} ${bow} ${top - 20} Z`}
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
