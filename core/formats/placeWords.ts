/** What the fields of our files are called on a screen; two steps of a path where one alone would not say it. */
const NAMES: Record<string, string> = {
  acrossS: 'the time across the screen',
  alongRad: 'the width fore and aft',
  antenna: 'the place of the antenna',
  athwartRad: 'the width across',
  averaging: 'averaging',
  beam: 'the beam',
  bed: 'the bed',
  bedLockM: 'the window on the bed',
  bladder: 'the swim bladder',
  blend: 'smoothing',
  brief: 'the brief',
  brightnessDb: 'brightness',
  call: 'the call',
  chart: 'the chart speed timings',
  chartSpeed: 'chart speed',
  chartSync: 'chart speed with the boat’s',
  churn: 'churned water',
  clarity: 'the clarity of the water',
  colourSpread: 'colour spread',
  colourSpreadDb: 'colour spread',
  columns: 'the columns of the screen',
  confidence: 'the confidence',
  change: 'what was said',
  corrections: 'the corrections',
  contrast: 'contrast',
  contrastMode: 'contrast',
  direction: 'the way the scale runs',
  efficiency: 'the efficiency',
  excessNoiseDb: 'the boat’s noise',
  faceId: 'the beam',
  faceIds: 'the beams of the unit',
  faces: 'the list of beams',
  fastestPingRate: 'the fastest ping rate',
  fingerprint: 'the fingerprint of the recording',
  firstColour: 'first colour',
  firstColourDb: 'first colour',
  fishToM: 'how deep the fish go',
  frequencyHz: 'the frequency',
  fromM: 'how shallow the fish come',
  gain: 'gain',
  gainDb: 'gain',
  gainMode: 'gain',
  habits: 'your habits',
  hangs: 'the place of the transducer',
  heightM: 'the height',
  highest: 'the highest number of the scale',
  holds: 'the lines you hold',
  id: 'its own number',
  imaging: 'imaging',
  keeps: 'where the kind keeps',
  keptAt: 'the time it was saved',
  into: 'the mark it belongs to',
  is: 'what it is',
  kind: 'the kind',
  label: 'the name',
  latitudeDeg: 'the latitude',
  lengthM: 'the length of the fish',
  'rig.lengthM': 'the length of the boat',
  longitudeDeg: 'the longitude',
  levelLineM: 'the level line',
  lookNoDeeper: 'look no deeper',
  lookNoDeeperM: 'look no deeper',
  pictures: 'the number of pictures',
  otherFaceId: 'the beam of the other picture',
  shallowAlarmM: 'the shallow alarm',
  steering: 'the way of the boat',
  atS: 'the time of a turn',
  way: 'the way of the boat',
  more: 'the water',
  ground: 'the lie of the ground',
  cover: 'the cover',
  coverAgeYears: 'the age of the cover',
  bait: 'the bait',
  planktonDb: 'the small life',
  drifting: 'what drifts',
  electrical: 'the electrical noise',
  upwelling: 'the upwelling',
  looseRad: 'the play of the mount',
  lowest: 'the lowest number of the scale',
  marks: 'the list of marks',
  mount: 'the mount',
  name: 'the name',
  noiseRejection: 'noise rejection',
  note: 'the note',
  otherSounders: 'the filter for other sounders',
  othersNear: 'other sounders near you',
  ownSpecies: 'the kind of your own',
  palette: 'the palette',
  parts: 'the number of fish',
  phase: 'the phase',
  pictureHeightM: 'the height of the picture',
  pingRate: 'the ping rate',
  positions: 'the places on the boat',
  power: 'power',
  powerW: 'the power',
  presentation: 'the way you fish',
  pulse: 'the pulse',
  pulseS: 'the length of the pulse',
  quality: 'the transducer’s ring',
  range: 'range',
  rangeM: 'the depth',
  'settings.rangeM': 'range',
  rig: 'the boat',
  rod: 'the place of the rod',
  rows: 'the rows of the screen',
  salinity: 'the salt in the water',
  saltUnderM: 'the depth of the salt water',
  scales: 'the scales of the unit',
  sceneId: 'the named water',
  screen: 'the screen',
  seed: 'the number of the pass',
  settings: 'the settings',
  shape: 'the shape',
  share: 'the share',
  sharpening: 'sharpening',
  shown: 'the number shown',
  size: 'the size of fish',
  slice: 'the slice',
  source: 'the water of the pass',
  speciesId: 'the kind of fish',
  speedMps: 'the boat’s speed',
  station: 'the screen’s place',
  step: 'the step of the scale',
  stern: 'the stern',
  strengthDb: 'the strength',
  sweepHz: 'the sweep',
  tailOffDb: 'the tail of the pulse',
  tailOffM: 'the tail of the pulse',
  temperatureC: 'the water’s temperature',
  thermoclineM: 'the depth of the layer',
  timeS: 'the time',
  title: 'the title',
  toM: 'the depth of the bed',
  topM: 'the top of the window',
  topWater: 'top water',
  tvg: 'the gain by depth',
  units: 'the list of units',
  unsureCones: 'the cones you are not sure of',
  viewedFromM: 'your distance from the screen',
  was: 'what the reader called it',
  water: 'the water',
  windMps: 'the wind',
  word: 'the word of the scale',
  x: 'the place along the boat',
  y: 'the place across the boat',
  zoom: 'zoom',
  zoomAtM: 'the depth of the zoom',
};

/** What the items of a list are called. */
const ITEMS: Record<string, string> = {
  marks: 'mark',
  corrections: 'correction',
  faces: 'beam',
  units: 'unit',
  chart: 'timing',
  lengthM: 'end',
};

const isIndex = (step: string | undefined): boolean => step !== undefined && /^\d+$/.test(step);

/**
 * What a place in our files is called on a screen, from its path: `marks.2.rangeM` is “the depth of mark 3”. null where no step
 * of the path has a name.
 */
export function placeWords(path: string): string | null {
  const steps = path.split('.').filter((s) => s !== '');
  let at = steps.length - 1;
  while (at >= 0 && !(steps[at]! in NAMES)) at--;
  if (at < 0) return null;
  const name = NAMES[`${steps[at - 1]}.${steps[at]}`] ?? NAMES[steps[at]!]!;
  const own = ITEMS[steps[at]!];
  // A list's item, when nothing within it has a name.
  if (own && isIndex(steps[at + 1]) && steps[at] !== 'lengthM') return `${own} ${Number(steps[at + 1]) + 1}`;
  const list = steps.findLastIndex((s, k) => k < at && s in ITEMS && isIndex(steps[k + 1]));
  return list < 0 ? name : `${name} of ${ITEMS[steps[list]!]} ${Number(steps[list + 1]) + 1}`;
}

/** Units of numbers by the end of their field’s name, and what turns the number as kept into the one shown. */
const UNITS: [end: RegExp, unit: string, scale: number][] = [
  [/Mps$/, ' m/s', 1],
  [/Rad$/, '°', 180 / Math.PI],
  [/Deg$/, '°', 1],
  [/Hz$/, ' kHz', 1e-3],
  [/Db$/, ' dB', 1],
  [/C$/, ' °C', 1],
  [/[a-z]M$/, ' m', 1],
  [/[a-z]S$/, ' s', 1],
  [/[a-z]W$/, ' W', 1],
];

/** A number of a field as a screen says it, with its unit. */
export function numberWords(path: string, value: number): string {
  const field = path
    .split('.')
    .filter((s) => !isIndex(s))
    .at(-1);
  const [, unit, scale] = UNITS.find(([end]) => end.test(field ?? '')) ?? [null, '', 1];
  return `${String(Number((value * scale).toPrecision(4))).replace('-', '−')}${unit}`;
}
