import type { DecalOrderView } from '@sardonyx/contract';
import { formatDay } from '../../shared/dates/sayDates.ts';

/** How far pieces of a supplier have come. */
export function sayOrder({ count, artwork, state, supplier, promisedOn, arrivedOn }: DecalOrderView): string {
  const pieces = `${count} ${count === 1 ? 'piece' : 'pieces'}, ${artwork.widthMm.toFixed(2)} mm wide`;
  const whose = supplier ? ` by ${supplier.name}` : '';
  switch (state) {
    case 'open':
      return `${pieces}: wanted of a supplier, to be ordered.`;
    case 'ordered':
      return `${pieces}: ordered${supplier ? ` from ${supplier.name}` : ''}${promisedOn ? `, promised for ${formatDay(promisedOn)}` : ''}.`;
    case 'solved':
      return `${pieces}: printed${whose}${arrivedOn ? `, came on ${formatDay(arrivedOn)}` : ', here'}.`;
    case 'waived':
      return `${pieces}: not wanted of a supplier any more.`;
  }
}
