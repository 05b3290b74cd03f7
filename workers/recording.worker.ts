import './importMeta';
import { answerWith, Refused, type Scope } from './tasks/answer';
import { openRecording } from './tasks/openRecording';

answerWith(self as unknown as Scope, (task, tell) => {
  if (task.kind !== 'open-recording') throw new Refused(`The recording reader does not do “${task.kind}”.`);
  tell('opening');
  return openRecording(task);
});
