import {
  JOINT_CONDITIONS,
  JOINT_KINDS,
  JOINT_WISHES,
  PHOTO_SIDES,
  type JointCondition,
  type JointKind,
  type JointWish,
  type PhotoSide,
} from '@sardonyx/core';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsIn,
  IsNotEmpty,
  IsString,
  MaxLength,
} from 'class-validator';
import { IsChanged, IsChangedOrNull, OrNull, VersionedChange } from '../validation.ts';

/** Wants one joint opened, or left closed, whatever is cheaper. */
export class CreateJointWish {
  @IsString() @IsNotEmpty() specimenId!: string;
  @IsString() @IsNotEmpty() @MaxLength(130) jointKey!: string;
  @IsIn(JOINT_WISHES) wish!: JointWish;
  @IsString() @MaxLength(300) reason!: string;
}

export class ChangeJointWish extends VersionedChange {
  @IsChanged() @IsIn(JOINT_WISHES) wish?: JointWish;
  @IsChanged() @IsString() @MaxLength(300) reason?: string;
}

/** How a joint was found, where it does not hold as the factory made it. */
export class CreateJointCondition {
  @IsString() @IsNotEmpty() specimenId!: string;
  @IsString() @IsNotEmpty() @MaxLength(130) jointKey!: string;
  @IsIn(JOINT_CONDITIONS) condition!: JointCondition;
  @IsString() @MaxLength(300) note!: string;
}

export class ChangeJointCondition extends VersionedChange {
  @IsChanged() @IsIn(JOINT_CONDITIONS) condition?: JointCondition;
  @IsChanged() @IsString() @MaxLength(300) note?: string;
}

/** A joint that only came to light while opening. */
export class CreateFoundJoint {
  @IsString() @IsNotEmpty() specimenId!: string;
  @IsIn(JOINT_KINDS) kind!: JointKind;
  @IsString() @IsNotEmpty({ message: 'Name the joint: "tab under the seat".' }) @MaxLength(80) label!: string;
  @IsArray()
  @ArrayMinSize(2, { message: 'A joint holds two parts or more.' })
  @ArrayMaxSize(6)
  @ArrayUnique({ message: 'A joint holds two different parts.' })
  @IsString({ each: true })
  partKeys!: string[];
}

/** How one part came off. */
export class CreateComingOff {
  @IsString() @IsNotEmpty() specimenPartId!: string;
  @IsIn(PHOTO_SIDES) fromSide!: PhotoSide;
  @IsString() @MaxLength(500) note!: string;
  @OrNull() @IsString() photoId!: string | null;
}

export class ChangeComingOff extends VersionedChange {
  @IsChanged() @IsIn(PHOTO_SIDES) fromSide?: PhotoSide;
  @IsChanged() @IsString() @MaxLength(500) note?: string;
  @IsChangedOrNull() @IsString() photoId?: string | null;
}
