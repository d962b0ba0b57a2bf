import { createBrowserRouter, Link, useRouteError } from 'react-router';
import { BenchPage } from '../features/bench/index.ts';
import { readAppError } from '../shared/api/appError.ts';
import { EmptyNote, ErrorNote } from '../shared/ui/Notice.tsx';
import { Shell } from './Shell.tsx';

const lazyPage = (load: () => Promise<React.ComponentType>) => async () => ({ Component: await load() });

/** For whoever builds and checks screens; it is not in what restorers get. */
const KIT =
  import.meta.env.MODE === 'production'
    ? []
    : [{ path: 'kit', lazy: lazyPage(() => import('../features/kit/index.ts').then((module) => module.KitPage)) }];

export const router = createBrowserRouter([
  ...KIT,
  {
    path: 'bench-mode',
    errorElement: <Broken />,
    lazy: lazyPage(() => import('../features/bench-mode/index.ts').then((module) => module.BenchModePage)),
  },
  {
    element: <Shell />,
    errorElement: <Broken />,
    children: [
      { index: true, element: <BenchPage /> },
      {
        path: 'put-on-bench',
        lazy: lazyPage(() => import('../features/intake/index.ts').then((module) => module.PutOnBenchPage)),
      },
      {
        path: 'jobs/:jobId/photos/:photoId',
        lazy: lazyPage(() => import('../features/photos/index.ts').then((module) => module.PhotoPage)),
      },
      {
        path: 'jobs/:jobId/colour/:act?',
        lazy: lazyPage(() => import('../features/colour/index.ts').then((module) => module.ColourPage)),
      },
      {
        path: 'jobs/:jobId/record',
        lazy: lazyPage(() => import('../features/record/index.ts').then((module) => module.RecordPage)),
      },
      {
        path: 'jobs/:jobId/:station?',
        lazy: lazyPage(() => import('../features/job/index.ts').then((module) => module.JobPage)),
      },
      {
        path: 'catalogue',
        lazy: lazyPage(() => import('../features/catalogue/index.ts').then((module) => module.CataloguePage)),
      },
      {
        path: 'catalogue/new',
        lazy: lazyPage(() => import('../features/catalogue/index.ts').then((module) => module.NewCastingPage)),
      },
      {
        path: 'catalogue/:castingId',
        lazy: lazyPage(() => import('../features/catalogue/index.ts').then((module) => module.CastingPage)),
      },
      {
        path: 'catalogue/:castingId/trace/:view',
        lazy: lazyPage(() => import('../features/catalogue/index.ts').then((module) => module.TracePage)),
      },
      {
        path: 'workshop',
        lazy: lazyPage(() => import('../features/workshop/index.ts').then((module) => module.WorkshopPage)),
      },
      {
        path: 'first-evening',
        lazy: lazyPage(() => import('../features/workshop/index.ts').then((module) => module.FirstEveningPage)),
      },
      { path: 'house', lazy: lazyPage(() => import('../features/house/index.ts').then((module) => module.HousePage)) },
      {
        path: 'practice',
        lazy: lazyPage(() => import('../features/practice/index.ts').then((module) => module.PracticePage)),
      },
      {
        path: 'practice/match-the-pot',
        lazy: lazyPage(() => import('../features/colour/index.ts').then((module) => module.MatchThePotPage)),
      },
      {
        path: 'practice/decals',
        lazy: lazyPage(() => import('../features/practice/index.ts').then((module) => module.PlaceDecalPage)),
      },
      {
        path: 'shelf',
        lazy: lazyPage(() => import('../features/shelf/index.ts').then((module) => module.ShelfPage)),
      },
      {
        path: 'drawers',
        lazy: lazyPage(() => import('../features/drawers/index.ts').then((module) => module.DrawersPage)),
      },
      {
        path: 'prints',
        lazy: lazyPage(() => import('../features/prints/index.ts').then((module) => module.PrintsPage)),
      },
      {
        path: 'evenings',
        lazy: lazyPage(() => import('../features/evenings/index.ts').then((module) => module.EveningsPage)),
      },
      {
        path: 'decals',
        lazy: lazyPage(() => import('../features/decals/index.ts').then((module) => module.DecalsPage)),
      },
      {
        path: 'decals/trace/:artworkId?',
        lazy: lazyPage(() => import('../features/decals/index.ts').then((module) => module.TraceDecalPage)),
      },
      {
        path: 'orders',
        lazy: lazyPage(() => import('../features/orders/index.ts').then((module) => module.OrdersPage)),
      },
      { path: 'safe', lazy: lazyPage(() => import('../features/keepsake/index.ts').then((module) => module.SafePage)) },
      { path: '*', element: <Nowhere /> },
    ],
  },
]);

function Nowhere() {
  return (
    <div className="p-6">
      <EmptyNote title="There is nothing at this address.">
        <Link className="underline" to="/">
          Back to the bench
        </Link>
      </EmptyNote>
    </div>
  );
}

function Broken() {
  return (
    <div className="space-y-4 p-6">
      <ErrorNote error={readAppError(useRouteError())} />
      <a className="plain-button" href="/">
        Open the bench again
      </a>
    </div>
  );
}
