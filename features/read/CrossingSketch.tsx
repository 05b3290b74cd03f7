import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Ellipse, Line, Path, Text as SvgText } from 'react-native-svg';
import { FONT, Text, useTones } from '@/ui';
import { useUnits } from '../units';
import type { CrossingSeen } from './crossing';

const HEIGHT_PX = 176;
const TOP_PX = 22;
/** Least rise the drawn arch is stretched over, m, so that noise is not drawn as an arch. */
const LEAST_RISE_M = 0.3;

interface Props {
  seen: CrossingSeen;
  /** Half the beam's width fore and aft, rad. */
  halfRad: number;
}

/** Why a mark bends: the boat at three moments with its cone and the path of the sound, and the ranges as they were measured. */
export function CrossingSketch({ seen, halfRad }: Props) {
  const tones = useTones();
  const { show, height } = useUnits();
  const [width, setWidth] = useState(0);
  const { moments, all } = seen;
  const deepest = moments[1].rangeM;
  const half = width / 2 - 6;
  // One scale both ways, as far as it goes into the room.
  const wide = Math.max(...moments.map((m) => Math.abs(m.alongM))) + deepest * Math.tan(Math.min(halfRad, 1));
  const perM = Math.min((HEIGHT_PX - TOP_PX - 20) / deepest, half / 2 / Math.max(wide, 0.1));
  const x = (m: number): number => half / 2 + m * perM;
  const y = (m: number): number => TOP_PX + m * perM;
  const fromM = Math.min(...all.map((m) => m.rangeM));
  const toM = Math.max(fromM + LEAST_RISE_M, ...all.map((m) => m.rangeM));
  const [first, last] = [all[0]!, all[all.length - 1]!];
  const ax = (m: number): number =>
    half + 24 + ((m - first.alongM) / (last.alongM - first.alongM)) * (half - 36);
  const ay = (m: number): number => TOP_PX + 8 + ((m - fromM) / (toM - fromM)) * (HEIGHT_PX - TOP_PX - 42);
  const still = Array.from({ length: 41 }, (_, i) => {
    const along = first.alongM + (i / 40) * (last.alongM - first.alongM);
    return [ax(along), ay(Math.hypot(deepest, along))] as const;
  }).filter(([, at]) => at <= HEIGHT_PX - 18);
  const bend = Math.max(moments[0].rangeM, moments[2].rangeM) - moments[1].rangeM;
  return (
    <View onLayout={({ nativeEvent: { layout } }) => setWidth(layout.width)} testID="crossing-sketch">
      {width > 0 && (
        <Svg
          width={width}
          height={HEIGHT_PX}
          role="img"
          accessibilityLabel="The boat at three moments, its cone and the path of the sound; beside it the measured ranges"
        >
          <Line x1={0} x2={half} y1={TOP_PX} y2={TOP_PX} stroke={tones.water} strokeWidth={1.5} />
          {moments.map((m, i) => {
            const tan = Math.tan(Math.min(halfRad, 1)) * deepest;
            return (
              <Path
                key={`cone ${i}`}
                d={`M${x(m.alongM)} ${y(0)}L${x(m.alongM - tan)} ${y(deepest)}L${x(m.alongM + tan)} ${y(deepest)}Z`}
                fill={tones.waterWash}
                fillOpacity={0.5}
                stroke={tones.rule}
              />
            );
          })}
          {moments.map((m, i) => (
            <Line
              key={`path ${i}`}
              x1={x(m.alongM)}
              y1={y(0)}
              x2={x(0)}
              y2={y(deepest)}
              stroke={i === 1 ? tones.buoy : tones.ink}
              strokeWidth={i === 1 ? 2.5 : 1.5}
              {...(i === 1 ? {} : { strokeDasharray: '5 3' })}
            />
          ))}
          {moments.map((m, i) => (
            <Path
              key={`boat ${i}`}
              d={`M${x(m.alongM) - 9} ${TOP_PX - 5}h18l-4 6h-10Z`}
              fill={i === 1 ? tones.ink : 'none'}
              stroke={tones.ink}
            />
          ))}
          <Ellipse cx={x(0)} cy={y(deepest)} rx={7} ry={3} fill={tones.ink} />
          <Path
            d={still.map(([px, py], i) => `${i === 0 ? 'M' : 'L'}${px.toFixed(1)} ${py.toFixed(1)}`).join('')}
            fill="none"
            stroke={tones.faint}
            strokeDasharray="4 3"
          />
          {all.map((m, i) => (
            <Circle key={`seen ${i}`} cx={ax(m.alongM)} cy={ay(m.rangeM)} r={2.2} fill={tones.ink} />
          ))}
          {moments.map((m, i) => (
            <SvgText
              key={`length ${i}`}
              x={i === 0 ? ax(m.alongM) : i === 1 ? ax(0) : ax(m.alongM)}
              y={i === 1 ? ay(m.rangeM) - 8 : Math.min(HEIGHT_PX - 4, ay(m.rangeM) + 18)}
              fontSize={14}
              fontFamily={FONT.bold}
              textAnchor={i === 0 ? 'start' : i === 1 ? 'middle' : 'end'}
              fill={i === 1 ? tones.buoy : tones.ink}
            >
              {show('depth', m.rangeM)}
            </SvgText>
          ))}
        </Svg>
      )}
      <Text kind="small">
        The sound went {show('depth', moments[0].rangeM)} as it came into the beam,{' '}
        {show('depth', moments[1].rangeM)} at the nearest, {show('depth', moments[2].rangeM)} as it left.
      </Text>
      <Text kind="small" faint>
        {bend < 0.15
          ? 'The paths hardly differ, so it draws a short line.'
          : `That bend of ${height(bend)} is the arch. Dashes show a fish that keeps still.`}
      </Text>
    </View>
  );
}
