import {
  CAPTURE_METHODS,
  CAPTURE_PLACES,
  DOSINGS,
  FINISHES,
  type DryingSheet,
  GEOMETRIES,
  MIX_WAYS,
  POT_MOVES,
  POUR_SOURCES,
  STEPS,
  type CaptureMethod,
  type CapturePlace,
  type Dosing,
  type Finish,
  type Geometry,
  type MixWay,
  type PaintProduct,
  type PotMovement,
  type Step,
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
  Matches,
  MaxLength,
  ValidateNested,
} from 'class-validator';
import {
  A_NUMBER,
  IsChanged,
  IsChangedOrNull,
  IsDay,
  IsDryingSheet,
  NotAbove,
  NotBelow,
  OrNull,
  VersionedChange,
} from '../validation.ts';
import { PointBody } from './photo.ts';

/** Exactly so many numbers between two bounds. */
function Numbers(count: number, low: number, high: number): PropertyDecorator {
  const message = `$property: ${count} numbers from ${low} to ${high} are wanted`;
  return (object, key) => {
    IsArray({ message })(object, key as string);
    ArrayMinSize(count, { message })(object, key as string);
    ArrayMaxSize(count, { message })(object, key as string);
    IsNumber({}, { each: true, message })(object, key as string);
    NotBelow(low, { each: true, message })(object, key as string);
    NotAbove(high, { each: true, message })(object, key as string);
  };
}
const Lab = () => Numbers(3, -150, 150);
export const Spread = () => Numbers(3, 0, 60);

const WHO = { message: 'Say who does it.' };

/** A colour of one part, as it was before the work. */
export class CreateCapture {
  @IsString() @IsNotEmpty() specimenPartId!: string;
  @IsIn(CAPTURE_PLACES) place!: CapturePlace;
  @IsString() @MaxLength(200) note!: string;
  @Lab() lab!: [number, number, number];
  @Spread() sd!: [number, number, number];
  @OrNull() @Numbers(31, 0, 1.2) spectrum!: number[] | null;
  @IsIn(GEOMETRIES) geometry!: Geometry;
  @IsIn(CAPTURE_METHODS) method!: CaptureMethod;
  @OrNull() @IsString() photoId!: string | null;
  @OrNull() @IsObject() @ValidateNested() @Type(() => PointBody) point!: PointBody | null;
  @IsString() @IsNotEmpty(WHO) @MaxLength(80) who!: string;
  /** The feature of the model that it answers. */
  @IsChangedOrNull() @IsString() answersId?: string | null;
}

class RecipeLineBody {
  @IsString() @IsNotEmpty() productId!: string;
  @IsString() @MaxLength(140) name!: string;
  @IsNumber({}, A_NUMBER) @NotBelow(0) @NotAbove(1000) ml!: number;
}

export class CreateMix {
  @IsString() @IsNotEmpty() jobId!: string;
  @OrNull() @IsString() specimenPartId!: string | null;
  @OrNull() @IsString() captureId!: string | null;
  @IsString() @IsNotEmpty({ message: 'Name what is mixed.' }) @MaxLength(80) name!: string;
  @Lab() target!: [number, number, number];
  @Lab() targetA!: [number, number, number];
  @IsIn(GEOMETRIES) geometry!: Geometry;
  @IsNumber({}, { message: 'How much is needed, in ml.' })
  @NotBelow(0.2, { message: 'At least 0.2 ml: less cannot be mixed.' })
  @NotAbove(200)
  needMl!: number;
  @IsNumber({}, A_NUMBER) @NotBelow(0.3) @NotAbove(10) tolerance!: number;
  @IsIn(DOSINGS) dosing!: Dosing;
  @IsNumber({}, A_NUMBER)
  @NotBelow(0.005, { message: 'A drop is 0.005 to 0.2 ml.' })
  @NotAbove(0.2, { message: 'A drop is 0.005 to 0.2 ml.' })
  doseMl!: number;
  @IsIn(MIX_WAYS) way!: MixWay;
  @IsArray()
  @ArrayMinSize(1, { message: 'A recipe has at least one paint.' })
  @ArrayMaxSize(5, { message: 'More than five paints turn to mud.' })
  @ValidateNested({ each: true })
  @Type(() => RecipeLineBody)
  recipe!: RecipeLineBody[];
}

export class LogPour {
  @IsString() @IsNotEmpty() productId!: string;
  @IsNumber({}, { message: 'How much went in, in ml.' })
  @NotBelow(0.001, { message: 'Something must have gone in.' })
  @NotAbove(200)
  ml!: number;
  @IsIn(POUR_SOURCES) source!: (typeof POUR_SOURCES)[number];
  @IsString() @IsNotEmpty(WHO) @MaxLength(80) who!: string;
}

class EyeWordBody {
  @IsIn(STEPS) step!: Step;
  @IsIn([1, -1]) way!: 1 | -1;
}

/** Lightness, red or green, yellow or blue; null where nobody judged by eye. */
function ThreeWords(): PropertyDecorator {
  return (object, key) => {
    for (const decorate of [
      OrNull(),
      IsArray(),
      ArrayMinSize(3),
      ArrayMaxSize(3),
      ValidateNested({ each: true }),
      Type(() => EyeWordBody),
    ])
      decorate(object, key as string);
  };
}

export class LogPatch {
  @Lab() lab!: [number, number, number];
  @Spread() sd!: [number, number, number];
  @IsIn(['spectrophotometer', 'by eye', 'typed']) how!: 'spectrophotometer' | 'by eye' | 'typed';
  @ThreeWords() words!: [EyeWordBody, EyeWordBody, EyeWordBody] | null;
  @IsString() @IsNotEmpty(WHO) @MaxLength(80) who!: string;
}

export class LogWet {
  @Lab() lab!: [number, number, number];
  @Spread() sd!: [number, number, number];
  @IsIn(['spectrophotometer', 'by eye']) how!: 'spectrophotometer' | 'by eye';
  @ThreeWords() words!: [EyeWordBody, EyeWordBody, EyeWordBody] | null;
  @IsString() @IsNotEmpty(WHO) @MaxLength(80) who!: string;
}

export class UndoStep {
  @IsString() @IsNotEmpty() stepId!: string;
  @IsString() @IsNotEmpty(WHO) @MaxLength(80) who!: string;
}

/** The mix becomes a pot of its own, and the colour that is planned for an area. */
export class KeepMix {
  @IsString() @IsNotEmpty({ message: 'Name the pot.' }) @MaxLength(60) name!: string;
  @IsString() @MaxLength(80) place!: string;
  @OrNull() @IsString() areaId!: string | null;
  @IsString() @IsNotEmpty(WHO) @MaxLength(80) who!: string;
}

const KINDS: readonly PaintProduct['kind'][] = ['primer', 'colour', 'clear', 'brightwork', 'powder'];
const BINDERS: readonly PaintProduct['binder'][] = ['enamel', 'acrylic', 'lacquer', 'ink', 'powder'];

/** A pot that comes onto the shelf; the rest is as such paints usually are and can be changed. */
export class AddPot {
  @IsString() @IsNotEmpty({ message: 'Name its line.' }) @MaxLength(60) line!: string;
  @IsString() @IsNotEmpty({ message: 'Name the paint.' }) @MaxLength(60) name!: string;
  @IsIn(KINDS) kind!: PaintProduct['kind'];
  @IsIn(BINDERS) binder!: PaintProduct['binder'];
  @IsIn(FINISHES) gloss!: Finish;
  @Matches(/^#[0-9a-f]{6}$/i, { message: 'A colour like #4d6378.' }) colourHex!: string;
  @IsNumber({}, { message: 'What is left, in ml.' }) @NotBelow(0) @NotAbove(5000) leftMl!: number;
  @IsString() @MaxLength(80) place!: string;
  /** Who looked how much is in it. */
  @IsChanged() @IsString() @MaxLength(80) who?: string;
}

/** How much is left follows from the pot's log. */
export class ChangePot extends VersionedChange {
  @IsChanged() @IsString() @MaxLength(80) place?: string;
  @IsChangedOrNull() @IsDay() openedOn?: string | null;
}

export class ChangeProduct extends VersionedChange {
  @IsChanged() @IsIn(FINISHES) gloss?: Finish;
  @IsChanged() @IsNumber({}, A_NUMBER) @NotBelow(0) @NotAbove(1000) pricePerMl?: number;
  @IsChanged() @IsNumber({}, A_NUMBER) @NotBelow(0.5) @NotAbove(5) densityGPerMl?: number;
  @IsChanged() @IsNumber({}, A_NUMBER) @NotBelow(0.005) @NotAbove(0.2) dropMl?: number;
  /** What its sheet says of drying; null: as its binder usually dries. */
  @IsChangedOrNull()
  @IsDryingSheet({
    message: 'Each act has its minutes: from, and to where it ends, in order; another coat has two windows at most.',
  })
  drying?: DryingSheet | null;
}

/** A line of a pot's log; it is never changed afterwards. */
export class MovePot {
  @IsIn(POT_MOVES) move!: PotMovement['move'];
  @IsNumber({}, { message: 'How much, in ml: a number.' }) @NotBelow(0) @NotAbove(5000) amount!: number;
  @OrNull() @IsString() jobId!: string | null;
  @OrNull() @IsNumber({}, { message: 'What all of it cost: a number.' }) @NotBelow(0) @NotAbove(100_000) price!:
    number | null;
  @IsString() @MaxLength(80) batch!: string;
  @IsString() @IsNotEmpty(WHO) @MaxLength(80) who!: string;
  @IsString() @MaxLength(500) note!: string;
}

/** A file brought onto the shelf: pots as CSV, spectra as CGATS text. */
export const FILE_TAKES = ['look', 'all', 'good lines'] as const;

export class ShelfFile {
  @IsIn(['csv', 'cgats']) format!: 'csv' | 'cgats';
  @IsString() @IsNotEmpty({ message: 'The file is empty.' }) @MaxLength(6_000_000) text!: string;
  @IsIn(GEOMETRIES) geometry!: Geometry;
  /** Only looked at; taken as a whole or not at all; or without its faulty lines. */
  @IsIn(FILE_TAKES) take!: (typeof FILE_TAKES)[number];
  @IsChanged() @IsString() @MaxLength(80) who?: string;
}

/** What lies under the instrument's head. */
export class MeasureColour {
  @IsIn(['part', 'patch', 'wet patch', 'pot']) what!: 'part' | 'patch' | 'wet patch' | 'pot';
  /** The part, the mix or the product. */
  @IsString() @IsNotEmpty() id!: string;
  @IsIn(CAPTURE_PLACES) place!: CapturePlace;
}

/** What the simulated hand is to pour; real scales only read. */
export class PourOnScales {
  @IsNumber({}, A_NUMBER) @NotBelow(0.001) @NotAbove(300) grams!: number;
}
