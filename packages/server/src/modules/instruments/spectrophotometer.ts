import type { ColourReading, MeasureColour } from '@sardonyx/contract';
import {
  BANDS,
  CALIBRATION_HOLDS_MIN,
  computeLab,
  createSeededRandom,
  GEOMETRIES,
  readSpectrum,
  type Geometry,
} from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import type { InstrumentRow } from '../../entities/workshop.ts';
import { refused } from '../../http/errors.ts';
import { fetchReading } from './fetchReading.ts';
import { findTrueSpectrum, seedOf } from './simulatedSubject.ts';

/** Of an instrument whose own noise is not known (planning estimate). */
const UNKNOWN_SD = [0.2, 0.3, 0.3] as const;

/** The spectrophotometers of one bench: when each saw its white tile last, and what it reads. */
export function createSpectrophotometers() {
  const calibrated = new Map<string, number>();
  const readings = new Map<string, number>();
  return {
    calibrate: (instrument: InstrumentRow, now: Date): { calibratedAt: string } => {
      if (instrument.source === 'endpoint')
        throw refused('own-tile', `${instrument.name} is calibrated at the instrument itself.`);
      calibrated.set(instrument.id, now.getTime());
      return { calibratedAt: now.toISOString() };
    },
    measure: async (
      manager: EntityManager,
      instrument: InstrumentRow,
      subject: MeasureColour,
      now: Date,
    ): Promise<ColourReading> => {
      if (instrument.source === 'endpoint') return readEndpoint(instrument);
      const seen = calibrated.get(instrument.id);
      const since = seen === undefined ? null : (now.getTime() - seen) / 60_000;
      const count = readings.get(instrument.id) ?? 0;
      readings.set(instrument.id, count + 1);
      const truth = await findTrueSpectrum(manager, subject);
      const reading = readSpectrum(truth, since, createSeededRandom(seedOf(`${instrument.id} ${subject.id}`) + count));
      if (!reading)
        throw refused(
          'calibrate',
          since === null
            ? 'It has not seen its white tile yet: calibrate it first.'
            : `Its white calibration is ${Math.round(since)} minutes old and holds ${CALIBRATION_HOLDS_MIN}: calibrate it again.`,
        );
      return describe(reading.spectrum, reading.geometry, reading.sd, reading.sinceCalibrationMin, true);
    },
  };
}

async function readEndpoint(instrument: InstrumentRow): Promise<ColourReading> {
  const { spectrum, geometry } = (await fetchReading(instrument.url)) as { spectrum?: unknown; geometry?: unknown };
  const isSpectrum =
    Array.isArray(spectrum) &&
    spectrum.length === BANDS &&
    spectrum.every((one) => typeof one === 'number' && one >= 0 && one <= 1.2);
  if (!isSpectrum || !GEOMETRIES.includes(geometry as Geometry))
    throw refused(
      'no-spectrum',
      `${instrument.name} sent no ${BANDS} reflectances from 0 to 1.2 with their geometry. Nothing was saved.`,
    );
  return describe(spectrum as number[], geometry as Geometry, UNKNOWN_SD, null, false);
}

const describe = (
  spectrum: readonly number[],
  geometry: Geometry,
  sd: ColourReading['sd'],
  sinceCalibrationMin: number | null,
  isSimulated: boolean,
): ColourReading => ({
  ...{ spectrum, geometry, sd, sinceCalibrationMin, isSimulated },
  lab: computeLab(spectrum),
  labA: computeLab(spectrum, 'A'),
});
