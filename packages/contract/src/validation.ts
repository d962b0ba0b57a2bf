import 'reflect-metadata';
import { isDryingSheet, PART_SIZES } from '@sardonyx/core';
import { IsInt, Matches, ValidateBy, ValidateIf, type ValidationOptions } from 'class-validator';

/** The field may be left out, but when it is there it must pass its other checks: null does not slip through. */
export function IsChanged(options?: ValidationOptions): PropertyDecorator {
  return ValidateIf((_, value) => value !== undefined, options);
}

/** The field may be null; anything else must pass its other checks. */
export function OrNull(options?: ValidationOptions): PropertyDecorator {
  return ValidateIf((_, value) => value !== null, options);
}

/** The field may be left out or null; anything else must pass its other checks. */
export function IsChangedOrNull(options?: ValidationOptions): PropertyDecorator {
  return ValidateIf((_, value) => value !== undefined && value !== null, options);
}

export const A_NUMBER: ValidationOptions = { message: 'Give a number.' };
export const NAMED: ValidationOptions = { message: 'Name it.' };
export const WHOLE: ValidationOptions = { message: 'Give a whole number.' };

/** What is no number at all is for the check beside it to say: one plain word instead of two that contradict. */
const isBeyond = (value: unknown, isOver: (one: number) => boolean) => typeof value === 'number' && isOver(value);

export function NotBelow(least: number, options?: ValidationOptions): PropertyDecorator {
  const validate = (value: unknown) => !isBeyond(value, (one) => one < least);
  return ValidateBy(
    { name: 'notBelow', validator: { validate, defaultMessage: () => `Not below ${least}.` } },
    options,
  );
}

export function NotAbove(most: number, options?: ValidationOptions): PropertyDecorator {
  const validate = (value: unknown) => !isBeyond(value, (one) => one > most);
  return ValidateBy({ name: 'notAbove', validator: { validate, defaultMessage: () => `Not above ${most}.` } }, options);
}

/** L*, a*, b*: three numbers that a colour can have. */
export function IsLab(options?: ValidationOptions): PropertyDecorator {
  const isCoordinate = (one: unknown) => typeof one === 'number' && Math.abs(one) <= 150;
  const validate = (value: unknown) => Array.isArray(value) && value.length === 3 && value.every(isCoordinate);
  const defaultMessage = () => '$property: L*, a*, b* are wanted, three numbers each';
  return ValidateBy({ name: 'isLab', validator: { validate, defaultMessage } }, options);
}

/** Sizes of a part by their names, millimetres. */
export function IsPartSizes(options?: ValidationOptions): PropertyDecorator {
  const isSize = ([name, mm]: [string, unknown]) =>
    (PART_SIZES as readonly string[]).includes(name) && typeof mm === 'number' && mm >= 0.05 && mm <= 600;
  const validate = (value: unknown) =>
    typeof value === 'object' && value !== null && !Array.isArray(value) && Object.entries(value).every(isSize);
  const defaultMessage = () => `Sizes are millimetres, 0.05 to 600, of: ${PART_SIZES.join(', ')}.`;
  return ValidateBy({ name: 'isPartSizes', validator: { validate, defaultMessage } }, options);
}

/** Minutes of a product sheet, as the core reads them. */
export function IsDryingSheet(options?: ValidationOptions): PropertyDecorator {
  return ValidateBy({ name: 'isDryingSheet', validator: { validate: isDryingSheet } }, options);
}

/** A calendar day that exists, as YYYY-MM-DD, between 1900 and 2199. */
export function IsDay(): PropertyDecorator {
  return Matches(dayPattern(), { message: '$property must be a day that exists, written YYYY-MM-DD' });
}

/** Month lengths are spelled out (29 February always allowed by the pattern's shape only in leap years). */
function dayPattern(): RegExp {
  const year = '(19|20|21)\\d\\d';
  const leap = '((19|20|21)(0[48]|[2468][048]|[13579][26])|2000)';
  return new RegExp(
    `^(${year}-(0[13578]|1[02])-(0[1-9]|[12]\\d|3[01])|${year}-(0[469]|11)-(0[1-9]|[12]\\d|30)|${year}-02-(0[1-9]|1\\d|2[0-8])|${leap}-02-29)$`,
  );
}

/** Part of every PATCH: the version of the row that the change was made from. */
export class VersionedChange {
  @IsInt(WHOLE)
  @NotBelow(1)
  version!: number;
}
