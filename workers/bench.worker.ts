import { sceneList } from '@/core/bench';
import { answerWith, Refused, type Scope } from './tasks/answer';
import { draw } from './tasks/draw';
import { miniature } from './tasks/miniature';
import { holdRecording } from './tasks/passes';
import { read } from './tasks/read';

answerWith(self as unknown as Scope, (task, tell) => {
  switch (task.kind) {
    case 'draw':
      return draw(task, tell);
    case 'read':
      return read(task, tell);
    case 'miniature':
      return miniature(task);
    case 'hold':
      return holdRecording(task);
    case 'scenes':
      return { result: { kind: 'scenes', scenes: sceneList() } };
    default:
      throw new Refused(`The bench does not do “${task.kind}”.`);
  }
});
