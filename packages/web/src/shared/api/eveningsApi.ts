import type { EveningsView, ForecastView, HoursView, KeepEveningsPlan, KeptPlan } from '@sardonyx/contract';
import { api } from './api.ts';
import { readAppError } from './appError.ts';

const eveningsApi = api.injectEndpoints({
  endpoints: (build) => ({
    // What the bench shows is what is planned.
    getEvenings: build.query<EveningsView, void>({
      query: () => 'evenings',
      providesTags: ['Evenings', 'Bench', 'Workshop', 'Orders'],
    }),
    getHours: build.query<HoursView, void>({ query: () => 'evenings/hours', providesTags: ['Bench'] }),
    askForecast: build.mutation<ForecastView, string>({
      query: (id) => ({ url: `instruments/${encodeURIComponent(id)}/forecast`, method: 'POST' }),
    }),
    keepEvenings: build.mutation<KeptPlan, KeepEveningsPlan>({
      query: (body) => ({ url: 'evenings/plan', method: 'PUT', body }),
      // Where another window was first, or somebody is gone, it is read anew; what the disk or the network refused is not tried for ever.
      invalidatesTags: (_, error) =>
        !error || ['stale', 'refused'].includes(readAppError(error).kind) ? ['Evenings'] : [],
    }),
  }),
});

export const { useGetEveningsQuery, useAskForecastMutation, useGetHoursQuery, useKeepEveningsMutation } = eveningsApi;
