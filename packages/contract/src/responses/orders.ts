import type {
  DonorMatch,
  OrderLine,
  PartState,
  QualityLearned,
  StockOrder,
  Supplier,
  SupplierOrder,
} from '@sardonyx/core';

/** A line of an order, with the number of the job that it is for; null where for several, or a drawer. */
export interface OrderLineView extends OrderLine {
  readonly jobNumber: string | null;
}

export interface OrderView extends StockOrder {
  readonly lines: readonly OrderLineView[];
  /** ISO days; null when all of it has come. */
  readonly arrival: { readonly likelyOn: string; readonly surelyOn: string; readonly isOverdue: boolean } | null;
}

/** What a supplier's word is worth: days taken as a share of days promised, middle and 90 % interval of one order to come. */
export interface SupplierView extends Supplier {
  readonly delay: { readonly share: number; readonly low: number; readonly high: number; readonly orders: number };
  readonly quality: QualityLearned;
}

/** A want as it is told beside a donor's part. */
export interface TellingWant {
  readonly wantId: string;
  readonly what: string;
  readonly partName: string;
  readonly jobId: string;
  readonly jobNumber: string;
}

/** Which part of which donor serves which want. */
export interface DonorOffer extends TellingWant {
  readonly why: DonorMatch['why'];
  readonly part: { readonly id: string; readonly name: string; readonly donor: string; readonly state: PartState };
}

export interface DonorsView {
  readonly offers: readonly DonorOffer[];
  /** Wanted of donors, and none has it. */
  readonly unmet: readonly TellingWant[];
}

export interface OrdersView {
  readonly donors: DonorsView;
  /** ISO day on which this was worked out. */
  readonly today: string;
  /** What all open jobs and the drawers lack, by supplier; '' where nobody is known to have it. Days since 1970. */
  readonly lacking: readonly SupplierOrder[];
  /** What has not come, the first promised first. */
  readonly open: readonly OrderView[];
  /** What has, the last first. */
  readonly past: readonly OrderView[];
  readonly suppliers: readonly SupplierView[];
}
