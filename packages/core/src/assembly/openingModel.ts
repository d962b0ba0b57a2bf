/** What one certain damage is worth in minutes (planning estimate). */
export const RISK_WEIGHT_MIN = 60;

/** A part with the treatment it needs: what is treated alike may stay together. */
export interface ModelPart {
  readonly key: string;
  readonly treatment: string;
  /** Price of masking this part while it is in one piece with something that needs that treatment; absent: never. */
  readonly maskPrice: Readonly<Record<string, number>>;
}

/** One way to open a joint: price (minutes plus weighted expected loss) and what must be open or out of the way before. */
export interface ModelWay {
  readonly key: string;
  readonly price: number;
  readonly behindJoints: readonly string[];
  /** These parts must be out: every joint that touches them open. */
  readonly behindParts: readonly string[];
}

export interface ModelJoint {
  readonly key: string;
  readonly partKeys: readonly string[];
  readonly ways: readonly ModelWay[];
  /** Must be opened, or must stay closed, whatever it costs. */
  readonly wish?: 'open' | 'closed';
}

export interface OpeningModel {
  readonly parts: readonly ModelPart[];
  readonly joints: readonly ModelJoint[];
}

export interface PlannedOpening {
  readonly jointKey: string;
  readonly wayKey: string;
}

export interface OpeningPlan {
  /** In an order in which every step can be reached. */
  readonly steps: readonly PlannedOpening[];
  /** Of the steps and of the masking together. */
  readonly price: number;
  readonly maskingPrice: number;
  /** No plan is cheaper than this; equal to the price where the plan is proven best. */
  readonly lowerBound: number;
  readonly isProven: boolean;
}
