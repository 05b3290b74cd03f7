import { isGap } from '@/core/maths';
import Svg, { Circle, Polyline, Text as SvgText } from 'react-native-svg';
import type { Finding } from '@/core/reading';
import type { PassReading } from '@/stores';
import { FONT } from '@/ui';

interface Props {
  size: { width: number; height: number };
  reading: PassReading;
  rangeM: number;
  /** Times at the left and right edges, s. */
  fromS: number;
  toS: number;
  /** Ink that stands out from the palette. */
  ink: string;
  halo: string;
  chosen: number | null;
  onChoose: (id: number) => void;
}

/** The bed line and the marks, drawn over the pass they were read from. */
export function PassOverlay({ size, reading, rangeM, fromS, toS, ink, halo, chosen, onChoose }: Props) {
  const x = (t: number): number => ((t - fromS) / (toS - fromS)) * size.width;
  const y = (range: number): number => (range / rangeM) * size.height;
  const { bed, findings } = reading.reading;
  // A point each two pixels is all that can be seen of the bed.
  const every = Math.max(1, Math.floor(reading.timeS.length / (size.width / 2)));
  const line: string[] = [];
  for (let p = 0; p < reading.timeS.length; p += every) {
    const range = bed.rangeM[p]!;
    if (!isGap(range)) line.push(`${x(reading.timeS[p]!).toFixed(1)},${y(range).toFixed(1)}`);
  }
  const tag = (f: Finding) => {
    const cx = Math.min(size.width - 14, Math.max(14, x(f.timeS)));
    const cy = Math.max(14, y(f.rangeM) - 18);
    const on = f.id === chosen;
    return (
      <Svg key={f.id}>
        <Circle
          cx={cx}
          cy={cy}
          r={12}
          fill={on ? ink : halo}
          stroke={ink}
          strokeWidth={1.5}
          onPress={() => onChoose(f.id)}
        />
        <SvgText
          x={cx}
          y={cy + 5}
          fontSize={14}
          fontFamily={FONT.bold}
          textAnchor="middle"
          fill={on ? halo : ink}
          onPress={() => onChoose(f.id)}
        >
          {String(f.id)}
        </SvgText>
      </Svg>
    );
  };
  return (
    <Svg width={size.width} height={size.height} aria-hidden>
      <Polyline points={line.join(' ')} fill="none" stroke={halo} strokeWidth={4} />
      <Polyline points={line.join(' ')} fill="none" stroke={ink} strokeWidth={2} />
      {findings.map(tag)}
    </Svg>
  );
}
