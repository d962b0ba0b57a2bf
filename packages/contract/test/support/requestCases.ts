import { plainToInstance } from 'class-transformer';
import { validate } from 'class-validator';
import { expect } from 'chai';

/** Names of the fields that are wrong in a request. */
export async function faultsOf(type: new () => object, body: object): Promise<string[]> {
  const faults = await validate(plainToInstance(type, body), { whitelist: true, forbidNonWhitelisted: true });
  return faults.map((fault) => fault.property).sort();
}

export interface RequestCase {
  readonly type: new () => object;
  readonly good: Record<string, unknown>;
  readonly wrong: readonly (readonly [field: string, value: unknown])[];
  /** Fields that may be left out. */
  readonly mayMiss?: readonly string[];
}

/** Every request takes what is right, names each wrong field, refuses what it does not know and misses nothing that is due. */
export function testRequests(cases: readonly RequestCase[]): void {
  for (const { type, good, wrong, mayMiss = [] } of cases) {
    it(`${type.name}: takes what is right, names each field that is wrong, refuses what it does not know`, async () => {
      expect(await faultsOf(type, good)).deep.equal([]);
      for (const [field, value] of wrong)
        expect(await faultsOf(type, { ...good, [field]: value }), `${field} ${String(value)}`).deep.equal([field]);
      expect(await faultsOf(type, { ...good, extra: 1 })).deep.equal(['extra']);
      for (const field of Object.keys(good).filter((one) => !mayMiss.includes(one)))
        expect(
          await faultsOf(type, Object.fromEntries(Object.entries(good).filter(([key]) => key !== field))),
          `without ${field}`,
        ).deep.equal([field]);
    });
  }
}
