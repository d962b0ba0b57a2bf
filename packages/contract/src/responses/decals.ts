import type {
  DecalAct,
  DecalArtwork,
  DecalPlan,
  DecalSheet,
  DecalSize,
  DescribedDecal,
  FollowedOrder,
  LeftFeature,
  OrderReason,
  PrintedArtwork,
  PrinterScale,
  RatedSupplier,
} from '@sardonyx/core';

/** A decal that some open job plans, with what is known of it. */
export interface PlannedDecalView extends DescribedDecal {
  readonly layerId: string;
  readonly name: string;
  readonly jobId: string;
  readonly jobNumber: string;
  readonly specimenId: string;
  readonly partKey: string;
  readonly part: string;
  readonly area: string;
  /** From 1: which of the planned decals of its area. */
  readonly nth: number;
  /** What it lies on: the colour that is there, or is planned. */
  readonly body: { readonly name: string; readonly hex: string } | null;
  /** As somebody measured it, before there was an artwork. */
  readonly sizeMm: DecalSize | null;
  /** It lies over a joint: not before that is closed for good. */
  readonly crossesSeam: boolean;
  /** Its turn among the decals of its model, from 1, and why; null once it lies. */
  readonly turn: { readonly nth: number; readonly because: OrderReason | null } | null;
  /** The decals that its model left the works with, by the issue that it is or probably is. */
  readonly left: readonly LeftFeature[];
  /** Wants of a decal of its part that no planned decal is tied to yet. */
  readonly freeWants: readonly { readonly id: string; readonly what: string }[];
  /** What stands of its log. */
  readonly acts: readonly DecalAct[];
  readonly isPlaced: boolean;
  readonly plan: DecalPlan | null;
}

/** An order without the shapes of its artwork, which only its files need. */
export interface DecalOrderView extends Omit<FollowedOrder, 'artwork'> {
  readonly artwork: Omit<PrintedArtwork, 'shapes' | 'cutLine'>;
}

/** A printed sheet without the shapes of its artworks, which only its files need. */
export interface DecalSheetView extends Omit<DecalSheet, 'artworks'> {
  readonly artworks: readonly Omit<PrintedArtwork, 'shapes'>[];
}

/** A state of a feature of decals, which an artwork may show. */
export interface DecalState {
  readonly id: string;
  readonly label: string;
  readonly featureId: string;
  /** With its range: "Decal, Hand-Span". */
  readonly feature: string;
}

export interface DecalsView {
  /** The last wanted first. */
  readonly orders: readonly DecalOrderView[];
  /** What the sheets of each supplier were like. */
  readonly suppliers: readonly RatedSupplier[];
  /** What an artwork can belong to. */
  readonly states: readonly DecalState[];
  readonly artworks: readonly DecalArtwork[];
  readonly decals: readonly PlannedDecalView[];
  /** The last first. */
  readonly sheets: readonly DecalSheetView[];
  readonly printer: PrinterScale;
}
