import { expect } from 'chai';
import { createSeededRandom } from '../../numeric/seededRandom.ts';
import { SpanLine } from './spanLine.ts';

describe('a line of a place', () => {
  for (let seed = 0; seed < 40; seed++)
    it(`finds the first moment with room, minute by minute the same: ${seed}`, () => {
      const random = createSeededRandom(seed);
      const pick = (most: number) => Math.floor(most * random());
      const room = 1 + pick(3);
      const line = new SpanLine(room);
      const minutes: number[][] = Array.from({ length: 2000 }, () => []);
      const isFree = (at: number, long: number, setting: number) =>
        minutes.slice(at, at + long).every((own) => own.length < room && own.every((one) => one === setting));
      for (let task = 0; task < 30; task++) {
        const [from, long, setting] = [pick(200), 1 + pick(25), pick(2)];
        let expected = from;
        while (!isFree(expected, long, setting)) expected++;
        const found = line.findFree(from, long, setting);
        expect(found).equal(expected);
        if (random() < 0.7) {
          line.add({ from: found, to: found + long, task, setting });
          for (let at = found; at < found + long; at++) minutes[at]!.push(setting);
        }
      }
    });

  it('knows all of another line that it takes over, the longest too', () => {
    const other = new SpanLine(2);
    other.add({ from: 0, to: 100, task: 1, setting: 60 });
    other.add({ from: 20, to: 25, task: 2, setting: 60 });
    const line = new SpanLine(2);
    line.taken = other.taken;
    expect(line.findFree(50, 5, 80)).equal(100);
  });

  it('forgets what is taken out', () => {
    const line = new SpanLine(1);
    line.add({ from: 0, to: 10, task: 7, setting: null });
    expect(line.findFree(5, 5)).equal(10);
    line.remove(7);
    expect(line.findFree(5, 5)).equal(5);
  });
});
