import type { PrintsView } from '@sardonyx/contract';
import { useSearchParams } from 'react-router';
import { useBringMeshMutation, useGetPrintsQuery } from '../../shared/api/stockApi.ts';
import { BringFile } from '../../shared/form/BringFile.tsx';
import { EmptyNote } from '../../shared/ui/Notice.tsx';
import { OneOfNames } from '../../shared/ui/OneOfNames.tsx';
import { Pending } from '../../shared/ui/Pending.tsx';
import { PrintDetails } from './PrintDetails.tsx';

/** Parts that can be printed: the body to turn, the size it is to have, and what was printed of it. */
export function PrintsPage() {
  const { data, error } = useGetPrintsQuery();
  const [params, setParams] = useSearchParams();
  const [bring, { error: refused, isLoading }] = useBringMeshMutation();
  if (!data) return <Pending what="the printed parts" error={error} />;
  const { prints } = data;
  const open = prints.find(({ id }) => id === params.get('print')) ?? prints[0];
  const choose = (id: string) => setParams({ print: id }, { replace: true });
  const read = async (file: File) => {
    const { data: brought } = await bring(file);
    if (brought) choose(brought.id);
  };
  return (
    <div className="mx-auto max-w-6xl space-y-6 p-6">
      <h1>{sayTitle(data)}</h1>
      {prints.length === 0 && (
        <EmptyNote title="No part to print yet.">
          Bring the mesh of one as an STL file, in millimetres: it is measured, scaled to what you measured and to what
          its resin loses, and written again for the printer.
        </EmptyNote>
      )}
      <OneOfNames label="Parts" of={prints} value={open?.id} onChange={choose} />
      {open && <PrintDetails key={open.id} print={open} wants={data.wants} />}
      <section aria-label="Another part" className="space-y-2">
        <BringFile
          label="Bring a mesh: STL, binary or text, in mm, up to 64 MB"
          accept=".stl,model/stl"
          isReading={isLoading}
          refused={refused}
          onFile={(file) => void read(file)}
        />
      </section>
    </div>
  );
}

function sayTitle({ prints, wants }: PrintsView): string {
  const parts = `${prints.length} ${prints.length === 1 ? 'part' : 'parts'} to print`;
  if (wants.length === 0) return prints.length === 0 ? 'Nothing to print' : parts;
  const waiting = wants.map(({ what, jobNumber }) => `${what} of ${jobNumber}`);
  return `${prints.length === 0 ? 'To be printed' : `${parts}; to be printed`}: ${waiting.slice(0, 2).join(', ')}${waiting.length > 2 ? ` and ${waiting.length - 2} more` : ''}`;
}
