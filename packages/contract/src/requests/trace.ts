import {
  BENDS,
  isDrawingShape,
  TRACE_LINES,
  TRACED_SURFACES,
  type Bend,
  type DrawingShape,
  type TraceLine,
  type TracedSurface,
} from '@sardonyx/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsNotEmpty,
  IsNumber,
  IsObject,
  IsString,
  MaxLength,
  ValidateBy,
  ValidateNested,
} from 'class-validator';
import { A_NUMBER, NotAbove, NotBelow, OrNull, VersionedChange } from '../validation.ts';

class PlaceBody {
  @IsNumber({}, A_NUMBER) @NotBelow(-50) @NotAbove(700) x!: number;
  @IsNumber({}, A_NUMBER) @NotBelow(-50) @NotAbove(700) y!: number;
}

class TraceNodeBody extends PlaceBody {
  @IsIn(BENDS) bend!: Bend;
}

class TracedShapeBody {
  @IsString() @IsNotEmpty() partKey!: string;
  @IsIn(TRACED_SURFACES) surface!: TracedSurface;
  @IsIn(TRACE_LINES) line!: TraceLine;
  @IsString() @MaxLength(40) area!: string;
  @IsBoolean() isMirrored!: boolean;
  @IsArray() @ArrayMaxSize(600) @ValidateNested({ each: true }) @Type(() => TraceNodeBody) nodes!: TraceNodeBody[];
}

class PhotoFitBody {
  @IsString() @IsNotEmpty() photoId!: string;
  @IsNumber({}, A_NUMBER) a!: number;
  @IsNumber({}, A_NUMBER) b!: number;
  @IsNumber({}, A_NUMBER) dx!: number;
  @IsNumber({}, A_NUMBER) dy!: number;
  @IsBoolean() isMirrored!: boolean;
}

class AnchorBody extends PlaceBody {
  @IsString() @IsNotEmpty() featureKey!: string;
}

const IsArtwork = () =>
  ValidateBy(
    {
      name: 'isArtwork',
      validator: { validate: isDrawingShape, defaultMessage: () => '$property: a shape is path data of one part' },
    },
    { each: true },
  );

class JointPlaceBody extends PlaceBody {
  @IsString() @IsNotEmpty() jointKey!: string;
}

class TraceBody {
  @IsNumber({}, A_NUMBER) @NotBelow(1) @NotAbove(600) widthMm!: number;
  @IsNumber({}, A_NUMBER) @NotBelow(1) @NotAbove(600) heightMm!: number;
  @IsObject() @ValidateNested() @Type(() => PlaceBody) underAt!: PlaceBody;
  @OrNull() @IsObject() @ValidateNested() @Type(() => PhotoFitBody) photo!: PhotoFitBody | null;
  @IsArray() @ArrayMaxSize(200) @ValidateNested({ each: true }) @Type(() => TracedShapeBody) shapes!: TracedShapeBody[];
  @IsArray() @ArrayMaxSize(400) @IsArtwork() artwork!: DrawingShape[];
  @IsArray() @ArrayMaxSize(100) @ValidateNested({ each: true }) @Type(() => AnchorBody) anchors!: AnchorBody[];
  @IsArray() @ArrayMaxSize(60) @ValidateNested({ each: true }) @Type(() => JointPlaceBody) joints!: JointPlaceBody[];
}

/** One view of a casting as it was traced; null lays it out from its parts again. */
export class WriteTrace extends VersionedChange {
  @OrNull() @IsObject() @ValidateNested() @Type(() => TraceBody) trace!: TraceBody | null;
}
