import './importMeta';
import { answerWith, Refused, type Scope } from './tasks/answer';
import { openRecording } from './tasks/openRecording';
import { writeRecording } from './tasks/writeRecording';

answerWith(self as unknown as Scope, (task, tell, give) => {
  if (task.kind === 'write-recording') return writeRecording(task);
  if (task.kind !== 'open-recording') throw new Refused(`The recording reader does not do “${task.kind}”.`);
  tell('opening');
  return openRecording(task, give);
});
