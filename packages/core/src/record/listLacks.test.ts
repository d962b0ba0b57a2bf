import { expect } from 'chai';
import type { JobRecord } from './jobRecord.ts';
import { listLacks } from './listLacks.ts';
import type { RecordCoat, RecordModel, RecordPart } from './modelRecord.ts';

type Told = Parameters<typeof listLacks>[0];

const coat = (changes: Partial<RecordCoat> = {}): RecordCoat =>
  ({ kind: 'colour', name: 'Slate', product: 'Own Slate', removedAt: null, rejection: null, ...changes }) as RecordCoat;
const part = (changes: Partial<RecordPart> = {}): RecordPart =>
  ({ name: 'Body', origin: 'original', state: 'sound', coatsApplied: [coat()], ...changes }) as RecordPart;
const model = (changes: Partial<RecordModel> = {}): RecordModel =>
  ({ name: 'Lorry', casting: {}, settledIssue: 'Grey', verdict: '', parts: [part()], ...changes }) as RecordModel;
const photos = (...shown: readonly string[]) =>
  shown.map((one) => {
    const [stage, side] = one.split(' ');
    return { stage, side };
  }) as unknown as JobRecord['photos'];
const told = (changes: Partial<Told> = {}): Told => ({
  models: [model()],
  photos: photos('before left', 'after left'),
  hours: { doneSteps: 3, timedSteps: 1 } as JobRecord['hours'],
  ...changes,
});
const keys = (changes: Partial<Told>) => listLacks(told(changes)).map(({ key }) => key);
const lacksOf = (changes: Partial<RecordPart>) => listLacks(told({ models: [model({ parts: [part(changes)] })] }));

describe('what a record lacks', () => {
  it('is nothing where everything is told', () => expect(listLacks(told())).deep.equal([]));

  it('is a side that was photographed before and not after; sides that were never photographed are not asked for', () => {
    expect(keys({ photos: [] })).deep.equal(['before', 'after']);
    expect(keys({ photos: photos('before left') })).deep.equal(['after']);
    expect(keys({ photos: photos('after left') })).deep.equal(['before']);
    const [lack] = listLacks(told({ photos: photos('before left', 'before top', 'before rear', 'after left') }));
    expect(lack!.what).equal('Photographed before, and not after: rear and top.');
  });

  it('is what it is, as long as nobody settled it', () => {
    expect(keys({ models: [model({ casting: null, settledIssue: null })] })).deep.equal(['casting']);
    expect(keys({ models: [model({ settledIssue: null })] })).deep.equal(['issue']);
  });

  it('is the origin of a part that is there', () => {
    expect(lacksOf({ origin: 'unknown' }).map(({ key }) => key)).deep.equal(['origin']);
    expect(lacksOf({ origin: 'unknown', state: 'missing' })).deep.equal([]);
  });

  it('is the pot of a coat, but not of what is laid on, nor of what came off again', () => {
    expect(lacksOf({ coatsApplied: [coat({ product: null })] })[0]!.what).equal(
      'Nobody said out of which pot: Slate on the body.',
    );
    expect(lacksOf({ coatsApplied: [coat({ product: null, kind: 'decal' })] })).deep.equal([]);
    expect(lacksOf({ coatsApplied: [coat({ product: null, removedAt: '2026-01-01' })] })).deep.equal([]);
  });

  it('is what helped against a failure, once for a coat that failed twice', () => {
    const rejection = { at: '', by: '', because: 'ran', failure: 'ran', helped: '' } as const;
    const lacks = lacksOf({ coatsApplied: [coat({ rejection }), coat({ rejection })] });
    expect(lacks.map(({ what }) => what)).deep.equal(['Failed, and nobody said what helped: Slate on the body.']);
    expect(lacksOf({ coatsApplied: [coat({ rejection: { ...rejection, helped: 'Thinner coats.' } })] })).deep.equal([]);
  });

  it('is the hours, where work was done and none of it timed', () => {
    expect(keys({ hours: { doneSteps: 3, timedSteps: 0 } as JobRecord['hours'] })).deep.equal(['hours']);
    expect(keys({ hours: { doneSteps: 0, timedSteps: 0 } as JobRecord['hours'] })).deep.equal([]);
  });

  it('says of which model, where there are several', () => {
    const models = [model(), model({ name: 'Trailer', parts: [part({ origin: 'unknown' })] })];
    expect(listLacks(told({ models }))[0]!.what).equal('Nobody said where this comes from: body of Trailer.');
  });
});
