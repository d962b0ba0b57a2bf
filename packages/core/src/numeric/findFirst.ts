/** The first of `count` places from 0 on at which something holds that holds at all later ones too; `count` where it never does. */
export function findFirst(count: number, holds: (index: number) => boolean): number {
  let [low, high] = [0, count];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (holds(middle)) high = middle;
    else low = middle + 1;
  }
  return low;
}
