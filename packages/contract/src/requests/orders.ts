import {
  QUALITIES,
  STOCK_KIND_NAMES,
  SUPPLY_NAMES,
  TOOL_KINDS,
  type Quality,
  type StockKind,
  type Supply,
  type ToolKind,
} from '@sardonyx/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsNotEmpty,
  IsNumber,
  IsObject,
  IsString,
  MaxLength,
  ValidateNested,
} from 'class-validator';
import {
  A_NUMBER,
  IsChanged,
  IsChangedOrNull,
  IsDay,
  NAMED,
  NotAbove,
  NotBelow,
  OrNull,
  VersionedChange,
} from '../validation.ts';

const MOST = 1_000_000;
const HOW_MUCH = { message: 'Say how much: a number above nothing.' };
const PRICE = { message: 'What all of it costs: a number.' };

class OrderedThing {
  @IsString() @IsNotEmpty({ message: 'Say what.' }) @MaxLength(160) what!: string;
  @IsNumber({}, HOW_MUCH) @NotBelow(0.001, HOW_MUCH) @NotAbove(MOST) amount!: number;
  @IsString() @MaxLength(20) unit!: string;
  @OrNull() @IsString() thingId!: string | null;
  @OrNull() @IsString() wantId!: string | null;
  @IsChangedOrNull() @IsString() bitId?: string | null;
  @OrNull() @IsIn(SUPPLY_NAMES) serves!: Supply | null;
  @OrNull() @IsString() @MaxLength(160) pot!: string | null;
  @OrNull() @IsIn(TOOL_KINDS) toolKind!: ToolKind | null;
  @OrNull() @IsString() jobId!: string | null;
  @OrNull() @IsNumber({}, PRICE) @NotBelow(0) @NotAbove(MOST) price!: number | null;
}

export class PlaceOrder {
  @IsString() supplierId!: string;
  @IsDay() orderedOn!: string;
  @IsDay() promisedOn!: string;
  @IsString() @MaxLength(500) note!: string;
  @IsArray()
  @ArrayMinSize(1, { message: 'Choose at least one line.' })
  @ArrayMaxSize(200)
  @ValidateNested({ each: true })
  @Type(() => OrderedThing)
  lines!: OrderedThing[];
}

export class ChangeOrder extends VersionedChange {
  @IsChanged() @IsDay() promisedOn?: string;
  @IsChanged() @IsString() @MaxLength(500) note?: string;
}

export class TakeFromDonor {
  @IsString() partId!: string;
  @IsString() @IsNotEmpty({ message: 'Say who.' }) @MaxLength(80) who!: string;
}

/** Where something that never lay in a drawer is put. */
class NewPlace {
  @IsIn(STOCK_KIND_NAMES) kind!: StockKind;
  @IsString() @IsNotEmpty(NAMED) @MaxLength(120) name!: string;
  @IsString() @MaxLength(40) drawer!: string;
}

/** A line that came, or that never will. */
export class ReceiveLine {
  @IsNumber({}, A_NUMBER) @NotBelow(0) @NotAbove(MOST) amount!: number;
  @IsIn(QUALITIES) quality!: Quality;
  @OrNull() @IsNumber({}, PRICE) @NotBelow(0) @NotAbove(MOST) price!: number | null;
  @IsString() @MaxLength(80) batch!: string;
  @IsString() @IsNotEmpty({ message: 'Say who.' }) @MaxLength(80) who!: string;
  @OrNull() @IsObject() @ValidateNested() @Type(() => NewPlace) putInto!: NewPlace | null;
}
