import type {
  AreaKind,
  AreaOutline,
  AreaSize,
  Certainty,
  CoatingLayer,
  CoatHow,
  CoatOwner,
  DecalSize,
  FindingKind,
  FindingUnit,
  MendMethod,
  SettledBy,
  LayerKind,
  LayerStage,
  Material,
  MaterialCertainty,
  MeasuredSize,
  Origin,
  PartRole,
  PartState,
  SizeName,
  SourceCertainty,
  LayerRejection,
  WantBit,
  WantKind,
  WantState,
  WayToGet,
} from '@sardonyx/core';
import { Column, Entity, Index, Unique, type Relation } from 'typeorm';
import { CastingRow, FeatureRow, FeatureStateRow, VariantRow } from './catalogue.ts';
import { PaintProductRow } from './paint.ts';
import { JobRow } from './work.ts';
import { References, VersionedRow } from './versionedRow.ts';

@Entity('specimen')
export class SpecimenRow extends VersionedRow {
  @Index()
  @Column('text', { nullable: true })
  castingId!: string | null;

  @Index()
  @Column('text', { nullable: true })
  jobId!: string | null;

  @Column('text')
  name!: string;

  @Column('text')
  note!: string;

  @Column('boolean')
  isDonor!: boolean;

  @Column('text', { nullable: true })
  settledVariantId!: string | null;

  @Column('text', { nullable: true })
  settledBy!: SettledBy | null;

  /** Hash of the plan as it was stored last: most edits leave the plan as it is. */
  @Column('text', { select: false, default: '' })
  planFingerprint!: string;

  /** What that plan was made from, as JSON, to say what became different. */
  @Column('text', { select: false, default: '' })
  planInput!: string;

  /** What compiling had to say beyond the tasks. */
  @Column('simple-json', { default: '[]' })
  planNotices!: string[];

  @References(() => CastingRow, 'castingId', 'SET NULL')
  casting?: Relation<CastingRow>;

  @References(() => JobRow, 'jobId', 'SET NULL')
  job?: Relation<JobRow>;
}

@Entity('specimen_part')
export class SpecimenPartRow extends VersionedRow {
  @Index()
  @Column('text')
  specimenId!: string;

  @Column('text')
  key!: string;

  @Column('text')
  name!: string;

  @Column('text')
  role!: PartRole;

  @Column('text')
  material!: Material;

  @Column('text', { default: 'likely' })
  materialCertainty!: MaterialCertainty;

  @Column('text')
  state!: PartState;

  @Column('text')
  origin!: Origin;

  @Column('text')
  originNote!: string;

  @Column('text', { nullable: true })
  takenFromId!: string | null;

  @Column('boolean', { default: false })
  isKept!: boolean;

  @References(() => SpecimenRow, 'specimenId')
  specimen?: Relation<SpecimenRow>;
}

@Entity('area')
export class AreaRow extends VersionedRow {
  @Index()
  @Column('text')
  specimenPartId!: string;

  @Column('text')
  kind!: AreaKind;

  @Column('text')
  name!: string;

  @Column('boolean')
  crossesSeam!: boolean;

  @Column('real', { nullable: true })
  reliefUm!: number | null;

  @Column('simple-json', { nullable: true })
  size!: AreaSize | null;

  @Column('simple-json', { nullable: true })
  outline!: AreaOutline | null;

  @References(() => SpecimenPartRow, 'specimenPartId')
  specimenPart?: Relation<SpecimenPartRow>;
}

@Entity('coating_layer')
export class CoatingLayerRow extends VersionedRow {
  @Index()
  @Column('text')
  areaId!: string;

  @Column('text')
  stage!: LayerStage;

  @Column('integer')
  seq!: number;

  @Column('text')
  kind!: LayerKind;

  @Column('text')
  name!: string;

  @Column('text')
  colourHex!: string;

  @Column('real')
  thicknessUm!: number;

  @Column('text')
  thicknessOrigin!: CoatingLayer['thicknessOrigin'];

  @Column('text', { nullable: true })
  productId!: string | null;

  @Column('text', { default: 'unknown' })
  whose!: CoatOwner;

  @Column('real', { nullable: true })
  tempC!: number | null;

  @Column('text', { nullable: true })
  appliedAt!: string | null;

  @Column('text', { nullable: true })
  appliedBy!: string | null;

  @Column('text')
  note!: string;

  @Column('simple-json', { nullable: true })
  rejection!: LayerRejection | null;

  @Column('text', { nullable: true })
  removedAt!: string | null;

  @Column('text', { nullable: true })
  keyedAt!: string | null;

  @Column('integer', { nullable: true })
  coats!: number | null;

  @Column('boolean', { default: false })
  isMist!: boolean;

  @Column('simple-json', { nullable: true })
  how!: CoatHow | null;

  @Column('simple-json', { nullable: true })
  decalMm!: DecalSize | null;

  @References(() => AreaRow, 'areaId')
  area?: Relation<AreaRow>;

  @References(() => PaintProductRow, 'productId', 'SET NULL')
  product?: Relation<PaintProductRow>;
}

@Unique(['specimenId', 'featureId'])
@Entity('observation')
export class ObservationRow extends VersionedRow {
  @Column('text')
  specimenId!: string;

  @Column('text')
  featureId!: string;

  @Column('text', { nullable: true })
  stateId!: string | null;

  @Column('text')
  certainty!: Certainty;

  @Column('simple-json', { default: '[]' })
  captureIds!: string[];

  @Column('simple-json', { nullable: true })
  size!: MeasuredSize | null;

  @References(() => SpecimenRow, 'specimenId')
  specimen?: Relation<SpecimenRow>;

  @References(() => FeatureRow, 'featureId')
  feature?: Relation<FeatureRow>;

  @References(() => FeatureStateRow, 'stateId', 'SET NULL')
  state?: Relation<FeatureStateRow>;
}

@Unique(['specimenId', 'what'])
@Entity('measurement')
export class MeasurementRow extends VersionedRow {
  @Column('text')
  specimenId!: string;

  @Column('text')
  what!: SizeName;

  @Column('real')
  valueMm!: number;

  @Column('real')
  spreadMm!: number;

  @References(() => SpecimenRow, 'specimenId')
  specimen?: Relation<SpecimenRow>;
}

/** A dated statement about a casting, one of its variants, or one specimen. */
@Entity('dated_source')
export class SourceRow extends VersionedRow {
  @Index()
  @Column('text', { nullable: true })
  castingId!: string | null;

  @Column('text', { nullable: true })
  variantId!: string | null;

  @Index()
  @Column('text', { nullable: true })
  specimenId!: string | null;

  @Column('text')
  statement!: string;

  @Column('real', { nullable: true })
  fromYear!: number | null;

  @Column('real', { nullable: true })
  toYear!: number | null;

  @Column('text')
  origin!: string;

  @Column('text')
  certainty!: SourceCertainty;

  @References(() => CastingRow, 'castingId')
  casting?: Relation<CastingRow>;

  @References(() => VariantRow, 'variantId')
  variant?: Relation<VariantRow>;

  @References(() => SpecimenRow, 'specimenId')
  specimen?: Relation<SpecimenRow>;
}

@Entity('finding')
export class FindingRow extends VersionedRow {
  @Index()
  @Column('text')
  specimenPartId!: string;

  @Column('text')
  kind!: FindingKind;

  @Column('text', { default: '' })
  feature!: string;

  @Column('integer')
  severity!: number;

  @Column('text')
  note!: string;

  @Column('text', { nullable: true })
  pinnedTo!: string | null;

  @Column('real', { nullable: true })
  pinX!: number | null;

  @Column('real', { nullable: true })
  pinY!: number | null;

  @Column('real', { nullable: true })
  measuredValue!: number | null;

  @Column('text', { nullable: true })
  measuredUnit!: FindingUnit | null;

  @Column('boolean', { nullable: true })
  carriesLoad!: boolean | null;

  @Column('text', { nullable: true })
  mend!: MendMethod | null;

  @References(() => SpecimenPartRow, 'specimenPartId')
  specimenPart?: Relation<SpecimenPartRow>;
}

@Entity('want')
export class WantRow extends VersionedRow {
  @Index()
  @Column('text')
  specimenPartId!: string;

  @Column('text', { default: 'part' })
  kind!: WantKind;

  @Column('text', { default: '' })
  feature!: string;

  @Column('text')
  what!: string;

  @Column('simple-json', { default: '[]' })
  bits!: readonly WantBit[];

  @Column('text', { nullable: true })
  getBy!: WayToGet | null;

  @Column('text')
  state!: WantState;

  @Column('text')
  solution!: string;

  @Column('text', { nullable: true })
  origin!: Origin | null;

  @Column('text')
  reason!: string;

  @Column('text', { nullable: true })
  dueOn!: string | null;

  @Column('real', { nullable: true })
  price!: number | null;

  @Column('simple-json', { nullable: true })
  taken!: { readonly thingId: string; readonly amount: number } | null;

  @References(() => SpecimenPartRow, 'specimenPartId')
  specimenPart?: Relation<SpecimenPartRow>;
}
