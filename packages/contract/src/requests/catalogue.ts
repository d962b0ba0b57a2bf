import {
  BODY_TYPES,
  JOINT_KINDS,
  MATERIALS,
  PART_ROLES,
  type BodyType,
  type JointKind,
  type Material,
  type PartRole,
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
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { IsChanged, VersionedChange } from '../validation.ts';

class NewCastingPart {
  @Matches(/^[a-z][a-z0-9-]{0,29}$/, { message: 'A part key is small letters, digits and hyphens.' }) key!: string;
  @IsString() @IsNotEmpty({ message: 'Name the part.' }) @MaxLength(60) name!: string;
  @IsIn(PART_ROLES) role!: PartRole;
  @IsIn(MATERIALS) material!: Material;
  @IsInt() @Min(1) @Max(60) count!: number;
}

class NewJoint {
  @IsString() @IsNotEmpty({ message: 'Name the joint.' }) @MaxLength(80) label!: string;
  @IsIn(JOINT_KINDS) kind!: JointKind;
  @IsArray()
  @ArrayMinSize(2, { message: 'A joint holds at least two parts.' })
  @IsString({ each: true })
  partKeys!: string[];
}

/** The short form: a casting of one's own with its parts and joints. */
export class CreateCasting {
  @IsString() @IsNotEmpty() rangeId!: string;
  @Matches(/^[A-Za-z0-9/. -]{1,12}$/, { message: 'The number is up to 12 letters, digits, / . -' }) number!: string;
  @IsString() @IsNotEmpty({ message: 'Give the casting a name.' }) @MaxLength(80) name!: string;
  @IsIn(BODY_TYPES) bodyType!: BodyType;
  @IsNumber({}, { message: 'Length in mm, as a number.' }) @Min(10) @Max(600) lengthMm!: number;
  @IsNumber({}, { message: 'Wheelbase in mm, as a number.' }) @Min(5) @Max(500) wheelbaseMm!: number;
  @IsString() @MaxLength(500) construction!: string;
  @IsArray()
  @ArrayMinSize(1, { message: 'A casting has at least one part.' })
  @ArrayMaxSize(60)
  @ValidateNested({ each: true })
  @Type(() => NewCastingPart)
  parts!: NewCastingPart[];
  @IsArray()
  @ArrayMaxSize(60)
  @ValidateNested({ each: true })
  @Type(() => NewJoint)
  joints!: NewJoint[];
}

export class ChangeCasting extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty({ message: 'Give the casting a name.' }) @MaxLength(80) name?: string;
  @IsChanged() @IsString() @MaxLength(500) construction?: string;
  @IsChanged() @IsString() @MaxLength(2000) history?: string;
  @IsChanged() @IsNumber({}, { message: 'Length in mm, as a number.' }) @Min(10) @Max(600) lengthMm?: number;
  @IsChanged() @IsNumber({}, { message: 'Wheelbase in mm, as a number.' }) @Min(5) @Max(500) wheelbaseMm?: number;
}
