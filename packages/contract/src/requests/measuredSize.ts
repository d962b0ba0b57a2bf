import { SIZE_UNITS, type MeasuredSize, type SizeUnit } from '@sardonyx/core';
import { IsIn, IsNumber, IsPositive } from 'class-validator';
import { NotAbove } from '../validation.ts';

const SIZE_WORDS = { message: 'A number above 0, of mm or grams.' };

/** A length or a mass as it was measured. */
export class MeasuredSizeBody implements MeasuredSize {
  @IsNumber({}, SIZE_WORDS) @IsPositive(SIZE_WORDS) @NotAbove(10000, SIZE_WORDS) value!: number;
  @IsIn(SIZE_UNITS) unit!: SizeUnit;
  @IsNumber({}, SIZE_WORDS) @IsPositive(SIZE_WORDS) @NotAbove(1000, SIZE_WORDS) sd!: number;
}
