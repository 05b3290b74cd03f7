import { StyleSheet, View } from 'react-native';
import Svg, { Circle, Ellipse, G, Line, Path, Rect } from 'react-native-svg';
import type { Cutaway, CutawayFish } from '@/core/bench/cutaway';
import { useTones } from '@/ui';

/** Water over the boat and under the bed, as shares of the depth. */
const ABOVE = 0.06;
const BELOW = 0.12;
/** A fish is drawn at least so long, px. */
const LEAST_FISH_PX = 12;
const TOUCH_R = 16;
/** Water about the beam that is shown from above, in its own half widths. */
const ROUND = 1.5;

const line = (xs: ArrayLike<number>, ys: ArrayLike<number>): string =>
  Array.from(xs, (x, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${ys[i]!.toFixed(1)}`).join(' ');

interface Props {
  cutaway: Cutaway;
  width: number;
  height: number;
  /** Range that is asked about, m; null for none. */
  rangeM: number | null;
  onFish?: ((fish: CutawayFish) => void) | undefined;
}

/** The water from the side: boat, beam, bed, and what swims and stands there. */
function Section({ cutaway, width, height, rangeM, onFish }: Props) {
  const tones = useTones();
  const { along, belowM, halfAlongRad, tiltAlongRad, fish, covers, clouds, layersM, gear, touch, made } =
    cutaway;
  const deepest = Math.max(belowM, ...along.depthM) * (1 + BELOW);
  const perM = height / (deepest * (1 + ABOVE));
  const top = deepest * ABOVE * perM;
  const x = (m: number): number => width / 2 + m * perM;
  const y = (m: number): number => top + m * perM;
  const lit = made?.kind === 'fish' ? made.fish.id : null;
  const edge = (side: number): string => {
    const angle = tiltAlongRad + side * halfAlongRad;
    return `${x(deepest * Math.tan(angle)).toFixed(1)} ${y(deepest).toFixed(1)}`;
  };
  const bed = line(along.atM.map(x), along.depthM.map(y));
  const arc = (r: number): string => {
    const from = tiltAlongRad - halfAlongRad;
    const to = tiltAlongRad + halfAlongRad;
    const n = 24;
    const angles = Array.from({ length: n + 1 }, (_, i) => from + ((to - from) * i) / n);
    return line(
      angles.map((a) => x(r * Math.sin(a))),
      angles.map((a) => y(r * Math.cos(a))),
    );
  };
  return (
    <Svg width={width} height={height} accessibilityLabel="The water from the side">
      <Rect x={0} y={y(0)} width={width} height={height} fill={tones.waterWash} />
      {layersM.map((m) => (
        <Line key={m} x1={0} x2={width} y1={y(m)} y2={y(m)} stroke={tones.faint} strokeDasharray="3 5" />
      ))}
      <Path d={`M${x(0)} ${y(0)} L${edge(-1)} L${edge(1)} Z`} fill={tones.page} opacity={0.75} />
      {clouds.map((c, i) => (
        <Ellipse
          key={i}
          cx={x(c.aheadM)}
          cy={y(c.depthM)}
          rx={c.halfAlongM * perM}
          ry={c.halfHeightM * perM}
          fill={tones.faint}
          opacity={made?.kind === 'bait' ? 0.9 : 0.45}
        />
      ))}
      <Path
        d={`${bed} L${x(along.atM[along.atM.length - 1]!)} ${height} L${x(along.atM[0]!)} ${height} Z`}
        fill={tones.rule}
      />
      <Path d={bed} stroke={tones.ink} strokeWidth={2} fill="none" />
      {covers.map((c, i) => (
        <Path
          key={i}
          d={`M${x(c.aheadM - c.radiusM)} ${y(c.footM)} L${x(c.aheadM - 0.5 * c.radiusM)} ${y(c.topM)} L${x(c.aheadM + 0.5 * c.radiusM)} ${y(c.topM)} L${x(c.aheadM + c.radiusM)} ${y(c.footM)} Z`}
          fill="none"
          stroke={made?.kind === 'cover' ? tones.buoy : tones.ink}
          strokeWidth={made?.kind === 'cover' ? 3 : 1.5}
          strokeDasharray="2 3"
        />
      ))}
      {rangeM !== null && <Path d={arc(rangeM)} stroke={tones.buoy} strokeWidth={2} fill="none" />}
      {made?.kind === 'bed' && (
        <Line
          x1={x(0)}
          y1={y(0)}
          x2={x(touch.aheadM)}
          y2={y(Math.sqrt(Math.max(0, touch.rangeM ** 2 - touch.aheadM ** 2 - touch.portM ** 2)))}
          stroke={tones.buoy}
          strokeWidth={2}
        />
      )}
      {gear.map((g, i) => (
        <G key={i}>
          <Line x1={x(0)} y1={y(0)} x2={x(g.aheadM)} y2={y(g.depthM)} stroke={tones.faint} />
          <Circle
            cx={x(g.aheadM)}
            cy={y(g.depthM)}
            r={4}
            fill={made?.kind === 'gear' ? tones.buoy : tones.ink}
          />
        </G>
      ))}
      {fish.map((f) => {
        const long = Math.max(LEAST_FISH_PX, f.lengthM * perM);
        const colour = f.id === lit ? tones.buoy : f.shows ? tones.ink : tones.faint;
        return (
          <G key={f.id} {...(onFish ? { onPress: () => onFish(f) } : {})}>
            {f.id === lit && (
              <Line
                x1={x(0)}
                y1={y(0)}
                x2={x(f.aheadM)}
                y2={y(f.depthM)}
                stroke={tones.buoy}
                strokeWidth={2}
              />
            )}
            <Circle cx={x(f.aheadM)} cy={y(f.depthM)} r={TOUCH_R} fill="transparent" />
            <Ellipse
              cx={x(f.aheadM)}
              cy={y(f.depthM)}
              rx={long / 2}
              ry={Math.max(3, long / 5)}
              fill={f.shows ? colour : 'none'}
              stroke={colour}
              strokeWidth={1.5}
            />
          </G>
        );
      })}
      <Path d={`M${x(0) - 16} ${y(0) - 5} h32 l-5 9 h-22 Z`} fill={tones.ink} />
    </Svg>
  );
}

/** The same from above: the ring of bed the beam covers, and what lies in and beside it. */
function FromAbove({ cutaway, width, height, onFish }: Omit<Props, 'rangeM'>) {
  const tones = useTones();
  const { belowM, halfAlongRad, halfAcrossRad, tiltAlongRad, fish, covers, made } = cutaway;
  // The beam's foot fills most of it, and never more than the depth to either side.
  const reach = Math.min(belowM, Math.max(0.5 * belowM, ROUND * belowM * Math.tan(halfAlongRad)));
  const perM = Math.min(width, height) / (2 * reach);
  // The bow looks right, port is up.
  const x = (m: number): number => width / 2 + m * perM;
  const y = (m: number): number => height / 2 - m * perM;
  const lit = made?.kind === 'fish' ? made.fish.id : null;
  return (
    <Svg width={width} height={height} accessibilityLabel="The water from above">
      <Rect width={width} height={height} fill={tones.waterWash} />
      <Ellipse
        cx={x(belowM * Math.tan(tiltAlongRad))}
        cy={y(0)}
        rx={Math.max(1.5, belowM * Math.tan(halfAlongRad) * perM)}
        ry={Math.max(1.5, belowM * Math.tan(Math.min(halfAcrossRad, 1.4)) * perM)}
        fill={tones.page}
        stroke={tones.ink}
      />
      {covers.map((c, i) => (
        <Circle
          key={i}
          cx={x(c.aheadM)}
          cy={y(c.portM)}
          r={c.radiusM * perM}
          fill="none"
          stroke={tones.ink}
          strokeDasharray="2 3"
        />
      ))}
      {fish.map((f) => (
        <Circle
          key={f.id}
          cx={x(f.aheadM)}
          cy={y(f.portM)}
          r={4}
          fill={f.id === lit ? tones.buoy : f.shows ? tones.ink : 'none'}
          stroke={f.id === lit ? tones.buoy : f.shows ? tones.ink : tones.faint}
          {...(onFish ? { onPress: () => onFish(f) } : {})}
        />
      ))}
      <Path d={`M${x(0) - 8} ${y(0) - 4} h10 l6 4 l-6 4 h-10 Z`} fill={tones.ink} />
    </Svg>
  );
}

const GAP = 6;
/** Share of the room the view from the side takes. */
const SIDE_SHARE = 0.62;

/** The true water about the boat: from the side, and from above beside it. */
export function CutawayDrawing(props: Props) {
  return (
    <View style={styles.row}>
      <Section {...props} width={SIDE_SHARE * props.width - GAP} />
      <FromAbove {...props} width={(1 - SIDE_SHARE) * props.width} />
    </View>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', gap: GAP } });
