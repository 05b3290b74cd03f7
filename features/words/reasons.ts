import { isPinnable, type Because, type GainShows, type SetupLine, type TriedColours } from '@/core/advice';
import type { Units } from '../units';
import { grams, perSecond } from './numbers';
import { pinWords } from './setupValues';
import { decimal } from '@/ui/decimal';

/** The reason of a line as it stands: of a held one, what the rule would set instead. */
export function lineReason({ control, because }: SetupLine, units: Units): string {
  if (!isPinnable(control)) return becauseWords(because, units);
  switch (because.rule) {
    case 'pinned':
      return `You hold this value. The rule would set ${pinWords(control, because.insteadOf, units)}. The other lines follow yours.`;
    case 'pinned-above-bed':
      return `You hold this value, and the bed at ${units.show('depth', because.bedM, 0)} is off the screen. The rule would set ${pinWords(control, because.insteadOf, units)}.`;
    default:
      return becauseWords(because, units);
  }
}

/** How the gain is brought there, by what tells it. */
const GAIN_RITUALS: Record<GainShows, string> = {
  specks: 'Turn it up until the open water shows a few specks, then stop.',
  'fish midway': 'Turn it up until this fish is in the middle of the colours.',
  'fish in weaker colours': 'Turn it up until this fish shows in the weaker colours, then stop.',
};
const GAIN_OTHERWISE: Record<GainShows, string> = {
  specks: 'Higher, specks hide the fish. Lower, the fish goes pale.',
  'fish midway': 'Higher only adds what is not fish.',
  'fish in weaker colours': 'Higher only adds what is not fish.',
};

/** What came out of trying. */
function triedWords({ found, foundBefore, fish, passes }: TriedColours, crowded: boolean): string {
  const shown = Math.round(found);
  const before = Math.round(foundBefore);
  const [water, met] = crowded ? ['water full of fish', `${fish}`] : ['water like yours', `${fish} fish`];
  const tried = `Tried on ${passes} made passes over ${water}, it shows about ${shown} of ${met} in the beam.`;
  return shown > before ? `${tried} The plain rule shows ${before}.` : tried;
}

/** More pings than this are many. */
const MANY = 99;

/** The reason of a line, with its numbers in the user's units: the thing first, then what happens otherwise. */
export function becauseWords(b: Because, units: Units): string {
  const depth = (m: number, decimals = 0): string => units.show('depth', m, decimals);
  const row = (m: number): string => `One row shows ${units.show('small', m)} of water.`;
  const shows = (m: number): string => `This fish shows down to ${depth(m)}.`;
  const held = (s: number): string => `The screen holds the last ${Math.round(s)}\u00a0seconds.`;
  switch (b.rule) {
    case 'pinned':
    case 'pinned-above-bed':
      return 'You hold this value. Let go, and the rule sets it again.';
    case 'beam-widest-that-shows':
      return `The widest beam that shows this fish clearly. It covers ${depth(b.coverM)} of bed${b.otherCoverM === null ? '' : `, the other ${depth(b.otherCoverM)}`}. ${shows(b.deepestM)}`;
    case 'beam-narrowest-that-shows':
      return `The narrowest beam: what it draws is under you. It covers ${depth(b.coverM, 1)} of bed${b.otherCoverM === null ? '' : `, the other ${depth(b.otherCoverM)}`}. ${b.swingM >= 0.1 ? `In this wind the boat’s roll moves it ${units.height(b.swingM)} to each side.` : shows(b.deepestM)}`;
    case 'beam-sees-to-the-bed':
      return `This fish keeps to the bed. This beam hides the lowest ${units.height(b.hiddenM)}, a wider one ${units.height(b.otherHiddenM)}. ${shows(b.deepestM)}`;
    case 'beam-strongest':
      return `No beam of yours shows this fish clearly that deep. This one comes nearest. ${shows(b.deepestM)}`;
    case 'beam-chosen':
      return `You chose this beam. It covers ${depth(b.coverM, b.coverM < 10 ? 1 : 0)} of bed. ${shows(b.deepestM)}`;
    case 'beam-one-for-all':
      return `One beam for all you do: the one that shows most. It covers ${depth(b.coverM)} of bed. ${shows(b.deepestM)}`;
    case 'imaging-confirms':
      return `Use it to check what the cone finds. It cuts a slice ${depth(b.alongM, 1)} thick and ${depth(b.coverM)} wide. A mark on one picture only is off to the side, or not a fish.`;
    case 'imaging-shows-more':
      return b.coverM > b.coneCoverM
        ? `It covers ${depth(b.coverM)} to the sides, the cone ${depth(b.coneCoverM)}. Expect more fish, drawn as dots.`
        : `It covers ${depth(b.coverM)} to the sides, the cone ${depth(b.coneCoverM)}. On this boat it does not show more.`;
    case 'imaging-for-cover':
      return `Use it for cover and bed, which it draws crisp. Fish fade on it, so look for them with the cone.`;
    case 'pulse-only':
      return `Two fish closer than ${units.height(b.gapM)} in depth are drawn as one.`;
    case 'pulse-swept':
      return `A sweep tells two fish apart from ${units.height(b.gapM)}, a single frequency from ${units.height(b.otherGapM)}.`;
    case 'pulse-single-shallow':
      return `In the shallows some find one frequency cleaner. It tells two fish apart from ${units.height(b.gapM)}, the sweep from ${units.height(b.otherGapM)}.`;
    case 'range-bed-and-margin':
      return `The bed is at ${depth(b.bedM)}. ${depth(b.marginM)} more show its tail. ${row(b.rowM)}`;
    case 'range-least':
      return `The least that still shows the bed at ${depth(b.bedM)}. Change it as the bed falls. ${row(b.rowM)}`;
    case 'range-one-for-all':
      return `One range for all waters like this, so a mark of one size always means the same. ${row(b.rowM)}`;
    case 'range-around-fish':
      return `A window from ${depth(b.topM)} down. The mess at the top is off the screen, and so is any fish up there. ${row(b.rowM)}`;
    case 'range-auto':
      return `Your unit follows the bed at ${depth(b.bedM)}. The scale changes as it does, so you cannot compare sizes from minute to minute.`;
    case 'look-no-deeper':
      return `Past the bed at ${depth(b.bedM)} and short of its second echo at ${depth(b.secondM)}. Your unit then cannot take that for the bed.`;
    case 'zoom-none':
      return `Show the whole window. ${row(b.rowM)} That is fine enough.`;
    case 'zoom-bed-lock':
      return `This fish lies on the bed. The lowest ${depth(b.heightM)} fill the screen, ${units.show('small', b.rowM)} a row. Fish higher up are off it.`;
    case 'power-near-bed':
      return `Low power over a bed at ${depth(b.bedM, 1)}. On full, its echo swamps your unit.`;
    case 'power-silt':
      return `Low power in silt. On full, the water itself lights up. ${shows(b.deepestM)}`;
    case 'power-full':
      return 'Full power. Small and deep fish need it; turning up the gain cannot replace it.';
    case 'power-filtered':
      return `Low power, with more gain. It is calmer in silt and over a hard, near bed. ${shows(b.deepestM)}`;
    case 'gain-by-eye':
      return `${GAIN_RITUALS[b.shows]} ${b.tried ? triedWords(b.tried, b.crowded) : GAIN_OTHERWISE[b.shows]}`;
    case 'spread-tried':
      return 'Tried together with the gain: fish stand out best so.';
    case 'gain-auto-offset':
      return 'Your unit sets it. Leave the offset at 0, then turn it until a few specks show. It shifts with engine noise, so one fish can look different.';
    case 'gain-under-way':
      return 'Set it where the picture stays clean with the engine in gear. One fish then looks the same all day.';
    case 'gain-big-only':
      return `Turn it down until bait and small fish go. Fish under ${units.show('small', b.hiddenM, 0)} vanish, and so do bigger ones at the edge.`;
    case 'gain-show-lure':
      return `Turn it up until your ${grams(b.massKg)} lure shows at ${depth(b.depthM)}. Expect more specks, and spikes about the lure.`;
    case 'gain-lure-lost':
      return `No gain shows your ${grams(b.massKg)} lure at ${depth(b.depthM)}. Set it for the fish.`;
    case 'first-colour-back-a-touch':
      return 'Raise it a touch after the gain, so that most specks go and the fish stays.';
    case 'first-colour-tried':
      return 'Tried together with the gain: raised so far, haze goes and the fish stays.';
    case 'first-colour-leave-haze':
      return 'Leave a little haze. A fish on the slice is hardly stronger than that.';
    case 'spread-hard-bed-at-top':
      return `A hard bed at ${depth(b.depthM)} just fills the strongest colour. A soft bed then looks different.`;
    case 'spread-widest':
      return `A hard bed at ${depth(b.depthM)} is stronger than any setting can grade. The widest keeps soft and hard apart best.`;
    case 'spread-target-not-too-pale':
      return `Wider, and this fish would be too pale to see. A hard bed at ${depth(b.depthM)} fills the strongest colour.`;
    case 'other-sounders-one-step':
      return 'It drops what only one ping has. A fish is in several pings, so it stays.';
    case 'other-sounders-two-steps':
      return 'Other boats are near, so use two steps. Very small or fast marks may go too.';
    case 'other-sounders-few-pings':
      return 'Leave it off. A fish gets only a few pings here and could go with the noise.';
    case 'noise-least':
      return 'Start with it off: it also removes small fish. Raise it one step if specks bother you.';
    case 'noise-some':
      return 'The least that removes lone specks. A very small fish can go with them.';
    case 'top-water-above-fish':
      return `It clears the mess down to ${depth(b.reachM, 1)}. Your shallowest fish are at ${depth(b.shallowestM)}.`;
    case 'top-water-calm':
      return 'Leave it off. There is too little wind to make a mess at the top.';
    case 'top-water-spare-fish':
      return `Leave it off. Fish at ${depth(b.shallowestM)} swim in the mess, and it would remove them too.`;
    case 'top-water-off':
      return 'Leave it off, and no shallow bait is lost. You look through the mess yourself.';
    case 'tvg-fish-alike':
      return 'A fish looks the same at every depth. Specks grow with depth, too.';
    case 'tvg-water-alike':
      return 'Layers and bait look the same at every depth. A single fish grows paler as it goes deeper.';
    case 'tvg-none':
      return 'Nothing is made up for depth. Shallow things look strong; use gain for the deep.';
    case 'ping-rate-clear-of-late-bed':
      return `Faster than ${perSecond(b.limit)}, a late bed echo would draw a false bed in the water.`;
    case 'ping-rate-fastest':
      return `As fast as your unit goes. A false bed would need more than ${perSecond(b.limit)}.`;
    case 'chart-one-to-one':
      return `A column is as much way as a row is water, so shapes are true. ${held(b.historyS)}`;
    case 'chart-column-a-ping':
      return b.columnM > 0.005
        ? `One column a ping: faster would only repeat pings. A column is ${units.show('small', b.columnM, 0)} of way. ${held(b.historyS)}`
        : `One column a ping. You sit still, so the chart shows time. ${held(b.historyS)}`;
    case 'chart-by-rule':
      return `The rule of thumb for this speed. A column is ${units.show('small', b.columnM, 0)} of way. ${held(b.historyS)}`;
    case 'chart-drawn-out':
      return `Twice as long as true, so small marks are easier to see. ${held(b.historyS)}`;
    case 'speed-enough-pings':
      return `A shallow fish gets up to ${Math.min(MANY, Math.round(b.pings))} pings and keeps its shape. Stay under ${units.show('speed', b.fastestMps, 0)}.`;
    case 'speed-too-fast':
      return `Too fast: a shallow fish gets too few pings for a shape. Slow down to ${units.show('speed', b.fastestMps)}.`;
    case 'speed-planing':
      return 'At this speed you miss single fish. Only shoals show, as streaks.';
    case 'speed-still':
      return 'You sit still. A fish draws for as long as it stays in the beam.';
    case 'size-by-strength':
      return `Judge by the strongest colour. One pass can be off by ${decimal(b.factor, 1)} times in length, since it depends on where the fish passed.`;
    case 'size-by-height':
      return `Many judge by the height of the mark. But ${units.height(b.pulseM)} of it is the pulse, whatever the fish.`;
    case 'size-by-dot':
      return 'Judge by how bright the dot on the slice is. Compare dots at one depth only: they vary a lot.';
    case 'size-bait-or-game':
      return `Tell only bait from game fish. This fish is far stronger than bait of ${units.show('small', b.baitM, 0)}.`;
  }
}
