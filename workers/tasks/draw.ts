import type { Picture } from '@/core/picture';
import { drawPicture, keepColumns, newDesk, outlineMarks } from '@/core/picture/drawing';
import type { DrawTask, Stage } from '../protocol';
import type { Answer } from './answer';
import { passFor } from './passes';

/** A desk a beam: pictures of two beams must not clear each other's. */
const desks = new Map<string, ReturnType<typeof newDesk>>();
const MOST_DESKS = 4;

function deskFor(key: string): ReturnType<typeof newDesk> {
  let desk = desks.get(key);
  if (!desk) desks.set(key, (desk = newDesk()));
  for (const oldest of desks.keys()) {
    if (desks.size <= MOST_DESKS) break;
    desks.delete(oldest);
  }
  return desk;
}

/** What of a picture is handed over rather than copied. */
export const pictureBuffers = ({ pixels, steps, liveColumn, topM, bedM, timeS }: Picture): Transferable[] =>
  [pixels, steps, liveColumn, topM, bedM, timeS].map((array) => array.buffer as ArrayBuffer);

export function draw(
  { pass, settings, screen, nowS, outlines, earlier }: DrawTask,
  tell: (stage: Stage) => void,
): Answer {
  const { key, recording, facts, sounded } = passFor(pass, settings, tell);
  const other = outlines && { ...passFor(pass, outlines.settings, tell), ...outlines };
  tell('drawing');
  const drawn = (from: typeof recording, own: string, by: typeof settings): Picture =>
    drawPicture(from, by, screen, nowS ?? facts.durationS, deskFor(own));
  const picture = drawn(recording, key, settings);
  // Latest first: what an earlier setting drew ends where the one before it does.
  for (const way of [...earlier].reverse()) {
    const from = passFor(pass, way.settings, tell);
    keepColumns(picture, drawn(from.recording, from.key, way.settings), way.untilS);
  }
  if (other) outlineMarks(picture, drawn(other.recording, other.key, other.settings), other.rgba);
  return { result: { kind: 'draw', picture, facts, sounded }, transfer: pictureBuffers(picture) };
}
