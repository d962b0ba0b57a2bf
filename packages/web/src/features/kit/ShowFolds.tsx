import { useState } from 'react';
import { Accordion } from '../../shared/ui/Accordion.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import { ScrollArea } from '../../shared/ui/ScrollArea.tsx';
import { Tabs } from '../../shared/ui/Tabs.tsx';
import { Shown } from './Shown.tsx';

export function ShowFolds() {
  const [open, setOpen] = useState('body');
  const [tab, setTab] = useState<'line' | 'table'>('line');
  return (
    <Shown part="Folds, tabs, scrolling">
      <div>
        <Fold title="Coats in words">Primer, then slate blue.</Fold>
        <Fold title="Open from the start" isOpen>
          <p>It can be folded.</p>
        </Fold>
      </div>
      <Accordion
        open={open}
        onOpen={setOpen}
        sections={[
          { key: 'body', title: 'Body', body: 'Zinc alloy, painted.' },
          { key: 'base', title: 'Base', body: 'Steel, bare.' },
        ]}
      />
      <Tabs
        label="Issues"
        value={tab}
        onChange={setTab}
        tabs={[
          { key: 'line', word: 'Along the years', body: 'A line.' },
          { key: 'table', word: 'As a table', body: 'A table.' },
        ]}
      />
      <ScrollArea label="A long log" className="h-32 border border-hairline">
        <ul className="p-2">
          {Array.from({ length: 30 }, (_, i) => (
            <li key={i}>Line {i + 1}</li>
          ))}
        </ul>
      </ScrollArea>
    </Shown>
  );
}
