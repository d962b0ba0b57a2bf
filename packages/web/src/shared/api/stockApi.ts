import type {
  LogPrint,
  MovePot,
  MoveStock,
  OrdersView,
  PotLog,
  PrintsView,
  PlaceOrder,
  ReceiveLine,
  SetBitHere,
  ShelfReport,
  StockFile,
  StockView,
  TakeFromDonor,
  TakeWant,
  ThingLog,
} from '@sardonyx/contract';
import type {
  AxleShare,
  JobCost,
  Movement,
  OrderLine,
  PotMovement,
  Print,
  PrintRun,
  StockOrder,
  StockThing,
  Want,
} from '@sardonyx/core';
import { api } from './api.ts';

/** What is in hand stands in every job, and in what is to be ordered. */
const MOVED = ['Stock', 'Orders', 'Job'] as const;
/** An order moves wants, and with them plans. */
const ORDERED = [...MOVED, 'Bench', 'Workshop', 'Shelf'] as const;

const stockApi = api.injectEndpoints({
  endpoints: (build) => ({
    getStock: build.query<StockView, void>({ query: () => 'stock', providesTags: ['Stock'] }),
    getThingLog: build.query<ThingLog, string>({
      query: (id) => `stock-things/${encodeURIComponent(id)}/movements`,
      providesTags: ['Stock'],
    }),
    moveStock: build.mutation<Movement, { readonly thingId: string } & MoveStock>({
      query: ({ thingId, ...body }) => ({
        url: `stock-things/${encodeURIComponent(thingId)}/movements`,
        method: 'POST',
        body,
      }),
      invalidatesTags: MOVED,
    }),
    setPicture: build.mutation<StockThing, { readonly thingId: string; readonly picture: FormData }>({
      query: ({ thingId, picture }) => ({
        url: `stock-things/${encodeURIComponent(thingId)}/picture`,
        method: 'POST',
        body: picture,
      }),
      invalidatesTags: ['Stock'],
    }),
    dropPicture: build.mutation<StockThing, string>({
      query: (thingId) => ({ url: `stock-things/${encodeURIComponent(thingId)}/picture`, method: 'DELETE' }),
      invalidatesTags: ['Stock'],
    }),
    getPotLog: build.query<PotLog, string>({
      query: (id) => `paint-pots/${encodeURIComponent(id)}/movements`,
      providesTags: ['Shelf'],
    }),
    movePot: build.mutation<PotMovement, { readonly potId: string } & MovePot>({
      query: ({ potId, ...body }) => ({
        url: `paint-pots/${encodeURIComponent(potId)}/movements`,
        method: 'POST',
        body,
      }),
      invalidatesTags: ['Shelf', 'Job', 'Orders'],
    }),
    bringStockFile: build.mutation<ShelfReport, StockFile>({
      query: (body) => ({ url: 'stock/files', method: 'POST', body }),
      invalidatesTags: MOVED,
    }),
    getOrders: build.query<OrdersView, void>({ query: () => 'orders', providesTags: ['Orders'] }),
    placeOrder: build.mutation<StockOrder, PlaceOrder>({
      query: (body) => ({ url: 'orders', method: 'POST', body }),
      invalidatesTags: ORDERED,
    }),
    takeFromDonor: build.mutation<Want, { readonly wantId: string } & TakeFromDonor>({
      query: ({ wantId, ...body }) => ({ url: `wants/${encodeURIComponent(wantId)}/donor`, method: 'POST', body }),
      invalidatesTags: ORDERED,
    }),
    getAxles: build.query<readonly AxleShare[], void>({ query: () => 'axles', providesTags: ['Stock', 'Job'] }),
    getPrints: build.query<PrintsView, void>({ query: () => 'prints', providesTags: ['Prints', 'Job'] }),
    bringMesh: build.mutation<Print, File>({
      query: (file) => ({
        url: 'prints',
        method: 'POST',
        params: { name: file.name },
        headers: { 'content-type': 'model/stl' },
        body: file,
      }),
      invalidatesTags: ['Prints'],
    }),
    logPrint: build.mutation<PrintRun, { readonly printId: string } & LogPrint>({
      query: ({ printId, ...body }) => ({ url: `prints/${encodeURIComponent(printId)}/runs`, method: 'POST', body }),
      invalidatesTags: ['Prints', ...ORDERED],
    }),
    takeWant: build.mutation<Want, { readonly wantId: string } & TakeWant>({
      query: ({ wantId, ...body }) => ({ url: `wants/${encodeURIComponent(wantId)}/taken`, method: 'POST', body }),
      invalidatesTags: ORDERED,
    }),
    putBackWant: build.mutation<Want, { readonly wantId: string; readonly who: string }>({
      query: ({ wantId, who }) => ({
        url: `wants/${encodeURIComponent(wantId)}/put-back`,
        method: 'POST',
        body: { who },
      }),
      invalidatesTags: ORDERED,
    }),
    getCost: build.query<JobCost, string>({
      query: (jobId) => `jobs/${encodeURIComponent(jobId)}/cost`,
      providesTags: ['Job', 'Shelf', 'Stock'],
    }),
    setBitHere: build.mutation<Want, { readonly wantId: string; readonly bitId: string } & SetBitHere>({
      query: ({ wantId, bitId, ...body }) => ({
        url: `wants/${encodeURIComponent(wantId)}/bits/${encodeURIComponent(bitId)}/here`,
        method: 'POST',
        body,
      }),
      invalidatesTags: ORDERED,
    }),
    receiveLine: build.mutation<OrderLine, { readonly lineId: string } & ReceiveLine>({
      query: ({ lineId, ...body }) => ({
        url: `order-lines/${encodeURIComponent(lineId)}/arrival`,
        method: 'POST',
        body,
      }),
      invalidatesTags: ORDERED,
    }),
  }),
});

export const {
  useGetStockQuery,
  useGetThingLogQuery,
  useMoveStockMutation,
  useSetPictureMutation,
  useDropPictureMutation,
  useGetPotLogQuery,
  useMovePotMutation,
  useBringStockFileMutation,
  useGetOrdersQuery,
  usePlaceOrderMutation,
  useReceiveLineMutation,
  useTakeFromDonorMutation,
  useSetBitHereMutation,
  useGetCostQuery,
  useGetPrintsQuery,
  useGetAxlesQuery,
  useBringMeshMutation,
  useLogPrintMutation,
  useTakeWantMutation,
  usePutBackWantMutation,
} = stockApi;
