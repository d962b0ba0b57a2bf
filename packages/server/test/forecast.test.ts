import type { ErrorBody, ForecastView } from '@sardonyx/contract';
import { expect } from 'chai';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

describe('a weather forecast', () => {
  let bench: TestBench;
  let answer: unknown = {};
  const device = createServer((_, response) => void response.end(JSON.stringify(answer)));
  before(async () => {
    bench = await createTestBench();
    await new Promise<void>((done) => device.listen(0, '127.0.0.1', done));
  });
  after(async () => {
    device.close();
    await bench.clear();
  });
  const ask = (status = 200, id = 'forecast') =>
    bench.http.post(`/api/instruments/${id}/forecast`).send({}).expect(status);

  it('says the next seven days of a simulated sky, from the house’s own today on', async () => {
    const { days, isSimulated } = (await ask()).body as ForecastView;
    expect(isSimulated).equal(true);
    expect(days).lengthOf(7);
    expect(days[0]!.on).equal('2026-11-25');
    expect(days.every(({ rainPercent }) => rainPercent >= 0 && rainPercent <= 100)).equal(true);
    await bench.http.patch('/api/house-style/house').send({ version: 1, zone: 'Pacific/Auckland' }).expect(200);
    const { days: there } = (await ask()).body as ForecastView;
    expect(there[0]!.on).equal('2026-11-26');
  });

  it('is not asked of what is none', async () => {
    expect(((await ask(422, 'scales')).body as ErrorBody).message).include('cannot do this');
    await ask(404, 'nothing');
  });

  it('is what a real one answers, sorted, and no day that is past; refused with what is wrong with it', async () => {
    const url = `http://127.0.0.1:${(device.address() as AddressInfo).port}/days`;
    await bench.http.patch('/api/instruments/forecast').send({ version: 1, source: 'endpoint', url }).expect(200);
    const day = (on: string, rainPercent: unknown = 10) => ({ on, rainPercent });
    answer = { days: [day('2026-12-02'), { ...day('2026-11-27', 55.5), wind: 3 }, day('2026-11-24')], place: 'here' };
    expect((await ask()).body as ForecastView).deep.equal({
      days: [day('2026-11-27', 55.5), day('2026-12-02')],
      isSimulated: false,
    });
    for (const wrong of [
      {},
      [],
      { days: 'wet' },
      { days: [null] },
      { days: [day('tomorrow')] },
      { days: [day('2026-12-01', 101)] },
      { days: [day('2026-12-01', '50')] },
    ]) {
      answer = wrong;
      expect(((await ask(422)).body as ErrorBody).message, JSON.stringify(wrong)).equal(
        'Weather forecast gives no forecast: it sent no list called days.',
      );
    }
    answer = { days: [] };
    expect(((await ask()).body as ForecastView).days).deep.equal([]);
  });
});
