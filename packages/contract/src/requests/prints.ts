import { MESH_AXES, type MeshAxis } from '@sardonyx/core';
import { Type } from 'class-transformer';
import {
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
import { A_NUMBER, IsChanged, NAMED, NotAbove, NotBelow, OrNull, VersionedChange } from '../validation.ts';

const SIZE = { message: 'A length in mm, above 0, at most 1000; empty where it may be as it comes out.' };

/** Each of three lengths, or nothing. */
const IsWanted = (): PropertyDecorator =>
  ValidateBy({ name: 'isWanted', validator: { validate: isWanted, defaultMessage: () => SIZE.message } });
const isWanted = (value: unknown): boolean =>
  Array.isArray(value) &&
  value.length === 3 &&
  value.every((mm) => mm === null || (typeof mm === 'number' && mm > 0 && mm <= 1000));

export class ChangePrint extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty(NAMED) @MaxLength(120) name?: string;
  @IsChanged() @IsWanted() wanted?: [number | null, number | null, number | null];
  @IsChanged() @IsString() @MaxLength(80) resin?: string;
  @IsChanged() @IsString() @MaxLength(500) note?: string;
}

class MeasureOfPrint {
  @IsIn(MESH_AXES) axis!: MeshAxis;
  @IsNumber({}, SIZE) @NotBelow(0.05, SIZE) @NotAbove(1000, SIZE) mm!: number;
  @IsNumber({}, A_NUMBER) @NotBelow(0) @NotAbove(1) sdMm!: number;
}

const COPIES = { message: 'How many copies: a whole number from 1 to 500.' };

export class LogPrint {
  @IsInt(COPIES) @NotBelow(1, COPIES) @NotAbove(500, COPIES) copies!: number;
  @IsString() @MaxLength(200) cure!: string;
  @OrNull() @IsObject() @ValidateNested() @Type(() => MeasureOfPrint) measure!: MeasureOfPrint | null;
  @OrNull() @IsNumber({}, { message: 'What all of it cost: a number.' }) @NotBelow(0) @NotAbove(100_000) price!:
    number | null;
  @OrNull() @IsString() wantId!: string | null;
  @OrNull() @IsString() thingId!: string | null;
  @IsString() @IsNotEmpty({ message: 'Say who.' }) @MaxLength(80) who!: string;
  @IsString() @MaxLength(500) note!: string;
}
