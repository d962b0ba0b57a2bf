import type { JobView } from '@sardonyx/contract';
import { isStanding, selectWrittenEarlier, type CoatingLayer } from '@sardonyx/core';
import { formatMoment } from '../../../../shared/dates/sayDates.ts';
import { DataTable } from '../../../../shared/ui/DataTable.tsx';
import { Fold } from '../../../../shared/ui/Fold.tsx';
import type { Column } from '../../../../shared/ui/TableRows.tsx';
import { useJob } from '../../JobContext.tsx';

/** Everything that was logged. */
export function LogTable() {
  const { view } = useJob();
  if (view.log.length === 0) return null;
  const earlier = selectWrittenEarlier(view.log);
  const rows = view.log.map((entry) => ({ ...entry, isEarlier: earlier.has(entry.id) }));
  return (
    <Fold title={`${view.log.length} entries in the log`}>
      <DataTable
        label="Log"
        fileName={`${view.job.number}-log`}
        height="28rem"
        rows={rows}
        columns={LOG_COLUMNS}
        keyOf={(entry) => entry.id}
      />
    </Fold>
  );
}

type LogRow = JobView['log'][number] & { readonly isEarlier: boolean };

const LOG_COLUMNS: readonly Column<LogRow>[] = [
  {
    ...{ key: 'at', heading: 'When', share: 1.4, read: (entry) => entry.at },
    show: (entry) => `${formatMoment(entry.at)}${entry.isEarlier ? ', by a clock that was set back' : ''}`,
  },
  { key: 'who', heading: 'Who', read: (entry) => entry.who },
  { key: 'what', heading: 'What', share: 2.5, read: (entry) => entry.work.title },
  { key: 'act', heading: 'How', read: (entry) => entry.act },
  { key: 'note', heading: 'Note', share: 1.5, read: (entry) => entry.note },
];

interface CoatRow {
  readonly layer: CoatingLayer;
  readonly partName: string;
  readonly areaName: string;
}

/** Every coat that was put on, on all models of the job, also those that did not stay. */
export function CoatTable() {
  const { view } = useJob();
  const rows = view.specimens.flatMap(({ parts, areas, layers }) =>
    layers
      .filter((layer) => layer.stage === 'applied')
      .map((layer): CoatRow => {
        const area = areas.find(({ id }) => id === layer.areaId)!;
        return { layer, areaName: area.name, partName: parts.find(({ id }) => id === area.specimenPartId)!.name };
      }),
  );
  if (rows.length === 0) return null;
  return (
    <Fold title={`${rows.length} ${rows.length === 1 ? 'coat' : 'coats'} put on`}>
      <DataTable
        label="Coats put on"
        fileName={`${view.job.number}-coats`}
        height="28rem"
        rows={rows}
        columns={COAT_COLUMNS}
        keyOf={({ layer }) => layer.id}
      />
    </Fold>
  );
}

const COAT_COLUMNS: readonly Column<CoatRow>[] = [
  { key: 'part', heading: 'Part', read: ({ partName }) => partName },
  { key: 'area', heading: 'Area', read: ({ areaName }) => areaName },
  { key: 'coat', heading: 'Coat', share: 2, read: ({ layer }) => layer.name },
  { key: 'kind', heading: 'Kind', isHidden: true, read: ({ layer }) => layer.kind },
  { key: 'um', heading: 'µm', isNumber: true, share: 0.6, read: ({ layer }) => layer.thicknessUm },
  { key: 'origin', heading: 'Thickness from', isHidden: true, read: ({ layer }) => layer.thicknessOrigin },
  {
    ...{ key: 'at', heading: 'When', share: 1.2, read: ({ layer }) => layer.appliedAt },
    show: ({ layer }) => (layer.appliedAt ? formatMoment(layer.appliedAt) : ''),
  },
  { key: 'who', heading: 'Who', read: ({ layer }) => layer.appliedBy },
  { key: 'temp', heading: '°C', isNumber: true, share: 0.5, read: ({ layer }) => layer.tempC },
  {
    ...{ key: 'stands', heading: 'Stands', share: 1.2 },
    read: ({ layer }) =>
      isStanding(layer)
        ? 'yes'
        : layer.removedAt
          ? `taken off: ${layer.rejection?.because}`
          : (layer.rejection?.because ?? 'no'),
  },
];
