import type { Drawing } from '@sardonyx/core';
import { drawBaggageTrolley } from './drawBaggageTrolley.ts';
import { drawBaggageTug } from './drawBaggageTug.ts';
import { drawClayPitDumper } from './drawClayPitDumper.ts';
import { drawCoalCart } from './drawCoalCart.ts';
import { drawCoastalSaloon } from './drawCoastalSaloon.ts';
import { drawHarbourTram } from './drawHarbourTram.ts';
import { drawHorseBox } from './drawHorseBox.ts';
import { drawLifeboatCarrier } from './drawLifeboatCarrier.ts';
import { drawMilkFloat } from './drawMilkFloat.ts';
import { drawMobileLibrary } from './drawMobileLibrary.ts';
import { drawRoadSweeper } from './drawRoadSweeper.ts';
import { drawSnowplough } from './drawSnowplough.ts';

/** Castings drawn by hand, by their id in the catalogue. */
const DRAWN: Readonly<Record<string, () => Drawing>> = {
  'baggage-trolley': drawBaggageTrolley,
  'baggage-tug': drawBaggageTug,
  'clay-dumper': drawClayPitDumper,
  'coal-cart': drawCoalCart,
  'coastal-saloon': drawCoastalSaloon,
  'harbour-tram': drawHarbourTram,
  'horse-box': drawHorseBox,
  'lifeboat-carrier': drawLifeboatCarrier,
  'milk-float': drawMilkFloat,
  'mobile-library': drawMobileLibrary,
  'road-sweeper': drawRoadSweeper,
  snowplough: drawSnowplough,
};

export function drawCasting(castingId: string): Drawing {
  const draw = DRAWN[castingId];
  if (!draw) throw new Error(`Nobody has drawn ${castingId}`);
  return draw();
}
