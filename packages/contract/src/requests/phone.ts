import { PHOTO_SIDES, PHOTO_STAGES, STATIONS, type PhotoSide, type Station } from '@sardonyx/core';
import { IsIn, IsInt, IsNotEmpty, IsString, Matches, MaxLength } from 'class-validator';
import { NotAbove, NotBelow, OrNull, WHOLE } from '../validation.ts';

/** Lets phones in for so long. */
export class OpenPhoneDoor {
  @IsInt(WHOLE)
  @NotBelow(1)
  @NotAbove(12, { message: 'At most twelve hours: it is open for an evening.' })
  hours!: number;
}

/** What stands open on the bench; null while no job does. */
export class ShowToPhone {
  @OrNull() @IsString() @IsNotEmpty() jobId!: string | null;
  @IsIn(STATIONS) station!: Station;
}

/** From a phone: the number that the bench shows, and whose phone it is. */
export class EnterByPhone {
  @Matches(/^\d{6}$/, { message: 'Six digits, as the bench shows them.' }) pin!: string;
  @IsString()
  @IsNotEmpty({ message: 'Say whose phone it is: what it ticks is logged under this name.' })
  @MaxLength(60)
  who!: string;
}

/** A picture that comes in pieces, so many bytes in all, of what the phone shows. */
export class BeginPicture {
  @IsString() @IsNotEmpty() jobId!: string;
  @IsIn(PHOTO_STAGES) stage!: (typeof PHOTO_STAGES)[number];
  @IsInt(WHOLE) @NotBelow(1) @NotAbove(25 * 1024 * 1024, { message: 'At most 25 MB.' }) bytes!: number;
  @IsIn(PHOTO_SIDES) side!: PhotoSide;
}

/** The step that the phone shows is done. */
export class TickByPhone {
  @IsString() @IsNotEmpty() taskId!: string;
}
