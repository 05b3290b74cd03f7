import Svg, { Defs, Line, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg';
import type { PassReading } from '@/stores';
import { FONT, useTones } from '@/ui';
import { SKIN } from '../words/bed';
import { BED_WORDS } from '../words/brief';
import { bedRuns, type BedRun } from './bedRuns';
import type { PassWindow } from './passWindow';

export const BED_STRIP_PX = 26;
/** Narrower than this a run has no room for its word, px a letter. */
const LETTER_PX = 8.5;

/** The bed along the pass, under its picture: hard filled, soft dotted, with the word for it; told by pattern, not colour. */
export function BedStrip({
  reading,
  shown,
  width,
}: {
  reading: PassReading;
  shown: PassWindow;
  width: number;
}) {
  const tones = useTones();
  const { timeS } = reading;
  const x = (t: number): number => ((t - shown.fromS) / (shown.toS - shown.fromS)) * width;
  const runs = bedRuns(reading.reading.hardness).filter(
    (run) => timeS[run.toPing]! >= shown.fromS && timeS[run.fromPing]! <= shown.toS,
  );
  const fillOf = ({ ground }: BedRun): string =>
    ground === 'hard' ? tones.ink : ground === 'soft' ? 'url(#soft)' : 'url(#unclear)';
  return (
    <Svg
      width={width}
      height={BED_STRIP_PX}
      role="img"
      accessibilityLabel={`The bed along the pass: ${runs.length === 0 ? 'not told' : runs.map((r) => `${r.ground === 'unclear' ? 'hard or soft' : r.ground}, ${BED_WORDS[r.likely]}`).join('; then ')}`}
    >
      <Defs>
        <Pattern id="soft" width={6} height={6} patternUnits="userSpaceOnUse">
          <Rect width={6} height={6} fill={tones.page} />
          <Rect x={2} y={2} width={1.6} height={1.6} fill={tones.faint} />
        </Pattern>
        <Pattern id="unclear" width={7} height={7} patternUnits="userSpaceOnUse">
          <Rect width={7} height={7} fill={tones.page} />
          <Path d="M0 7L7 0" stroke={tones.ink} strokeWidth={1.6} />
        </Pattern>
      </Defs>
      {runs.map((run) => {
        const from = Math.max(0, x(timeS[run.fromPing]!));
        const to = Math.min(width, x(timeS[Math.min(timeS.length - 1, run.toPing + 1)]!));
        if (to <= 0 || from >= width || to <= from) return null;
        const word = BED_WORDS[run.likely];
        const wordPx = word.length * LETTER_PX + 8;
        const middle = (from + to) / 2;
        return (
          <Svg key={run.fromPing}>
            <Rect x={from} y={4} width={to - from} height={BED_STRIP_PX - 4} fill={fillOf(run)} />
            {run.second && (
              <Line
                x1={from}
                x2={to}
                y1={2}
                y2={2}
                stroke={tones.ink}
                strokeWidth={2}
                strokeDasharray="5 3"
              />
            )}
            {run.skin > SKIN && <Line x1={from} x2={to} y1={6} y2={6} stroke={tones.buoy} strokeWidth={3} />}
            {to - from > wordPx && (
              <>
                <Rect
                  x={middle - wordPx / 2}
                  y={6}
                  width={wordPx}
                  height={BED_STRIP_PX - 8}
                  fill={tones.page}
                />
                <SvgText
                  x={middle}
                  y={20}
                  fontSize={14}
                  fontFamily={FONT.bold}
                  textAnchor="middle"
                  fill={tones.ink}
                >
                  {word}
                </SvgText>
              </>
            )}
          </Svg>
        );
      })}
    </Svg>
  );
}
