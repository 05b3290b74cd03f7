import { diagnose, sceneList, sceneMiniature, seeSymptom, tryColours } from '@/core/bench';
import { readRecording } from '@/core/reading';
import { screenRecording } from '@/core/screenPicture';
import { answerWith, Refused, type Scope } from './tasks/answer';
import { automaticMarks, cutaway, score } from './tasks/cutaway';
import { askLog, takeDay } from './tasks/days';
import { draw, pictureBuffers } from './tasks/draw';
import { drillRound, drillTurn, ownRoundFor } from './tasks/drill';
import { miniature } from './tasks/miniature';
import { holdRecording, passFor, pings } from './tasks/passes';
import { openLog } from './tasks/openLog';
import { together } from './tasks/together';
import { tuning } from './tasks/tuning';
import { read } from './tasks/read';

answerWith(self as unknown as Scope, (task, tell, give) => {
  switch (task.kind) {
    case 'draw':
      return draw(task, tell);
    case 'read':
      return read(task, tell, give);
    case 'miniature':
      return miniature(task);
    case 'try-colours': {
      const { kind, brief, rig, setup, held } = task;
      const tried = tryColours(brief, rig, setup, held, (share) =>
        give({ share, result: { kind, tried: null } }),
      );
      return { result: { kind, tried } };
    }
    case 'symptom': {
      const { shown, before, after } = seeSymptom(task.symptom, task.rig, task.palette);
      const pictures = [before.picture, ...(after ? [after.picture] : [])];
      return {
        result: { kind: 'symptom', shown, before: before.picture, after: after?.picture ?? null },
        transfer: pictures.flatMap(pictureBuffers),
      };
    }
    case 'cutaway':
      return cutaway(task);
    case 'automatic-marks':
      return automaticMarks(task);
    case 'screen-picture': {
      const recording = screenRecording(task.image, task.calibration, task.face, task.title, task.more);
      return { result: { kind: 'screen-picture', recording } };
    }
    case 'score':
      return score(task);
    case 'together':
      return together(task, tell);
    case 'next-move':
    case 'solve':
      return tuning(task, give);
    case 'scene-miniature': {
      const picture = sceneMiniature(task.sceneId, task.rig, task.palette);
      return { result: { kind: 'scene-miniature', picture }, transfer: pictureBuffers(picture) };
    }
    case 'diagnose': {
      const { recording } = passFor(task.pass, task.settings, tell);
      const reading = readRecording(recording, task.settings.faceId);
      const symptoms = diagnose(recording, reading, task.pass.rig, task.settings);
      return { result: { kind: 'diagnose', symptoms } };
    }
    case 'pings':
      return pings(task, tell);
    case 'hold':
      return holdRecording(task);
    case 'scenes':
      return { result: { kind: 'scenes', scenes: sceneList() } };
    case 'drill-round':
      return drillRound(task);
    case 'own-round':
      return ownRoundFor(task, tell);
    case 'drill-turn':
      return drillTurn(task);
    case 'open-log':
      tell('opening');
      return openLog(task);
    case 'take-day':
      return takeDay(task);
    case 'ask-log':
      return askLog(task);
    default:
      throw new Refused(`The bench does not do “${task.kind}”.`);
  }
});
