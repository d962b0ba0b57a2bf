import {
  DECAL_TROUBLES,
  FILMS,
  PAPERS,
  QUARTERS,
  VIEW_KINDS,
  type DecalAct,
  type DecalTrouble,
  type DrawnElement,
  type Film,
  type Paper,
  type Quarter,
  type ViewKind,
} from '@sardonyx/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsObject,
  IsString,
  Matches,
  MaxLength,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
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

const COPIES = { message: 'How many in one set: a whole number from 1 to 20.' };
const COUNT = { message: 'How many pieces: a whole number from 1 to 200.' };
const PAPER_NAMES = Object.keys(PAPERS) as Paper[];

class ArtworkAsRead {
  @IsString() id!: string;
  @IsInt() version!: number;
}

export class ChangeArtwork extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty(NAMED) @MaxLength(120) name?: string;
  @IsChangedOrNull() @IsString() featureStateId?: string | null;
  @IsChanged() @IsString() @MaxLength(500) note?: string;
}

const WIDTH = { message: 'How wide what is printed is: 0.3 to 400 mm.' };

/** A picture of flat colours becomes an artwork. */
export class PictureOfArtwork {
  @IsNumber({}, WIDTH) @NotBelow(0.3, WIDTH) @NotAbove(400, WIDTH) widthMm!: number;
  /** Its white is the paper, and not printed. */
  @IsBoolean() isWhitePaper!: boolean;
}

const HEX = { message: 'A colour as #rrggbb.' };
const ON_DECAL = { message: 'A length or a place, mm.' };

class PointOfDecal {
  @IsNumber({}, ON_DECAL) @NotBelow(-500, ON_DECAL) @NotAbove(500, ON_DECAL) x!: number;
  @IsNumber({}, ON_DECAL) @NotBelow(-500, ON_DECAL) @NotAbove(500, ON_DECAL) y!: number;
  @IsBoolean() isBend!: boolean;
}

const isText = ({ kind }: Pick<DrawnElement, 'kind'>) => kind === 'text';
const isDrawn = ({ kind }: Pick<DrawnElement, 'kind'>) => kind !== 'text';

/** One element; which fields it has goes by its kind. */
class ElementOfDecal {
  @IsIn(['area', 'line', 'text']) kind!: DrawnElement['kind'];
  @Matches(/^#[0-9a-f]{6}$/, HEX) ink!: string;
  @ValidateIf(isDrawn)
  @IsArray()
  @ArrayMaxSize(400)
  @ValidateNested({ each: true })
  @Type(() => PointOfDecal)
  points?: PointOfDecal[];
  @ValidateIf(isDrawn) @IsNumber({}, ON_DECAL) @NotBelow(0, ON_DECAL) @NotAbove(50, ON_DECAL) strokeMm?: number;
  @ValidateIf(isText) @IsString() @MaxLength(200) text?: string;
  @ValidateIf(isText) @IsNumber({}, ON_DECAL) @NotBelow(-500, ON_DECAL) @NotAbove(500, ON_DECAL) x?: number;
  @ValidateIf(isText) @IsNumber({}, ON_DECAL) @NotBelow(-500, ON_DECAL) @NotAbove(500, ON_DECAL) y?: number;
  @ValidateIf(isText) @IsNumber({}, ON_DECAL) @NotBelow(0.2, ON_DECAL) @NotAbove(200, ON_DECAL) heightMm?: number;
  @ValidateIf((one: ElementOfDecal) => isText(one) && one.widthMm !== null)
  @IsNumber({}, ON_DECAL)
  @NotBelow(0.2, ON_DECAL)
  @NotAbove(400, ON_DECAL)
  widthMm?: number | null;
  @ValidateIf(isText) @IsBoolean() isBold?: boolean;
}

class DrawnByHand {
  @IsNumber({}, ON_DECAL) @NotBelow(0.3, ON_DECAL) @NotAbove(1000, ON_DECAL) widthMm!: number;
  @IsNumber({}, ON_DECAL) @NotBelow(0.3, ON_DECAL) @NotAbove(1000, ON_DECAL) heightMm!: number;
  @IsArray() @ArrayMaxSize(200) @ValidateNested({ each: true }) @Type(() => ElementOfDecal) elements!: ElementOfDecal[];
}

/** A decal as somebody traced it: a new artwork, or another version of one. */
export class TraceArtwork {
  @IsString() @IsNotEmpty(NAMED) @MaxLength(120) name!: string;
  @IsObject() @ValidateNested() @Type(() => DrawnByHand) drawn!: DrawnByHand;
  /** The artwork that it takes the place of, as it was read; null for a new one. */
  @OrNull() @IsObject() @ValidateNested() @Type(() => ArtworkAsRead) of!: ArtworkAsRead | null;
}

export class SizeArtwork {
  @IsNumber({}, A_NUMBER) widthMm!: number;
}

const PANEL = { message: 'A length in mm, above 0, at most 400.' };
const MARGIN = { message: 'Paint that should show round it: 0 to 20 mm.' };
const SPREAD = { message: 'How far it may be off: 0.01 to 5 mm.' };

const TURN = { message: 'Degrees from -180 to 180.' };
const ON_VIEW = { message: 'A place on the drawing, mm.' };

class PlaceOfDecal {
  @IsIn(VIEW_KINDS) view!: ViewKind;
  @IsNumber({}, ON_VIEW) @NotBelow(-500, ON_VIEW) @NotAbove(500, ON_VIEW) x!: number;
  @IsNumber({}, ON_VIEW) @NotBelow(-500, ON_VIEW) @NotAbove(500, ON_VIEW) y!: number;
  @IsNumber({}, TURN) @NotBelow(-180, TURN) @NotAbove(180, TURN) turnDegrees!: number;
}

class PanelMeasured {
  @IsNumber({}, PANEL) @NotBelow(0.5, PANEL) @NotAbove(400, PANEL) widthMm!: number;
  @IsNumber({}, PANEL) @NotBelow(0.5, PANEL) @NotAbove(400, PANEL) heightMm!: number;
  @IsNumber({}, SPREAD) @NotBelow(0.01, SPREAD) @NotAbove(5, SPREAD) sdMm!: number;
  @IsNumber({}, MARGIN) @NotBelow(0, MARGIN) @NotAbove(20, MARGIN) marginMm!: number;
}

export class CreateDecalPlan {
  @IsString() @IsNotEmpty() layerId!: string;
  @OrNull() @IsString() artworkId!: string | null;
  @IsInt(COPIES) @NotBelow(1, COPIES) @NotAbove(20, COPIES) copies!: number;
  @OrNull() @IsObject() @ValidateNested() @Type(() => PanelMeasured) panel!: PanelMeasured | null;
  @IsChangedOrNull() @IsObject() @ValidateNested() @Type(() => PlaceOfDecal) place?: PlaceOfDecal | null;
}

export class ChangeDecalPlan extends VersionedChange {
  @IsChangedOrNull() @IsString() artworkId?: string | null;
  @IsChanged() @IsInt(COPIES) @NotBelow(1, COPIES) @NotAbove(20, COPIES) copies?: number;
  @IsChangedOrNull() @IsObject() @ValidateNested() @Type(() => PanelMeasured) panel?: PanelMeasured | null;
  @IsChangedOrNull() @IsObject() @ValidateNested() @Type(() => PlaceOfDecal) place?: PlaceOfDecal | null;
}

class PieceOfSheet {
  @IsString() @IsNotEmpty() layerId!: string;
  @IsString() @IsNotEmpty() artworkId!: string;
  @IsNumber({}, A_NUMBER) x!: number;
  @IsNumber({}, A_NUMBER) y!: number;
  @IsIn(QUARTERS) turn!: Quarter;
}

const SOAK = { message: 'Seconds in water until it slid by itself: 1 to 900.' };

/** What happened to a piece while it was placed. */
export class LogDecal {
  @IsIn(['slid', 'trouble', 'lost', 'taken back']) act!: DecalAct['act'];
  @OrNull() @IsString() ofId!: string | null;
  @OrNull() @IsIn(DECAL_TROUBLES) trouble!: DecalTrouble | null;
  @OrNull() @IsNumber({}, SOAK) @NotBelow(1, SOAK) @NotAbove(900, SOAK) soakS!: number | null;
  @IsString() @IsNotEmpty({ message: 'Say who.' }) @MaxLength(80) who!: string;
  @IsString() @MaxLength(500) note!: string;
}

export class PrintSheet {
  @IsIn(PAPER_NAMES) paper!: Paper;
  @IsIn(FILMS) film!: Film;
  /** A print of the same film and paper, whose sheet is not used up. */
  @OrNull() @IsString() continuesId!: string | null;
  @IsArray()
  @ArrayMinSize(1, { message: 'Nothing lies on the sheet.' })
  @ArrayMaxSize(500)
  @ValidateNested({ each: true })
  @Type(() => PieceOfSheet)
  pieces!: PieceOfSheet[];
  @IsString() @IsNotEmpty({ message: 'Say who.' }) @MaxLength(80) who!: string;
}

/** Pieces are wanted of a supplier: as a want of their own, or as one that is there already. */
export class OrderDecal {
  @IsInt(COUNT) @NotBelow(1, COUNT) @NotAbove(200, COUNT) count!: number;
  @OrNull() @IsString() wantId!: string | null;
}

class RatingOfSheet {
  @OrNull() @IsBoolean() isSharp!: boolean | null;
  @OrNull() @IsBoolean() isInRegister!: boolean | null;
  @OrNull() @IsBoolean() isWhiteDense!: boolean | null;
  @OrNull() @IsBoolean() releasesWell!: boolean | null;
  @IsString() @MaxLength(300) note!: string;
}

export class ChangeDecalOrder extends VersionedChange {
  @IsChangedOrNull() @IsObject() @ValidateNested() @Type(() => RatingOfSheet) rating?: RatingOfSheet | null;
}

/** Whether a sheet did not come out. */
export class SpoilSheet {
  @IsBoolean() isSpoiled!: boolean;
}

export class MeasureRules {
  @IsNumber({}, A_NUMBER) alongMm!: number;
  @IsNumber({}, A_NUMBER) downMm!: number;
}
