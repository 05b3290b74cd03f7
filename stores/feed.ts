import { createStore } from 'zustand/vanilla';
import { NO_FEED, withReadings, type BoatFeed, type BoatReading } from '@/core/feed';
import type { Fix } from '@/core/marks';

/** Where the boat's data come from. */
export type FeedSource = 'off' | 'simulated' | 'device' | 'gateway';

interface FeedState {
  source: FeedSource;
  feed: BoatFeed;
  /** Now, s of the device's clock, moved once a second while a feed is on. */
  nowS: number;
  /** Where the antenna was in the last minutes, oldest first. */
  fixes: readonly Fix[];
  /** What is wrong, in a sentence. */
  problem: string | null;
  /** Lines that could not be used since it was turned on. */
  badLines: number;
}

const FIXES_KEPT = 600;
/** Slower than this the way a receiver moves is its error, m/s. */
const SLOWEST_COURSE_MPS = 0.4;

export const feedStore = createStore<FeedState>(() => ({
  source: 'off',
  feed: NO_FEED,
  nowS: Date.now() / 1000,
  fixes: [],
  problem: null,
  badLines: 0,
}));

/** Takes up what the boat said at a moment. */
export function hearBoat(readings: readonly BoatReading[], nowS: number): void {
  if (readings.length === 0) return;
  feedStore.setState(({ feed: before, fixes }) => {
    const feed = withReadings(before, readings, nowS);
    const { latitudeDeg, longitudeDeg, headingRad, courseRad, speedMps } = feed.values;
    const placed = latitudeDeg?.atS === nowS && longitudeDeg !== undefined;
    if (!placed) return { feed, nowS };
    const fresh = (value: typeof headingRad): boolean => value !== undefined && nowS - value.atS < 5;
    // Of a boat that hardly moves the course over ground points anywhere.
    const moves = (speedMps?.value ?? Infinity) >= SLOWEST_COURSE_MPS;
    const heading = fresh(headingRad) ? headingRad : fresh(courseRad) && moves ? courseRad : undefined;
    const fix: Fix = {
      atS: nowS,
      place: { latitudeDeg: latitudeDeg.value, longitudeDeg: longitudeDeg.value },
      headingRad: heading?.value ?? fixes[fixes.length - 1]?.headingRad ?? 0,
    };
    return { feed, nowS, fixes: [...fixes.slice(1 - FIXES_KEPT), fix] };
  });
}

let stop: (() => void) | null = null;

const secondsNow = (): number => Date.now() / 1000;
const say = (problem: string | null): void => feedStore.setState({ problem });

/** The simulated boat, through the same sentences a real one sends. */
async function startSimulated(): Promise<() => void> {
  const [{ simulatedBoat }, { boatSentences, readNmea }] = await Promise.all([
    import('./simulated'),
    import('@/core/formats/nmea0183'),
  ]);
  let second = 0;
  const tick = (): void => {
    const lines = boatSentences(simulatedBoat(second++), '060000', '020926');
    const readings = lines.flatMap((line) => {
      const read = readNmea(line);
      return read.kind === 'said' ? read.readings : [];
    });
    hearBoat(readings, secondsNow());
  };
  tick();
  const id = setInterval(tick, 1000);
  return () => clearInterval(id);
}

const DEGREES = Math.PI / 180;

/** The device's own position sensor. */
async function startDevice(): Promise<() => void> {
  if (!('geolocation' in navigator) || !window.isSecureContext) {
    say('Your position is off here: the page is not secure. Open it over https or on this device.');
    return () => undefined;
  }
  const id = navigator.geolocation.watchPosition(
    ({ coords }) => {
      say(null);
      const readings: BoatReading[] = [
        { quantity: 'latitudeDeg', value: coords.latitude, from: 'device' },
        { quantity: 'longitudeDeg', value: coords.longitude, from: 'device' },
        { quantity: 'accuracyM', value: coords.accuracy, from: 'device' },
      ];
      if (coords.speed !== null) readings.push({ quantity: 'speedMps', value: coords.speed, from: 'device' });
      if (coords.heading !== null && Number.isFinite(coords.heading))
        readings.push({ quantity: 'courseRad', value: coords.heading * DEGREES, from: 'device' });
      hearBoat(readings, secondsNow());
    },
    ({ code }) =>
      say(
        code === 1
          ? 'Your browser may not use your position. Allow it in the browser’s settings, then try again.'
          : 'Your position cannot be found. Try again under open sky.',
      ),
    { enableHighAccuracy: true, maximumAge: 1000 },
  );
  return () => navigator.geolocation.clearWatch(id);
}

/** Most lines read at once, and between two looks: a flood is thinned, and the page stays quick. */
const MOST_LINES = 200;
const LOOK_MS = 200;
const AGAIN_MS = 3000;

/** The boat's network, by way of the server this page came from. */
async function startGateway(): Promise<() => void> {
  const { readNmea } = await import('@/core/formats/nmea0183');
  let socket: WebSocket | null = null;
  let ended = false;
  let waiting: string[] = [];
  let again: ReturnType<typeof setTimeout> | null = null;
  const look = setInterval(() => {
    const lines = waiting;
    waiting = [];
    const readings: BoatReading[] = [];
    let bad = 0;
    for (const line of lines) {
      const read = readNmea(line);
      if (read.kind === 'said') readings.push(...read.readings);
      else if (read.kind !== 'unused') bad++;
    }
    if (bad > 0) feedStore.setState(({ badLines }) => ({ badLines: badLines + bad }));
    hearBoat(readings, secondsNow());
  }, LOOK_MS);
  const connect = (): void => {
    const scheme = window.location.protocol === 'https:' ? 'wss' : 'ws';
    socket = new WebSocket(`${scheme}://${window.location.host}/feed`);
    socket.onopen = () => say(null);
    socket.onmessage = ({ data }) => {
      if (typeof data !== 'string') return;
      // The newest of a flood are worth most.
      waiting = [...waiting, ...data.split('\n').slice(-MOST_LINES)].slice(-MOST_LINES);
    };
    socket.onclose = () => {
      if (ended) return;
      say('The boat’s network does not answer. Trying again.');
      again = setTimeout(connect, AGAIN_MS);
    };
  };
  connect();
  return () => {
    ended = true;
    clearInterval(look);
    if (again !== null) clearTimeout(again);
    socket?.close();
  };
}

const STARTS = { simulated: startSimulated, device: startDevice, gateway: startGateway } as const;
let asked = 0;

/** Turns to another source; what the last one said is let go. */
export async function takeFeed(source: FeedSource): Promise<void> {
  const mine = ++asked;
  stop?.();
  stop = null;
  feedStore.setState({ source, feed: NO_FEED, fixes: [], problem: null, badLines: 0, nowS: secondsNow() });
  if (source === 'off') return;
  const clock = setInterval(() => feedStore.setState({ nowS: secondsNow() }), 1000);
  let end: () => void;
  try {
    end = await STARTS[source]();
  } catch {
    say('This source could not be started. Load the page again.');
    end = () => undefined;
  }
  const all = (): void => {
    clearInterval(clock);
    end();
  };
  if (mine === asked) stop = all;
  else all();
}
