import type { ColourReading, ColourView, ShelfView } from '@sardonyx/contract';
import { expect } from 'chai';
import { writeRows } from './support/logActs.ts';
import { OWN_POT } from './support/ownLorry.ts';
import { useActs, who } from './support/useActs.ts';

describe('the shelf and the colour lab, as they were read and approved', function () {
  this.timeout(120_000);
  const test = useActs();
  const { see, approve, areaOf } = test;

  it('the shelf, and colours that are mixed for a job', async () => {
    const { bench, log } = test;
    const { id } = await log.act('post', 'shelf/pots', { ...OWN_POT, name: 'Green' });
    await log.act('post', 'shelf/pots', { ...OWN_POT, name: 'Cellar', gloss: 'metallic' });
    await log.act('post', 'shelf/pots', { ...OWN_POT, name: 'Green' });
    const csv = 'line,name,kind,binder,gloss,colour,left_ml,place\n';
    const text = `${csv}Own,Green,colour,acrylic,gloss,#307040,12,drawer\nOwn,Blue,colour,acrylic,gloss,#203070,8,drawer\nOwn,Odd,colour,tar,gloss,#203070,8,drawer\n`;
    const file = { geometry: 'gloss left out', take: 'good lines' };
    await log.act('post', 'shelf/files', { ...file, format: 'csv', text });
    await log.act('post', 'shelf/files', { ...file, format: 'cgats', text: '' });
    const shelf = await bench.get<ShelfView>('shelf');
    const own = shelf.products.filter((product) => product.line === 'Own');
    log.write(writeRows(own));
    log.write(JSON.stringify(shelf.pots.filter(({ productId }) => own.some((product) => product.id === productId))));
    const spectra = (await bench.http.get('/api/shelf.txt')).text;
    log.write(spectra.slice(0, 300));
    const bring = (words: string, data: string) => {
      log.write(words);
      return log.act('post', 'shelf/files', { ...file, format: 'cgats', text: data }, undefined, { isQuiet: true });
    };
    await bring('its own spectra', spectra);
    await bring('a stranger', spectra.replaceAll('Maroon', 'Moroon'));
    await bring('a tint without the paint itself', spectra.replace('"Marlstone Maroon"\t1', '"Marlstone Maroon"\t0.5'));
    const pot = shelf.pots.find(({ productId }) => productId === id)!;
    await log.act('post', `paint-pots/${pot.id}/movements`, {
      ...{ move: 'counted', amount: 3, jobId: null, price: null, batch: '', who: 'Imke Varga', note: '' },
    });

    const capture = {
      specimenPartId: 'sg-03-1.body',
      place: 'sheltered',
      note: 'flap',
      lab: [40, 2, -10],
      sd: [1, 1, 1],
    };
    const seen = { spectrum: null, geometry: 'gloss left out', method: 'typed', photoId: null, point: null, who };
    await log.act('post', 'captures', { ...capture, ...seen });
    await log.act('post', 'captures', { ...capture, ...seen, photoId: 'none' });
    await log.act('post', 'captures', { ...capture, ...seen, specimenPartId: 'sg-00-1.body' });
    const mix = {
      ...{ jobId: 'sg-03', specimenPartId: 'sg-03-1.body', captureId: null, name: 'Slate', target: [40, 2, -10] },
      ...{ targetA: [40, 1, -12], geometry: 'gloss left out', needMl: 2, tolerance: 1, dosing: 'scales', doseMl: 0.01 },
      ...{ way: 'light end', recipe: [{ productId: 'paint-marlstone-maroon', name: 'Maroon', ml: 2 }] },
    };
    await log.act('post', 'mixes', { ...mix, jobId: 'sg-00' });
    const cup = await log.act('post', 'mixes', mix);
    const pour = (name: string, ml: number, more = {}) =>
      log.act('post', `mixes/${cup.id}/pours`, { productId: `paint-${name}`, ml, source: 'typed', who, ...more });
    const patch = { lab: [41, 3, -9], sd: [0.2, 0.2, 0.2], how: 'typed', words: null, who };
    await log.act('post', `mixes/${cup.id}/patches`, patch);
    await log.act('post', `mixes/${cup.id}/wet`, {
      lab: [42, 3, -9],
      sd: [0.3, 0.3, 0.3],
      how: 'spectrophotometer',
      words: null,
      who,
    });
    await log.act('post', `mixes/${cup.id}/keep`, { name: 'Slate', place: 'rack', areaId: null, who });
    const first = await pour('marlstone-maroon', 1.5);
    await pour('marlstone-maroon', 100);
    await pour('pike-sable-gunmetal', 0.1);
    await pour('quay-ivory', 0.1);
    await pour('none', 0.1);
    await pour('marlstone-slate-blue', 1);
    await log.act('post', `mixes/${cup.id}/wet`, {
      lab: [42, 3, -9],
      sd: [0.3, 0.3, 0.3],
      how: 'spectrophotometer',
      words: null,
      who,
    });
    await log.act('post', `mixes/${cup.id}/patches`, patch);
    await log.act('post', `mixes/${cup.id}/undo`, { stepId: first.id, who });
    await log.act('post', `mixes/${cup.id}/undo`, { stepId: first.id, who });
    await log.act('post', `mixes/${cup.id}/undo`, { stepId: 'none', who });
    await pour('marlstone-sand', 0.1);
    await log.act('post', `mixes/${cup.id}/keep`, { name: 'Slate', place: 'rack', areaId: null, who });
    // Noise hangs on the mix's own id: near enough is what can be said of it.
    await bench.http.post('/api/instruments/spectro/calibrate').expect(200);
    for (const [what, lab] of [
      ['patch', [45.1, -5.6, -7.7]],
      ['wet patch', [46.8, -5.7, -7.8]],
    ] as const) {
      const subject = { what, id: cup.id, place: 'sheltered' };
      const { body } = await bench.http.post('/api/instruments/spectro/measure').send(subject).expect(200);
      lab.forEach((one, i) => expect((body as ColourReading).lab[i], what).closeTo(one, 1.2));
    }
    for (const name of ['black', 'sand', 'lemon', 'cream-2', 'maroon', 'dock-grey', 'harbour-blue', 'ultramarine'])
      await pour(`marlstone-${name}`, 0.2);
    await log.act('post', `mixes/${cup.id}/patches`, patch);
    const areaId = await areaOf('sg-03-1.body');
    const kept = { name: 'Slate, old', place: 'rack', who };
    await log.act('post', `mixes/${cup.id}/keep`, { ...kept, areaId: await areaOf('sg-05-1.body') });
    await log.act('post', `mixes/${cup.id}/keep`, { ...kept, areaId });
    await log.act('post', `mixes/${cup.id}/keep`, { ...kept, areaId: null });
    await log.act('post', `mixes/${cup.id}/give-up`);
    const again = await log.act('post', 'mixes', { ...mix, name: 'Again' });
    const onceMore = `mixes/${again.id}`;
    await log.act('post', `${onceMore}/pours`, { productId: 'paint-marlstone-black', ml: 0.5, source: 'typed', who });
    await log.act('post', `${onceMore}/patches`, patch);
    await log.act('post', `${onceMore}/keep`, { ...kept, areaId: null });
    await log.act('post', `${onceMore}/keep`, { ...kept, name: 'Band black', areaId: 'sg-03-1.body.waistband' });
    const third = await log.act('post', 'mixes', { ...mix, name: 'Third' });
    await log.act('post', `mixes/${third.id}/give-up`);
    await log.act('get', 'jobs/sg-03/colour', undefined, (view: never) => view as ColourView);
    const after = await bench.get<ShelfView>('shelf');
    log.write(JSON.stringify(after.products.filter(({ line }) => line === 'Mixed here')));
    const nameOf = (id: string) => after.products.find((product) => product.id === id)!.name;
    const pots = after.pots.map(({ productId, leftMl, version }) => `${nameOf(productId)} ${leftMl} ${version}`);
    log.write(pots.sort().join('\n'));
    log.write(JSON.stringify(after.dried));
    const { layers } = await see('sg-03-1');
    log.write(JSON.stringify(layers.filter((layer) => layer.name.startsWith('Mixed here'))));
    approve('colour');
  });
});
