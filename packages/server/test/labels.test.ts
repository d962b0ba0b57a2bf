import type { ErrorBody, FoundPlace } from '@sardonyx/contract';
import { expect } from 'chai';
import { PDFDocument } from 'pdf-lib';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

const MM = 72 / 25.4;

describe('labels and finding', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench()));
  after(() => bench.clear());

  it('print drawers, pots and boxes at true size on A4', async () => {
    const pagesOf = async (of: string) => {
      const { body, headers } = await bench.http.get(`/api/labels/${of}`).responseType('blob').expect(200);
      expect(headers['content-type']).equal('application/pdf');
      return (await PDFDocument.load(body as Buffer)).getPages();
    };
    // 20 drawers on one sheet of 30, some 47 pots on two.
    expect((await pagesOf('drawers')).length).equal(1);
    expect((await pagesOf('pots')).length).equal(2);
    const [page] = await pagesOf('boxes');
    expect(page!.getWidth() / MM).closeTo(210, 0.01);
    expect(page!.getHeight() / MM).closeTo(297, 0.01);
    const { body } = await bench.http.get('/api/labels/constructor').expect(400);
    expect((body as ErrorBody).message).equal('Labels are printed of: drawers, pots, boxes.');
  });

  it('find things by kind, name and drawer', async () => {
    const find = (q: string) => bench.get<FoundPlace[]>(`find?q=${encodeURIComponent(q)}`);
    const [axle] = (await find('axle 1.2 28')).filter(({ kind }) => kind === 'drawer');
    expect(axle).deep.include({ title: 'axle 1.2 × 28, both bare', where: 'Drawer A1' });
    expect(axle!.path).match(/^\/drawers\?thing=thing-\d+$/);
    expect((await find('drawer g2')).every(({ kind, where }) => kind === 'drawer' && where === 'Drawer G2')).equal(
      true,
    );
    expect(await find('100% "; drop')).deep.equal([]);
  });
});
