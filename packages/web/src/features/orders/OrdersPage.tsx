import { useGetOrdersQuery } from '../../shared/api/stockApi.ts';
import { EmptyNote } from '../../shared/ui/Notice.tsx';
import { Pending } from '../../shared/ui/Pending.tsx';
import { TakeOut } from '../../shared/ui/TakeOut.tsx';
import { Donors } from './Donors.tsx';
import { OnItsWay } from './OnItsWay.tsx';
import { PastOrders } from './PastOrders.tsx';
import { sayOrders } from './sayOrders.ts';
import { ShoppingList } from './ShoppingList.tsx';
import { Suppliers } from './Suppliers.tsx';
import { ToOrder } from './ToOrder.tsx';

/** What all jobs and drawers lack, by supplier and day; what is on its way; what came, and what the suppliers' word is worth. */
export function OrdersPage() {
  const { data, error } = useGetOrdersQuery();
  if (!data) return <Pending what="the orders" error={error} />;
  const { lacking, open, past, suppliers, donors, today } = data;
  return (
    <div className="mx-auto max-w-6xl space-y-6 p-6">
      <header className="flex flex-wrap items-center justify-between gap-3">
        <h1>{sayOrders(data)}</h1>
        <div className="flex gap-2 print:hidden">
          <button type="button" className="plain-button" onClick={() => window.print()}>
            Print
          </button>
          <TakeOut address="/api/orders.csv" what="Writing the list">
            CSV
          </TakeOut>
        </div>
      </header>
      <section aria-label="To order" className="space-y-4">
        <h2>To order, over all jobs</h2>
        {lacking.length === 0 && (
          <EmptyNote title="Everything that the plans ask for is here or on its way.">
            Drawers under their mark and wants that are to be bought come up here by themselves.
          </EmptyNote>
        )}
        {lacking.length > 0 && <ShoppingList orders={lacking} suppliers={suppliers} today={today} />}
        {lacking.map((order) => (
          <ToOrder key={order.supplierId} order={order} suppliers={suppliers} today={today} />
        ))}
      </section>
      {open.length > 0 && <OnItsWay orders={open} suppliers={suppliers} />}
      <Donors donors={donors} />
      <Suppliers suppliers={suppliers} />
      {past.length > 0 && <PastOrders orders={past} suppliers={suppliers} />}
    </div>
  );
}
