import { expect } from 'chai';
import { sayHow } from '../words/sayHow.ts';
import { isTold, usualHow } from './usualHow.ts';

const how = (batch: string, thinnerParts: number | null, nozzleMm = 0.3) => ({
  ...{ batch, thinnerParts, pressureBar: 1.2, nozzleMm, humidity: 60 },
});
const coat = (productId: string, hour: number, told: ReturnType<typeof how> | null) => ({
  ...{ stage: 'applied' as const, productId, how: told },
  appliedAt: new Date(hour * 3_600_000).toISOString(),
});

describe('how a coat is likely to be put on', () => {
  it('is as the last one of its pot was, in the room of today', () =>
    expect(
      usualHow([coat('red', 2, how('B', 1)), coat('red', 1, how('A', 2)), coat('blue', 3, how('C', 0))], 'red', 45),
    ).deep.equal({ batch: 'B', thinnerParts: 1, pressureBar: 1.2, nozzleMm: 0.3, humidity: 45 }));

  it('of a new pot is with the gun as it stands, its own batch and thinner unknown', () => {
    expect(usualHow([coat('blue', 3, how('C', 0, 0.5)), coat('red', 4, null)], 'red', null)).deep.equal({
      ...{ batch: '', thinnerParts: null, pressureBar: 1.2, nozzleMm: 0.5, humidity: null },
    });
    const nothing = { batch: '', thinnerParts: null, pressureBar: null, nozzleMm: null, humidity: null };
    expect(usualHow([], 'red', null)).deep.equal(nothing);
    expect([isTold(nothing), isTold({ ...nothing, nozzleMm: 0.3 })]).deep.equal([false, true]);
    expect(sayHow(nothing)).equal('');
    expect(sayHow(null)).equal('');
  });

  it('is said in one line', () => {
    expect(sayHow(how(' M-4 ', 1))).equal('thinned 1 : 1, 1.2 bar, 0.3 mm nozzle, 60 % humidity, batch M-4');
    expect(sayHow({ ...how('', 0), humidity: null })).equal('not thinned, 1.2 bar, 0.3 mm nozzle');
  });
});
