import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { G, Path, Text as SvgText } from 'react-native-svg';
import type { PixelImage, Point } from '@/core/screenPicture';
import { FONT, PictureTouch, PixelPicture, useTones } from '@/ui';
import { useUnits } from '../units';
import { cornersOf, type Calibrating } from './calibrating';

interface Props {
  image: PixelImage;
  calibrating: Calibrating;
  /** What a tap means now, for who cannot see it. */
  asks: string;
  onTap: (at: Point) => void;
}

const CROSS_PX = 9;

/** The picture of a screen with what has been told of it: its corners, depths and the ends of its legend. */
export function CalibrationPicture({ image, calibrating, asks, onTap }: Props) {
  const tones = useTones();
  const { show } = useUnits();
  const [room, setRoom] = useState({ width: 0, height: 0 });
  const [pointed, setPointed] = useState<Point | null>(null);
  const pixels = useMemo(() => new Uint32Array(image.data.buffer as ArrayBuffer), [image]);
  const scale = Math.min(room.width / image.width, room.height / image.height);
  const size = { width: Math.floor(image.width * scale), height: Math.floor(image.height * scale) };
  const { corners, depthAt, depthM, legend } = calibrating;
  const x = (p: Point): number => p.x * size.width;
  const y = (p: Point): number => p.y * size.height;
  const panel = cornersOf(calibrating);
  const cross = (p: Point, label: string) => (
    <G key={`${label} ${p.x} ${p.y}`}>
      {[4, 1.8].map((width) => (
        <Path
          key={width}
          d={`M${x(p) - CROSS_PX} ${y(p)}h${2 * CROSS_PX}M${x(p)} ${y(p) - CROSS_PX}v${2 * CROSS_PX}`}
          stroke={width > 2 ? tones.ground : tones.buoy}
          strokeWidth={width}
        />
      ))}
      {[true, false].map((halo) => (
        <SvgText
          key={String(halo)}
          x={Math.min(size.width - 50, x(p) + 8)}
          y={Math.max(16, y(p) - 6)}
          fontSize={14}
          fontFamily={FONT.bold}
          fill={halo ? 'none' : tones.buoy}
          stroke={halo ? tones.ground : 'none'}
          strokeWidth={4}
        >
          {label}
        </SvgText>
      ))}
    </G>
  );
  return (
    <View
      style={styles.room}
      onLayout={({ nativeEvent: { layout } }) => setRoom({ width: layout.width, height: layout.height })}
    >
      {size.width > 0 && (
        <View style={size}>
          <PixelPicture
            width={image.width}
            height={image.height}
            pixels={pixels}
            label="Your picture"
            shownWidth={size.width}
            shownHeight={size.height}
            testID="own-picture"
          />
          <View style={[StyleSheet.absoluteFill, { pointerEvents: 'none' }]}>
            <Svg width={size.width} height={size.height} aria-hidden>
              {calibrating.others.map((other, k) => (
                <Path
                  key={k}
                  d={`M${other.corners.map((p) => `${x(p)} ${y(p)}`).join('L')}Z`}
                  fill="none"
                  stroke={tones.ink}
                  strokeWidth={1.5}
                />
              ))}
              {panel && (
                <Path
                  d={`M${panel.map((p) => `${x(p)} ${y(p)}`).join('L')}Z`}
                  fill="none"
                  stroke={tones.buoy}
                  strokeWidth={2}
                  strokeDasharray="6 4"
                />
              )}
              {!panel && corners.map((p, i) => cross(p, `${i + 1}`))}
              {depthAt.map((p, i) =>
                cross(p, calibrating.step !== 'rest' ? `${i + 1}` : show('depth', depthM[i]!)),
              )}
              {legend.map((p, i) => cross(p, i === 0 ? 'weak' : 'strong'))}
              {pointed && (
                <Path
                  d={`M${x(pointed)} 0V${size.height}M0 ${y(pointed)}H${size.width}`}
                  stroke={tones.buoy}
                  strokeWidth={1}
                />
              )}
            </Svg>
          </View>
          <PictureTouch
            label={`Your picture. ${asks} Arrow keys point, Enter takes the place.`}
            testID="own-picture-touch"
            onPoint={setPointed}
            onTap={onTap}
            onDrag={() => undefined}
            onZoom={() => undefined}
          />
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  room: { flex: 1, minHeight: 220, alignItems: 'center', overflow: 'hidden' },
});
