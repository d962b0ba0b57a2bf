import { expect } from 'chai';
import { readTime } from './writtenTime.ts';

describe('a time of the day as somebody writes it', () => {
  it('is read with any sign between, or with none', () => {
    for (const [text, time] of [
      ['9', '09:00'],
      ['930', '09:30'],
      ['9.30', '09:30'],
      [' 21h30', '21:30'],
      ['21 h', '21:00'],
      ['0:05', '00:05'],
    ] as const)
      expect(readTime(text), text).equal(time);
  });

  it('is none when there is none such', () => {
    for (const text of ['', 'noon', '24:00', '9:60', '9:5', '123456', '-1']) expect(readTime(text), text).equal(null);
  });
});
