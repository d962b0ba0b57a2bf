import { expect } from 'chai';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { readRoom } from './simulatedThermometer.ts';

const at = (hour: number, day = 28) => new Date(Date.UTC(2026, 10, day, hour));

describe('the simulated thermometer', () => {
  it('goes through the day: coldest before dawn, warmest in the afternoon, damper as it is colder', () => {
    const mean = (hour: number) => {
      const random = createSeededRandom(3);
      const readings = Array.from({ length: 200 }, (_, i) => readRoom(at(hour, 1 + (i % 28)), random));
      const of = (read: (one: (typeof readings)[number]) => number) =>
        readings.reduce((sum, one) => sum + read(one), 0) / readings.length;
      return { tempC: of((one) => one.tempC), humidity: of((one) => one.humidity) };
    };
    const [dawn, noon, evening] = [mean(5), mean(17), mean(20)];
    expect(dawn.tempC).closeTo(15, 0.1);
    expect(noon.tempC).closeTo(20, 0.1);
    expect(evening.tempC).within(18, 20);
    expect(dawn.humidity).greaterThan(noon.humidity + 8);
    // 7.6 g/m3 in air of 20 °C, which holds 17.3 (steam table).
    expect(noon.humidity).closeTo(100 * (7.6 / 17.3), 1);
  });

  it('never reads twice the same, and never beyond what there is', () => {
    const random = createSeededRandom(4);
    const readings = Array.from({ length: 300 }, (_, i) => readRoom(at(i % 24), random));
    expect(new Set(readings.map(({ tempC, humidity }) => `${tempC} ${humidity}`)).size).greaterThan(100);
    for (const { humidity } of readings) expect(humidity).within(0, 100);
  });
});
