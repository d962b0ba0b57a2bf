import type { ReactNode } from 'react';

/** One part of the kit in all its states. */
export function Shown({ part, children }: { readonly part: string; readonly children: ReactNode }) {
  return (
    <section aria-label={part} className="border-t border-strong-line py-4">
      <h2 className="pb-2">{part}</h2>
      <div className="grid items-start gap-x-8 gap-y-4 sm:grid-cols-2 lg:grid-cols-3">{children}</div>
    </section>
  );
}
