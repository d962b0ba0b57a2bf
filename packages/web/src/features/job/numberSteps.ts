import type { Task } from '@sardonyx/core';

/** Which numbers stand on a part: each step stands on the part that comes off or goes on at it (the last one it names). */
export function numberSteps(
  steps: readonly Task[],
  parts: readonly { readonly key: string }[],
): Record<string, string> {
  const marks: Record<string, string> = {};
  steps.forEach((task, i) => {
    const key = [...task.partKeys].reverse().find((candidate) => parts.some((part) => part.key === candidate));
    if (key) marks[key] = marks[key] ? `${marks[key]},${i + 1}` : String(i + 1);
  });
  return marks;
}
