import type { JobRecord } from '@sardonyx/core';
import { api } from './api.ts';

const recordApi = api.injectEndpoints({
  endpoints: (build) => ({
    // Whatever is written down of a job stands in its record.
    getRecord: build.query<JobRecord, string>({
      query: (jobId) => `jobs/${encodeURIComponent(jobId)}/record.json`,
      providesTags: ['Job', 'Colour', 'Timers', 'Catalogue', 'House', 'Shelf', 'Stock', 'Orders', 'Prints', 'Decals'],
    }),
  }),
});

export const { useGetRecordQuery } = recordApi;
