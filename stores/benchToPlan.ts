import { CONTROLS, HELD_CONTROLS, type HeldControl, type Settings } from '@/core/picture';
import { notify } from './notices';
import { startOfBench, passStore } from './pass';
import { pinLine, planStore } from './plan';

/** Lines of the start setup that stand otherwise on the bench, with how they stand there. */
function turnedLines(): { control: HeldControl; value: number }[] {
  const start = startOfBench();
  if (!start) return [];
  const { settings } = passStore.getState();
  return HELD_CONTROLS.flatMap((control) => {
    const setting = CONTROLS[control].setting as keyof Settings;
    const value = settings[setting];
    return typeof value === 'number' && value !== start[setting] ? [{ control, value }] : [];
  });
}

/** Holds in the plan what was turned on the bench, so that the next start setup begins there. The notice offers to let it go. */
export function holdInPlan(): void {
  const lines = turnedLines();
  if (lines.length === 0) return notify('Nothing differs from the start setup. There is nothing to hold.');
  const { holds } = planStore.getState();
  const { pass, settings } = passStore.getState();
  const slice = pass.rig.faces.find((f) => f.id === settings.faceId)?.beam.shape === 'fan';
  for (const { control, value } of lines) pinLine(control, value, slice ? 'slice' : 'cone');
  notify(
    `Held in your plan: ${lines.length === 1 ? '1 line' : `${lines.length} lines`}. Plan shows them with a lock.`,
    () => planStore.setState({ holds }),
  );
}
