import { expect } from 'chai';
import { judgePart } from './judgePart.ts';
import { judgeMaterial } from './processTable.ts';
import { CELL_SOURCES, PROCESSES, TREATED_MATERIALS, VERDICTS, type Process } from '../model/process.ts';

const HOT: ReadonlySet<Process> = new Set(['heat gun', 'oven', 'powder bake']);

describe('materials and processes', () => {
  for (const process of PROCESSES)
    it(`${process}: every material has a verdict, a reason, a limit where it may, and a source`, () => {
      for (const material of TREATED_MATERIALS) {
        const cell = judgeMaterial(material, process);
        const where = `${material}, ${process}`;
        expect(VERDICTS, where).include(cell.verdict);
        expect(cell.reason.length, where).greaterThan(8);
        expect(CELL_SOURCES, where).include(cell.source);
        expect(cell.limit === '', where).equal(
          cell.verdict === 'never' || (cell.verdict === 'fine' && cell.limit === ''),
        );
        // What is heated has a temperature that it may reach.
        if (HOT.has(process)) expect(cell.mostC !== undefined, where).equal(cell.verdict !== 'never');
      }
    });

  it('lets nothing wet, hot, gritty or drilled near pest-suspect zinc', () => {
    const never: readonly Process[] = [
      ...(['caustic bath', 'gel stripper', 'glycol-ether fluid', 'blasting', 'ultrasonic', 'soap and water'] as const),
      ...([
        'wire wheel',
        'abrasive',
        'heat gun',
        'oven',
        'powder bake',
        'torch anneal',
        'soldering',
        'drilling',
      ] as const),
    ];
    for (const process of never) expect(judgeMaterial('pest-suspect zinc', process).verdict, process).equal('never');
  });

  it('is never milder on unknown plastic than on the plastic it may turn out to be', () => {
    const plastics = ['polycarbonate', 'acetate or celluloid', 'acrylic', 'clear styrene'] as const;
    const rank = (material: (typeof plastics)[number] | 'unknown plastic', process: Process) =>
      VERDICTS.indexOf(judgeMaterial(material, process).verdict);
    for (const process of PROCESSES) {
      // Glue and bit only threaten what shows: there a test on a hidden spot is the strictest that makes sense.
      if (process === 'cyanoacrylate' || process === 'drilling' || process === 'soap and water') continue;
      for (const plastic of plastics)
        expect(rank('unknown plastic', process), `${plastic}, ${process}`).least(rank(plastic, process));
    }
  });

  it('heats no lead, solder, plated wire or plastic, and bakes nothing glued beyond a low bake', () => {
    for (const material of ['lead alloy', 'soft solder', 'plated or unknown wire', 'clear styrene', 'ABS'] as const)
      for (const process of HOT)
        expect(judgeMaterial(material, process).verdict, `${material}, ${process}`).equal('never');
    for (const material of ['two-part filler', 'cyanoacrylate bond'] as const) {
      expect(judgeMaterial(material, 'oven').mostC).equal(60);
      expect(judgeMaterial(material, 'powder bake').verdict).equal('never');
    }
  });

  it('holds to what the craft says of baths', () => {
    const verdict = (material: Parameters<typeof judgeMaterial>[0], process: Process) =>
      judgeMaterial(material, process).verdict;
    for (const material of ['aluminium', 'tinplate', 'lead alloy', 'soft solder'] as const)
      expect(verdict(material, 'caustic bath'), material).equal('never');
    expect(judgeMaterial('vacuum-plated plastic', 'caustic bath').limit).include('never when the plastic is acetate');
    for (const material of ['polycarbonate', 'acrylic', 'acetate or celluloid', 'unknown plastic'] as const)
      expect(verdict(material, 'glycol-ether fluid'), material).equal('never');
    expect(verdict('zinc alloy', 'acid rust remover')).equal('never');
  });
});

describe('judgePart', () => {
  it('takes the strictest of all that is in a part, and says whose answer it is', () => {
    const mixed = judgePart(['zinc alloy', 'soft solder'], 'caustic bath');
    expect(mixed).deep.include({ verdict: 'never', material: 'soft solder', process: 'caustic bath' });
    expect(judgePart(['zinc alloy'], 'caustic bath').verdict).equal('with care');
  });

  it('takes the coolest limit of equally strict ones, and refuses what is hotter', () => {
    const mended = judgePart(['zinc alloy', 'two-part filler'], 'oven');
    expect(mended).deep.include({ material: 'two-part filler', mostC: 60, verdict: 'with care' });
    expect(judgePart(['zinc alloy', 'two-part filler'], 'oven', { atC: 60 }).verdict).equal('with care');
    const hot = judgePart(['zinc alloy', 'two-part filler'], 'oven', { atC: 80 });
    expect(hot).deep.include({ verdict: 'never', material: 'two-part filler' });
    expect(hot.reason).match(/^80 °C is more than it stands/);
  });

  it('says nothing of nothing', () => expect(() => judgePart([], 'oven')).throw('no material is given'));
});
