import { targetOf, type Brief } from '@/core/advice';

/** Fish brought up from deeper than this suffer from the change of pressure, m. */
const PRESSURE_M = 10;

/** The cautions that apply to a brief: a sentence or two each, deferring to local rules. */
export const cautionsFor = (brief: Brief): string[] => [
  ...(brief.toM > PRESSURE_M
    ? ['Fish brought up from deep suffer from the pressure. Use release gear, or keep within your limit.']
    : []),
  ...(targetOf(brief).keeps === 'cover'
    ? ['Sinking cover and fishing with lights are matters of local law. Ask first.']
    : []),
  ...(brief.speedMps > 0 ? ['The person steering keeps a look-out and does not tune.'] : []),
  'Never transmit out of the water: pause first.',
  'Seasons, sizes and rods are local law. Not for navigation.',
];
