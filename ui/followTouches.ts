/** A place on a picture, as shares of its width and height. */
export interface PicturePoint {
  x: number;
  y: number;
}

/** What is told of fingers, mouse and keys on a picture. */
export interface PictureTouches {
  /** Where the finger, mouse or key cursor is; null once it has left. */
  onPoint: (at: PicturePoint | null) => void;
  /** Tapped or clicked without moving. */
  onTap: (at: PicturePoint) => void;
  /** Dragged by a share of the width since the drag began, and of the height. */
  onDrag: (share: number, begun: boolean, shareDown: number) => void;
  /** Zoom in (1) or out (−1) about a place. */
  onZoom: (way: 1 | -1, at: PicturePoint) => void;
}

/** A move less than this is a tap, px. */
const TAP_PX = 6;
/** Two fingers that part by this factor zoom a step. */
const PINCH = 1.35;
/** Wheel travel of a zoom step, px. */
const WHEEL_PX = 80;
/** How far an arrow key moves the cursor, as a share of the picture; with Shift further. */
const KEY_SHARE = 0.01;
const SHIFT_KEY_SHARE = 0.1;

const share = (v: number): number => Math.min(1, Math.max(0, v));

const ARROWS: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Listens on a node until the returned function is called. @param told whom to tell, asked anew each time */
export function followTouches(node: HTMLElement, told: () => PictureTouches): () => void {
  const fingers = new Map<number, { x: number; y: number }>();
  let drag: { x: number; y: number; moved: boolean } | null = null;
  let pinchPx: number | null = null;
  let wheelPx = 0;
  let key: PicturePoint = { x: 0.9, y: 0.5 };

  const placeAt = (clientX: number, clientY: number): PicturePoint => {
    const box = node.getBoundingClientRect();
    return { x: share((clientX - box.left) / box.width), y: share((clientY - box.top) / box.height) };
  };
  const twoFingers = (): { apart: number; x: number; y: number } | null => {
    const [a, b] = [...fingers.values()];
    return a && b
      ? { apart: Math.hypot(a.x - b.x, a.y - b.y), x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }
      : null;
  };

  const down = (event: PointerEvent): void => {
    fingers.set(event.pointerId, { x: event.clientX, y: event.clientY });
    drag = fingers.size === 1 ? { x: event.clientX, y: event.clientY, moved: false } : null;
    pinchPx = twoFingers()?.apart ?? null;
    node.setPointerCapture(event.pointerId);
  };
  const move = (event: PointerEvent): void => {
    if (fingers.has(event.pointerId)) fingers.set(event.pointerId, { x: event.clientX, y: event.clientY });
    const two = twoFingers();
    if (two && pinchPx !== null) {
      const ratio = two.apart / Math.max(1, pinchPx);
      if (ratio < PINCH && ratio > 1 / PINCH) return;
      told().onZoom(ratio > 1 ? 1 : -1, placeAt(two.x, two.y));
      pinchPx = two.apart;
    } else if (drag && (drag.moved || Math.hypot(event.clientX - drag.x, event.clientY - drag.y) > TAP_PX)) {
      const box = node.getBoundingClientRect();
      told().onDrag((event.clientX - drag.x) / box.width, !drag.moved, (event.clientY - drag.y) / box.height);
      drag.moved = true;
    } else if (event.pointerType === 'mouse') told().onPoint(placeAt(event.clientX, event.clientY));
  };
  const up = (event: PointerEvent): void => {
    fingers.delete(event.pointerId);
    pinchPx = null;
    if (drag && !drag.moved && event.type === 'pointerup') {
      key = placeAt(event.clientX, event.clientY);
      told().onPoint(key);
      told().onTap(key);
    }
    if (fingers.size === 0) drag = null;
  };
  const leave = (event: PointerEvent): void => {
    if (event.pointerType === 'mouse' && fingers.size === 0) told().onPoint(null);
  };
  const wheel = (event: WheelEvent): void => {
    // The page would scroll as well.
    event.preventDefault();
    wheelPx += event.deltaY;
    if (Math.abs(wheelPx) < WHEEL_PX) return;
    told().onZoom(wheelPx < 0 ? 1 : -1, placeAt(event.clientX, event.clientY));
    wheelPx = 0;
  };
  const press = (event: KeyboardEvent): void => {
    const arrow = ARROWS[event.key];
    if (arrow) {
      const step = event.shiftKey ? SHIFT_KEY_SHARE : KEY_SHARE;
      key = { x: share(key.x + step * arrow[0]), y: share(key.y + step * arrow[1]) };
      told().onPoint(key);
    } else if (event.key === '+' || event.key === '=') told().onZoom(1, key);
    else if (event.key === '-') told().onZoom(-1, key);
    else if (event.key === 'Enter') told().onTap(key);
    else if (event.key === 'Escape') told().onPoint(null);
    else return;
    event.preventDefault();
  };

  const stop = new AbortController();
  const { signal } = stop;
  node.addEventListener('pointerdown', down, { signal });
  node.addEventListener('pointermove', move, { signal });
  node.addEventListener('pointerup', up, { signal });
  node.addEventListener('pointercancel', up, { signal });
  node.addEventListener('pointerleave', leave, { signal });
  node.addEventListener('keydown', press, { signal });
  // React listens to the wheel passively.
  node.addEventListener('wheel', wheel, { signal, passive: false });
  return () => stop.abort();
}
