import type { FoundPlace } from '@sardonyx/contract';
import { Command } from 'cmdk';
import { useDeferredValue, useState } from 'react';
import { useNavigate } from 'react-router';
import { useFindPlacesQuery } from '../../shared/api/api.ts';
import { Dialog } from '../../shared/ui/Dialog.tsx';

const HEADINGS: Readonly<Record<FoundPlace['kind'], string>> = {
  model: 'Models on the bench',
  casting: 'Catalogue',
  part: 'Parts',
  paint: 'Paint',
  drawer: 'Drawers',
};

const ACTS: readonly FoundPlace[] = [
  { kind: 'model', title: 'Put a model on the bench', where: 'Act', path: '/put-on-bench' },
  { kind: 'casting', title: 'Add a casting of your own', where: 'Act', path: '/catalogue/new' },
  { kind: 'paint', title: 'Put a pot on the shelf', where: 'Act', path: '/shelf' },
  { kind: 'paint', title: 'Match the pot: practise mixing', where: 'Act', path: '/practice/match-the-pot' },
  { kind: 'drawer', title: 'Place a long decal: practise', where: 'Act', path: '/practice/decals' },
  { kind: 'drawer', title: 'Order what all jobs lack', where: 'Act', path: '/orders' },
  { kind: 'drawer', title: 'Open a drawer', where: 'Act', path: '/drawers' },
  { kind: 'drawer', title: 'Print a part', where: 'Act', path: '/prints' },
  { kind: 'paint', title: 'Save everything', where: 'Act', path: '/safe' },
];

/** Type a few letters, press Enter: any model, casting, part, paint, thing of a drawer or act by its name. */
export function FindAnything({ onClose }: { readonly onClose: () => void }) {
  const navigate = useNavigate();
  const [text, setText] = useState('');
  const asked = useDeferredValue(text.trim());
  const { data: found = [], isFetching } = useFindPlacesQuery(asked, { skip: asked === '' });
  const acts = ACTS.filter((act) => text.trim() !== '' && act.title.toLowerCase().includes(text.trim().toLowerCase()));
  const places = asked ? found : [];
  const go = (path: string) => {
    onClose();
    void navigate(path);
  };
  return (
    <Dialog isOpen onClose={onClose} title="Find anything">
      <Command shouldFilter={false} label="Find anything">
        <Command.Input
          autoFocus
          value={text}
          onValueChange={setText}
          placeholder="Model, casting, part, paint, drawer or act"
        />
        <Command.List className="mt-3 max-h-96 overflow-auto">
          {asked !== '' && !isFetching && places.length + acts.length === 0 && (
            <p className="p-2 text-soft-ink">Nothing here is called that. Try fewer letters.</p>
          )}
          {(Object.keys(HEADINGS) as FoundPlace['kind'][]).map((kind) => {
            const own = places.filter((place) => place.kind === kind);
            return own.length > 0 && <Places key={kind} heading={HEADINGS[kind]} places={own} onGo={go} />;
          })}
          {acts.length > 0 && <Places heading="Acts" places={acts} onGo={go} />}
        </Command.List>
      </Command>
    </Dialog>
  );
}

function Places({
  heading,
  places,
  onGo,
}: {
  readonly heading: string;
  readonly places: readonly FoundPlace[];
  readonly onGo: (path: string) => void;
}) {
  return (
    <Command.Group heading={heading} className="pb-2 text-soft-ink">
      {places.map((place) => (
        <Command.Item
          key={place.path + place.title}
          value={place.path + place.title}
          onSelect={() => onGo(place.path)}
          className="flex min-h-11 cursor-pointer items-center justify-between gap-4 border-l-4 border-transparent px-3 text-ink data-[selected=true]:border-sard data-[selected=true]:bg-sunk"
        >
          <span>{place.title}</span>
          <span className="text-note text-soft-ink">{place.where}</span>
        </Command.Item>
      ))}
    </Command.Group>
  );
}
