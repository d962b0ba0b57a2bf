import { Accordion as Radix } from 'radix-ui';
import type { ReactNode } from 'react';
import { DownIcon } from './icons.ts';

interface AccordionProps {
  readonly sections: readonly { readonly key: string; readonly title: ReactNode; readonly body: ReactNode }[];
  readonly open: string;
  readonly onOpen: (key: string) => void;
}

/** A list of which one line is open at a time. */
export function Accordion({ sections, open, onOpen }: AccordionProps) {
  return (
    <Radix.Root type="single" collapsible value={open} onValueChange={onOpen} className="border-b border-hairline">
      {sections.map(({ key, title, body }) => (
        <Radix.Item key={key} value={key} className="border-t border-hairline">
          <Radix.Header className="text-body">
            <Radix.Trigger className="group flex min-h-11 w-full items-center gap-2 py-1 text-left">
              <span className="grow">{title}</span>
              <DownIcon aria-hidden size={18} className="shrink-0 group-data-[state=open]:rotate-180" />
            </Radix.Trigger>
          </Radix.Header>
          <Radix.Content className="pb-3">{body}</Radix.Content>
        </Radix.Item>
      ))}
    </Radix.Root>
  );
}
