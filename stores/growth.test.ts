import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ENTRY_FORMAT, openText, type Format } from '@/core/formats';
import { CORRECTIONS } from './corrections';
import { DAY_FORMAT } from './days';
import { DECK } from './deck';
import { FILES } from './keptFiles';
import { OWN_FISH } from './ownFish';
import { KEPT_SETTINGS } from './keptSettings';
import { PASS } from './pass';
import { PLAN } from './plan';
import { PREFERENCES } from './preferences';
import { SITTING_FORMAT } from './training';
import { SCREENS } from './screenCalibrations';

/** Whole documents as versions of this app left them on a device; none may be taken away. */
const KEPT: [file: string, format: Format<unknown>][] = [
  ['plan-picture.json', PLAN.format as Format<unknown>],
  ['plan-lure.json', PLAN.format as Format<unknown>],
  ['plan-tried.json', PLAN.format as Format<unknown>],
  ['plan-first-colour.json', PLAN.format as Format<unknown>],
  ['preferences-palettes.json', PREFERENCES.format as Format<unknown>],
  ['deck-first.json', DECK.format as Format<unknown>],
  ['bench-dials.json', PASS.format as Format<unknown>],
  ['bench-steered.json', PASS.format as Format<unknown>],
  ['settings-first.json', KEPT_SETTINGS.format as Format<unknown>],
  ['entry-units.json', ENTRY_FORMAT as Format<unknown>],
  ['entry-corrections.json', ENTRY_FORMAT as Format<unknown>],
  ['corrections-first.json', CORRECTIONS.format as Format<unknown>],
  ['screens-first.json', SCREENS.format as Format<unknown>],
  ['screens-panels.json', SCREENS.format as Format<unknown>],
  ['deck-shallow.json', DECK.format as Format<unknown>],
  ['day-first.json', DAY_FORMAT as Format<unknown>],
  ['day-plan.json', DAY_FORMAT as Format<unknown>],
  ['day-passes.json', DAY_FORMAT as Format<unknown>],
  ['day-lanes.json', DAY_FORMAT as Format<unknown>],
  ['own-fish-first.json', OWN_FISH.format as Format<unknown>],
  ['own-fish-group.json', OWN_FISH.format as Format<unknown>],
  ['file-first.json', FILES.format as Format<unknown>],
  ['file-picture.json', FILES.format as Format<unknown>],
  ['sitting-first.json', SITTING_FORMAT as Format<unknown>],
];

it.each(KEPT)('%s opens with nothing lost', (file, format) => {
  const text = readFileSync(join(__dirname, 'fixtures', file), 'utf8');
  const opened = openText(format, text);
  if (!opened.ok) throw new Error(opened.problem);
  expect(opened.value).toMatchObject((JSON.parse(text) as { data: object }).data);
});

it('what was tried before the first colour was keeps the usual one', () => {
  const text = readFileSync(join(__dirname, 'fixtures', 'plan-tried.json'), 'utf8');
  const opened = openText(PLAN.format, text);
  expect(opened.ok && Object.values(opened.value.tried)).toEqual([
    { gainDb: -14, firstColourDb: 4, colourSpreadDb: 50, found: 9.4, foundBefore: 5.2, fish: 12, passes: 2 },
    null,
  ]);
});
