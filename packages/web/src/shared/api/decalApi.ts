import type {
  DecalsView,
  LogDecal,
  MeasureRules,
  OrderDecal,
  PictureOfArtwork,
  PrintSheet,
  SpoilSheet,
  TraceArtwork,
} from '@sardonyx/contract';
import type { DecalAct, DecalArtwork, DecalOrder, DecalSheet } from '@sardonyx/core';
import { api } from './api.ts';

const decalApi = api.injectEndpoints({
  endpoints: (build) => ({
    getDecals: build.query<DecalsView, void>({
      query: () => 'decals',
      providesTags: ['Decals', 'Job', 'Shelf', 'House'],
    }),
    bringArtwork: build.mutation<DecalArtwork, File>({
      query: (file) => ({
        url: 'artworks',
        method: 'POST',
        params: { name: file.name },
        headers: { 'content-type': 'image/svg+xml' },
        body: file,
      }),
      invalidatesTags: ['Decals'],
    }),
    bringPicture: build.mutation<DecalArtwork, { readonly file: File } & PictureOfArtwork>({
      query: ({ file, widthMm, isWhitePaper }) => ({
        url: 'artworks/pictures',
        method: 'POST',
        params: { name: file.name, widthMm, paper: isWhitePaper ? 'white' : 'printed' },
        headers: { 'content-type': 'image/png' },
        body: file,
      }),
      invalidatesTags: ['Decals'],
    }),
    traceArtwork: build.mutation<DecalArtwork, TraceArtwork>({
      query: (body) => ({ url: 'artworks/traced', method: 'POST', body }),
      invalidatesTags: ['Decals'],
    }),
    sizeArtwork: build.mutation<DecalArtwork, { readonly artworkId: string; readonly widthMm: number }>({
      query: ({ artworkId, ...body }) => ({
        url: `artworks/${encodeURIComponent(artworkId)}/size`,
        method: 'POST',
        body,
      }),
      invalidatesTags: ['Decals'],
    }),
    logDecal: build.mutation<DecalAct, { readonly layerId: string } & LogDecal>({
      query: ({ layerId, ...body }) => ({ url: `decals/${encodeURIComponent(layerId)}/acts`, method: 'POST', body }),
      invalidatesTags: ['Decals'],
    }),
    orderDecal: build.mutation<DecalOrder, { readonly layerId: string } & OrderDecal>({
      query: ({ layerId, ...body }) => ({ url: `decals/${encodeURIComponent(layerId)}/orders`, method: 'POST', body }),
      invalidatesTags: ['Decals', 'Job', 'House'],
    }),
    printSheet: build.mutation<DecalSheet, PrintSheet>({
      query: (body) => ({ url: 'decal-sheets', method: 'POST', body }),
      invalidatesTags: ['Decals'],
    }),
    spoilSheet: build.mutation<DecalSheet, { readonly sheetId: string } & SpoilSheet>({
      query: ({ sheetId, ...body }) => ({
        url: `decal-sheets/${encodeURIComponent(sheetId)}/spoiled`,
        method: 'POST',
        body,
      }),
      invalidatesTags: ['Decals'],
    }),
    measureRules: build.mutation<DecalSheet, { readonly sheetId: string } & MeasureRules>({
      query: ({ sheetId, ...body }) => ({
        url: `decal-sheets/${encodeURIComponent(sheetId)}/rules`,
        method: 'POST',
        body,
      }),
      invalidatesTags: ['Decals'],
    }),
  }),
});

export const {
  useGetDecalsQuery,
  useBringArtworkMutation,
  useBringPictureMutation,
  useSizeArtworkMutation,
  useTraceArtworkMutation,
  useLogDecalMutation,
  useOrderDecalMutation,
  usePrintSheetMutation,
  useMeasureRulesMutation,
  useSpoilSheetMutation,
} = decalApi;
