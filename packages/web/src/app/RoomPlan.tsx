import { useState } from 'react';
import { Link } from 'react-router';
import { LetPhoneIn } from '../features/phone/index.ts';
import { Popup } from '../shared/ui/Popup.tsx';
import { DownIcon } from '../shared/ui/icons.ts';

const ROOMS: readonly (readonly [path: string, name: string, what: string])[] = [
  ['/', 'Bench', 'All models in work'],
  ['/evenings', 'Evenings', 'All jobs on the hours there are'],
  ['/catalogue', 'Catalogue', 'Castings and variants'],
  ['/shelf', 'Shelf', 'Pots, closest first'],
  ['/drawers', 'Drawers', 'Axles, tyres, screws, small stock'],
  ['/orders', 'Orders', 'What all jobs lack, and what is on its way'],
  ['/prints', 'Printed parts', 'Meshes, their size, copies'],
  ['/decals', 'Decals', 'Artwork, white, sheets'],
  ['/workshop', 'Workshop', 'Tools, baths, oven'],
  ['/house', 'House style', 'What holds for every job'],
  ['/practice', 'Practice', 'Read the casting, match the pot'],
  ['/safe', 'Safe', 'Save everything, restore'],
];

/** The bench's name opens the plan of the rooms. */
export function RoomPlan({ name, isDemo }: { readonly name: string; readonly isDemo: boolean }) {
  const [isOpen, setOpen] = useState(false);
  const trigger = (
    <button type="button" className="min-h-11 text-lead font-semibold">
      {name} <DownIcon aria-hidden size={20} className="inline align-[-0.2em]" />
    </button>
  );
  return (
    <Popup trigger={trigger} label="Plan of the rooms" align="start" width="20rem" isOpen={isOpen} onOpen={setOpen}>
      <div className="p-2">
        {isDemo && <p className="px-2 py-1 text-note text-soft-ink">Demo world; your own folder is not touched.</p>}
        <nav aria-label="Rooms">
          {ROOMS.map(([path, room, what]) => (
            <Link
              key={path}
              to={path}
              className="flex min-h-12 items-baseline justify-between gap-4 border-b border-hairline px-2 py-2"
              onClick={() => setOpen(false)}
            >
              <span className="text-lead">{room}</span>
              <span className="text-note text-soft-ink">{what}</span>
            </Link>
          ))}
        </nav>
        <p className="pt-2">
          <LetPhoneIn onPress={() => setOpen(false)} />
        </p>
      </div>
    </Popup>
  );
}
