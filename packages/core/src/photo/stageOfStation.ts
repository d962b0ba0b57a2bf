import type { Station } from '../model/stations.ts';
import type { Photo } from '../model/workpiece.ts';

const STAGES: Readonly<Record<Station, Photo['stage']>> = {
  identify: 'before',
  survey: 'before',
  open: 'during',
  strip: 'during',
  finish: 'during',
  close: 'during',
  'sign-off': 'after',
};

/** To which set a photograph belongs that is taken while a station stands open. */
export const stageOfStation = (station: Station): Photo['stage'] => STAGES[station];
