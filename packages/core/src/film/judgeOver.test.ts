import { expect } from 'chai';
import { isBareMetalUnder } from './isBareMetalUnder.ts';
import { GROUNDS, judgeOver, type Binder } from './judgeOver.ts';

const BINDERS: readonly Binder[] = ['enamel', 'acrylic', 'lacquer', 'ink', 'powder'];

describe('what goes over what', () => {
  it('has an answer with a reason for every pairing, and each once', () => {
    for (const binder of BINDERS)
      for (const ground of GROUNDS) {
        const { verdict, reason } = judgeOver(binder, ground);
        expect(['fine', 'when cured', 'barrier first', 'never'], `${binder} over ${ground}`).include(verdict);
        expect(reason.trim(), `${binder} over ${ground}`).not.equal('');
      }
    expect(() => judgeOver('enamel', 'glass' as never)).throw(RangeError);
  });

  it('never puts oil on bare zinc, nor paint under powder, nor a hot solvent over a soft coat', () => {
    expect(judgeOver('enamel', 'bare zinc').verdict).equal('never');
    for (const ground of ['enamel', 'acrylic', 'lacquer', 'ink', 'old paint', 'filler', 'decal'] as const)
      expect(judgeOver('powder', ground).verdict, ground).equal('never');
    expect(judgeOver('lacquer', 'enamel').verdict).equal('never');
    expect(judgeOver('lacquer', 'acrylic').verdict).equal('barrier first');
    // The other way round nothing is softened.
    expect(judgeOver('enamel', 'lacquer').verdict).equal('fine');
    expect(judgeOver('acrylic', 'lacquer').verdict).equal('fine');
  });

  it('forbids no clear, ink or powder on bare metal that the plan lets lie there', () => {
    const materials = { 'bare zinc': 'zinc alloy', 'bare brass or copper': 'brass', 'bare metal': 'steel' } as const;
    const coats = [
      { binder: 'lacquer', kind: 'clear' },
      { binder: 'acrylic', kind: 'clear' },
      { binder: 'ink', kind: 'brightwork' },
      { binder: 'powder', kind: 'colour' },
    ] as const;
    for (const [ground, material] of Object.entries(materials))
      for (const { binder, kind } of coats) {
        const isBare = isBareMetalUnder(kind, material, { hasGround: false, isPowder: binder === 'powder' });
        const { verdict } = judgeOver(binder, ground as keyof typeof materials);
        expect(verdict === 'fine', `${binder} ${kind} on ${ground}`).equal(!isBare);
      }
  });

  it('lets a barrier lie over everything that asks for one, but metal and filler, which want their primer', () => {
    const softened = GROUNDS.filter((ground) =>
      BINDERS.some((binder) => judgeOver(binder, ground).verdict === 'barrier first'),
    );
    for (const ground of softened)
      if (!['bare zinc', 'bare brass or copper', 'bare metal', 'filler'].includes(ground))
        expect(judgeOver('acrylic', ground).verdict, ground).not.oneOf(['never', 'barrier first']);
  });
});
