import type {
  DecalAct,
  DecalArtwork,
  DecalPlan,
  DecalSheet,
  DecalSize,
  FoldRisk,
  FoundPanel,
  JudgedArtwork,
  OrderReason,
  PanelFit,
  PrinterScale,
  Soak,
  TimedStep,
} from '@sardonyx/core';

/** A decal that some open job plans, with what is known of it. */
export interface PlannedDecalView {
  readonly layerId: string;
  readonly name: string;
  readonly jobId: string;
  readonly jobNumber: string;
  readonly specimenId: string;
  readonly model: string;
  readonly partKey: string;
  readonly part: string;
  readonly area: string;
  /** From 1: which of the planned decals of its area. */
  readonly nth: number;
  /** What it lies on: the colour that is planned, or is there. */
  readonly body: { readonly name: string; readonly hex: string } | null;
  /** As somebody measured it, before there was an artwork. */
  readonly sizeMm: DecalSize | null;
  /** It lies over a joint: not before that is closed for good. */
  readonly crossesSeam: boolean;
  readonly panel: FoundPanel | null;
  /** Of its artwork on that panel; null without either. */
  readonly fit: PanelFit | null;
  /** How it is placed, where its artwork is known. */
  readonly placing: {
    readonly steps: readonly TimedStep[];
    readonly fold: FoldRisk;
    readonly soak: Soak;
    /** Its turn among the decals of its model, from 1, and why. */
    readonly turn: number;
    readonly because: OrderReason | null;
  } | null;
  /** Pieces that were printed and are not lost. */
  readonly inHand: number;
  readonly acts: readonly DecalAct[];
  readonly isPlaced: boolean;
  readonly plan: DecalPlan | null;
  /** Sets by how it will be placed. */
  readonly sets: number;
  readonly toPrint: number;
  /** What each film can do of its artwork on that colour; null without either. */
  readonly judged: JudgedArtwork | null;
}

export interface DecalsView {
  readonly artworks: readonly DecalArtwork[];
  readonly decals: readonly PlannedDecalView[];
  /** The last first. */
  readonly sheets: readonly DecalSheet[];
  readonly printer: PrinterScale;
}
