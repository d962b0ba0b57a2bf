import { expect } from 'chai';
import { judgePart } from './judgePart.ts';
import { listMaterials } from './listMaterials.ts';

describe('listMaterials', () => {
  const zinc = { material: 'zinc alloy' } as const;

  it('names the part’s own material and what is on it now, not what is only planned', () => {
    expect(listMaterials(zinc, [], [])).deep.equal(['zinc alloy']);
    const layers = [
      { kind: 'decal', stage: 'planned' },
      { kind: 'filler', stage: 'applied' },
    ] as const;
    expect(listMaterials(zinc, layers, [])).deep.equal(['zinc alloy', 'two-part filler']);
    expect(listMaterials(zinc, [{ kind: 'decal', stage: 'found' }], [])).include('water-slide decal');
    expect(listMaterials(zinc, [], [{ kind: 'earlier repair' }])).include('cyanoacrylate bond');
    expect(
      listMaterials(zinc, [{ kind: 'colour', stage: 'found' }], [{ kind: 'bent' }]),
      'paint is neither',
    ).deep.equal(['zinc alloy']);
  });

  it('takes pest for a material of its own, so that nothing wet or hot is allowed', () => {
    const materials = listMaterials(zinc, [], [{ kind: 'pest' }]);
    expect(materials).deep.equal(['pest-suspect zinc']);
    expect(judgePart(materials, 'oven').verdict).equal('never');
    expect(judgePart(materials, 'soap and water').verdict).equal('never');
  });
});
