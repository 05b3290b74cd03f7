import { answerWith, Refused, type Scope } from './tasks/answer';
import { openLog } from './tasks/openLog';

answerWith(self as unknown as Scope, (task, tell) => {
  if (task.kind !== 'open-log') throw new Refused(`The file reader does not do “${task.kind}”.`);
  tell('opening');
  return openLog(task);
});
