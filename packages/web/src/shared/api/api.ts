import type {
  AddSpecimen,
  ActOnTask,
  AddPot,
  BeginPass,
  BenchView,
  BuildChanged,
  ChangeBuild,
  CastingPhoto,
  CastingView,
  TakeUsualThings,
  UsualThingsTaken,
  CatalogueView,
  ColourReading,
  ColourView,
  CreateCapture,
  CreateCasting,
  CreateJob,
  CreateMix,
  FoundPlace,
  GunView,
  Health,
  JobView,
  KeepMix,
  KeptCopy,
  KeyCoat,
  LogCoat,
  ReadRoom,
  RejectCoat,
  LogPatch,
  LogPour,
  LogWet,
  MeasureColour,
  HouseView,
  ImportReport,
  WriteIssueDown,
  WriteSheet,
  WriteTrace,
  ShelfFile,
  ShelfReport,
  ShelfView,
  SizeElsewhere,
  SpecimenView,
  StartTimer,
  TimersView,
  WorkshopView,
  NounPath,
  PhoneDoorView,
  ShowToPhone,
  TakePart,
} from '@sardonyx/contract';
import { getNoun, VIEWS } from '@sardonyx/contract';
import type {
  Casting,
  CoatingLayer,
  ColourCapture,
  ColourNeed,
  IdentifyCatalogue,
  Job,
  Mix,
  MixStep,
  OvenState,
  PaintProduct,
  PassResult,
  Photo,
  RoomLogEntry,
  StripPass,
  Task,
  Timer,
  Specimen,
  SpecimenPart,
  Variant,
  ViewKind,
} from '@sardonyx/core';
import { createApi } from '@reduxjs/toolkit/query/react';
import { baseQuery } from './baseQuery.ts';

/** What may be added to a mixing's log, and where it goes. */
export type MixLogLine =
  | { readonly path: 'pours'; readonly body: LogPour }
  | { readonly path: 'patches'; readonly body: LogPatch }
  | { readonly path: 'wet'; readonly body: LogWet }
  | { readonly path: 'undo'; readonly body: { readonly stepId: string; readonly who: string } };

export interface Row {
  readonly id: string;
  readonly version: number;
}

/** What must be asked again after an edit. */
const tagsOf = (_result: unknown, _error: unknown, { kind }: { readonly kind: NounPath }) => getNoun(kind).views;

export const api = createApi({
  baseQuery,
  tagTypes: VIEWS,
  refetchOnFocus: true,
  refetchOnReconnect: true,
  endpoints: (build) => ({
    getHealth: build.query<Health, void>({ query: () => 'health', providesTags: ['Health'] }),
    getBench: build.query<BenchView, void>({ query: () => 'bench', providesTags: ['Bench'] }),
    getJob: build.query<JobView, string>({ query: (id) => `jobs/${id}`, providesTags: ['Job'] }),
    getShelf: build.query<ShelfView, void>({ query: () => 'shelf', providesTags: ['Shelf'] }),
    getColour: build.query<ColourView, string>({ query: (jobId) => `jobs/${jobId}/colour`, providesTags: ['Colour'] }),
    getColourNeeds: build.query<readonly ColourNeed[], void>({ query: () => 'colour-needs', providesTags: ['Job'] }),
    getGun: build.query<GunView, void>({ query: () => 'gun', providesTags: ['Job', 'Workshop'] }),
    getSizesElsewhere: build.query<readonly SizeElsewhere[], string>({
      query: (areaId) => `areas/${areaId}/elsewhere`,
      providesTags: ['Job'],
    }),
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
    addSpecimen: build.mutation<Specimen, { readonly jobId: string } & AddSpecimen>({
      query: ({ jobId, ...body }) => ({ url: `jobs/${jobId}/specimens`, method: 'POST', body }),
      invalidatesTags: ['Bench', 'Job', 'Catalogue'],
    }),
    takePart: build.mutation<SpecimenPart, { readonly partId: string } & TakePart>({
      query: ({ partId, ...body }) => ({ url: `specimen-parts/${partId}/take`, method: 'POST', body }),
      invalidatesTags: ['Bench', 'Job', 'Catalogue'],
    }),
    createCasting: build.mutation<Casting, CreateCasting>({
      query: (body) => ({ url: 'castings', method: 'POST', body }),
      invalidatesTags: ['Catalogue'],
    }),
    getCastingPhotos: build.query<readonly CastingPhoto[], string>({
      query: (id) => `castings/${encodeURIComponent(id)}/photos`,
      providesTags: ['Job'],
    }),
    writeTrace: build.mutation<Casting, { id: string; view: ViewKind; body: WriteTrace }>({
      query: ({ id, view, body }) => ({
        url: `castings/${encodeURIComponent(id)}/traces/${view}`,
        method: 'PUT',
        body,
      }),
      invalidatesTags: ['Catalogue', 'Bench', 'Job'],
    }),
    changeBuild: build.mutation<BuildChanged, { id: string; body: ChangeBuild }>({
      query: ({ id, body }) => ({ url: `castings/${encodeURIComponent(id)}/build`, method: 'PUT', body }),
      invalidatesTags: ['Catalogue', 'Bench', 'Job'],
    }),
    actOnTask: build.mutation<
      Task,
      {
        id: string;
      } & ActOnTask
    >({
      query: ({ id, ...body }) => ({ url: `tasks/${encodeURIComponent(id)}/acts`, method: 'POST', body }),
      // A step may fill the gun, starts the airing of the room, and takes what it uses out of the drawers.
      invalidatesTags: ['Bench', 'Job', 'Workshop', 'Timers', 'Stock', 'Orders'],
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
    addCapture: build.mutation<ColourCapture, CreateCapture>({
      query: (body) => ({ url: 'captures', method: 'POST', body }),
      invalidatesTags: ['Colour', 'Job'],
    }),
    startMix: build.mutation<Mix, CreateMix>({
      query: (body) => ({ url: 'mixes', method: 'POST', body }),
      invalidatesTags: ['Colour'],
    }),
    /** One line more in a mixing's log. */
    logMixStep: build.mutation<MixStep, { mixId: string } & MixLogLine>({
      query: ({ mixId, path, body }) => ({ url: `mixes/${mixId}/${path}`, method: 'POST', body }),
      invalidatesTags: ['Colour', 'Shelf'],
    }),
    keepMix: build.mutation<Mix, { mixId: string; body: KeepMix }>({
      query: ({ mixId, body }) => ({ url: `mixes/${mixId}/keep`, method: 'POST', body }),
      invalidatesTags: ['Colour', 'Shelf', 'Job', 'Bench'],
    }),
    giveUpMix: build.mutation<Mix, string>({
      query: (mixId) => ({ url: `mixes/${mixId}/give-up`, method: 'POST' }),
      invalidatesTags: ['Colour'],
    }),
    takeUsualThings: build.mutation<UsualThingsTaken, TakeUsualThings>({
      query: (body) => ({ url: 'workshop/usual', method: 'POST', body }),
      invalidatesTags: VIEWS,
    }),
    addPot: build.mutation<PaintProduct, AddPot>({
      query: (body) => ({ url: 'shelf/pots', method: 'POST', body }),
      invalidatesTags: ['Shelf'],
    }),
    bringShelfFile: build.mutation<ShelfReport, ShelfFile>({
      query: (body) => ({ url: 'shelf/files', method: 'POST', body }),
      invalidatesTags: ['Shelf'],
    }),
    calibrate: build.mutation<{ calibratedAt: string }, string>({
      query: (id) => ({ url: `instruments/${id}/calibrate`, method: 'POST' }),
    }),
    measureColour: build.mutation<ColourReading, { instrumentId: string; body: MeasureColour }>({
      query: ({ instrumentId, body }) => ({ url: `instruments/${instrumentId}/measure`, method: 'POST', body }),
    }),
    tareScales: build.mutation<null, string>({ query: (id) => ({ url: `instruments/${id}/tare`, method: 'POST' }) }),
    pourOnScales: build.mutation<null, { id: string; grams: number }>({
      query: ({ id, grams }) => ({ url: `instruments/${id}/pour`, method: 'POST', body: { grams } }),
    }),
    logCoat: build.mutation<CoatingLayer, LogCoat>({
      query: (body) => ({ url: 'coats', method: 'POST', body }),
      // A coat ends its step: the gun holds its colour, the room is aired; its paint is out of the pot.
      invalidatesTags: ['Bench', 'Job', 'Workshop', 'Timers', 'Shelf', 'Orders'],
    }),
    keyCoat: build.mutation<CoatingLayer, KeyCoat & { id: string }>({
      query: ({ id, ...body }) => ({ url: `coats/${encodeURIComponent(id)}/key`, method: 'POST', body }),
      invalidatesTags: ['Bench', 'Job'],
    }),
    readRoom: build.mutation<RoomLogEntry, ReadRoom | null>({
      query: (body) => (body ? { url: 'room', method: 'POST', body } : { url: 'room/read', method: 'POST' }),
      invalidatesTags: ['Bench', 'Job'],
    }),
    rejectCoat: build.mutation<CoatingLayer, RejectCoat & { id: string }>({
      query: ({ id, ...body }) => ({ url: `coats/${encodeURIComponent(id)}/reject`, method: 'POST', body }),
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
    restoreEverything: build.mutation<{ keptIn: string }, File>({
      query: (body) => ({
        url: 'everything.zip',
        method: 'POST',
        body,
        headers: { 'content-type': 'application/zip' },
      }),
      invalidatesTags: VIEWS,
    }),
    getPhoneDoor: build.query<PhoneDoorView, void>({ query: () => 'phone', providesTags: ['Phone'] }),
    openPhoneDoor: build.mutation<PhoneDoorView, number>({
      query: (hours) => ({ url: 'phone/open', method: 'POST', body: { hours } }),
      invalidatesTags: ['Phone'],
    }),
    shutPhoneDoor: build.mutation<PhoneDoorView, void>({
      query: () => ({ url: 'phone/shut', method: 'POST' }),
      invalidatesTags: ['Phone'],
    }),
    sendPhoneOut: build.mutation<PhoneDoorView, string>({
      query: (id) => ({ url: `phone/devices/${encodeURIComponent(id)}`, method: 'DELETE' }),
      invalidatesTags: ['Phone'],
    }),
    showToPhone: build.mutation<null, ShowToPhone>({
      query: (body) => ({ url: 'phone/shown', method: 'PUT', body }),
    }),
    getCopies: build.query<readonly KeptCopy[], void>({ query: () => 'copies', providesTags: ['Copies'] }),
    makeCopy: build.mutation<readonly KeptCopy[], void>({
      query: () => ({ url: 'copies', method: 'POST' }),
      invalidatesTags: ['Copies'],
    }),
    restoreCopy: build.mutation<{ keptIn: string }, string>({
      query: (name) => ({ url: `copies/${encodeURIComponent(name)}/restore`, method: 'POST' }),
      invalidatesTags: VIEWS,
    }),
    writeSheet: build.mutation<CastingView, { readonly castingId: string; readonly body: WriteSheet }>({
      query: ({ castingId, body }) => ({ url: `castings/${castingId}/issues`, method: 'PUT', body }),
      invalidatesTags: ['Catalogue', 'Job'],
    }),
    writeIssueDown: build.mutation<Variant, WriteIssueDown & { readonly specimenId: string }>({
      query: ({ specimenId, ...body }) => ({ url: `specimens/${specimenId}/issue`, method: 'POST', body }),
      invalidatesTags: VIEWS,
    }),
    beginImport: build.mutation<ImportReport, { text: string; isJson: boolean }>({
      query: ({ text, isJson }) => ({
        url: 'catalogue/imports?look=1',
        method: 'POST',
        body: text,
        headers: { 'content-type': isJson ? 'application/vnd.sardonyx-catalogue+json' : 'text/csv' },
      }),
    }),
    getImport: build.query<ImportReport, string>({ query: (id) => `catalogue/imports/${id}` }),
    carryOutImport: build.mutation<ImportReport, string>({
      query: (id) => ({ url: `catalogue/imports/${id}/carry-out`, method: 'POST' }),
    }),
    cancelImport: build.mutation<null, string>({
      query: (id) => ({ url: `catalogue/imports/${id}`, method: 'DELETE' }),
    }),
    createRow: build.mutation<Row, { kind: NounPath; body: Readonly<Record<string, unknown>> }>({
      query: ({ kind, body }) => ({ url: kind, method: 'POST', body }),
      invalidatesTags: tagsOf,
    }),
    changeRow: build.mutation<
      Row,
      { kind: NounPath; id: string; version: number; changes: Readonly<Record<string, unknown>> }
    >({
      query: ({ kind, id, version, changes }) => ({
        url: `${kind}/${encodeURIComponent(id)}`,
        method: 'PATCH',
        body: { ...changes, version },
      }),
      invalidatesTags: tagsOf,
    }),
    deleteRow: build.mutation<null, { kind: NounPath; id: string; version: number }>({
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
  useAddSpecimenMutation,
  useTakePartMutation,
  useGetHealthQuery,
  useGetBenchQuery,
  useGetJobQuery,
  useGetShelfQuery,
  useGetColourQuery,
  useGetColourNeedsQuery,
  useGetGunQuery,
  useGetSizesElsewhereQuery,
  useAddCaptureMutation,
  useStartMixMutation,
  useLogMixStepMutation,
  useKeepMixMutation,
  useGiveUpMixMutation,
  useAddPotMutation,
  useTakeUsualThingsMutation,
  useBringShelfFileMutation,
  useCalibrateMutation,
  useMeasureColourMutation,
  useTareScalesMutation,
  usePourOnScalesMutation,
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
  useWriteIssueDownMutation,
  useWriteSheetMutation,
  useBeginImportMutation,
  useGetImportQuery,
  useCancelImportMutation,
  useCarryOutImportMutation,
  useFindPlacesQuery,
  useCreateJobMutation,
  useChangeBuildMutation,
  useGetCastingPhotosQuery,
  useWriteTraceMutation,
  useCreateCastingMutation,
  useActOnTaskMutation,
  useKeyCoatMutation,
  useLogCoatMutation,
  useReadRoomMutation,

  useRejectCoatMutation,
  useStartTimerMutation,
  useAcknowledgeTimerMutation,
  useUploadPhotoMutation,
  useRestoreEverythingMutation,
  useGetCopiesQuery,
  useGetPhoneDoorQuery,
  useOpenPhoneDoorMutation,
  useShutPhoneDoorMutation,
  useSendPhoneOutMutation,
  useShowToPhoneMutation,
  useMakeCopyMutation,
  useRestoreCopyMutation,
} = api;
