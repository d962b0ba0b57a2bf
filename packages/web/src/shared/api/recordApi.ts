import { VIEWS, type ArchiveReport, type EarlierJob, type ReopenJob, type SignOff } from '@sardonyx/contract';
import type { Job, JobRecord, Lack } from '@sardonyx/core';
import { api } from './api.ts';

// Whatever is written down of a job stands in its record.
const SAID = ['Job', 'Colour', 'Timers', 'Catalogue', 'House', 'Shelf', 'Stock', 'Orders', 'Prints', 'Decals'] as const;

const bringZip = (url: string, body: File) => ({
  ...{ url, method: 'POST', body, headers: { 'content-type': 'application/zip' } },
});

const recordApi = api.injectEndpoints({
  endpoints: (build) => ({
    getRecord: build.query<JobRecord, string>({
      query: (jobId) => `jobs/${encodeURIComponent(jobId)}/record.json`,
      providesTags: SAID,
    }),
    /** Other jobs of the same casting, and what they can teach. */
    getEarlier: build.query<EarlierJob[], string>({
      query: (jobId) => `jobs/${encodeURIComponent(jobId)}/earlier`,
      providesTags: SAID,
    }),
    /** What its record does not tell, though somebody will ask. */
    getLacks: build.query<Lack[], string>({
      query: (jobId) => `jobs/${encodeURIComponent(jobId)}/lacks`,
      providesTags: SAID,
    }),
    signOff: build.mutation<Job, SignOff & { jobId: string }>({
      query: ({ jobId, ...body }) => ({ url: `jobs/${encodeURIComponent(jobId)}/sign-off`, method: 'POST', body }),
      invalidatesTags: ['Bench', 'Job'],
    }),
    /** What is in an archive of jobs, and what would become of it here. */
    lookAtArchive: build.mutation<ArchiveReport, File>({ query: (body) => bringZip('archive.zip?look=1', body) }),
    takeArchive: build.mutation<ArchiveReport, File>({
      query: (body) => bringZip('archive.zip', body),
      invalidatesTags: VIEWS,
    }),
    reopenJob: build.mutation<Job, ReopenJob & { jobId: string }>({
      query: ({ jobId, ...body }) => ({ url: `jobs/${encodeURIComponent(jobId)}/reopen`, method: 'POST', body }),
      invalidatesTags: ['Bench', 'Job'],
    }),
  }),
});

export const {
  useGetRecordQuery,
  useGetEarlierQuery,
  useGetLacksQuery,
  useSignOffMutation,
  useReopenJobMutation,
  useLookAtArchiveMutation,
  useTakeArchiveMutation,
} = recordApi;
