import type {
  AlterationGroup,
  BodyType,
  Drawing,
  JointKind,
  JointWay,
  ListedShare,
  Material,
  MeasuredSize,
  PartRole,
  PartShape,
  PartSizes,
  StateColour,
  Traces,
} from '@sardonyx/core';
import { Column, Entity, Index, Unique, type Relation } from 'typeorm';
import { References, VersionedRow } from './versionedRow.ts';

@Entity('maker')
export class MakerRow extends VersionedRow {
  @Column('text')
  name!: string;

  @Column('integer', { nullable: true })
  fromYear!: number | null;

  @Column('integer', { nullable: true })
  toYear!: number | null;

  @Column('text')
  about!: string;
}

@Entity('toy_range')
export class ToyRangeRow extends VersionedRow {
  @Column('text')
  makerId!: string;

  @Column('text')
  name!: string;

  @Column('text')
  about!: string;

  @References(() => MakerRow, 'makerId')
  maker?: Relation<MakerRow>;
}

@Unique(['rangeId', 'number'])
@Entity('casting')
export class CastingRow extends VersionedRow {
  @Column('text')
  rangeId!: string;

  @Column('text')
  number!: string;

  @Column('text')
  name!: string;

  @Column('text')
  bodyType!: BodyType;

  @Column('real')
  lengthMm!: number;

  @Column('real')
  wheelbaseMm!: number;

  @Column('text')
  construction!: string;

  @Column('text', { nullable: true })
  builtAs!: string | null;

  @Column('text', { nullable: true })
  listed!: ListedShare | null;

  @Column('text', { default: '' })
  history!: string;

  @Column('simple-json')
  drawing!: Drawing;

  @Column('simple-json', { default: '{}' })
  traces!: Traces;

  @References(() => ToyRangeRow, 'rangeId', 'RESTRICT')
  range?: Relation<ToyRangeRow>;
}

@Unique(['castingId', 'key'])
@Entity('casting_part')
export class CastingPartRow extends VersionedRow {
  @Column('text')
  castingId!: string;

  @Column('text')
  key!: string;

  @Column('text')
  name!: string;

  @Column('text')
  role!: PartRole;

  @Column('text')
  material!: Material;

  @Column('integer')
  count!: number;

  @Column('text', { default: 'strip' })
  shape!: PartShape;

  @Column('simple-json', { default: '{}' })
  sizes!: PartSizes;

  @Column('text')
  dependentBits!: string;

  @References(() => CastingRow, 'castingId')
  casting?: Relation<CastingRow>;
}

@Unique(['castingId', 'key'])
@Entity('joint')
export class JointRow extends VersionedRow {
  @Column('text')
  castingId!: string;

  @Column('text')
  key!: string;

  @Column('text')
  label!: string;

  @Column('text')
  kind!: JointKind;

  @Column('simple-json')
  partKeys!: string[];

  @Column('simple-json')
  ways!: JointWay[];

  @Column('simple-json', { nullable: true })
  behind!: string[] | null;

  @References(() => CastingRow, 'castingId')
  casting?: Relation<CastingRow>;
}

@Unique(['rangeId', 'key'])
@Entity('feature')
export class FeatureRow extends VersionedRow {
  @Column('text')
  rangeId!: string;

  @Column('text')
  key!: string;

  @Column('text')
  label!: string;

  @Column('text')
  howToLook!: string;

  @Column('text')
  partRole!: PartRole;

  @Column('integer')
  effort!: number;

  @Column('text', { default: '' })
  destroys!: string;

  @Column('text', { default: 'fitted part' })
  group!: AlterationGroup;

  @References(() => ToyRangeRow, 'rangeId')
  range?: Relation<ToyRangeRow>;
}

@Unique(['featureId', 'key'])
@Entity('feature_state')
export class FeatureStateRow extends VersionedRow {
  @Column('text')
  featureId!: string;

  @Column('text')
  key!: string;

  @Column('text')
  label!: string;

  @Column('text', { nullable: true })
  colourHex!: string | null;

  @Column('simple-json', { nullable: true })
  colour!: StateColour | null;

  @Column('simple-json', { nullable: true })
  size!: MeasuredSize | null;

  @Column('real', { nullable: true })
  fromYear!: number | null;

  @Column('real', { nullable: true })
  toYear!: number | null;

  @Column('simple-json')
  lookAlikes!: string[];

  @References(() => FeatureRow, 'featureId')
  feature?: Relation<FeatureRow>;
}

@Unique(['castingId', 'key'])
@Entity('variant')
export class VariantRow extends VersionedRow {
  @Column('text')
  castingId!: string;

  @Column('text')
  key!: string;

  @Column('text')
  name!: string;

  @Column('real')
  startEarliest!: number;

  @Column('real')
  startLatest!: number;

  @Column('real')
  endEarliest!: number;

  @Column('real')
  endLatest!: number;

  @Column('real')
  rarity!: number;

  @Column('text')
  rarityEvidence!: string;

  @Column('text', { nullable: true })
  foundOnId!: string | null;

  @References(() => CastingRow, 'castingId')
  casting?: Relation<CastingRow>;
}

@Entity('variant_state')
export class VariantStateRow extends VersionedRow {
  @Index()
  @Column('text')
  variantId!: string;

  @Column('text')
  featureId!: string;

  @Column('text')
  stateId!: string;

  @Column('real')
  share!: number;

  @Column('text', { default: '' })
  origin!: string;

  @References(() => VariantRow, 'variantId')
  variant?: Relation<VariantRow>;

  @References(() => FeatureRow, 'featureId')
  feature?: Relation<FeatureRow>;

  @References(() => FeatureStateRow, 'stateId')
  state?: Relation<FeatureStateRow>;
}

/** What may have happened to a model since it left the factory; the same for all ranges of the house. */
@Unique(['key'])
@Entity('history')
export class HistoryRow extends VersionedRow {
  @Column('text')
  key!: string;

  @Column('text')
  label!: string;

  @Column('real')
  prior!: number;

  @Column('simple-json')
  rates!: Record<AlterationGroup, number>;
}
