import { createElement, useCallback, useEffect, useRef, useState, type ReactNode } from 'react';
import { PixelRatio, StyleSheet, View } from 'react-native';
import { paletteColours, type PaletteName, type Picture } from '@/core/picture';
import { Magnifier } from './Magnifier';
import { pixelFit } from './pixelFit';
import { paint } from './PixelPicture';
import { Text } from './Text';
import { useTones } from './theme';

/** A line of the depth scale: where, from 0 at the top to 1 at the foot, and what it says. */
export interface ScaleMark {
  at: number;
  label: string;
}

interface Props {
  picture: Picture | null;
  palette: PaletteName;
  scale: readonly ScaleMark[];
  /** What is to be seen, for who cannot see it. */
  label: string;
  /** How far the picture is moved to the right, in shares of its width; drawn anew it stands at 0 again. */
  shift?: number;
  /** Drawn over the picture, in its own pixels of layout. */
  overlay?: (size: { width: number; height: number }) => ReactNode;
  /** Drawn under the picture, as wide as it: its height, px. */
  foot?: { heightPx: number; draw: (width: number) => ReactNode };
  /** A depth in the user's units. */
  depthWords: (depthM: number) => string;
  /** Told after a picture stands on the screen. */
  onPainted?: (picture: Picture) => void;
  testID?: string;
  /** Whether a glass can be laid over it. */
  magnifier?: boolean;
}

const SCALE_PX = 52;
const LIVE_PX = 12;

/** Bars of the newest ping, one a row, longer and in the colour of a stronger echo. */
function paintLive(canvas: HTMLCanvasElement, picture: Picture, palette: PaletteName): void {
  const { ground, steps } = paletteColours(palette);
  const pixels = new Uint32Array(LIVE_PX * picture.rows);
  const pack = ([r, g, b]: readonly [number, number, number]): number =>
    ((255 << 24) | (b << 16) | (g << 8) | r) >>> 0;
  const empty = pack(ground);
  for (let row = 0; row < picture.rows; row++) {
    const strength = picture.liveColumn[row]!;
    const length = Math.ceil((strength / steps.length) * LIVE_PX);
    const colour = strength > 0 ? pack(steps[strength - 1]!) : empty;
    for (let x = 0; x < LIVE_PX; x++) pixels[row * LIVE_PX + x] = LIVE_PX - x <= length ? colour : empty;
  }
  paint(canvas, LIVE_PX, picture.rows, pixels);
}

/** The echo picture at the unit's own rows and columns, with its live column and depth scale. */
export function EchoCanvas({
  picture,
  palette,
  scale,
  label,
  shift = 0,
  overlay,
  foot,
  depthWords,
  onPainted,
  testID = 'echo-picture',
  magnifier = true,
}: Props) {
  const tones = useTones();
  const canvas = useRef<HTMLCanvasElement>(null);
  const live = useRef<HTMLCanvasElement>(null);
  const source = useCallback(() => canvas.current, []);
  const [room, setRoom] = useState({ width: 0, height: 0 });

  useEffect(() => {
    if (!picture || !canvas.current || !live.current) return;
    paint(canvas.current, picture.columns, picture.rows, picture.pixels);
    paintLive(live.current, picture, palette);
    onPainted?.(picture);
  }, [picture, palette, onPainted, room]);

  const size = picture
    ? pixelFit(
        picture,
        {
          width: Math.max(0, room.width - SCALE_PX - LIVE_PX),
          height: Math.max(0, room.height - (foot?.heightPx ?? 0)),
        },
        PixelRatio.get(),
      )
    : { width: 0, height: 0, even: true };
  // Pixels that are not whole device pixels are blended: dropped or doubled ones would hide a mark of one column.
  const pixelated = {
    imageRendering: size.even ? ('pixelated' as const) : ('auto' as const),
    display: 'block',
  };
  return (
    <View
      style={styles.room}
      onLayout={({ nativeEvent: { layout } }) => setRoom({ width: layout.width, height: layout.height })}
    >
      {picture && size.width > 0 && (
        <View style={styles.row}>
          <View style={{ width: size.width, height: size.height, overflow: 'hidden' }}>
            {createElement('canvas', {
              ref: canvas,
              role: 'img',
              'aria-label': label,
              'data-testid': testID,
              style: {
                ...pixelated,
                width: size.width,
                height: size.height,
                ...(shift !== 0 ? { transform: `translateX(${100 * shift}%)` } : {}),
              },
            })}
            {overlay && <View style={StyleSheet.absoluteFill}>{overlay(size)}</View>}
            {magnifier && <Magnifier picture={picture} size={size} source={source} depthWords={depthWords} />}
          </View>
          {createElement('canvas', {
            ref: live,
            'aria-hidden': true,
            style: { ...pixelated, width: LIVE_PX, height: size.height },
          })}
          <View style={{ width: SCALE_PX, height: size.height }} aria-hidden>
            {scale.map((mark) => (
              <View
                key={mark.label}
                style={[
                  styles.tick,
                  { top: Math.max(0, Math.min(size.height - 20, mark.at * size.height - 10)) },
                ]}
              >
                <View style={[styles.dash, { backgroundColor: tones.faint }]} />
                <Text kind="small" style={styles.figure}>
                  {mark.label}
                </Text>
              </View>
            ))}
          </View>
        </View>
      )}
      {foot && picture && size.width > 0 && (
        <View style={{ width: size.width, height: foot.heightPx }}>{foot.draw(size.width)}</View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  room: { flex: 1, overflow: 'hidden', minHeight: 120 },
  row: { flexDirection: 'row' },
  tick: { position: 'absolute', left: 0, flexDirection: 'row', alignItems: 'center', gap: 3, height: 20 },
  dash: { width: 6, height: 1 },
  figure: { fontVariant: ['tabular-nums'], fontSize: 14, lineHeight: 18 },
});
