import type { Moments } from './ages';
import { putBest } from './chain';
import { Occupied } from './occupied';
import { slotsOf, type Problem } from './problem';

/** Pins that cannot be held: two that want the hands at once, or one that its own chain never comes to. By operation. */
export function heldPins(problem: Problem, moments: Moments): { problem: Problem; unpinned: string[] } {
  const unpinned: string[] = [];
  const taken = new Uint8Array(problem.slots).fill(1, 0, problem.busyUntil);
  const jobs = problem.jobs.map((job) => ({
    ...job,
    operations: job.operations.map((operation) => {
      const { pin, minutes, ...free } = operation;
      if (pin === undefined) return operation;
      const slots = Array.from({ length: slotsOf(minutes, problem) }, (_, i) => pin + i);
      if (slots.every((t) => t >= 0 && t < problem.slots && !taken[t])) {
        for (const t of slots) taken[t] = 1;
        return operation;
      }
      unpinned.push(operation.id);
      return { ...free, minutes };
    }),
  }));
  const held: Problem = { ...problem, jobs };
  jobs.forEach((job, n) => {
    // each pin is put to the proof with those before it, in a calendar that has nothing else
    while (job.operations.some((o) => o.pin !== undefined)) {
      if (putBest(n, new Occupied(held, moments))) return;
      const without = job.operations.findIndex((operation, i) => {
        if (operation.pin === undefined) return false;
        const upTo = { ...job, operations: job.operations.map((o, k) => (k > i ? unpin(o) : o)) };
        return !putBest(n, new Occupied({ ...held, jobs: held.jobs.map((j, k) => (k === n ? upTo : j)) }, moments));
      });
      if (without < 0) return;
      unpinned.push(job.operations[without]!.id);
      job.operations[without] = unpin(job.operations[without]!);
    }
  });
  return { problem: held, unpinned };
}

function unpin<T extends { pin?: number }>({ pin: _, ...rest }: T): Omit<T, 'pin'> {
  return rest;
}
