import type { Symptom } from '@/core/bench/symptoms/symptom';

/** What is said of a symptom. */
export interface SymptomWords {
  complaint: string;
  /** Other words for it, and what the dials that mend it are called elsewhere. */
  search: string;
  /** Likely causes, likeliest first. */
  causes: readonly string[];
  /** What to try, and what should then be seen. */
  move: string;
  then: string;
}

export const SYMPTOM_WORDS: Record<Symptom, SymptomWords> = {
  specks: {
    complaint: 'Specks everywhere',
    search: 'noise dots clutter snow grain sensitivity gain too high everything full',
    causes: ['The gain is too high.', 'The boat is noisy.', 'The water is full of small life or silt.'],
    move: 'Turn the gain down until only a few specks are left.',
    then: 'Open water clears, and the fish stay.',
  },
  'nothing-drawn': {
    complaint: 'Bites, but nothing drawn',
    search: 'no fish empty blank screen sensitivity gain too low missed invisible',
    causes: [
      'The gain is too low, or the first colour too high.',
      'The fish are not under the boat: the cone is narrow in shallow water.',
      'The fish lie tight on the bed.',
    ],
    move: 'Turn the gain up until a few specks show.',
    then: 'Fish appear between the specks.',
  },
  dashes: {
    complaint: 'Slanting dashes',
    search: 'interference other boat sounder stripes lines diagonal rain rejection crosstalk',
    causes: [
      'Another boat’s sounder is near.',
      'Your own second sounder pings at the same time.',
      'The gain is high.',
    ],
    move: 'Turn the filter for other sounders up, as little as does it.',
    then: 'The dashes go. Marks of one ping go with them.',
  },
  bars: {
    complaint: 'Vertical bars',
    search: 'electrical noise pump charger engine ignition columns stripes interference wiring',
    causes: [
      'Something electrical on board: a pump, a charger, the motor.',
      'The transducer cable runs beside another.',
    ],
    move: 'Switch things off one by one until the bars stop.',
    then: 'Without it the columns are clean. No dial mends this as well.',
  },
  'top-mess': {
    complaint: 'Mess at the top',
    search: 'surface clutter bubbles wash waves wind top noise tvg shallow',
    causes: ['Wind and wash put air in the water.', 'Near echoes are raised too much.', 'The gain is high.'],
    move: 'Raise top water, and let the gain grow with depth.',
    then: 'The top clears. Shallow bait may go with it.',
  },
  'bed-one-colour': {
    complaint: 'The bed is all one colour',
    search: 'bottom hardness solid red black saturated hard soft same gain colour',
    causes: [
      'The gain is too high.',
      'The colour spread is too small.',
      'The bed truly is the same all over.',
    ],
    move: 'Turn the gain down, then widen the colour spread.',
    then: 'The bed shows grades, and hard differs from soft.',
  },
  'second-bed': {
    complaint: 'A second bed, too shallow',
    search: 'false bottom ghost double echo ping rate ping speed scroll phantom line',
    causes: [
      'The next ping leaves before the last has died away.',
      'A layer lies there.',
      'A second echo over hard shallow ground lies deeper, not shallower.',
    ],
    move: 'Lower the ping rate.',
    then: 'The false bed leaves. A real layer stays where it is.',
  },
  'bed-lost': {
    complaint: 'The bed is lost or jumps',
    search: 'bottom depth reading wrong lost jumping blinking digits range auto look no deeper limit',
    causes: [
      'The unit is told to look no deeper than this water.',
      'The gain is too low for the depth.',
      'The boat goes too fast, or air runs under the face.',
    ],
    move: 'Take the limit off: look no deeper, off.',
    then: 'The unit finds the bed again and follows it.',
  },
  'fish-tiny': {
    complaint: 'Fish are drawn tiny',
    search: 'small marks range too deep zoom window scale wasted screen size',
    causes: ['The range is much deeper than the water.', 'The fish are small.', 'The chart is slow.'],
    move: 'Set the range a little under the bed.',
    then: 'Every fish gets more rows.',
  },
  'marks-too-long': {
    complaint: 'Marks are drawn too long',
    search: 'stretched worms long smear chart speed scroll ping too fast',
    causes: [
      'The chart runs too fast for the boat.',
      'The boat hardly moves.',
      'The fish keep with the boat.',
    ],
    move: 'Slow the chart down.',
    then: 'Marks get shorter. None of the fish has changed.',
  },
  'brush-needle': {
    complaint: 'Brush looks like a needle',
    search: 'narrow thin spike cover tree squeezed compressed chart speed scroll too slow',
    causes: ['The chart runs too slow for the boat.', 'The boat goes fast.', 'It is a lone trunk.'],
    move: 'Speed the chart up.',
    then: 'The heap gets its width back.',
  },
  'only-lines': {
    complaint: 'No arches, only lines',
    search: 'flat lines threads no arch arches boat still anchored drifting',
    causes: [
      'The boat stands still: a fish in the beam draws a line as long as it stays.',
      'The cone is narrow here, so the legs are short.',
      'It is your own lure or weight.',
    ],
    move: 'Idle over them.',
    then: 'The same fish draw arches.',
  },
  'half-arches': {
    complaint: 'Half arches, always the same leg missing',
    search: 'half arch tilt transducer mount angle level leg one side',
    causes: ['The transducer is tilted.', 'The trim of the boat has changed.', 'By chance, over a few fish.'],
    move: 'Level the transducer with the boat at its usual trim.',
    then: 'Both legs come back. No dial mends this.',
  },
  'gone-at-speed': {
    complaint: 'Fish gone when speeding up',
    search: 'fast planing plane noise cavitation wash lose bottom running speed',
    causes: [
      'The engine and the water past the face drown faint echoes.',
      'Air runs under the face.',
      'The boat is over each fish for a few pings only.',
    ],
    move: 'Slow down to idle and pass again.',
    then: 'The noise falls, and fish last for many pings.',
  },
  'size-changes': {
    complaint: 'Size changes from minute to minute',
    search: 'auto gain automatic brightness changes bigger smaller varies unstable range auto',
    causes: [
      'Auto turns the gain with the noise of the boat.',
      'Auto changes the range, and all marks with it.',
      'The fish pass at different places in the cone.',
    ],
    move: 'Set the gain by hand, where it stays clean under way.',
    then: 'The same fish keeps its strength.',
  },
  'straight-row': {
    complaint: 'A straight row of fish at one depth',
    search: 'line of fish same depth row downrigger weight towed lure jig own gear',
    causes: ['It is your own weight or lure on its line.', 'It is a thin layer.', 'Fish keep along a layer.'],
    move: 'Take the line in a little and look again.',
    then: 'Your own gear moves with the line. Fish do not.',
  },
  'spikes-at-lure': {
    complaint: 'Spikes around the lure',
    search: 'bubbles jig rip jigging trail rising spikes hook',
    causes: [
      'A hard pull sheds bubbles, and they rise.',
      'Fish rise to the lure.',
      'The lure swings in and out of the beam.',
    ],
    move: 'Hold the lure still for half a minute.',
    then: 'Bubbles rise evenly and thin out. A fish stays or leaves.',
  },
  'lure-late': {
    complaint: 'The lure shows only when deep',
    search: 'jig not seen cannot see lure cone angle rod side transducer bait drop',
    causes: [
      'The rod hangs the lure beside the cone, which is narrow near the face.',
      'The transducer is tilted away from it.',
      'The lure is small or lies flat.',
    ],
    move: 'Drop it closer to the transducer, or choose the wider beam.',
    then: 'It shows from a lesser depth. Boat says from which.',
  },
  'old-wood': {
    complaint: 'Wood that used to show no longer does',
    search: 'brush pile tree cover gone waterlogged faded weak old',
    causes: [
      'Wood loses its air over years, and with it most of its echo.',
      'The mark lies some metres off.',
      'It has sunk into the bed.',
    ],
    move: 'Pass slowly on the narrow beam with more gain, or look with the slice.',
    then: 'Old wood shows faint. Fresh wood beside it shows strong.',
  },
  'marks-late': {
    complaint: 'The picture is right, but marks are late',
    search: 'waypoint off position gps antenna lag behind late offset place',
    causes: [
      'The antenna sits away from the transducer.',
      'A position is a second or two old under way.',
      'In a wide cone the fish may lie aside.',
    ],
    move: 'Tell Boat where antenna and transducer sit, and mark at idle.',
    then: 'Marks lie under the face. What the cone hides stays unknown.',
  },
};

const plain = (words: string): string => words.toLowerCase().replace(/[’']/g, '');

/** Symptoms whose words begin with each of the words typed, best first; all where nothing is typed. */
export function findSymptoms(typed: string, order: readonly Symptom[]): Symptom[] {
  const wanted = plain(typed)
    .split(/\s+/)
    .filter((word) => word.length > 1);
  if (wanted.length === 0) return [...order];
  return order
    .map((symptom) => {
      const { complaint, search, causes, move } = SYMPTOM_WORDS[symptom];
      const near = plain(`${complaint} ${search}`).split(/[\s,.:]+/);
      const far = plain(`${causes.join(' ')} ${move}`).split(/[\s,.:]+/);
      const has = (list: readonly string[], word: string): boolean => list.some((w) => w.startsWith(word));
      const score = wanted.reduce((sum, word) => sum + (has(near, word) ? 2 : has(far, word) ? 1 : 0), 0);
      return { symptom, score };
    })
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score)
    .map(({ symptom }) => symptom);
}
