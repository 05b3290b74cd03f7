import { cutawayAt, cutawayPass } from '@/core/bench';
import { seededRandom } from '@/core/maths';
import { viewing, columnAt, type MarkPlace, type Picture, type Settings } from '@/core/picture';
import { drawPicture, see, sightScore } from '@/core/picture/drawing';
import { recordingOf, type Recording } from '@/core/recording';
import { faceOf, screenOf, seenFrom, unitOf } from '@/core/rig';
import { layTrack } from '@/core/scene';
import { simulate, type VisibleFish } from '@/core/sounder';
import { dialIn, wrongSettings } from './dialIn';
import type { Asked, Draft, Drafting } from './draft';
import type { Drill, KindOf, MadeDrill, Round, RoundSpec, Trained } from './drill';
import { COLUMNS } from './drillWater';
import { findAgain } from './findAgain';
import { fixIt } from './fixIt';
import { hardOrSoft } from './hardOrSoft';
import { howMany } from './howMany';
import { nameIt } from './nameIt';
import { onCover } from './onCover';
import { sizeIt } from './sizeIt';
import { whereIsIt } from './whereIsIt';

const DRAFTS: { [D in Exclude<MadeDrill, 'fix'>]: Drafting<D> } = {
  name: nameIt,
  cover: onCover,
  size: sizeIt,
  place: whereIsIt,
  bed: hardOrSoft,
  count: howMany,
  dial: dialIn,
  again: findAgain,
};

/** Waters tried for one in which the answer can be told. */
const TRIES = 14;
/** A picture set wrong is worth at most this share of one set right, and one set right is worth at least so much, 0…1. */
const MISSET = 0.85;
const LEAST_BEST = 0.35;
/** Most columns and rows of a ring to either side. */
const MOST_COLUMNS = 30;
const MOST_ROWS = 60;
/** Shortest echo a mark is sought in, m, and echoes to either side of it. */
const LEAST_ECHO_M = 0.1;
const ECHOES = 1.5;

/** A round that this boat or this day cannot have. */
export class NoRound extends RangeError {}

interface Sounded {
  draft: Draft;
  recording: Recording;
  visible: readonly VisibleFish[];
  nowS: number;
  /** Length of a point's echo, m. */
  echoM: number;
}

const draw = ({ recording, nowS }: Sounded, settings: Settings, rows: number): Picture =>
  drawPicture(recording, settings, { rows, columns: COLUMNS }, nowS);

/** The place of what is asked about on a picture; null where it is outside. */
function placeOf(asked: Asked, picture: Picture, { visible, draft, echoM }: Sounded): MarkPlace | null {
  if ('find' in asked) return asked.find(picture);
  const { rowM, topM } = picture;
  if ('fish' in asked) {
    const { pings, nearestTimeS, nearestRangeM } = visible[asked.fish]!;
    if (pings.length === 0) return null;
    const column = columnAt(picture, nearestTimeS);
    const row = Math.floor((nearestRangeM - topM[column]!) / rowM);
    if (row < 0 || row >= picture.rows) return null;
    const widthS = pings.length / draft.stretch.settings.pingRate;
    return {
      column,
      row,
      halfColumns: Math.min(
        MOST_COLUMNS,
        Math.max(1, Math.round((widthS * draft.stretch.settings.chartSpeed) / 3)),
      ),
      halfRows: Math.max(1, Math.round((ECHOES * echoM) / rowM)),
    };
  }
  const column = columnAt(picture, asked.timeS);
  const row = Math.floor((asked.rangeM - topM[column]!) / rowM);
  if (row < 0 || row >= picture.rows) return null;
  return {
    column,
    row,
    halfColumns: Math.min(
      MOST_COLUMNS,
      Math.max(2, Math.round(asked.halfS * draft.stretch.settings.chartSpeed)),
    ),
    halfRows: Math.min(MOST_ROWS, Math.max(2, Math.round(asked.halfM / rowM))),
  };
}

function sounded(draft: Draft, seed: number): Sounded & { cut: () => ReturnType<typeof cutawayPass> } {
  const { stretch, scene } = draft;
  const { settings, sections, brief, rig } = stretch;
  const faces = [settings.faceId, ...(draft.besideFaceId ? [draft.besideFaceId] : [])].map((id) =>
    faceOf(rig, id),
  );
  const track = layTrack(
    { sections, pingRate: settings.pingRate, windMps: brief.windMps },
    seededRandom(seed).fork('waves'),
  );
  const request = {
    scene,
    track,
    rig: seenFrom(rig, settings.faceId),
    faces,
    pingRate: settings.pingRate,
    farM: draft.farM,
    power: settings.power,
    seed,
  };
  const cut = cutawayPass(request, settings.faceId);
  const recording = recordingOf([simulate(request)]);
  const channel = recording.stretches[0]!.channels.find((c) => c.id === settings.faceId);
  return {
    draft,
    recording,
    echoM: Math.max(LEAST_ECHO_M, channel?.resolutionM ?? 0),
    visible: cut.visible,
    nowS: draft.nowS(cut.visible),
    cut: () => cut,
  };
}

/** A round being asked: it can be drawn again with dials turned. */
export interface MadeRound {
  round: Round;
  /** The pings it was drawn from; null where a case of its own is drawn. */
  recording: Recording | null;
  /** Draws it at other settings, and says what the eye makes of that, 0…1; null where nothing is turned. */
  turn: ((settings: Settings) => { picture: Picture; score: number }) | null;
}

/**
 * The round of a spec. Waters are tried until one shows what the answer needs, by the eye that judges the bench's pictures.
 * @throws NoRound where this boat on this day cannot have it
 */
export function makeRound(spec: RoundSpec, trained: Trained): MadeRound {
  const { drill, kind, level, seed } = spec;
  if (drill === 'yours') throw new NoRound('yours: its rounds are those of passes that were saved');
  const { rig, palettes } = trained;
  const { rows } = screenOf(rig);
  const none = { rings: [], truthRings: [], facts: {}, cutaway: null, score: null };
  if (drill === 'fix') {
    const fixed = fixIt(kind as KindOf<'fix'>, seededRandom(seed).fork('fix'), rig, palettes.cone);
    if (!fixed) throw new NoRound(`fix: this boat's picture does not show ${kind}`);
    return { round: { ...spec, ...none, ...fixed }, recording: null, turn: null };
  }
  const { pictureHeightM, viewedFromM } = unitOf(rig);
  const view = viewing(pictureHeightM, rows, viewedFromM);
  for (let k = 0; k < TRIES; k++) {
    const random = seededRandom(seed).fork(`${drill} ${kind} ${level} ${k}`);
    const draft = (DRAFTS[drill] as Drafting<Drill>)(kind, level, random, trained);
    if (!draft) throw new NoRound(`${drill}: this boat on this day has no ${kind}`);
    const pass = sounded(draft, seed + k);
    const { settings } = draft.stretch;
    const picture = draw(pass, settings, rows);
    const places = draft.asked.map((asked) => placeOf(asked, picture, pass));
    if (places.some((place) => place === null)) continue;
    const rings = places as MarkPlace[];
    const sight = see(picture, settings.palette, settings.bedRamp, rings, view);
    const evidence = { picture, sight, visible: pass.visible };
    if (!draft.decidable(evidence)) continue;
    const { timeS, rangeM } = draft.cutAt(pass.visible);
    const round: Round = {
      ...spec,
      settings,
      picture,
      beside: draft.besideFaceId ? draw(pass, { ...settings, faceId: draft.besideFaceId }, rows) : null,
      rings: rings.slice(0, draft.boxed),
      truthRings: rings,
      options: draft.options,
      answer: draft.answer,
      facts: draft.facts(evidence),
      cutaway: cutawayAt(pass.cut(), timeS, rangeM),
      score: null,
    };
    if (drill !== 'dial') return { round, recording: pass.recording, turn: null };
    const turn = (turned: Settings): { picture: Picture; score: number } => {
      const now = draw(pass, turned, rows);
      const shown = draft.asked.map((asked) => placeOf(asked, now, pass)).filter((p) => p !== null);
      const seen = see(now, turned.palette, turned.bedRamp, shown, view);
      return { picture: now, score: (sightScore(seen, 'search') * shown.length) / draft.asked.length };
    };
    const wrong = wrongSettings(kind as KindOf<'dial'>, level, settings);
    const best = turn(settings).score;
    const first = turn(wrong);
    // A start that shows little, or a fault that hides nothing, is no drill.
    if (best < LEAST_BEST || first.score > MISSET * best) continue;
    return {
      round: {
        ...round,
        rings: [],
        settings: wrong,
        picture: first.picture,
        beside: picture,
        score: { now: first.score, best },
      },
      recording: pass.recording,
      turn,
    };
  }
  throw new NoRound(`${drill}: no water of this day shows ${kind} so that it can be told`);
}
