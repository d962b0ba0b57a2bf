import { Signings1796220316398 } from './1796220316398-Signings.ts';
import { Evenings1796190000000 } from './1796190000000-Evenings.ts';
import { Decals1796170000000 } from './1796170000000-Decals.ts';
import { DecalOrders1796180000000 } from './1796180000000-DecalOrders.ts';
import { Prints1796160000000 } from './1796160000000-Prints.ts';
import { WantBits1796150000000 } from './1796150000000-WantBits.ts';
import { PotLog1796140000000 } from './1796140000000-PotLog.ts';
import { Orders1796130000000 } from './1796130000000-Orders.ts';
import { Drawers1796120000000 } from './1796120000000-Drawers.ts';
import { CoatDetails1796110000000 } from './1796110000000-CoatDetails.ts';
import { Drying1796100000000 } from './1796100000000-Drying.ts';
import { CountedOnce1796090000000 } from './1796090000000-CountedOnce.ts';
import { SourcedCells1796020000000 } from './1796020000000-SourcedCells.ts';
import { CapturedAnswers1796000000000 } from './1796000000000-CapturedAnswers.ts';
import { ListedShare1795991799275 } from './1795991799275-ListedShare.ts';
import { OwnCastings1795982337856 } from './1795982337856-OwnCastings.ts';
import { SettledModels1795943669688 } from './1795943669688-SettledModels.ts';
import { WhoseAndWhich1795941381036 } from './1795941381036-WhoseAndWhich.ts';
import { AsItWasFound1795932759442 } from './1795932759442-AsItWasFound.ts';
import { DoneStands1795891946051 } from './1795891946051-DoneStands.ts';
import { ColourLab1795733425618 } from './1795733425618-ColourLab.ts';
import { Workshop1795718081371 } from './1795718081371-Workshop.ts';
import { SurveyAndOpening1795707802114 } from './1795707802114-SurveyAndOpening.ts';
import { CastingHistory1795699322496 } from './1795699322496-CastingHistory.ts';
import { IdentifyAndDate1795695031297 } from './1795695031297-IdentifyAndDate.ts';
import { Initial1795576601852 } from './1795576601852-Initial.ts';
import type { MigrationInterface } from 'typeorm';

/** In the order in which they run. Made by `npm run migration -- NAME`; by hand only what moves data. */
export const MIGRATIONS: (new () => MigrationInterface)[] = [
  Initial1795576601852,
  IdentifyAndDate1795695031297,
  CastingHistory1795699322496,
  SurveyAndOpening1795707802114,
  Workshop1795718081371,
  ColourLab1795733425618,
  DoneStands1795891946051,
  AsItWasFound1795932759442,
  WhoseAndWhich1795941381036,
  SettledModels1795943669688,
  OwnCastings1795982337856,
  ListedShare1795991799275,
  CapturedAnswers1796000000000,
  SourcedCells1796020000000,
  CountedOnce1796090000000,
  Drying1796100000000,
  CoatDetails1796110000000,
  Drawers1796120000000,
  Orders1796130000000,
  PotLog1796140000000,
  WantBits1796150000000,
  Prints1796160000000,
  Decals1796170000000,
  DecalOrders1796180000000,
  Evenings1796190000000,
  Signings1796220316398,
];
