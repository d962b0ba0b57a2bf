import type { JobView } from '@sardonyx/contract';
import { STATIONS, type Station } from '@sardonyx/core';
import { useMemo } from 'react';
import { Navigate, useParams, useSearchParams } from 'react-router';
import { useGetJobQuery } from '../../shared/api/api.ts';
import { Pending } from '../../shared/ui/Pending.tsx';
import { usePhoneShown } from '../phone/index.ts';
import { JobContext } from './JobContext.tsx';
import { JobHead } from './JobHead.tsx';
import { putInHand } from './putInHand.ts';
import { StationRule } from './StationRule.tsx';
import { CloseStation } from './stations/CloseStation.tsx';
import { FinishStation } from './stations/FinishStation.tsx';
import { IdentifyStation } from './stations/IdentifyStation.tsx';
import { OpenStation } from './stations/OpenStation.tsx';
import { SignOffStation } from './stations/SignOffStation.tsx';
import { StripStation } from './stations/StripStation.tsx';
import { SurveyStation } from './stations/SurveyStation.tsx';

const STATION_VIEWS: Readonly<Record<Station, () => React.ReactNode>> = {
  identify: IdentifyStation,
  survey: SurveyStation,
  open: OpenStation,
  strip: StripStation,
  finish: FinishStation,
  close: CloseStation,
  'sign-off': SignOffStation,
};

const isStation = (text: string | undefined): text is Station => STATIONS.includes(text as Station);

/** One job as a long bench: seven stations on a rule, the open one below. */
export function JobPage() {
  const { jobId = '', station } = useParams();
  const { data, error } = useGetJobQuery(jobId);
  if (!data) return <Pending what="the model" error={error} />;
  if (!isStation(station)) return <Navigate replace to={`/jobs/${jobId}/${data.job.station}`} />;
  return <JobBench key={jobId} view={data} station={station} />;
}

function JobBench({ view, station }: { readonly view: JobView; readonly station: Station }) {
  usePhoneShown(view.job.id, station);
  const [params, setParams] = useSearchParams();
  const asked = params.get('part');
  const specimen =
    view.specimens.find((candidate) => candidate.specimen.id === params.get('specimen')) ??
    view.specimens.find((candidate) => candidate.parts.some((part) => part.id === asked)) ??
    view.specimens[0]!;
  const inHand = useMemo(
    () =>
      putInHand(view, specimen, {
        partId: specimen.parts.some((part) => part.id === asked) ? asked : null,
        setPartId: (id) =>
          setParams(
            (before) => {
              if (id) before.set('part', id);
              else before.delete('part');
              return before;
            },
            { replace: true },
          ),
      }),
    [view, specimen, asked, setParams],
  );
  const StationView = STATION_VIEWS[station];
  return (
    <JobContext value={inHand}>
      <JobHead />
      <StationRule current={station} />
      <StationView key={specimen.specimen.id} />
    </JobContext>
  );
}
