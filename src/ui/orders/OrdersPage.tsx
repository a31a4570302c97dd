'use client';
import { useState } from 'react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import Button from '@mui/material/Button';
import type { OrderRow } from '@/core/job';
import { plainDay } from '../fields/dates';
import { PageHead } from '../frame/PageHead';
import { useWho } from '../frame/useWho';
import { post } from '../keep/post';
import { orderWords as w } from '../words';
import { GridTable } from '../fields/GridTable';

type State = 'toOrder' | 'ordered' | 'arrived' | 'calledOff';
const stateOf = ({ orderedAt, arrivedAt }: OrderRow): State =>
  arrivedAt ? 'arrived' : orderedAt ? 'ordered' : 'toOrder';

/** What open jobs wait for, by supplier: marked when it is ordered and when it has come. */
export function OrdersPage({
  orders,
  people,
}: {
  orders: readonly OrderRow[];
  people: readonly string[];
}) {
  const router = useRouter();
  const [trouble, setTrouble] = useState('');
  const [who] = useWho(people);
  const mark = async ({ orderId, jobId, version, slot }: OrderRow, state: State) => {
    const command =
      slot === 'bow' ? { name: 'orderBow', state } : { name: 'orderPart', slot, state };
    const answer =
      orderId === null
        ? await post(`/api/v1/jobs/${jobId}/commands`, { version, who, command })
        : await post(`/api/v1/shop/orders/${orderId}`, { state });
    setTrouble(answer.ok ? '' : answer.message);
    router.refresh();
  };
  const suppliers = [...new Set(orders.map(({ supplier }) => supplier))];
  return (
    <>
      <PageHead title={w.title} />
      <main className="shop stock">
        <p className="soft">{w.lead}</p>
        <div className="actions">
          {orders.some((order) => stateOf(order) === 'toOrder') && (
            <Button
              variant="outlined"
              component="a"
              href="/api/v1/shop/orders/file"
              download="orders.csv"
            >
              {w.toFile}
            </Button>
          )}
          <Link href="/" prefetch={false}>
            {w.back}
          </Link>
        </div>
        {trouble && (
          <p className="note" data-kind="stop" role="alert">
            {trouble}
          </p>
        )}
        {orders.length === 0 && <p className="note">{w.none}</p>}
        {suppliers.map((supplier) => {
          const mine = orders.filter((order) => order.supplier === supplier);
          return (
            <section key={supplier} className="block">
              <h2>
                {supplier || w.unknown} <span className="soft">{w.count(mine.length)}</span>
              </h2>
              <GridTable className="orders-table">
                <thead>
                  <tr>
                    {w.heads.map((head) => (
                      <th key={head}>{head}</th>
                    ))}
                    <th />
                  </tr>
                </thead>
                <tbody>
                  {mine.map((order) => (
                    <OrderLine
                      key={`${order.orderId} ${order.jobId} ${order.slot} ${order.itemId}`}
                      order={order}
                      onMark={mark}
                    />
                  ))}
                </tbody>
              </GridTable>
            </section>
          );
        })}
      </main>
    </>
  );
}

const placeOf = ({ jobId, slot }: OrderRow) =>
  slot === 'bow' ? `/jobs/${jobId}/bow?part=choose` : `/jobs/${jobId}/kit?slot=${slot}`;

function OrderLine({
  order,
  onMark,
}: {
  order: OrderRow;
  onMark: (order: OrderRow, state: State) => Promise<void>;
}) {
  const state = stateOf(order);
  const { promisedDay, arrivesDay } = order;
  const late = promisedDay !== null && arrivesDay > promisedDay && state !== 'arrived';
  const button = (next: State, text: string, strong = false) => (
    <Button
      variant={strong ? 'outlined' : 'text'}
      aria-label={`${text}: ${order.label}`}
      onClick={() => void onMark(order, next)}
    >
      {text}
    </Button>
  );
  return (
    <tr>
      <td>
        {order.count > 1 && <span className="figure">{w.times(order.count)} </span>}
        <b>{order.label}</b>
      </td>
      <td>
        {order.jobId === null ? (
          <>
            {w.forShelf} <span className="soft">{w.wasFor(order.number)}</span>
          </>
        ) : (
          <>
            <Link href={placeOf(order)} prefetch={false}>
              {order.archer}
            </Link>{' '}
            <span className="soft figure">{order.number}</span>
          </>
        )}
      </td>
      <td className="figure">{promisedDay ? plainDay(promisedDay) : '—'}</td>
      <td className="figure">
        {plainDay(arrivesDay)}{' '}
        {late && (
          <span className="tag" data-kind="out">
            {w.late}
          </span>
        )}
      </td>
      <td>
        <span
          className="tag"
          data-kind={state === 'arrived' ? 'in' : state === 'toOrder' ? 'warn' : ''}
        >
          {w[state]}
        </span>
      </td>
      <td className="right orders-act">
        {state === 'toOrder' && button('ordered', w.markOrdered, true)}
        {state === 'ordered' && button('arrived', w.markArrived, true)}
        {order.orderId !== null && button('calledOff', w.calledOff)}
        {order.orderId === null && state !== 'toOrder' && button('toOrder', w.markNot)}
      </td>
    </tr>
  );
}
