import { plainToInstance } from 'class-transformer';
import { validate, type ValidationError } from 'class-validator';
import { badInput } from './errors.ts';

/** Nothing that is asked for has more. */
const MOST_LEVELS = 30;

const isDeeper = (value: unknown, levels: number): boolean =>
  typeof value === 'object' &&
  value !== null &&
  (levels === 0 || Object.values(value).some((one) => isDeeper(one, levels - 1)));

/** The body as an instance of its request class. Unknown fields are refused; every wrong field is named. */
export async function validateBody<T extends object>(type: new () => T, body: unknown): Promise<T> {
  if (typeof body !== 'object' || body === null || Array.isArray(body))
    throw badInput('The request has no readable body. Nothing was saved.');
  if (isDeeper(body, MOST_LEVELS)) throw badInput('What was sent is nested too deeply. Nothing was saved.');
  const instance = plainToInstance(type, body);
  const errors = await validate(instance, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true });
  if (errors.length === 0) return instance;
  const fields = Object.fromEntries(errors.flatMap((error) => flatten(error, '')));
  throw badInput(Object.values(fields).join(' '), fields);
}

function flatten(error: ValidationError, prefix: string): [string, string][] {
  const path = prefix ? `${prefix}.${error.property}` : error.property;
  const own = Object.values(error.constraints ?? {})[0];
  const children = (error.children ?? []).flatMap((child) => flatten(child, path));
  return own ? [[path, sentence(own)], ...children] : children;
}

const sentence = (text: string) => (/[.!?]$/.test(text) ? text : `${text}.`);
