import type {
  BeginPass,
  BenchView,
  CastingView,
  CatalogueView,
  CreateCasting,
  CreateJob,
  FoundPlace,
  Health,
  JobView,
  LogCoat,
  HouseView,
  ImportReport,
  RecordStates,
  ShelfView,
  SpecimenView,
  StartTimer,
  TimersView,
  WorkshopView,
} from '@sardonyx/contract';
import type {
  Casting,
  CoatingLayer,
  IdentifyCatalogue,
  Job,
  OvenState,
  PassResult,
  Photo,
  StripPass,
  Task,
  Timer,
} from '@sardonyx/core';
import { createApi, fetchBaseQuery, type BaseQueryFn, type FetchArgs } from '@reduxjs/toolkit/query/react';
import { convertToAppError, OFFLINE, type AppError } from './appError.ts';
import { cameOnline, wentOffline, type connectionSlice } from './connectionSlice.ts';

const ask = fetchBaseQuery({ baseUrl: '/api/' });

/** Every request: failures become AppErrors, and the page learns whether the server can be reached. */
const baseQuery: BaseQueryFn<string | FetchArgs, unknown, AppError> = async (args, context, extra) => {
  const { data, error, meta } = await ask(args, context, extra);
  const { isOnline } = (context.getState() as { connection: ReturnType<typeof connectionSlice.getInitialState> })
    .connection;
  if (error && typeof error.status !== 'number' && !meta?.response) {
    if (isOnline) context.dispatch(wentOffline());
    return { error: OFFLINE };
  }
  if (!isOnline) context.dispatch(cameOnline());
  if (error) return { error: convertToAppError(meta?.response?.status ?? 500, error.data) };
  return { data };
};

/** A noun that people edit row by row; the server's path for it. */
export type RowKind =
  | 'observations'
  | 'findings'
  | 'wants'
  | 'decisions'
  | 'specimen-parts'
  | 'layers'
  | 'jobs'
  | 'specimens'
  | 'photos'
  | 'photo-measures'
  | 'joint-wishes'
  | 'found-joints'
  | 'comings-off'
  | 'castings'
  | 'measurements'
  | 'sources'
  | 'features'
  | 'feature-states'
  | 'variants'
  | 'histories'
  | 'house-style'
  | 'house-choices'
  | 'tools'
  | 'vessels'
  | 'baths'
  | 'instruments';

export interface Row {
  readonly id: string;
  readonly version: number;
}

const CATALOGUE_KINDS: readonly RowKind[] = ['castings', 'features', 'feature-states', 'variants', 'sources'];

const WORKSHOP_KINDS: readonly RowKind[] = ['tools', 'vessels', 'baths', 'instruments'];

/** What must be asked again after an edit. */
function tagsOf(_result: unknown, _error: unknown, { kind }: { readonly kind: RowKind }) {
  if (kind === 'house-style' || kind === 'histories' || kind === 'house-choices')
    return ['House', 'Job', 'Bench'] as const;
  if (WORKSHOP_KINDS.includes(kind)) return ['Workshop'] as const;
  if (CATALOGUE_KINDS.includes(kind)) return ['Catalogue', 'Bench', 'Job'] as const;
  return kind === 'observations' ? (['Bench', 'Job', 'Catalogue'] as const) : (['Bench', 'Job'] as const);
}

export const api = createApi({
  baseQuery,
  tagTypes: ['Bench', 'Job', 'Catalogue', 'Shelf', 'Timers', 'Health', 'House', 'Workshop'],
  refetchOnFocus: true,
  refetchOnReconnect: true,
  endpoints: (build) => ({
    getHealth: build.query<Health, void>({ query: () => 'health', providesTags: ['Health'] }),
    getBench: build.query<BenchView, void>({ query: () => 'bench', providesTags: ['Bench'] }),
    getJob: build.query<JobView, string>({ query: (id) => `jobs/${id}`, providesTags: ['Job'] }),
    getShelf: build.query<ShelfView, void>({ query: () => 'shelf', providesTags: ['Shelf'] }),
    getCatalogue: build.query<CatalogueView, void>({ query: () => 'castings', providesTags: ['Catalogue'] }),
    getCasting: build.query<CastingView, string>({ query: (id) => `castings/${id}`, providesTags: ['Catalogue'] }),
    getSpecimen: build.query<SpecimenView, string>({ query: (id) => `specimens/${id}`, providesTags: ['Job'] }),
    getHouse: build.query<HouseView, void>({ query: () => 'house', providesTags: ['House'] }),
    getWorkshop: build.query<WorkshopView, void>({ query: () => 'workshop', providesTags: ['Workshop'] }),
    getIdentifyCatalogue: build.query<IdentifyCatalogue, string>({
      query: (castingId) => `castings/${castingId}/identify`,
      providesTags: ['Catalogue', 'House'],
    }),
    getTimers: build.query<TimersView, void>({ query: () => 'timers', providesTags: ['Timers'] }),
    findPlaces: build.query<FoundPlace[], string>({ query: (q) => ({ url: 'find', params: { q } }) }),
    createJob: build.mutation<Job, CreateJob>({
      query: (body) => ({ url: 'jobs', method: 'POST', body }),
      invalidatesTags: ['Bench'],
    }),
    createCasting: build.mutation<Casting, CreateCasting>({
      query: (body) => ({ url: 'castings', method: 'POST', body }),
      invalidatesTags: ['Catalogue'],
    }),
    actOnTask: build.mutation<
      Task,
      {
        id: string;
        act: 'start' | 'done' | 'take back';
        who: string;
        note: string;
        goAheadBecause?: string;
        staysUntilDone?: true;
      }
    >({
      query: ({ id, ...body }) => ({ url: `tasks/${encodeURIComponent(id)}/acts`, method: 'POST', body }),
      // A step may fill the gun and starts the airing of the room.
      invalidatesTags: ['Bench', 'Job', 'Workshop', 'Timers'],
    }),
    beginPass: build.mutation<StripPass, BeginPass>({
      query: (body) => ({ url: 'passes', method: 'POST', body }),
      invalidatesTags: ['Job', 'Timers', 'Workshop', 'Bench'],
    }),
    endPass: build.mutation<StripPass, { id: string; result: PassResult }>({
      query: ({ id, result }) => ({ url: `passes/${id}/end`, method: 'POST', body: { result } }),
      invalidatesTags: ['Job', 'Timers', 'Workshop', 'Bench'],
    }),
    turnDial: build.mutation<OvenState, { id: string; setC: number | null }>({
      query: ({ id, setC }) => ({ url: `instruments/${id}/dial`, method: 'POST', body: { setC } }),
    }),
    logCoat: build.mutation<CoatingLayer, LogCoat>({
      query: (body) => ({ url: 'coats', method: 'POST', body }),
      invalidatesTags: ['Bench', 'Job'],
    }),
    startTimer: build.mutation<Timer, StartTimer>({
      query: (body) => ({ url: 'timers', method: 'POST', body }),
      invalidatesTags: ['Timers', 'Bench'],
    }),
    acknowledgeTimer: build.mutation<Timer, string>({
      query: (id) => ({ url: `timers/${id}/acknowledge`, method: 'POST' }),
      invalidatesTags: ['Timers', 'Bench'],
    }),
    uploadPhoto: build.mutation<Photo, FormData>({
      query: (body) => ({ url: 'photos/upload', method: 'POST', body }),
      invalidatesTags: ['Job'],
    }),
    signOff: build.mutation<Job, { id: string; who: string }>({
      query: ({ id, who }) => ({ url: `jobs/${id}/sign-off`, method: 'POST', body: { who } }),
      invalidatesTags: ['Bench', 'Job'],
    }),
    restoreEverything: build.mutation<{ keptIn: string }, File>({
      query: (body) => ({
        url: 'everything.zip',
        method: 'POST',
        body,
        headers: { 'content-type': 'application/zip' },
      }),
      invalidatesTags: ['Bench', 'Job', 'Catalogue', 'Shelf', 'Timers', 'Health', 'Workshop', 'House'],
    }),
    recordStates: build.mutation<null, RecordStates & { readonly variantId: string }>({
      query: ({ variantId, ...body }) => ({ url: `variants/${variantId}/recorded`, method: 'PUT', body }),
      invalidatesTags: ['Catalogue', 'Job'],
    }),
    beginImport: build.mutation<ImportReport, { text: string; isJson: boolean }>({
      query: ({ text, isJson }) => ({
        url: 'catalogue/imports',
        method: 'POST',
        body: text,
        headers: { 'content-type': isJson ? 'application/vnd.sardonyx-catalogue+json' : 'text/csv' },
      }),
    }),
    getImport: build.query<ImportReport, string>({ query: (id) => `catalogue/imports/${id}` }),
    cancelImport: build.mutation<null, string>({
      query: (id) => ({ url: `catalogue/imports/${id}`, method: 'DELETE' }),
    }),
    createRow: build.mutation<Row, { kind: RowKind; body: Readonly<Record<string, unknown>> }>({
      query: ({ kind, body }) => ({ url: kind, method: 'POST', body }),
      invalidatesTags: tagsOf,
    }),
    changeRow: build.mutation<
      Row,
      { kind: RowKind; id: string; version: number; changes: Readonly<Record<string, unknown>> }
    >({
      query: ({ kind, id, version, changes }) => ({
        url: `${kind}/${encodeURIComponent(id)}`,
        method: 'PATCH',
        body: { ...changes, version },
      }),
      invalidatesTags: tagsOf,
    }),
    deleteRow: build.mutation<null, { kind: RowKind; id: string; version: number }>({
      query: ({ kind, id, version }) => ({
        url: `${kind}/${encodeURIComponent(id)}`,
        method: 'DELETE',
        params: { version },
      }),
      invalidatesTags: tagsOf,
    }),
  }),
});

export const {
  useGetHealthQuery,
  useGetBenchQuery,
  useGetJobQuery,
  useGetShelfQuery,
  useGetCatalogueQuery,
  useGetCastingQuery,
  useGetTimersQuery,
  useGetSpecimenQuery,
  useGetHouseQuery,
  useGetWorkshopQuery,
  useBeginPassMutation,
  useEndPassMutation,
  useTurnDialMutation,
  useGetIdentifyCatalogueQuery,
  useRecordStatesMutation,
  useBeginImportMutation,
  useGetImportQuery,
  useCancelImportMutation,
  useFindPlacesQuery,
  useCreateJobMutation,
  useCreateCastingMutation,
  useActOnTaskMutation,
  useLogCoatMutation,
  useStartTimerMutation,
  useAcknowledgeTimerMutation,
  useUploadPhotoMutation,
  useSignOffMutation,
  useRestoreEverythingMutation,
} = api;
