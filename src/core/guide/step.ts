import type { Wire } from '../bill/wire-list';

/** One thing to do, and why. The key stays the same however it is worded: what is ticked is kept by it. */
export interface Step {
  key: string;
  does: string;
  why: string;
  /** The joint it makes. */
  wire?: Wire;
}

/** Steps one after another that have the same reason, so that it stands once. */
export function byReason(steps: readonly Step[]): { why: string; steps: Step[] }[] {
  const groups: { why: string; steps: Step[] }[] = [];
  for (const step of steps) {
    const last = groups.at(-1);
    if (last?.why === step.why) last.steps.push(step);
    else groups.push({ why: step.why, steps: [step] });
  }
  return groups;
}
