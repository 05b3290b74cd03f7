import { useCallback, useMemo } from 'react';
import Svg, { Rect } from 'react-native-svg';
import type { MarkPlace, Picture, Settings } from '@/core/picture';
import { depthScale, EchoCanvas, useTones } from '@/ui';
import { useUnits } from '../units';

interface Props {
  picture: Picture;
  settings: Pick<Settings, 'palette'>;
  rings: readonly MarkPlace[];
  label: string;
  testID?: string;
}

/** Room between a mark and its box, cells. */
const ROOM = [4, 6] as const;

/** A round's picture at the unit's own cells, with thin boxes about what is asked. */
export function RoundPicture({ picture, settings, rings, label, testID = 'round-picture' }: Props) {
  const tones = useTones();
  const { system, show } = useUnits();
  const { rows, columns, rowM, topM } = picture;
  const scale = useMemo(
    () => depthScale({ topM: topM[columns - 1]!, spanM: rows * rowM, overBed: false }, system),
    [rows, columns, rowM, topM, system],
  );
  const depthWords = useCallback((depthM: number) => show('depth', depthM), [show]);
  return (
    <EchoCanvas
      picture={picture}
      palette={settings.palette}
      scale={scale}
      depthWords={depthWords}
      label={label}
      testID={testID}
      magnifier={false}
      overlay={({ width, height }) => (
        <Svg width={width} height={height} style={{ pointerEvents: 'none' }}>
          {rings.flatMap(({ column, row, halfColumns, halfRows }, k) => {
            const x = ((column - halfColumns - ROOM[0]) / columns) * width;
            const y = ((row - halfRows - ROOM[1]) / rows) * height;
            const box = {
              x,
              y,
              width: ((2 * halfColumns + 1 + 2 * ROOM[0]) / columns) * width,
              height: ((2 * halfRows + 1 + 2 * ROOM[1]) / rows) * height,
              fill: 'none',
              rx: 3,
            };
            // A light line under the dark one is seen on any palette.
            return [
              <Rect key={`${k}-under`} {...box} stroke={tones.page} strokeWidth={5} opacity={0.8} />,
              <Rect key={k} {...box} stroke={tones.buoy} strokeWidth={2} />,
            ];
          })}
        </Svg>
      )}
    />
  );
}
