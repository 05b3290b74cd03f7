import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { isGap } from '@/core/maths';
import { pingAt } from '@/core/picture';
import { correctionOf, type Correction } from '@/core/logbook';
import type { Finding } from '@/core/reading';
import type { PassReading } from '@/stores';
import { FONT } from '@/ui';
import { markCorners, markOutline, scaledTo, widthOn } from './markOutline';
import type { PassWindow } from './passWindow';
import type { PassPlace, Seen } from './readStore';
import type { Truth } from './useTruth';

interface Props {
  size: { width: number; height: number };
  reading: PassReading;
  shown: PassWindow;
  /** Ink that stands out from the palette. */
  ink: string;
  halo: string;
  chosen: number | null;
  hidden: readonly Seen[];
  corrections: readonly Correction[];
  ruler: readonly PassPlace[];
  truth: Truth | null;
}

/** Kinds are told apart by their strokes as well: who sees no colours loses nothing. */
const DASHES: Record<Finding['kind'], string | undefined> = {
  fish: undefined,
  cloud: '7 4',
  cover: '2 3',
};

/** Points of a line along the pings that one sees, px apart. */
const APART_PX = 2;
const NUMBER_PX = 15;
/** More marks than this hide the picture and each other. */
const MOST_MARKS = 80;
/** A mark wider than this has room for a line round it, px. */
const LARGE_PX = 80;

/** What was read, drawn thinly over the pass it was read from: every mark stays to be seen. */
export function PassOverlay(props: Props) {
  const { size, reading, shown, ink, halo, chosen, hidden, corrections, ruler, truth } = props;
  const scale = scaledTo(shown, size);
  const { x, y } = scale;
  const { timeS } = reading;
  const { bed, bedShape, findings, layers, named, lures } = reading.reading;
  const inside = (from: number, to: number): boolean =>
    timeS[to]! >= shown.fromS && timeS[from]! <= shown.toS;

  /** A line along the pings, broken where there is none. */
  const seenFrom = Math.max(0, pingAt(timeS, shown.fromS) - 1);
  const seenTo = Math.min(timeS.length - 1, pingAt(timeS, shown.toS) + 1);
  const along = (range: (p: number) => number, first = 0, last = timeS.length - 1): string => {
    const from = Math.max(first, seenFrom);
    const to = Math.min(last, seenTo);
    let path = '';
    let pen = false;
    let lastX = -Infinity;
    for (let p = from; p <= to; p++) {
      const r = range(p);
      const at = x(timeS[p]!);
      if (isGap(r) || !(r > 0)) pen = false;
      else if (at >= -APART_PX && at <= size.width + APART_PX && (!pen || at - lastX >= APART_PX)) {
        path += `${pen ? 'L' : 'M'}${at.toFixed(1)} ${y(r).toFixed(1)}`;
        pen = true;
        lastX = at;
      }
    }
    return path;
  };
  /** Drawn twice: on any palette one of the two inks stands out. */
  const stroke = (d: string, width: number, dash?: string) => (
    <>
      <Path d={d} fill="none" stroke={halo} strokeWidth={width + 2} strokeOpacity={0.8} />
      <Path d={d} fill="none" stroke={ink} strokeWidth={width} {...(dash ? { strokeDasharray: dash } : {})} />
    </>
  );
  const words = (
    at: number,
    over: number,
    text: string,
    px = NUMBER_PX,
    anchor: 'middle' | 'start' = 'middle',
  ) => {
    const own = { x: at, y: over, fontSize: px, fontFamily: FONT.bold, textAnchor: anchor };
    return (
      <>
        <SvgText {...own} fill="none" stroke={halo} strokeWidth={4} strokeLinejoin="round">
          {text}
        </SvgText>
        <SvgText {...own} fill={ink}>
          {text}
        </SvgText>
      </>
    );
  };

  const mark = (f: Finding) => {
    const said = correctionOf(f, corrections);
    const gone = said?.change === 'merged' || (said?.change === 'renamed' && said.is === 'nothing');
    const on = f.id === chosen;
    // A fish's mark is as thin as a line round it would be: it has one when open and large.
    const followed = f.kind !== 'fish' || (on && widthOn(f, timeS, scale) > LARGE_PX);
    const at = Math.min(size.width - 10, Math.max(10, x(f.timeS)));
    const over = Math.max(NUMBER_PX, y(f.rangeM) - 11);
    return (
      <G key={f.id} opacity={gone ? 0.45 : 1}>
        {followed
          ? stroke(markOutline(f, timeS, bed.rangeM, scale), on ? 2 : 1.5, DASHES[f.kind])
          : stroke(markCorners(f, timeS, bed.rangeM, scale), on ? 3 : 1.5)}
        {words(at, over, `${f.id}${!said ? '' : gone ? '×' : said.change === 'agreed' ? '✓' : '*'}`)}
      </G>
    );
  };
  const marks = findings.filter((f) => !hidden.includes(f.kind) && inside(f.fromPing, f.toPing));
  const tooMany = marks.length > MOST_MARKS;
  const bedLine = hidden.includes('bed') ? '' : along((p) => bed.rangeM[p]!);
  // What lies in the dead zone is hidden by the bed's own echo; it stands on the bed, which a slope draws too high.
  const dead = hidden.includes('bed')
    ? ''
    : along((p) => Math.max(0, (bedShape.depthHighM[p] ?? NaN) - (bedShape.deadZoneM[p] ?? NaN)));
  return (
    <Svg width={size.width} height={size.height} aria-hidden>
      {bedLine !== '' && (
        <>
          <Path d={dead} fill="none" stroke={ink} strokeWidth={1} strokeDasharray="1 4" />
          {stroke(bedLine, 1.5)}
        </>
      )}
      {!hidden.includes('water') && (
        <>
          {layers.map((layer, i) => (
            <G key={`layer ${i}`}>
              {[layer.topM, layer.bottomM].map((m) => (
                <Line
                  key={m}
                  x1={0}
                  x2={size.width}
                  y1={y(m)}
                  y2={y(m)}
                  stroke={ink}
                  strokeWidth={1}
                  strokeDasharray="10 6"
                />
              ))}
              {words(4, y(layer.topM) - 4, 'layer', 13, 'start')}
            </G>
          ))}
          {named
            .filter((echo) => echo.kind !== 'electrical-bar' && inside(echo.fromPing, echo.toPing))
            .map((echo, i) => (
              <Rect
                key={`echo ${i}`}
                x={x(timeS[echo.fromPing]!) - 3}
                y={y(echo.rangeM[0]) - 3}
                width={Math.max(8, x(timeS[echo.toPing]!) - x(timeS[echo.fromPing]!) + 6)}
                height={Math.max(8, y(echo.rangeM[1]) - y(echo.rangeM[0]) + 6)}
                fill="none"
                stroke={ink}
                strokeWidth={1}
                strokeDasharray="1 3"
              />
            ))}
          {lures.map((lure, i) => (
            <Path
              key={`lure ${i}`}
              d={along((p) => lure.path[p - lure.fromPing]!, lure.fromPing, lure.toPing)}
              fill="none"
              stroke={ink}
              strokeWidth={1}
              strokeDasharray="4 2"
            />
          ))}
        </>
      )}
      {tooMany
        ? words(size.width / 2, NUMBER_PX + 4, `${marks.length} marks: look closer to see them`)
        : // The open one lies over the others.
          marks.sort((a, b) => Number(a.id === chosen) - Number(b.id === chosen)).map(mark)}
      {corrections.map((c, i) =>
        c.change === 'added' ? (
          <G key={`added ${i}`}>
            {stroke(`M${x(c.timeS)} ${y(c.rangeM) - 7}l7 7l-7 7l-7 -7Z`, 1.5)}
            {words(x(c.timeS), y(c.rangeM) - 11, 'yours', 13)}
          </G>
        ) : null,
      )}
      {truth?.fish.map((f, i) => (
        <G key={`true ${i}`}>
          <Path
            d={`M${x(f.timeS) - 4} ${y(f.rangeM) + 15}l4 -6l4 6Z`}
            fill={f.found ? ink : halo}
            stroke={f.found ? halo : ink}
            strokeWidth={1}
          />
        </G>
      ))}
      {ruler.map((end, i) => (
        <G key={`end ${i}`}>
          {stroke(`M${x(end.timeS) - 6} ${y(end.rangeM)}h12M${x(end.timeS)} ${y(end.rangeM) - 6}v12`, 2)}
          {words(x(end.timeS) + 10, y(end.rangeM) - 6, i === 0 ? 'A' : 'B', 14, 'start')}
        </G>
      ))}
      {ruler.length === 2 &&
        stroke(
          `M${x(ruler[0]!.timeS)} ${y(ruler[0]!.rangeM)}L${x(ruler[1]!.timeS)} ${y(ruler[1]!.rangeM)}`,
          1.5,
          '6 4',
        )}
    </Svg>
  );
}
