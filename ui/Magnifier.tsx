import { createElement, useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { Picture } from '@/core/picture';
import { Icon } from './Icon';
import { Text } from './Text';
import { TOUCH_PX, useTones } from './theme';

/** How much larger the glass shows the picture; 1 is no glass. */
const POWERS = [1, 2, 4] as const;
type Power = (typeof POWERS)[number];

const GLASS_PX = 150;
/** How far over the finger the glass hangs, so that the finger does not hide what it shows. */
const OVER_FINGER_PX = 26;
/** How far an arrow key moves the glass, px; with Shift further. */
const KEY_PX = 4;
const SHIFT_KEY_PX = 24;

interface Props {
  picture: Picture;
  /** The picture on the screen, px. */
  size: { width: number; height: number };
  /** The drawn picture. */
  source: () => HTMLCanvasElement | null;
  /** A depth in the user's units. */
  depthWords: (depthM: number) => string;
}

/** A glass over the picture that follows the finger, the mouse or the arrow keys; what is set stays as it is. */
export function Magnifier({ picture, size, source, depthWords }: Props) {
  const tones = useTones();
  const [power, setPower] = useState<Power>(1);
  const [at, setAt] = useState<{ x: number; y: number } | null>(null);
  const glass = useRef<HTMLCanvasElement>(null);
  const next = POWERS[(POWERS.indexOf(power) + 1) % POWERS.length]!;

  useEffect(() => {
    const from = source();
    const context = glass.current?.getContext('2d');
    if (!at || !from || !context) return;
    const across = (GLASS_PX / power) * (from.width / size.width);
    const down = (GLASS_PX / power) * (from.height / size.height);
    context.imageSmoothingEnabled = false;
    context.fillStyle = tones.page;
    context.fillRect(0, 0, GLASS_PX, GLASS_PX);
    context.drawImage(
      from,
      (at.x / size.width) * from.width - across / 2,
      (at.y / size.height) * from.height - down / 2,
      across,
      down,
      0,
      0,
      GLASS_PX,
      GLASS_PX,
    );
  }, [at, power, picture, size.width, size.height, source, tones.page]);

  const put = (x: number, y: number): void =>
    setAt({ x: Math.min(size.width, Math.max(0, x)), y: Math.min(size.height, Math.max(0, y)) });
  const follow = (event: PointerEvent<HTMLDivElement>): void => {
    const box = event.currentTarget.getBoundingClientRect();
    put(event.clientX - box.left, event.clientY - box.top);
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    const step = event.shiftKey ? SHIFT_KEY_PX : KEY_PX;
    const move = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!move) return;
    event.preventDefault();
    const { x, y } = at ?? { x: size.width / 2, y: size.height / 2 };
    put(x + move[0]! * step, y + move[1]! * step);
  };
  const turn = (): void => {
    setPower(next);
    setAt(next === 1 ? null : (at ?? { x: size.width / 2, y: size.height / 2 }));
  };
  const column = at ? Math.min(picture.columns - 1, Math.floor((at.x / size.width) * picture.columns)) : 0;
  const depthM = at ? picture.topM[column]! + (at.y / size.height) * picture.rows * picture.rowM : 0;
  // Over the finger; beside the top edge there is room below it only.
  const left = at ? Math.min(size.width - GLASS_PX, Math.max(0, at.x - GLASS_PX / 2)) : 0;
  const over = at ? at.y - OVER_FINGER_PX - GLASS_PX : 0;
  const top = over >= 0 ? over : Math.min(size.height - GLASS_PX, (at?.y ?? 0) + OVER_FINGER_PX);
  return (
    <>
      {power > 1 &&
        createElement('div', {
          role: 'application',
          tabIndex: 0,
          'aria-label': `Magnifier. Move it with the arrow keys. At ${Number.isNaN(depthM) ? 'no depth' : depthWords(depthM)}`,
          'data-testid': 'magnifier',
          onPointerDown: follow,
          onPointerMove: (event: PointerEvent<HTMLDivElement>) => {
            if (event.pointerType === 'mouse' || event.buttons > 0) follow(event);
          },
          onKeyDown,
          style: { position: 'absolute', inset: 0, touchAction: 'none', cursor: 'crosshair' },
        })}
      {power > 1 && at && (
        <View
          style={[
            styles.glass,
            { left, top, borderColor: tones.buoy, backgroundColor: tones.page, pointerEvents: 'none' },
          ]}
        >
          {createElement('canvas', {
            ref: glass,
            width: GLASS_PX,
            height: GLASS_PX,
            'aria-hidden': true,
            'data-testid': 'magnified',
            style: { display: 'block', width: GLASS_PX, height: GLASS_PX, imageRendering: 'pixelated' },
          })}
          <View style={[styles.depth, { backgroundColor: tones.page }]}>
            <Text kind="small">{Number.isNaN(depthM) ? '' : depthWords(depthM)}</Text>
          </View>
        </View>
      )}
      <Pressable
        role="button"
        aria-label={next === 1 ? 'Put the magnifier away' : `Magnify ${next} times`}
        onPress={turn}
        style={[styles.turn, { backgroundColor: tones.page, borderColor: tones.faint }]}
        testID="magnify"
      >
        {power === 1 ? (
          <Icon name="magnify-plus-outline" colour={tones.ink} />
        ) : (
          <Text bold style={{ color: tones.ink }}>{`×${power}`}</Text>
        )}
      </Pressable>
    </>
  );
}

const styles = StyleSheet.create({
  glass: { position: 'absolute', borderWidth: 2, overflow: 'hidden' },
  turn: {
    position: 'absolute',
    left: 4,
    bottom: 4,
    width: TOUCH_PX,
    height: TOUCH_PX,
    borderWidth: 1,
    borderRadius: 4,
    alignItems: 'center',
    justifyContent: 'center',
  },
  depth: { position: 'absolute', left: 0, bottom: 0, paddingHorizontal: 4 },
});
