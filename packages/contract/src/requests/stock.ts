import {
  MOVES,
  STOCK_KIND_NAMES,
  STOCK_SIZES,
  STOCK_TRAITS,
  type Move,
  type StockKind,
  type StockSizes,
  type StockTraits,
} from '@sardonyx/core';
import { IsBoolean, IsIn, IsNotEmpty, IsNumber, IsString, MaxLength, ValidateBy } from 'class-validator';
import {
  A_NUMBER,
  IsChanged,
  IsChangedOrNull,
  NAMED,
  NotAbove,
  NotBelow,
  OrNull,
  VersionedChange,
} from '../validation.ts';
import { FILE_TAKES } from './colour.ts';

const MOST = 1_000_000;

/** A table by the names of a list; each value as it must be. */
function IsTableOf(names: readonly string[], isRight: (value: unknown) => boolean, message: string): PropertyDecorator {
  const validate = (value: unknown) =>
    typeof value === 'object' &&
    value !== null &&
    !Array.isArray(value) &&
    Object.entries(value).every(([name, one]) => names.includes(name) && isRight(one));
  return ValidateBy({ name: 'isTableOf', validator: { validate, defaultMessage: () => message } });
}

const AreSizes = () =>
  IsTableOf(
    STOCK_SIZES,
    (one) => typeof one === 'number' && one > 0 && one <= 2000,
    `Sizes are millimetres, above 0, at most 2000, of: ${STOCK_SIZES.join(', ')}.`,
  );
const AreTraits = () =>
  IsTableOf(
    STOCK_TRAITS,
    (one) => typeof one === 'string' && one !== '' && one.length <= 120,
    `What is said of it, up to 120 letters each, of: ${STOCK_TRAITS.join(', ')}.`,
  );

export class CreateThing {
  @IsIn(STOCK_KIND_NAMES) kind!: StockKind;
  @IsString() @IsNotEmpty(NAMED) @MaxLength(120) name!: string;
  @IsString() @MaxLength(40) drawer!: string;
  @AreSizes() sizes!: StockSizes;
  @AreTraits() traits!: StockTraits;
  @OrNull() @IsNumber({}, A_NUMBER) @NotBelow(0) @NotAbove(MOST) reorderAt!: number | null;
  @OrNull() @IsNumber({}, A_NUMBER) @NotBelow(1) @NotAbove(36_500) keepsDays!: number | null;
  @IsBoolean() isLocked!: boolean;
  @OrNull() @IsString() supplierId!: string | null;
  @IsString() @MaxLength(500) note!: string;
}

/** What kind of thing it is stays: its log counts in that kind's unit. */
export class ChangeThing extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty(NAMED) @MaxLength(120) name?: string;
  @IsChanged() @IsString() @MaxLength(40) drawer?: string;
  @IsChanged() @AreSizes() sizes?: StockSizes;
  @IsChanged() @AreTraits() traits?: StockTraits;
  @IsChangedOrNull() @IsNumber({}, A_NUMBER) @NotBelow(0) @NotAbove(MOST) reorderAt?: number | null;
  @IsChangedOrNull() @IsNumber({}, A_NUMBER) @NotBelow(1) @NotAbove(36_500) keepsDays?: number | null;
  @IsChanged() @IsBoolean() isLocked?: boolean;
  @IsChangedOrNull() @IsString() supplierId?: string | null;
  @IsChanged() @IsString() @MaxLength(500) note?: string;
}

const HOW_MUCH = { message: 'Say how much: a number.' };
const PRICE = { message: 'What all of it cost: a number.' };

/** A line of a thing's log; it is never changed afterwards. */
export class MoveStock {
  @IsIn(MOVES) move!: Move;
  @IsNumber({}, HOW_MUCH) @NotBelow(0) @NotAbove(MOST) amount!: number;
  @OrNull() @IsString() jobId!: string | null;
  /** The step that it is put by for. */
  @IsChangedOrNull() @IsString() taskId?: string | null;
  @OrNull() @IsNumber({}, PRICE) @NotBelow(0) @NotAbove(MOST) price!: number | null;
  @IsString() @MaxLength(80) batch!: string;
  @IsString() @IsNotEmpty({ message: 'Say who.' }) @MaxLength(80) who!: string;
  @IsString() @MaxLength(500) note!: string;
}

const DAYS = { message: 'How many days it takes by its word: a number from 0 to 365.' };

export class CreateSupplier {
  @IsString() @IsNotEmpty(NAMED) @MaxLength(80) name!: string;
  @IsNumber({}, DAYS) @NotBelow(0, DAYS) @NotAbove(365, DAYS) promisedDays!: number;
  @IsString() @MaxLength(500) note!: string;
}

export class ChangeSupplier extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty(NAMED) @MaxLength(80) name?: string;
  @IsChanged() @IsNumber({}, DAYS) @NotBelow(0, DAYS) @NotAbove(365, DAYS) promisedDays?: number;
  @IsChanged() @IsString() @MaxLength(500) note?: string;
}

/** Drawers as CSV. */
export class StockFile {
  @IsString() @IsNotEmpty({ message: 'The file is empty.' }) @MaxLength(6_000_000) text!: string;
  /** Only looked at; taken as a whole or not at all; or without its faulty lines. */
  @IsIn(FILE_TAKES) take!: (typeof FILE_TAKES)[number];
  @IsString() @IsNotEmpty({ message: 'Say who.' }) @MaxLength(80) who!: string;
}
