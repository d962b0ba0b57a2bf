import { expect } from 'chai';
import { fuzzDemo } from './support/fuzzDemo.ts';

describe('hostile requests', () => {
  it('are the caller’s fault on every route, and others are served meanwhile (all 24,000: npm run bench)', async () => {
    const count = 1500;
    const { faults, taken, routes, takenByPhone } = await fuzzDemo(7, count);
    expect(routes).greaterThan(80);
    const said = faults.map(
      ({ method, path, status, body, text }) =>
        `${method} ${path} ${String(body).slice(0, 300)} -> ${status} ${text.slice(0, 100)}`,
    );
    expect(said, said.slice(0, 12).join('\n')).deep.equal([]);
    expect(taken).greaterThan(count / 40);
    expect(takenByPhone).greaterThan(5);
  });
});
