'use client';
import type { Shop } from '@/core/job';
import { MOST_WEIGHT, placeOf, slotName, SLOTS, type KitLines, type Slot } from '@/core/kit';
import { metre, mm, read, readMoney, write, writeMoney } from '@/core/units';
import { Text } from '../pieces/Text';
import { shopWords as w } from '../words';
import { Block, Questions } from '../pieces/layout';
import { plain, TypedField } from './TypedField';
import stockCss from './stock.module.css';

type Change = (part: Partial<Shop>) => void;
/** Where the shop draws its lines, how much each place counts, and what a quote is made by. */
export function KitSettings({ shop, change }: { shop: Shop; change: Change }) {
  const lines = (next: Partial<KitLines>) => change({ kit: { ...shop.kit, ...next } });
  return (
    <>
      <Block as={Questions} id="kit">
        <h2>{w.kitLines}</h2>
        <TypedField
          id="third-axis"
          label={w.thirdAxis}
          value={write(shop.kit.thirdAxisPastM, 'distance', shop.units, { decimals: 0 })}
          reads={(text) =>
            measured(text, {
              quantity: 'distance',
              shop: shop.units,
              min: 10,
              max: 150,
              what: 'distance',
            })
          }
          onRead={(si) => lines({ thirdAxisPastM: metre(si) })}
        />
        <TypedField
          id="overhang"
          label={w.overhang}
          value={write(shop.kit.overhangMm, 'length', shop.units)}
          reads={(text) =>
            measured(text, {
              quantity: 'length',
              shop: shop.units,
              min: 5,
              max: 100,
              what: 'overhang',
            })
          }
          onRead={(si) => lines({ overhangMm: mm(si) })}
        />
        {(['usualFrontBarMm', 'usualRearBarMm'] as const).map((line) => (
          <TypedField
            key={line}
            id={line}
            label={w[line]}
            value={write(shop.kit[line], 'length', shop.units)}
            reads={(text) =>
              measured(text, {
                quantity: 'length',
                shop: shop.units,
                min: 50,
                max: 1000,
                what: 'length of a bar',
              })
            }
            onRead={(si) => lines({ [line]: mm(si) })}
          />
        ))}
      </Block>
      <Block>
        <h2>{w.weights}</h2>
        <Text soft>{w.weightsHow}</Text>
        <div className={stockCss.weights}>
          {SLOTS.map(({ id }) => (
            <WeightField key={id} slot={id} shop={shop} change={change} />
          ))}
        </div>
      </Block>
      <QuoteFields shop={shop} change={change} />
    </>
  );
}

/** What a quote is made by. */
export function QuoteFields({ shop, change }: { shop: Shop; change: Change }) {
  const quote = (next: Partial<Shop['quote']>) => change({ quote: { ...shop.quote, ...next } });
  return (
    <Block as={Questions}>
      <h2>{w.quote}</h2>
      <TypedField
        id="tax"
        label={w.tax}
        value={String(shop.quote.taxPct)}
        reads={(text) => plain(text, 0, 50)}
        onRead={(taxPct) => quote({ taxPct })}
      />
      <TypedField
        id="deposit"
        label={w.deposit}
        value={String(shop.quote.depositPct)}
        reads={(text) => plain(text, 0, 100)}
        onRead={(depositPct) => quote({ depositPct })}
      />
      <TypedField
        id="valid"
        label={w.valid}
        value={String(shop.quote.validDays)}
        reads={(text) => plain(text, 1, 180, true)}
        onRead={(validDays) => quote({ validDays })}
      />
      <TypedField
        id="hour"
        label={w.hour}
        hint={w.hourHint}
        value={writeMoney(shop.quote.hourCents)}
        reads={(text) => {
          const answer = readMoney(text, { what: 'price of an hour', maxCents: 50_000 });
          return answer.ok ? { ok: true, value: answer.cents } : answer;
        }}
        onRead={(hourCents) => quote({ hourCents })}
      />
    </Block>
  );
}

function measured(text: string, options: Parameters<typeof read>[1]) {
  const answer = read(text, options);
  return answer.ok ? { ok: true as const, value: answer.si } : answer;
}

function WeightField({ slot, shop, change }: { slot: Slot; shop: Shop; change: Change }) {
  const { weights } = shop.kit;
  return (
    <TypedField
      id={`weight-${slot}`}
      label={slotName(slot)}
      value={weights[slot] === undefined ? '' : String(weights[slot])}
      placeholder={String(placeOf(slot).weight)}
      reads={(text) =>
        text.trim() === '' ? { ok: true, value: null } : plain(text, 0, MOST_WEIGHT)
      }
      onRead={(value) => {
        const { [slot]: _gone, ...rest } = weights;
        change({
          kit: { ...shop.kit, weights: value === null ? rest : { ...rest, [slot]: value } },
        });
      }}
    />
  );
}
