import { convertHexToLab } from '@sardonyx/core';
import { expect } from 'chai';
import { readColour, writeLab } from './writtenColour.ts';

describe('a colour as somebody writes it', () => {
  it('is read as a screen writes it', () => {
    expect(readColour('#2F6B3A')).equal('#2f6b3a');
    expect(readColour(' 2f6b3a')).equal('#2f6b3a');
    expect(readColour('#2f6')).equal('#22ff66');
    expect(readColour('47, 107, 58')).equal('#2f6b3a');
    expect(readColour('rgb(47, 107, 58)')).equal('#2f6b3a');
  });

  it('is read as an instrument writes it, and comes back within half a step of the screen', () => {
    for (const hex of ['#2f6b3a', '#a32020', '#f2f2ee', '#151515', '#274b8f']) {
      const back = readColour(writeLab(convertHexToLab(hex)))!;
      for (const at of [1, 3, 5])
        expect(Math.abs(parseInt(back.slice(at, at + 2), 16) - parseInt(hex.slice(at, at + 2), 16)), hex).at.most(1);
    }
  });

  it('is no colour when it is none', () => {
    for (const text of ['', 'red', '#12', '#12345', '300, 0, 0', '120.0, 4, 5', '1 2', '1 2 3 4', '50.0 300 2'])
      expect(readColour(text), text).equal(null);
  });
});
