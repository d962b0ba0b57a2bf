import type { BenchLane, OpenWant } from '@sardonyx/contract';
import { callWant } from '@sardonyx/core';
import { useNavigate } from 'react-router';
import { formatDay } from '../../shared/dates/sayDates.ts';
import { WANT_KIND_WORDS, WAY_TO_GET_WORDS } from '../../shared/form/wantOptions.ts';
import { DataTable } from '../../shared/ui/DataTable.tsx';
import { EmptyNote } from '../../shared/ui/Notice.tsx';
import type { Column } from '../../shared/ui/TableRows.tsx';

interface WantRow {
  readonly job: BenchLane['job'];
  readonly want: OpenWant;
}

const COLUMNS: readonly Column<WantRow>[] = [
  {
    key: 'what',
    heading: 'Wanted',
    share: 2,
    read: ({ want }) => callWant(want),
  },
  { key: 'job', heading: 'For', share: 2, read: ({ job }) => `${job.number} ${job.title}` },
  { key: 'part', heading: 'Part', read: ({ want }) => want.partName },
  { key: 'kind', heading: 'It is', share: 1.2, isHidden: true, read: ({ want }) => WANT_KIND_WORDS[want.kind] },
  {
    key: 'way',
    heading: 'To be had',
    share: 1.2,
    read: ({ want }) => (want.getBy ? WAY_TO_GET_WORDS[want.getBy] : 'its plan does without'),
  },
  { key: 'state', heading: 'State', read: ({ want }) => (want.state === 'open' ? 'not ordered' : want.state) },
  { key: 'from', heading: 'From where', share: 1.5, read: ({ want }) => want.solution || null },
  {
    key: 'due',
    heading: 'Due here',
    read: ({ want }) => want.dueOn,
    show: ({ want }) => (want.dueOn ? formatDay(want.dueOn) : ''),
  },
];

/** What all models in work still lack, in one list: to order together, to look through a box of parts with. */
export function WantTable({ lanes }: { readonly lanes: readonly BenchLane[] }) {
  const navigate = useNavigate();
  const rows = lanes.flatMap(({ job, openWants }) => openWants.map((want) => ({ job, want })));
  if (rows.length === 0)
    return <EmptyNote title="Nothing is wanted.">What is missing on a model is written down at its Survey.</EmptyNote>;
  return (
    <DataTable
      label="Wants"
      fileName="wants"
      rows={rows}
      columns={COLUMNS}
      keyOf={({ want }) => want.id}
      onOpen={({ job, want }) =>
        void navigate(`/jobs/${job.id}/survey?part=${encodeURIComponent(want.specimenPartId)}`)
      }
    />
  );
}
