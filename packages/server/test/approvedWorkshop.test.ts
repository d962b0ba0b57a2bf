import { useActs } from './support/useActs.ts';

describe('the workshop, as it was read and approved', function () {
  this.timeout(120_000);
  const test = useActs();
  const { approve } = test;

  it('the workshop: tools, vessels, baths, instruments', async () => {
    const { bench, log } = test;
    const tool = await log.act('post', 'tools', { name: 'Wedge', kind: 'special tool', state: 'to be made', note: '' });
    await log.act('patch', `tools/${tool.id}`, { version: 1, state: 'ready' });
    await log.act('delete', `tools/${tool.id}?version=2`);
    const made = { kind: 'caustic', litres: 1, gramsPerLitre: 50, waterC: 20, madeAt: '2026-11-25T18:00:00.000Z' };
    await log.act('post', 'baths', { ...made, vesselId: 'glass-dish' });
    await log.act('post', 'baths', { ...made, vesselId: 'caustic-tub' });
    await log.act('post', 'baths', { ...made, vesselId: 'none' });
    await log.act('post', 'baths', { ...made, vesselId: 'tall-jar' });
    await log.act('post', 'baths', { ...made, vesselId: 'tall-jar', litres: 0.4, waterC: 60 });
    await log.act('post', 'baths', { ...made, vesselId: 'tall-jar', litres: 0.4, gramsPerLitre: 400 });
    const jar = await log.act('post', 'baths', { ...made, vesselId: 'tall-jar', litres: 0.4 });
    const tub = { name: 'Tub', material: 'polypropylene', lengthMm: 100, widthMm: 100, depthMm: 100 };
    const square = await log.act('post', 'vessels', { ...tub, isRound: false });
    await log.act('post', 'baths', { ...made, vesselId: square.id, litres: 0.5 });
    await log.act('delete', `vessels/${square.id}`);
    await log.act('delete', 'vessels/glass-dish');
    const { baths } = await bench.get<{ baths: { id: string; kind: string; version: number }[] }>('workshop');
    const [old] = baths.filter(({ id }) => id === 'caustic-bath');
    await log.act('patch', 'baths/caustic-bath', { version: old!.version, endedAt: '2026-11-25T18:30:00.000Z' });
    await log.act('patch', `baths/${jar.id}`, { version: 1, endedAt: '2026-11-25T18:30:00.000Z' });

    const meter = { name: 'Meter', kind: 'scales', source: 'endpoint' };
    await log.act('post', 'instruments', { ...meter, url: '' });
    const real = await log.act('post', 'instruments', { ...meter, url: 'http://127.0.0.1:9/grams' });
    await log.act('post', `instruments/${real.id}/pour`, { grams: 1 });
    await log.act('post', `instruments/${real.id}/tare`);
    await log.act('post', 'instruments/spectro/tare');
    await log.act('post', 'instruments/scales/pour', { grams: 1 });
    await log.act('post', 'instruments/scales/tare');
    await log.act('post', 'instruments/oven-probe/dial', { setC: 120 });
    bench.pass(10);
    await log.act('post', 'instruments/oven-probe/dial', { setC: null });
    bench.pass(600);
    await log.act('post', 'instruments/oven-probe/dial', { setC: 60 });
    await log.act('post', 'instruments/scales/dial', { setC: 120 });
    await log.act('post', 'instruments/none/dial', { setC: 120 });

    const lab = (reading: never) => {
      const { lab, labA, sd, geometry, sinceCalibrationMin } = reading as Record<string, unknown>;
      return { lab, labA, sd, geometry, sinceCalibrationMin };
    };
    const body = { what: 'part', id: 'sg-03-1.body', place: 'sheltered' };
    await log.act('post', 'instruments/spectro/measure', body);
    await log.act('post', 'instruments/spectro/calibrate');
    await log.act('post', 'instruments/scales/calibrate');
    await log.act('post', 'instruments/spectro/measure', body, lab);
    await log.act('post', 'instruments/spectro/measure', body, lab);
    await log.act('post', 'instruments/spectro/measure', { ...body, place: 'exposed' }, lab);
    await log.act('post', 'instruments/spectro/measure', { ...body, id: 'sg-05-1.body', place: 'exposed' }, lab);
    await log.act('post', 'instruments/spectro/measure', { ...body, id: 'sg-01-1.body', place: 'exposed' }, lab);
    await log.act('post', 'instruments/spectro/measure', { ...body, id: 'sg-01-1.body' }, lab);
    await log.act('post', 'instruments/spectro/measure', { ...body, id: 'sg-03-1.glazing' });
    await log.act('post', 'instruments/spectro/measure', { ...body, id: 'sg-03-1.none' });
    const pot = { what: 'pot', place: 'sheltered' };
    await log.act('post', 'instruments/spectro/measure', { ...pot, id: 'paint-marlstone-maroon' }, lab);
    await log.act('post', 'instruments/spectro/measure', { ...pot, id: 'paint-pike-sable-gunmetal' });
    bench.pass(600);
    await log.act('post', 'instruments/spectro/measure', body);
    await log.act('get', 'workshop');
    approve('workshop');
  });
});
