import { validate } from 'class-validator';
import { plainToInstance } from 'class-transformer';
import { expect } from 'chai';
import fc from 'fast-check';
import { ChangeJob, CreateCasting, CreateLayer, LogCoat, StartTimer } from './index.ts';

/** Fields that the class refuses, nested ones with their path. */
async function refusedFields<T extends object>(type: new () => T, body: object): Promise<string[]> {
  const errors = await validate(plainToInstance(type, body), { whitelist: true, forbidNonWhitelisted: true });
  return errors.map((error) => error.property).sort();
}

const coat = { areaId: 'a', productId: 'p', tempC: 20, appliedAt: '2026-11-25T18:00:00Z', who: 'Imke Varga', note: '' };

describe('request classes', () => {
  it('let a change leave fields out but not set them to null or nonsense', async () => {
    expect(await refusedFields(ChangeJob, { version: 1 })).deep.equal([]);
    expect(await refusedFields(ChangeJob, { version: 1, title: null })).deep.equal(['title']);
    expect(await refusedFields(ChangeJob, { version: 0 })).deep.equal(['version']);
    expect(await refusedFields(ChangeJob, { version: 1, signedOffAt: '2026-01-01' })).deep.equal(['signedOffAt']);
    expect(await refusedFields(ChangeJob, { version: 1, dueOn: null })).deep.equal([]);
  });

  it('take exactly the days that exist (property, against the calendar)', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 1900, max: 2199 }),
        fc.integer({ min: 0, max: 13 }),
        fc.integer({ min: 0, max: 32 }),
        async (year, month, day) => {
          const pad = (value: number) => String(value).padStart(2, '0');
          const date = new Date(Date.UTC(year, month - 1, day));
          const exists =
            date.getUTCFullYear() === year && date.getUTCMonth() === month - 1 && date.getUTCDate() === day;
          expect(await refusedFields(ChangeJob, { version: 1, dueOn: `${year}-${pad(month)}-${pad(day)}` })).deep.equal(
            exists ? [] : ['dueOn'],
          );
        },
      ),
      { numRuns: 1000 },
    );
  });

  it('want a real time and a possible temperature for a coat', async () => {
    expect(await refusedFields(LogCoat, coat)).deep.equal([]);
    expect(await refusedFields(LogCoat, { ...coat, appliedAt: '2026-02-30T10:00:00Z', tempC: 900 })).deep.equal([
      'appliedAt',
      'tempC',
    ]);
    expect(await refusedFields(LogCoat, { ...coat, productId: '', who: '' })).deep.equal(['productId', 'who']);
    expect(await refusedFields(LogCoat, { ...coat, tempC: Number.NaN })).deep.equal(['tempC']);
  });

  it('let only found and planned layers be written down; applied ones are logged', async () => {
    const layer = {
      areaId: 'a',
      stage: 'planned',
      seq: 0,
      kind: 'colour',
      name: 'Red',
      colourHex: '#aa2222',
      thicknessUm: 20,
      thicknessOrigin: 'measured',
      productId: null,
    };
    expect(await refusedFields(CreateLayer, layer)).deep.equal([]);
    expect(
      await refusedFields(CreateLayer, { ...layer, stage: 'applied', colourHex: 'red', thicknessUm: 0 }),
    ).deep.equal(['colourHex', 'stage', 'thicknessUm']);
  });

  it('look into the parts and joints of a casting', async () => {
    const casting = {
      rangeId: 'own',
      number: '4/2',
      name: 'Float',
      bodyType: 'van',
      lengthMm: 60,
      wheelbaseMm: 30,
      construction: '',
      parts: [{ key: 'body', name: 'Body', role: 'body', material: 'zinc alloy', count: 1 }],
      joints: [],
    };
    expect(await refusedFields(CreateCasting, casting)).deep.equal([]);
    expect(
      await refusedFields(CreateCasting, { ...casting, parts: [{ ...casting.parts[0], material: 'cheese' }] }),
    ).deep.equal(['parts']);
    expect(
      await refusedFields(CreateCasting, {
        ...casting,
        parts: [],
        joints: [{ label: '', kind: 'screw', partKeys: ['body'] }],
      }),
    ).deep.equal(['joints', 'parts']);
  });

  it('want a clock to have a length', async () => {
    const clock = { jobId: 'j', taskId: null, label: 'Gel', kind: 'soak', minutes: 25 };
    expect(await refusedFields(StartTimer, clock)).deep.equal([]);
    expect(await refusedFields(StartTimer, { ...clock, minutes: 0, kind: 'egg' })).deep.equal(['kind', 'minutes']);
  });
});
