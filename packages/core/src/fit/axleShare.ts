import type { DrawerThing } from './drawerThing.ts';
import type { Decision } from './reading.ts';

/** What a joint gets when pieces are handed out over all jobs at once. */
export interface AxleShare {
  readonly taskId: string;
  readonly jobId: string;
  readonly jobNumber: string;
  /** Whether the axles in it are long enough when their ends go. */
  readonly decision: Decision;
  /** Still to be put by for it. */
  readonly wanted: number;
  readonly given: readonly { readonly thing: Pick<DrawerThing, 'id' | 'name' | 'drawer'>; readonly amount: number }[];
  /** For so many nothing in the house is left that is long enough for sure. */
  readonly holes: number;
  /** Things that would serve, were they let go. */
  readonly locked: readonly string[];
}
