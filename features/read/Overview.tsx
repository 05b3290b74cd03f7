import { createElement, useMemo, useState, type ChangeEvent } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Path, Rect } from 'react-native-svg';
import { useStore } from 'zustand';
import type { Picture } from '@/core/picture';
import type { PassReading } from '@/stores';
import { PixelPicture, useTones } from '@/ui';
import { clock } from '../units';
import { wantedPart } from './passWindow';
import { lookAt, readStore } from './readStore';

export const OVERVIEW_PX = 52;
/** Marks are told by ticks along its top, px. */
const TICK_PX = 9;

interface Props {
  /** The whole pass as a picture. */
  whole: Picture | null;
  durationS: number;
  reading: PassReading | null;
  /** Share of the pass that was read, 0…1. */
  readShare: number;
}

/** A long pass in a strip: where marks are, what was read, and which part is shown; drawn along, it moves that part. */
export function Overview({ whole, durationS, reading, readShare }: Props) {
  const tones = useTones();
  const [width, setWidth] = useState(0);
  const [focused, setFocused] = useState(false);
  const hidden = useStore(readStore, (s) => s.hidden);
  const closeUp = useStore(readStore, (s) => s.closeUp);
  const x = (timeS: number): number => (timeS / durationS) * width;
  const ticks = useMemo(() => {
    const at = new Set<number>();
    for (const f of reading?.reading.findings ?? [])
      if (!hidden.includes(f.kind)) at.add(Math.round((f.timeS / durationS) * width));
    return [...at].map((px) => `M${px} 0v${TICK_PX}`).join('');
  }, [reading, hidden, durationS, width]);
  const { fromS, toS } = wantedPart(closeUp, durationS);
  // A key moves it by half of what is shown.
  const stepS = (toS - fromS) / 2;
  return (
    <View
      style={[styles.strip, { borderColor: focused ? tones.buoy : tones.rule }]}
      onLayout={({ nativeEvent: { layout } }) => setWidth(layout.width)}
      testID="overview"
    >
      {whole && width > 0 && (
        <PixelPicture
          width={whole.columns}
          height={whole.rows}
          pixels={whole.pixels}
          label="The whole pass"
          shownWidth={width}
          shownHeight={OVERVIEW_PX}
        />
      )}
      <Svg width={width} height={OVERVIEW_PX} style={StyleSheet.absoluteFill} aria-hidden>
        {readShare < 1 && (
          <Rect
            x={x(readShare * durationS)}
            width={Math.max(0, width - x(readShare * durationS))}
            height={OVERVIEW_PX}
            fill={tones.page}
            opacity={0.6}
          />
        )}
        <Path d={ticks} stroke={tones.ground} strokeWidth={3} />
        <Path d={ticks} stroke={tones.buoy} strokeWidth={1.5} />
        {(
          [
            [tones.ground, 5],
            [tones.buoy, 2.5],
          ] as const
        ).map(([stroke, strokeWidth]) => (
          <Rect
            key={strokeWidth}
            x={x(fromS) + 1}
            y={1}
            width={Math.max(6, x(toS) - x(fromS) - 2)}
            height={OVERVIEW_PX - 2}
            fill="none"
            stroke={stroke}
            strokeWidth={strokeWidth}
          />
        ))}
      </Svg>
      {createElement('input', {
        type: 'range',
        min: 0,
        max: Math.ceil(durationS / stepS),
        step: 1,
        value: Math.round((fromS + toS) / 2 / stepS),
        'aria-label': 'Part of the pass that is shown',
        'aria-valuetext': `${clock(fromS)} to ${clock(toS)} of ${clock(durationS)}`,
        'data-testid': 'overview-place',
        onFocus: () => setFocused(true),
        onBlur: () => setFocused(false),
        onChange: (event: ChangeEvent<HTMLInputElement>) =>
          lookAt({ timeS: stepS * Number(event.target.value) }),
        style: {
          position: 'absolute',
          inset: 0,
          width: '100%',
          height: OVERVIEW_PX,
          margin: 0,
          opacity: 0,
          cursor: 'pointer',
        },
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  strip: { height: OVERVIEW_PX + 4, borderWidth: 2, borderRadius: 4, overflow: 'hidden' },
});
