import { Link } from 'react-router';
import { useGetWorkshopQuery } from '../../shared/api/api.ts';
import { Pending } from '../../shared/ui/Pending.tsx';
import { BathShelf } from './BathShelf.tsx';
import { InstrumentPanel } from './InstrumentPanel.tsx';
import { ToolList } from './ToolList.tsx';
import { VesselList } from './VesselList.tsx';

/** What the work is done with: tools and their state, baths with what is in them, vessels, instruments. */
export function WorkshopPage() {
  const { data, error } = useGetWorkshopQuery();
  if (!data) return <Pending what="the workshop" error={error} />;
  const notReady = data.tools.filter((tool) => tool.state !== 'ready' || tool.holds !== '');
  return (
    <div className="mx-auto max-w-6xl space-y-6 p-6">
      <h1>
        {data.tools.length === 0
          ? 'No tool is written down yet'
          : notReady.length === 0
            ? 'Everything is ready'
            : `${notReady.length} ${notReady.length === 1 ? 'tool is' : 'tools are'} not ready`}
        {data.soaking.length > 0 &&
          `; ${data.soaking.length} ${data.soaking.length === 1 ? 'part has' : 'parts have'} stripper on`}
      </h1>
      {data.tools.length === 0 && (
        <p>
          <Link className="underline underline-offset-4" to="/first-evening">
            Tick what you have
          </Link>
          , or write it down one by one.
        </p>
      )}
      <div className="grid gap-8 min-[1000px]:grid-cols-2">
        <div className="space-y-8">
          <ToolList tools={data.tools} />
          <VesselList vessels={data.vessels} />
        </div>
        <div className="space-y-8">
          <BathShelf workshop={data} />
          <section aria-label="Instruments">
            <h2>Instruments</h2>
            {data.instruments.map((instrument) => (
              <InstrumentPanel key={instrument.id} instrument={instrument} />
            ))}
          </section>
        </div>
      </div>
    </div>
  );
}
