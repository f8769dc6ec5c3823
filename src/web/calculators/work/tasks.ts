/** Long work of the bench, done off the screen's thread: what goes to the worker and what comes back. */
import type { RiseInput, judgeRise } from '../../../core/calculators/evacuation/judgeRise';
import type { Drawing, Forecast } from '../../../core/diagnosis/forecast';
import type { LeakingMachine } from '../../../core/diagnosis/leaking';

export interface Tasks {
  rise: { input: RiseInput; result: ReturnType<typeof judgeRise> };
  fleet: { input: { machines: readonly LeakingMachine[]; drawing: Drawing }; result: Forecast[] };
}
export type TaskName = keyof Tasks;

export type Request = { [T in TaskName]: { task: T; input: Tasks[T]['input'] } }[TaskName];
export type Reply<T extends TaskName> =
  { share: number } | { result: Tasks[T]['result'] } | { error: string };
