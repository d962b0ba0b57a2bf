import { Tabs as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

interface TabsProps<K extends string> {
  readonly label: string;
  readonly tabs: readonly { readonly key: K; readonly word: string; readonly body: ReactNode }[];
  readonly value: K;
  readonly onChange: (key: K) => void;
}

/** Several views of one thing, one at a time. */
export function Tabs<K extends string>({ label, tabs, value, onChange }: TabsProps<K>) {
  return (
    <Radix.Root value={value} onValueChange={(key) => onChange(key as K)}>
      <Radix.List aria-label={label} className="flex flex-wrap gap-x-6 border-b border-strong-line">
        {tabs.map(({ key, word }) => (
          <Radix.Trigger
            key={key}
            value={key}
            className="min-h-11 border-b-4 border-transparent data-[state=active]:border-ink data-[state=active]:font-semibold"
          >
            {word}
          </Radix.Trigger>
        ))}
      </Radix.List>
      {tabs.map(({ key, body }) => (
        <Radix.Content key={key} value={key} className="pt-3">
          {body}
        </Radix.Content>
      ))}
    </Radix.Root>
  );
}
