import {
  BODY_TYPES,
  isDrawing,
  JOINT_KINDS,
  LISTED_SHARES,
  MATERIALS,
  PART_ROLES,
  PART_SHAPES,
  type BodyType,
  type Drawing,
  type JointKind,
  type JointWay,
  type ListedShare,
  type Material,
  type PartRole,
  type PartShape,
  type PartSizes,
} from '@sardonyx/core';
import { Type } from 'class-transformer';
import {
  Equals,
  IsArray,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsObject,
  IsString,
  MaxLength,
  ValidateBy,
  ValidateNested,
} from 'class-validator';
import { A_NUMBER, IsChanged, IsChangedOrNull, IsPartSizes, NotAbove, NotBelow, OrNull, WHOLE } from '../validation.ts';
import { CreateFeature, CreateFeatureState, CreateSource, CreateVariant } from './identify.ts';

/** A list of rows of one class. */
function Rows(type: () => new () => object): PropertyDecorator {
  return (target, key) => {
    IsArray()(target, key);
    ValidateNested({ each: true })(target, key);
    Type(type)(target, key);
  };
}

class FileMaker {
  @IsString() @IsNotEmpty() id!: string;
  @IsString() @IsNotEmpty() name!: string;
  @OrNull() @IsInt(WHOLE) fromYear!: number | null;
  @OrNull() @IsInt(WHOLE) toYear!: number | null;
  @IsString() about!: string;
}

class FileRange {
  @IsString() @IsNotEmpty() id!: string;
  @IsString() @IsNotEmpty() makerId!: string;
  @IsString() @IsNotEmpty() name!: string;
  @IsString() about!: string;
}

class FileFeature extends CreateFeature {
  @IsString() @IsNotEmpty() id!: string;
}

class FileState extends CreateFeatureState {
  @IsString() @IsNotEmpty() id!: string;
}

class FileCasting {
  @IsString() @IsNotEmpty() id!: string;
  @IsString() @IsNotEmpty() rangeId!: string;
  @IsString() @IsNotEmpty() number!: string;
  @IsString() @IsNotEmpty() name!: string;
  @IsIn(BODY_TYPES) bodyType!: BodyType;
  @IsNumber({}, A_NUMBER) lengthMm!: number;
  @IsNumber({}, A_NUMBER) wheelbaseMm!: number;
  @IsString() construction!: string;
  // Files of older versions say nothing of these.
  @IsChangedOrNull() @IsString() builtAs?: string | null;
  @IsChangedOrNull() @IsIn(LISTED_SHARES) listed?: ListedShare | null;
  @IsString() history!: string;
  @ValidateBy({ name: 'isDrawing', validator: { validate: isDrawing, defaultMessage: () => 'is no drawing' } })
  drawing!: Drawing;
}

class FileVariant extends CreateVariant {
  @IsString() @IsNotEmpty() id!: string;
}

class FileVariantState {
  @IsString() @IsNotEmpty() id!: string;
  @IsString() @IsNotEmpty() variantId!: string;
  @IsString() @IsNotEmpty() featureId!: string;
  @IsString() @IsNotEmpty() stateId!: string;
  @IsNumber({}, A_NUMBER) @NotBelow(0) @NotAbove(1) share!: number;
  // Files of older versions say nothing of it.
  @IsChanged() @IsString() @MaxLength(300) origin?: string;
}

class FileSource extends CreateSource {
  @IsString() @IsNotEmpty() id!: string;
}

class FilePart {
  @IsString() @IsNotEmpty() id!: string;
  @IsString() @IsNotEmpty() castingId!: string;
  @IsString() @IsNotEmpty() key!: string;
  @IsString() @IsNotEmpty() name!: string;
  @IsIn(PART_ROLES) role!: PartRole;
  @IsIn(MATERIALS) material!: Material;
  @IsInt(WHOLE) @NotBelow(1) @NotAbove(60) count!: number;
  @IsString() @MaxLength(300) dependentBits!: string;
  @IsChanged() @IsIn(PART_SHAPES) shape?: PartShape;
  @IsChanged() @IsPartSizes() sizes?: PartSizes;
}

class FileJoint {
  @IsString() @IsNotEmpty() id!: string;
  @IsString() @IsNotEmpty() castingId!: string;
  @IsString() @IsNotEmpty() key!: string;
  @IsString() @IsNotEmpty() label!: string;
  @IsIn(JOINT_KINDS) kind!: JointKind;
  @IsArray() @IsString({ each: true }) partKeys!: string[];
  @IsArray() @IsObject({ each: true }) ways!: JointWay[];
  @IsChangedOrNull() @IsArray() @IsString({ each: true }) behind?: string[] | null;
}

/** docs/formats/catalogue.schema.json */
export class CatalogueFile {
  @Equals('sardonyx-catalogue') format!: 'sardonyx-catalogue';
  @Equals(1) formatVersion!: 1;
  @Rows(() => FileMaker) makers!: FileMaker[];
  @Rows(() => FileRange) ranges!: FileRange[];
  @Rows(() => FileFeature) features!: FileFeature[];
  @Rows(() => FileState) states!: FileState[];
  @Rows(() => FileCasting) castings!: FileCasting[];
  @Rows(() => FileVariant) variants!: FileVariant[];
  @Rows(() => FileVariantState) variantStates!: FileVariantState[];
  @Rows(() => FileSource) sources!: FileSource[];
  @Rows(() => FilePart) parts!: FilePart[];
  @Rows(() => FileJoint) joints!: FileJoint[];
  /** Written out for others to read; a house keeps its own. */
  @IsArray() histories!: object[];
}
