/** Every door something from outside comes in by, each with what it should take: for trying damaged things on. */
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { FIRST_BRIEF, startSetup } from '@/core/advice';
import {
  ENTRY_FORMAT,
  openText,
  problemOf,
  readLogFile,
  readPlanFile,
  writeLogFile,
  writePlanFile,
} from '@/core/formats';
import { readCallOut } from '@/core/formats/callOut';
import { readBackup, writeBackup } from '@/core/formats/backupFile';
import {
  readGeoJson,
  readGpx,
  readPlacesCsv,
  writeDayCsv,
  writeDayGeoJson,
  writeDayGpx,
} from '@/core/formats/dayFiles';
import { readDrillFile, writeDrillFile } from '@/core/formats/drillFile';
import { readNmea, writeNmea } from '@/core/formats/nmea0183';
import { SCREEN_FORMAT } from '@/core/formats/screenFile';
import type { Entry } from '@/core/logbook';
import { demoWeek } from '@/core/logbook/demoWeek';
import { recordingOf } from '@/core/recording';
import { GENERIC_RIG } from '@/core/rig';
import { makeScene, trackOver } from '@/core/scene';
import { simulate } from '@/core/sounder';
import { packed, unpacked } from '@/stores/packedText';
import { loadRecording, saveRecording, scratchFolder } from './recordings';
import { loadScreenPicture } from './screenPictures';

/** A door: whole things that pass it, and what it says to one; null where it takes it. */
export interface Door {
  name: string;
  samples: readonly Uint8Array[];
  open: (bytes: Uint8Array) => string | null | Promise<string | null>;
}

const bytesOf = (text: string): Uint8Array => new TextEncoder().encode(text);
const textOf = (bytes: Uint8Array): string => new TextDecoder().decode(bytes);
/** The sentence of a refusal of these kinds; anything else is a crash. */
const said = (error: unknown, ...kinds: string[]): string => {
  if (error instanceof Error && kinds.includes(error.constructor.name)) return error.message;
  throw error;
};
const CALIBRATION = 'stores/fixtures/screens-first.json';

const settings = startSetup(FIRST_BRIEF, GENERIC_RIG).settings;
const ENTRY: Entry = {
  id: 'e1',
  keptAt: '2026-09-02T06:00:00.000Z',
  title: 'East shelf',
  call: 'Perch',
  note: 'two “caught”, 9 m',
  source: { kind: 'brief', brief: FIRST_BRIEF, seed: 4, water: 2 },
  rig: GENERIC_RIG,
  settings,
  marks: [],
  corrections: [],
};
const DAY = { ...demoWeek()[1]!, track: demoWeek()[1]!.track.slice(0, 20) };

/** A screenshot of noise, small enough to be tried thousands of times. */
function smallPicture(): Promise<Uint8Array> {
  const [width, height] = [160, 120];
  const data = Uint8Array.from({ length: 3 * width * height }, (_, i) => (i * 2654435761) >>> 24);
  return sharp(data, { raw: { width, height, channels: 3 } })
    .png()
    .toBuffer();
}

/** All doors. Recordings and pictures are tried on this machine's disk, and taken away at the end. */
export async function allDoors(): Promise<{ doors: Door[]; close: () => void }> {
  const folder = scratchFolder();
  const path = join(folder, 'recording.nc');
  const track = trackOver('sunk-crib', 2, 1);
  const recording = simulate({
    scene: makeScene('sunk-crib', 2),
    track,
    rig: GENERIC_RIG,
    faces: GENERIC_RIG.faces.slice(0, 1),
    pingRate: 1,
    farM: 22,
    seed: 2,
  });
  await saveRecording(path, recordingOf([recording]));
  const link = await packed(
    writeDrillFile({
      by: 'Guide',
      drill: 'name',
      rounds: [{ kind: 'fish', level: 1, seed: 1 }],
      brief: FIRST_BRIEF,
      rig: GENERIC_RIG,
      answers: [],
    }),
  );
  const doors: Door[] = [
    {
      name: 'log',
      samples: [bytesOf(writeLogFile([ENTRY]))],
      open: (bytes) => problemOf(readLogFile(textOf(bytes))),
    },
    {
      name: 'entry on the device',
      samples: [bytesOf(JSON.stringify({ format: ENTRY_FORMAT.name, version: 1, data: ENTRY }))],
      open: (bytes) => problemOf(openText(ENTRY_FORMAT, textOf(bytes))),
    },
    {
      name: 'plan',
      samples: [
        bytesOf(
          writePlanFile({
            id: 'p',
            name: 'Shelf',
            brief: FIRST_BRIEF,
            rig: GENERIC_RIG,
            habits: {},
            holds: {},
          }),
        ),
      ],
      open: (bytes) => problemOf(readPlanFile(textOf(bytes))),
    },
    {
      name: 'backup',
      samples: [
        writeBackup({
          madeAt: '2026-11-27T18:00:00.000Z',
          texts: { plan: '{"a":1}', 'log/e1': writeLogFile([ENTRY]) },
          files: { '4-1': Uint8Array.of(137, 72, 68, 70) },
        }),
      ],
      open: (bytes) => problemOf(readBackup(bytes)),
    },
    { name: 'GPX', samples: [bytesOf(writeDayGpx(DAY))], open: (bytes) => problemOf(readGpx(textOf(bytes))) },
    {
      name: 'GeoJSON',
      samples: [bytesOf(writeDayGeoJson(DAY))],
      open: (bytes) => problemOf(readGeoJson(textOf(bytes))),
    },
    {
      name: 'CSV',
      samples: [bytesOf(writeDayCsv(DAY))],
      open: (bytes) => problemOf(readPlacesCsv(textOf(bytes))),
    },
    {
      name: 'NMEA 0183',
      samples: [
        ['IIDPT', '12.4', '0.3'],
        ['GPRMC', '060000', 'A', '4718.0', 'S', '12454.0', 'W', '2.9', '90', '020926', '', ''],
        ['IIVHW', '', 'T', '', 'M', '3.1', 'N', '5.7', 'K'],
      ].map((fields) => bytesOf(writeNmea(...fields))),
      // A line is taken, passed over or refused; none of it is a sentence on a screen.
      open: (bytes) => {
        readNmea(textOf(bytes));
        return null;
      },
    },
    {
      name: 'call-out',
      samples: [bytesOf(JSON.stringify({ words: 'Drop. Stop at 11 m.', sinkS: 9 }))],
      open: (bytes) => (readCallOut(textOf(bytes)) ? null : 'This is no call-out.'),
    },
    {
      name: 'drill',
      samples: [bytesOf((await unpacked(link))!)],
      open: (bytes) => problemOf(readDrillFile(textOf(bytes))),
    },
    {
      name: 'link',
      samples: [bytesOf(link)],
      open: async (bytes) => {
        try {
          const text = await unpacked(textOf(bytes));
          return text === null ? 'Too long.' : problemOf(readDrillFile(text));
        } catch {
          // A link that cannot be unpacked is said to be damaged where it is opened.
          return 'Damaged.';
        }
      },
    },
    {
      name: 'screen calibration',
      samples: [readFileSync(CALIBRATION)],
      open: (bytes) => problemOf(openText(SCREEN_FORMAT, textOf(bytes))),
    },
    {
      name: 'picture',
      samples: [await smallPicture()],
      open: async (bytes) => {
        const file = join(folder, 'picture.png');
        writeFileSync(file, bytes);
        try {
          await loadScreenPicture(file, CALIBRATION);
          return null;
        } catch (error) {
          return said(error, 'Error', 'RangeError');
        }
      },
    },
    {
      name: 'recording',
      samples: [readFileSync(path)],
      open: async (bytes) => {
        const file = join(folder, 'tried.nc');
        writeFileSync(file, bytes);
        try {
          await loadRecording(file);
          return null;
        } catch (error) {
          return said(error, 'RecordingProblem');
        }
      },
    },
  ];
  return { doors, close: () => rmSync(folder, { recursive: true }) };
}
