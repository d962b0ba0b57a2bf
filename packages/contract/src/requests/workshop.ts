import {
  BATH_KINDS,
  INSTRUMENT_KINDS,
  PASS_RESULTS,
  SCHOOL_KEYS,
  STRIP_METHODS,
  TOOL_KINDS,
  TOOL_STATES,
  USUAL_THINGS,
  VESSEL_MATERIALS,
  type BathKind,
  type InstrumentKind,
  type PassResult,
  type StripMethod,
  type SchoolKey,
  type ToolKind,
  type ToolState,
  type VesselRecord,
} from '@sardonyx/core';
import { Type } from 'class-transformer';
import {
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsISO8601,
  IsNotEmpty,
  IsNumber,
  IsObject,
  IsString,
  Matches,
  MaxLength,
  ValidateNested,
} from 'class-validator';
import {
  A_NUMBER,
  IsChanged,
  IsChangedOrNull,
  NotAbove,
  NotBelow,
  OrNull,
  VersionedChange,
  WHOLE,
} from '../validation.ts';

export class CreateTool {
  @IsString() @IsNotEmpty({ message: 'Name the tool.' }) @MaxLength(80) name!: string;
  @IsIn(TOOL_KINDS) kind!: ToolKind;
  @IsIn(TOOL_STATES) state!: ToolState;
  @IsString() @MaxLength(300) note!: string;
}

export class ChangeTool extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty({ message: 'Name the tool.' }) @MaxLength(80) name?: string;
  @IsChanged() @IsIn(TOOL_STATES) state?: ToolState;
  @IsChanged() @IsString() @MaxLength(300) note?: string;
  @IsChanged() @IsString() @MaxLength(80) holds?: string;
}

const IN_EACH = { message: 'How much is in each, in ml: 0.1 to 1000.' };
const USUAL = (names: readonly { readonly name: string }[]) => names.map(({ name }) => name);

/** Things that many benches have and this one, too, by their names; so much is taken to be in each pot. */
export class TakeUsualThings {
  @IsArray() @IsIn(USUAL(USUAL_THINGS.tools), { each: true }) tools!: string[];
  @IsArray() @IsIn(USUAL(USUAL_THINGS.vessels), { each: true }) vessels!: string[];
  @IsArray() @IsIn(USUAL(USUAL_THINGS.paints), { each: true }) paints!: string[];
  @IsNumber({}, IN_EACH) @NotBelow(0.1, IN_EACH) @NotAbove(1000, IN_EACH) leftMl!: number;
  /** Who looked what is there. */
  @IsChanged() @IsString() @MaxLength(80) who?: string;
}

const SIZE = { message: 'Inside, in mm, above 0.' };

export class CreateVessel {
  @IsString() @IsNotEmpty({ message: 'Name the vessel.' }) @MaxLength(80) name!: string;
  @IsIn(VESSEL_MATERIALS) material!: VesselRecord['material'];
  @IsNumber({}, SIZE) @NotBelow(5, SIZE) @NotAbove(1000) lengthMm!: number;
  @IsNumber({}, SIZE) @NotBelow(5, SIZE) @NotAbove(1000) widthMm!: number;
  @IsNumber({}, SIZE) @NotBelow(5, SIZE) @NotAbove(1000) depthMm!: number;
  @IsBoolean() isRound!: boolean;
}

export class ChangeVessel extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty({ message: 'Name the vessel.' }) @MaxLength(80) name?: string;
  @IsChanged() @IsNumber({}, SIZE) @NotBelow(5, SIZE) @NotAbove(1000) lengthMm?: number;
  @IsChanged() @IsNumber({}, SIZE) @NotBelow(5, SIZE) @NotAbove(1000) widthMm?: number;
  @IsChanged() @IsNumber({}, SIZE) @NotBelow(5, SIZE) @NotAbove(1000) depthMm?: number;
}

export class CreateBath {
  @IsString() @IsNotEmpty({ message: 'Choose the vessel.' }) vesselId!: string;
  @IsIn(BATH_KINDS) kind!: BathKind;
  @IsNumber({}, A_NUMBER) @NotBelow(0.05) @NotAbove(50) litres!: number;
  @IsNumber({}, A_NUMBER) @NotBelow(0) @NotAbove(500) gramsPerLitre!: number;
  @IsNumber({}, A_NUMBER) @NotBelow(0) @NotAbove(60) waterC!: number;
  @IsISO8601({ strict: true }) madeAt!: string;
}

export class ChangeBath extends VersionedChange {
  /** Topped up: what stands in the vessel now, and how strong. */
  @IsChanged() @IsNumber({}, A_NUMBER) @NotBelow(0.05) @NotAbove(50) litres?: number;
  @IsChanged() @IsNumber({}, A_NUMBER) @NotBelow(0) @NotAbove(500) gramsPerLitre?: number;
  @IsChangedOrNull() @IsISO8601({ strict: true }) endedAt?: string | null;
}

class DippedSize {
  @IsNumber({}, A_NUMBER) @NotBelow(1) @NotAbove(1000) lengthMm!: number;
  @IsNumber({}, A_NUMBER) @NotBelow(1) @NotAbove(1000) widthMm!: number;
  @IsNumber({}, A_NUMBER) @NotBelow(1) @NotAbove(1000) heightMm!: number;
  @IsNumber({}, A_NUMBER) @NotBelow(0) @NotAbove(5000) volumeMl!: number;
}

/** Stripper goes on, or the part goes in: a pass begins, with its own clock. */
export class BeginPass {
  @IsString() @IsNotEmpty() taskId!: string;
  @IsString() @IsNotEmpty() specimenPartId!: string;
  @IsIn(STRIP_METHODS) method!: StripMethod;
  @IsInt(WHOLE) @NotBelow(1) @NotAbove(20) layers!: number;
  @OrNull() @IsString() bathId!: string | null;
  @IsNumber({}, A_NUMBER)
  @NotBelow(0.1, { message: 'At least some seconds.' })
  @NotAbove(240, { message: 'At most four hours: it is watched.' })
  minutes!: number;
  @OrNull() @IsObject() @ValidateNested() @Type(() => DippedSize) size!: DippedSize | null;
  @IsString() @IsNotEmpty({ message: 'Say who does it.' }) @MaxLength(80) who!: string;
}

export class EndPass {
  @IsIn(PASS_RESULTS) result!: PassResult;
}

/** Loopback only: an instrument stands on this bench. */
const LOOPBACK = /^http:\/\/(127\.0\.0\.1|localhost|\[::1\])(:\d{1,5})?(\/[\w\-./]*)?$/;

/** Whether an address is one that an instrument may be asked at. */
export const isOnThisMachine = (url: string): boolean => LOOPBACK.test(url);

/** Empty, or an address on this machine. */
const IsInstrumentUrl = () =>
  Matches(new RegExp(`^$|${LOOPBACK.source}`), { message: 'An address on this machine: http://127.0.0.1:PORT/…' });

export class CreateInstrument {
  @IsString() @IsNotEmpty({ message: 'Name the instrument.' }) @MaxLength(80) name!: string;
  @IsIn(INSTRUMENT_KINDS) kind!: InstrumentKind;
  @IsIn(['simulated', 'endpoint']) source!: 'simulated' | 'endpoint';
  @IsString() @MaxLength(200) @IsInstrumentUrl() url!: string;
}

export class ChangeInstrument extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty({ message: 'Name the instrument.' }) @MaxLength(80) name?: string;
  @IsChanged() @IsIn(['simulated', 'endpoint']) source?: 'simulated' | 'endpoint';
  @IsChanged() @IsString() @MaxLength(200) @IsInstrumentUrl() url?: string;
}

/** The dial of the simulated oven; null switches it off. */
export class TurnDial {
  @OrNull() @IsNumber({}, A_NUMBER) @NotBelow(30) @NotAbove(230) setC!: number | null;
}

/** What the house answers to one school. */
export class CreateHouseChoice {
  @IsIn(SCHOOL_KEYS) school!: SchoolKey;
  @IsString() @IsNotEmpty() @MaxLength(60) option!: string;
  @IsString() @IsNotEmpty({ message: 'Give the reason: it stands in every plan.' }) @MaxLength(300) reason!: string;
}

export class ChangeHouseChoice extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty() @MaxLength(60) option?: string;
  @IsChanged()
  @IsString()
  @IsNotEmpty({ message: 'Give the reason: it stands in every plan.' })
  @MaxLength(300)
  reason?: string;
}
