import type {
  ArtworkSize,
  DecalAct,
  DecalPlace,
  DecalRating,
  DrawnDecal,
  DecalTrouble,
  Film,
  InkShape,
  InkShare,
  MeasuredPanel,
  MeasuredRules,
  Paper,
  PrintedArtwork,
  PrinterScale,
  SheetPiece,
} from '@sardonyx/core';
import { Column, Entity, Index, PrimaryColumn, type Relation } from 'typeorm';
import { FeatureStateRow } from './catalogue.ts';
import { References, VersionedRow } from './versionedRow.ts';
import { CoatingLayerRow, WantRow } from './workpiece.ts';

/** Artwork as it was read out of a file: geometry and flat colours, nothing of the file's own text. */
@Entity('decal_artwork')
export class DecalArtworkRow extends VersionedRow {
  @Column('text')
  name!: string;

  @Column('text', { nullable: true })
  featureStateId!: string | null;

  @Column('real')
  widthMm!: number;

  @Column('real')
  heightMm!: number;

  @Column('text')
  sizeFrom!: ArtworkSize;

  @Column('simple-json')
  shapes!: readonly InkShape[];

  @Column('simple-json')
  cutLine!: readonly { readonly x: number; readonly y: number }[];

  @Column('simple-json')
  inkLine!: readonly { readonly x: number; readonly y: number }[];

  @Column('simple-json')
  inks!: readonly InkShare[];

  @Column('real')
  bareShare!: number;

  @Column('simple-json', { nullable: true })
  drawn!: DrawnDecal | null;

  @Column('text', { default: '' })
  note!: string;

  @References(() => FeatureStateRow, 'featureStateId', 'SET NULL')
  featureState?: Relation<FeatureStateRow>;
}

/** Which artwork a planned decal is. It goes with the plan. */
@Entity('decal_plan')
export class DecalPlanRow extends VersionedRow {
  @Index({ unique: true })
  @Column('text')
  layerId!: string;

  @Index()
  @Column('text', { nullable: true })
  artworkId!: string | null;

  @Column('integer', { default: 1 })
  copies!: number;

  @Column('simple-json', { nullable: true })
  panel!: MeasuredPanel | null;

  @Column('simple-json', { nullable: true })
  place!: DecalPlace | null;

  @References(() => CoatingLayerRow, 'layerId')
  layer?: Relation<CoatingLayerRow>;

  @References(() => DecalArtworkRow, 'artworkId', 'SET NULL')
  artwork?: Relation<DecalArtworkRow>;
}

/** Pieces that are wanted of a supplier: the want goes the way of all wants, and says when they are here. */
@Entity('decal_order')
export class DecalOrderRow extends VersionedRow {
  @Index()
  @Column('text')
  layerId!: string;

  @Index({ unique: true })
  @Column('text')
  wantId!: string;

  @Column('integer')
  count!: number;

  @Column('simple-json')
  artwork!: PrintedArtwork;

  @Column('simple-json', { nullable: true })
  rating!: DecalRating | null;

  @References(() => CoatingLayerRow, 'layerId')
  layer?: Relation<CoatingLayerRow>;

  @References(() => WantRow, 'wantId')
  want?: Relation<WantRow>;
}

/** What happened to a piece while it was placed: written once. */
@Entity('decal_act')
export class DecalActRow {
  @PrimaryColumn('text')
  id!: string;

  @Index()
  @Column('text')
  layerId!: string;

  @Column('text')
  at!: string;

  @Column('text')
  who!: string;

  @Column('text')
  act!: DecalAct['act'];

  @Column('text', { nullable: true })
  ofId!: string | null;

  @Column('text', { nullable: true })
  trouble!: DecalTrouble | null;

  @Column('real', { nullable: true })
  soakS!: number | null;

  @Column('text', { nullable: true })
  film!: Film | null;

  @Column('real', { nullable: true })
  ageDays!: number | null;

  @Column('text', { default: '' })
  note!: string;
}

/** A sheet that was printed: written once, its rules measured afterwards. */
@Entity('decal_sheet')
export class DecalSheetRow {
  @PrimaryColumn('text')
  id!: string;

  @Column('text')
  at!: string;

  @Column('text')
  who!: string;

  @Column('text')
  paper!: Paper;

  @Column('text')
  film!: Film;

  @Column('text', { nullable: true })
  continuesId!: string | null;

  @Column('boolean', { default: false })
  isSpoiled!: boolean;

  @Column('simple-json')
  pieces!: readonly SheetPiece[];

  @Column('simple-json')
  artworks!: readonly PrintedArtwork[];

  @Column('simple-json')
  correctedBy!: PrinterScale;

  @Column('simple-json', { nullable: true })
  measured!: MeasuredRules | null;
}
