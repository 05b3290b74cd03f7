/** Pitch, Hz, and length, s, of the alarm, and how many of it. */
const PITCH_HZ = 880;
const LENGTH_S = 0.18;
const TIMES = 3;
const LOUDNESS = 0.4;

let context: AudioContext | null = null;

/** Sounds the alarm; where the browser lets no sound out before a first touch, it stays silent and the words stand alone. */
export function beep(): void {
  if (typeof AudioContext === 'undefined') return;
  context ??= new AudioContext();
  void context.resume();
  for (let k = 0; k < TIMES; k++) {
    const from = context.currentTime + 2 * LENGTH_S * k;
    const tone = context.createOscillator();
    const loudness = context.createGain();
    loudness.gain.value = LOUDNESS;
    tone.frequency.value = PITCH_HZ;
    tone.connect(loudness).connect(context.destination);
    tone.start(from);
    tone.stop(from + LENGTH_S);
  }
}
