import { PROCESSES } from '@sardonyx/core';
import { judgeMaterial } from '../packages/core/src/process/processTable.ts';
import { TREATED_MATERIALS } from '../packages/core/src/model/process.ts';
import type { Topic } from './figure.ts';

export const processTopic: Topic = {
  names: ['process.cells', 'process.cellsBlank'],
  measure: () => {
    const pairs = TREATED_MATERIALS.flatMap((material) => PROCESSES.map((process) => ({ material, process })));
    const blank = pairs.filter(({ material, process }) => {
      try {
        return judgeMaterial(material, process).reason.trim() === '';
      } catch {
        return true;
      }
    });
    return Promise.resolve([
      {
        name: 'process.cells',
        value: pairs.length,
        unit: '',
        goal: null,
        yardstick: `${TREATED_MATERIALS.length} materials and what may be on them x ${PROCESSES.length} processes`,
      },
      {
        name: 'process.cellsBlank',
        value: blank.length,
        unit: '',
        goal: { kind: 'at most', value: 0 },
        yardstick: 'pairings without a verdict and its reason',
      },
    ]);
  },
};
