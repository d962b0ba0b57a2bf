import {
  BODY_TYPES,
  CONSTRUCTIONS,
  JOINT_KINDS,
  LISTED_SHARES,
  MATERIALS,
  PART_ROLES,
  PART_SHAPES,
  type BodyType,
  type JointKind,
  type ListedShare,
  type Material,
  type PartRole,
  type PartShape,
  type PartSizes,
} from '@sardonyx/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsString,
  Matches,
  MaxLength,
  ValidateNested,
} from 'class-validator';
import {
  IsChanged,
  IsChangedOrNull,
  IsPartSizes,
  NotAbove,
  NotBelow,
  OrNull,
  VersionedChange,
  WHOLE,
} from '../validation.ts';

const KEY = /^[a-z][a-z0-9-]{0,29}$/;

/** A part of a casting. The page makes its key; what it looks like follows from its role where nobody says. */
class BuiltPart {
  @Matches(KEY, { message: 'A part key is small letters, digits and hyphens.' }) key!: string;
  @IsString() @IsNotEmpty({ message: 'Name the part.' }) @MaxLength(60) name!: string;
  @IsIn(PART_ROLES) role!: PartRole;
  @IsIn(MATERIALS) material!: Material;
  @IsInt({ message: 'How many, as a whole number.' }) @NotBelow(1) @NotAbove(60) count!: number;
  @IsChanged() @IsIn(PART_SHAPES) shape?: PartShape;
  @IsChanged() @IsPartSizes() sizes?: PartSizes;
}

/** A joint of a casting. `behind`: what must be open before it, where somebody knows better than the construction. */
class BuiltJoint {
  @IsChanged() @Matches(KEY) key?: string;
  @IsString() @IsNotEmpty({ message: 'Name the joint.' }) @MaxLength(80) label!: string;
  @IsIn(JOINT_KINDS) kind!: JointKind;
  @IsArray()
  @ArrayMinSize(2, { message: 'A joint holds at least two parts.' })
  @IsString({ each: true })
  partKeys!: string[];
  @IsChangedOrNull() @IsArray() @ArrayMaxSize(60) @IsString({ each: true }) behind?: string[] | null;
}

/** What a casting is made of. */
class Built {
  @IsArray()
  @ArrayMinSize(1, { message: 'A casting has at least one part.' })
  @ArrayMaxSize(60)
  @ValidateNested({ each: true })
  @Type(() => BuiltPart)
  parts!: BuiltPart[];
  @IsArray()
  @ArrayMaxSize(60)
  @ValidateNested({ each: true })
  @Type(() => BuiltJoint)
  joints!: BuiltJoint[];
}

/** The short form: a casting of one's own with its parts and joints. */
export class CreateCasting extends Built {
  /** null: a range that is not in the catalogue yet, by its name; its maker may not be known. */
  @OrNull() @IsString() @IsNotEmpty() rangeId!: string | null;
  @IsChangedOrNull() @IsString() @IsNotEmpty({ message: 'Name the range.' }) @MaxLength(80) rangeName?: string | null;
  @IsChangedOrNull() @IsString() @MaxLength(80) makerName?: string | null;
  @Matches(/^[A-Za-z0-9/. -]{0,12}$/, { message: 'The number is up to 12 letters, digits, / . -' }) number!: string;
  @IsString() @IsNotEmpty({ message: 'Give the casting a name.' }) @MaxLength(80) name!: string;
  @IsIn(BODY_TYPES) bodyType!: BodyType;
  @IsNumber({}, { message: 'Length in mm, as a number.' }) @NotBelow(10) @NotAbove(600) lengthMm!: number;
  @IsNumber({}, { message: 'Wheelbase in mm, as a number.' }) @NotBelow(5) @NotAbove(500) wheelbaseMm!: number;
  @IsString() @MaxLength(500) construction!: string;
  @IsChangedOrNull() @IsIn(CONSTRUCTIONS.map(({ key }) => key)) builtAs?: string | null;
  @IsChangedOrNull() @IsIn(LISTED_SHARES) listed?: ListedShare | null;
}

/** Parts and joints of a casting as they are to be from now on, from the version of the casting that was changed. */
export class ChangeBuild extends Built {
  @IsInt(WHOLE) @NotBelow(1) version!: number;
}

export class ChangeCasting extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty({ message: 'Give the casting a name.' }) @MaxLength(80) name?: string;
  @IsChanged() @IsString() @MaxLength(500) construction?: string;
  @IsChanged() @IsString() @MaxLength(2000) history?: string;
  @IsChanged() @IsNumber({}, { message: 'Length in mm, as a number.' }) @NotBelow(10) @NotAbove(600) lengthMm?: number;
  @IsChanged()
  @IsNumber({}, { message: 'Wheelbase in mm, as a number.' })
  @NotBelow(5)
  @NotAbove(500)
  wheelbaseMm?: number;
  @IsChangedOrNull() @IsIn(LISTED_SHARES) listed?: ListedShare | null;
}
