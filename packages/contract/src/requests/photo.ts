import { PHOTO_MEASURES, PHOTO_SIDES, PHOTO_STAGES, type PhotoMeasureKind, type PhotoSide } from '@sardonyx/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsNotEmpty,
  IsNumber,
  IsString,
  MaxLength,
  ValidateNested,
} from 'class-validator';
import { A_NUMBER, IsChanged, IsChangedOrNull, NotAbove, NotBelow, OrNull, VersionedChange } from '../validation.ts';

export class PointBody {
  @IsNumber({}, A_NUMBER) @NotBelow(-100_000) @NotAbove(100_000) x!: number;
  @IsNumber({}, A_NUMBER) @NotBelow(-100_000) @NotAbove(100_000) y!: number;
}

class ControlPointBody {
  @ValidateNested() @Type(() => PointBody) pixel!: PointBody;
  @ValidateNested() @Type(() => PointBody) mm!: PointBody;
}

class PhotoControlBody {
  @IsString() @IsNotEmpty() @MaxLength(80) name!: string;
  @IsArray()
  @ArrayMinSize(4, { message: 'Four points are needed to straighten a picture.' })
  @ArrayMaxSize(60)
  @ValidateNested({ each: true })
  @Type(() => ControlPointBody)
  points!: ControlPointBody[];
}

export class ChangePhoto extends VersionedChange {
  @IsChanged() @IsIn(PHOTO_STAGES) stage?: (typeof PHOTO_STAGES)[number];
  @IsChanged() @IsIn(PHOTO_SIDES) side?: PhotoSide;
  @IsChanged() @IsString() @MaxLength(300) caption?: string;
  @IsChangedOrNull() @ValidateNested() @Type(() => PhotoControlBody) control?: PhotoControlBody | null;
}

/** The words that travel beside an uploaded picture. */
export class DescribePhoto {
  @IsString() @IsNotEmpty() jobId!: string;
  @IsIn(PHOTO_STAGES) stage!: (typeof PHOTO_STAGES)[number];
  @IsIn(PHOTO_SIDES) side!: PhotoSide;
  @IsString() @MaxLength(300) caption!: string;
}

/** Something measured on a straightened photo; its value is worked out from the points. */
export class CreatePhotoMeasure {
  @IsString() @IsNotEmpty() photoId!: string;
  @IsIn(PHOTO_MEASURES) kind!: PhotoMeasureKind;
  @IsString() @IsNotEmpty({ message: 'Say what is measured.' }) @MaxLength(80) label!: string;
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(24)
  @ValidateNested({ each: true })
  @Type(() => PointBody)
  points!: PointBody[];
  @IsNumber({}, { message: 'How much nearer, in mm, as a number.' }) @NotBelow(-200) @NotAbove(200) nearerMm!: number;
  @OrNull() @IsNumber({}, { message: 'The distance in mm, as a number.' }) @NotBelow(30) @NotAbove(10_000) distanceMm!:
    number | null;
}

export class ChangePhotoMeasure extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty() @MaxLength(80) label?: string;
  @IsChanged() @IsNumber({}, A_NUMBER) @NotBelow(-200) @NotAbove(200) nearerMm?: number;
  @IsChangedOrNull() @IsNumber({}, A_NUMBER) @NotBelow(30) @NotAbove(10_000) distanceMm?: number | null;
}
