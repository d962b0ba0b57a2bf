import type { EveningsView, KeepEveningsPlan, KeptPlan } from '@sardonyx/contract';
import { api } from './api.ts';

const eveningsApi = api.injectEndpoints({
  endpoints: (build) => ({
    // What the bench shows is what is planned.
    getEvenings: build.query<EveningsView, void>({
      query: () => 'evenings',
      providesTags: ['Evenings', 'Bench', 'Workshop', 'Orders'],
    }),
    keepEvenings: build.mutation<KeptPlan, KeepEveningsPlan>({
      query: (body) => ({ url: 'evenings/plan', method: 'PUT', body }),
      invalidatesTags: ['Evenings'],
    }),
  }),
});

export const { useGetEveningsQuery, useKeepEveningsMutation } = eveningsApi;
