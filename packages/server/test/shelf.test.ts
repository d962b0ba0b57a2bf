import { expect } from 'chai';
import type { FoundPlace, ShelfFile, ShelfReport, ShelfView } from '@sardonyx/contract';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

describe('the shelf over HTTP', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());
  const send = (format: ShelfFile['format'], text: string, take: ShelfFile['take']) =>
    bench.http.post('/api/shelf/files').send({ format, text, geometry: 'gloss left out', take });
  const bring = async (format: ShelfFile['format'], text: string, take: ShelfFile['take'] = 'good lines') =>
    (await send(format, text, take).expect(200)).body as ShelfReport;

  it('goes out and comes back as CSV without a change', async () => {
    const { text } = await bench.http.get('/api/shelf.csv').expect(200);
    const before = await bench.get<ShelfView>('shelf');
    const report = await bring('csv', text);
    expect(report).deep.include({ added: 0, changed: 0, unchanged: before.pots.length, problems: [] });
    const after = await bench.get<ShelfView>('shelf');
    const plain = ({ products, pots }: ShelfView) =>
      [products, pots].map((list) => list.map((row) => ({ ...row, version: 0 })));
    expect(plain(after)).deep.equal(plain(before));
  });

  const HEADER = 'line,name,kind,binder,gloss,colour,left_ml';
  const GOOD = [
    HEADER,
    'Tern,Pale stone,colour,enamel,gloss,#c9c2ae,12',
    'Marlstone,Sand,colour,enamel,gloss,#c9b07c,1.5',
  ];
  const FAULTY = [...GOOD, 'Tern,Bad,colour,enamel,gloss,pale,12'].join('\n');

  it('tells what a file would do before it does it: new pots, changed ones, faulty lines by their place', async () => {
    const before = await bench.get<ShelfView>('shelf');
    const looked = await bring('csv', FAULTY, 'look');
    expect(looked).deep.include({ added: 1, changed: 1, unchanged: 0, isTaken: false, problemCount: 1 });
    expect(looked.problems).deep.equal([{ line: 4, message: 'colour: "pale" is not a colour like #4d6378.' }]);
    expect(await bench.get('shelf')).deep.equal(before);
  });

  it('takes all or nothing, or the good lines, as is asked', async () => {
    const before = await bench.get<ShelfView>('shelf');
    const { body } = await send('csv', FAULTY, 'all').expect(422);
    expect((body as { message: string }).message).equal('There is a fault in it: nothing was taken.');
    expect(await bench.get('shelf')).deep.equal(before);
    expect(await bring('csv', FAULTY)).deep.include({ added: 1, changed: 1, isTaken: true });
    const { pots } = await bench.get<ShelfView>('shelf');
    expect(pots.find((pot) => pot.productId === 'paint-marlstone-sand')!.leftMl).equal(1.5);
    expect(await bring('csv', GOOD.join('\n'), 'all')).deep.include({ added: 0, changed: 0, unchanged: 2 });
  });

  it('bounds what it takes in one go', async () => {
    const refusedAs = async (text: string) => (await bring('csv', text, 'look')).problems.map((one) => one.message);
    expect(await refusedAs(','.repeat(20_000))).deep.equal([
      'The first line must name the columns; this one does not end.',
    ]);
    expect(await refusedAs(`${HEADER}\n${'x\n'.repeat(25_000)}`)).deep.equal([
      'More than 20000 lines: bring it in pieces.',
    ]);
    const many = await bring('csv', `${HEADER}\n${'x\n'.repeat(900)}`, 'look');
    expect(many.problems.length).equal(200);
    expect(many.problemCount).greaterThan(900);
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
    await send('cgats', '', 'look').expect(400);
    await send('cgats', text, 'some' as 'look').expect(400);
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
    const changed = { version: 1, place: 'Shelf 9' };
    await bench.http.patch('/api/paint-pots/paint-marlstone-sand.pot').send(changed).expect(200);
    await bench.http.patch('/api/paint-pots/paint-marlstone-sand.pot').send(changed).expect(409);
    await bench.http.patch('/api/paint-products/paint-marlstone-sand').send({ version: 1, dropMl: 9 }).expect(400);
    // What is left follows from the log alone.
    await bench.http.patch('/api/paint-pots/paint-marlstone-sand.pot').send({ version: 2, leftMl: 3.5 }).expect(400);
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
