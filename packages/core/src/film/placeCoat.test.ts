import { expect } from 'chai';
import type { LayerKind } from '../model/workpiece.ts';
import { movePlanned, placeNewCoat, refusePlace, sortPlanned } from './placeCoat.ts';

const coat = (id: string, kind: LayerKind, seq: number) => ({ id, kind, name: id, seq });
const STACK = [
  coat('clear', 'clear', 9),
  coat('primer', 'primer', 0),
  coat('red', 'colour', 4),
  coat('white', 'colour', 2),
];
const ids = (coats: readonly { id: string }[]) => coats.map(({ id }) => id).join(' ');

describe('the place of a planned coat', () => {
  it('is by its number from the metal outwards, gaps and all', () => {
    expect(ids(sortPlanned(STACK))).equal('primer white red clear');
  });

  it('is found by its kind: a primer remembered late goes under the colour', () => {
    expect(placeNewCoat([], 'colour')).equal(0);
    expect(placeNewCoat([coat('red', 'colour', 3)], 'primer')).equal(0);
    expect(placeNewCoat(STACK, 'primer')).equal(1);
    expect(placeNewCoat(STACK, 'colour')).equal(3);
    expect(placeNewCoat(STACK, 'decal')).equal(3);
    expect(placeNewCoat(STACK, 'clear')).equal(4);
  });

  it('changes within a kind, and the others keep theirs', () => {
    expect(ids(movePlanned(STACK, 'red', 1))).equal('primer red white clear');
    expect(ids(movePlanned(STACK, 'primer', 99))).equal('white red clear primer');
    expect(ids(movePlanned(STACK, 'red', -5))).equal('red primer white clear');
    expect(refusePlace(STACK, 'red', 1)).equal(null);
    expect(refusePlace(STACK, 'red', 2)).equal(null);
    expect(() => movePlanned(STACK, 'blue', 0)).throw(RangeError, 'blue');
  });

  it('is refused across kinds with the two coats and the reason', () => {
    expect(refusePlace(STACK, 'primer', 1)!.message).equal('primer stays under white. A primer lies under the colour.');
    expect(refusePlace(STACK, 'red', 0)!.message).equal('primer stays under red. A primer lies under the colour.');
    expect(refusePlace(STACK, 'clear', 2)!.message).equal(
      'red stays under clear. Bright ink, decals and clear lie over the colour.',
    );
    const lettered = [...STACK, coat('stripe', 'decal', 6)];
    expect(refusePlace(lettered, 'clear', 3)!.message).equal(
      'stripe stays under clear. Which comes first of bright ink, decals and clear is asked beside the drawing.',
    );
  });

  it('is not refused for a disorder that others made', () => {
    const older = [coat('red', 'colour', 0), coat('primer', 'primer', 1), coat('white', 'colour', 2)];
    expect(refusePlace(older, 'white', 2)).equal(null);
    expect(refusePlace(older, 'primer', 0)).equal(null);
  });
});
