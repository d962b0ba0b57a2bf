import * as act from './act.ts';
import * as catalogue from './catalogue.ts';
import * as colour from './colour.ts';
import * as decal from './decal.ts';
import * as drying from './drying.ts';
import * as evenings from './evenings.ts';
import * as house from './house.ts';
import * as opening from './opening.ts';
import * as order from './order.ts';
import * as paint from './paint.ts';
import * as print from './print.ts';
import * as photo from './photo.ts';
import * as stock from './stock.ts';
import * as work from './work.ts';
import * as workpiece from './workpiece.ts';
import * as workshop from './workshop.ts';

/** Every table, for the data source. */
export const ENTITIES = [
  catalogue,
  house,
  work,
  paint,
  workpiece,
  photo,
  opening,
  workshop,
  colour,
  act,
  drying,
  stock,
  order,
  print,
  decal,
  evenings,
].flatMap((room) => Object.values(room));
