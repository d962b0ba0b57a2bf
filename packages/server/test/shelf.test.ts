import { expect } from 'chai';
import type { FoundPlace, ShelfReport, ShelfView } from '@sardonyx/contract';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

describe('the shelf over HTTP', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());
  const bring = async (format: 'csv' | 'cgats', text: string) =>
    (await bench.http.post('/api/shelf/files').send({ format, text, geometry: 'gloss left out' }).expect(200))
      .body as ShelfReport;

  it('goes out and comes back as CSV without a change', async () => {
    const { text } = await bench.http.get('/api/shelf.csv').expect(200);
    const before = await bench.get<ShelfView>('shelf');
    const report = await bring('csv', text);
    expect(report).deep.include({ added: 0, problems: [] });
    const after = await bench.get<ShelfView>('shelf');
    const plain = ({ products, pots }: ShelfView) =>
      [products, pots].map((list) => list.map((row) => ({ ...row, version: 0 })));
    expect(plain(after)).deep.equal(plain(before));
  });

  it('takes new pots and changed ones, leaves faulty lines out and names them', async () => {
    const report = await bring(
      'csv',
      [
        'line,name,kind,binder,gloss,colour,left_ml',
        'Tern,Pale stone,colour,enamel,gloss,#c9c2ae,12',
        'Marlstone,Sand,colour,enamel,gloss,#c9b07c,1.5',
        'Tern,Bad,colour,enamel,gloss,pale,12',
      ].join('\n'),
    );
    expect(report).deep.include({ added: 1, changed: 1 });
    expect(report.problems).deep.equal([{ line: 4, message: 'colour: "pale" is not a colour like #4d6378.' }]);
    const { pots } = await bench.get<ShelfView>('shelf');
    expect(pots.find((pot) => pot.productId === 'paint-marlstone-sand')!.leftMl).equal(1.5);
  });

  it('takes spectra for the pots they name, tells of the others', async () => {
    const { text } = await bench.http.get('/api/shelf.txt').expect(200);
    expect(text).match(/^CGATS\.17/);
    expect(text).include('"Marlstone Slate blue"').and.not.include('Gunmetal');
    const renamed = text.replace('"Marlstone Slate blue"', '"Marlstone Nothing"');
    const report = await bring('cgats', renamed);
    expect(report.changed).greaterThan(20);
    expect(report.problems.map((one) => one.message).join()).include('"Marlstone Nothing" is no pot on this shelf');
    const { products } = await bench.get<ShelfView>('shelf');
    expect(products.find((one) => one.name === 'Harbour blue')!.optics!.basis).equal('masstone');
    await bench.http
      .post('/api/shelf/files')
      .send({ format: 'cgats', text: '', geometry: 'gloss left out' })
      .expect(400);
  });

  it('takes a pot by hand once, and changes by version', async () => {
    const pot = {
      line: 'Tern',
      name: 'Pale stone',
      kind: 'colour',
      binder: 'enamel',
      gloss: 'satin',
      colourHex: '#c9c2ae',
      leftMl: 9,
      place: 'Shelf 2',
    };
    await bench.http.post('/api/shelf/pots').send(pot).expect(201);
    await bench.http.post('/api/shelf/pots').send(pot).expect(422);
    await bench.http
      .post('/api/shelf/pots')
      .send({ ...pot, name: 'x', gloss: 'shiny' })
      .expect(400);
    const changed = { version: 1, leftMl: 3.5 };
    await bench.http.patch('/api/paint-pots/paint-marlstone-sand.pot').send(changed).expect(200);
    await bench.http.patch('/api/paint-pots/paint-marlstone-sand.pot').send(changed).expect(409);
    await bench.http.patch('/api/paint-products/paint-marlstone-sand').send({ version: 1, dropMl: 9 }).expect(400);
  });
});

describe('finding a colour', () => {
  it('leads to the colour lab of a job, and a pot to its place on the shelf', async () => {
    const bench = await createTestBench();
    const find = (q: string) => bench.get<FoundPlace[]>(`find?q=${encodeURIComponent(q)}`);
    expect(await find('sg-03 colour')).deep.equal([
      { kind: 'paint', title: 'SG-03 Mobile Library: colours', where: 'Colour lab', path: '/jobs/sg-03/colour' },
    ]);
    expect((await find('sg-03')).map((place) => place.where)).not.include('Colour lab');
    const [pot] = await find('harbour blue');
    expect(pot).deep.include({ kind: 'paint', path: '/shelf?q=Harbour%20blue' });
    await bench.clear();
  });
});
