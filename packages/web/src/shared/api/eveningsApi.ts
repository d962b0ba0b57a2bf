import type { EveningsView, KeepEveningsPlan, KeptPlan } from '@sardonyx/contract';
import { api } from './api.ts';
import { readAppError } from './appError.ts';

const eveningsApi = api.injectEndpoints({
  endpoints: (build) => ({
    // What the bench shows is what is planned.
    getEvenings: build.query<EveningsView, void>({
      query: () => 'evenings',
      providesTags: ['Evenings', 'Bench', 'Workshop', 'Orders'],
    }),
    keepEvenings: build.mutation<KeptPlan, KeepEveningsPlan>({
      query: (body) => ({ url: 'evenings/plan', method: 'PUT', body }),
      // Where another window was first, or somebody is gone, it is read anew; what the disk or the network refused is not tried for ever.
      invalidatesTags: (_, error) =>
        !error || ['stale', 'refused'].includes(readAppError(error).kind) ? ['Evenings'] : [],
    }),
  }),
});

export const { useGetEveningsQuery, useKeepEveningsMutation } = eveningsApi;
