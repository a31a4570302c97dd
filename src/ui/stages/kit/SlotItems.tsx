'use client';
import { useState } from 'react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import {
  BUILT_ID,
  MOST_OF_A_SLOT,
  objections,
  sellCents,
  slotName,
  type CatalogueItem,
  type Finding,
  type Slot,
  partFacts,
} from '@/core/kit';
import { writeMoney } from '@/core/units';
import { Text } from '../../pieces/Text';
import { TextField } from '../../fields/TextField';
import { Choice } from '../../fields/Choice';
import { PartDrawing } from '../../drawings/PartDrawing';
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import { useStage } from '../../job/useStage';
import { useParts } from '../../parts/useParts';
import { arrowWords, kit as w } from '../../words';
import { Note, Tag } from '../../pieces/texts';
import { pages } from '../../words/pages';
import { Rows } from '../../pieces/layout';
import css from './SlotItems.module.css';

interface Offer {
  readonly item: CatalogueItem;
  readonly against: readonly Finding[];
  readonly hard: boolean;
}

interface SlotItemsProps {
  readonly slot: Slot;
  readonly items: readonly CatalogueItem[];
}

/** What the shop has for one place; in a very large catalogue by a word. */
export function SlotItems(props: SlotItemsProps) {
  return props.items.length < MOST_OF_A_SLOT ? <ItemsOf {...props} /> : <ManyItems {...props} />;
}

function ManyItems({ slot, items }: SlotItemsProps) {
  const [text, setText] = useState('');
  const found = useParts({ text, kind: slot, page: 0 });
  return (
    <Stack spacing={2}>
      <TextField
        id="slot-search"
        label={w.findAmong(found.count)}
        value={text}
        type="search"
        autoComplete="off"
        slotProps={{ htmlInput: { maxLength: 100 } }}
        onChange={(event) => setText(event.target.value)}
      />
      <ItemsOf
        slot={slot}
        items={text.trim() === '' ? items : (found.parts as readonly CatalogueItem[])}
      />
    </Stack>
  );
}

/** What fits first and cheapest first, then why the rest does not. */
function ItemsOf({ slot, items }: SlotItemsProps) {
  const { derived, send } = useJob();
  const router = useRouter();
  const { at, href } = useStage();
  const ownAsked = at('from') === 'own';
  const [source, setSource] = useState<'shop' | 'own'>(
    ownAsked || derived.kit[slot]?.owned ? 'own' : 'shop',
  );
  const [trouble, setTrouble] = useState('');
  const own = source === 'own';
  const part = derived.kit[slot];
  const offers = items
    .map((item): Offer => {
      const against = objections(item, derived.kitContext);
      return { item, against, hard: against.some((finding) => finding.rule.hard) };
    })
    .sort(
      (a, b) =>
        Number(a.hard) - Number(b.hard) ||
        Number(a.against.length > 0) - Number(b.against.length > 0) ||
        sellCents(a.item) - sellCents(b.item),
    );
  const choose = async (itemId: string | null, owned: boolean, label = '') => {
    const shown = items.find(({ id }) => id === itemId);
    const fromStock = !owned && shown !== undefined && shown.stock > 0;
    const answer = await send({ name: 'choosePart', slot, itemId, owned, label, fromStock });
    setTrouble(answer?.message ?? '');
    // What lies in the shop is looked at anew: somebody else may have taken the last one.
    router.refresh();
  };
  return (
    <section data-part="slot-items">
      <div className={css.slotHead} data-part="slot-head">
        <h3>{slotName(slot)}</h3>
        {slot === 'arrows' && (
          <Link href={href('kit', { part: 'arrow' })} prefetch={false}>
            {arrowWords.open}
          </Link>
        )}
        <Choice
          label={w.source}
          value={source}
          options={[
            { id: 'shop', name: w.shopTitle },
            { id: 'own', name: w.ownTitle },
          ]}
          onChange={setSource}
        />
      </div>
      {trouble && (
        <Note kind="stop" role="alert">
          {trouble}
        </Note>
      )}
      {own && <OwnPart slot={slot} onTake={(label) => choose(null, true, label)} />}
      {part && (part.item === null || part.item.id === BUILT_ID) && (
        <div className={css.ownNow}>
          <b>{part.label}</b> <Tag>{part.owned ? w.own : w.builtHere}</Tag>
          <Button variant="text" onClick={() => void choose(null, false)}>
            {w.putBack}
          </Button>
        </div>
      )}
      {items.length === 0 && !own && (
        <Note>
          {w.noParts(slotName(slot).toLowerCase())}{' '}
          <Link href="/shop/parts" prefetch={false}>
            {pages.parts}
          </Link>
        </Note>
      )}
      <Rows className={css.itemRows} data-part="item-rows">
        {offers.map((offer) => {
          const taken = part?.item?.id === offer.item.id;
          return (
            <ItemRow
              key={offer.item.id}
              offer={offer}
              own={own}
              taken={taken}
              onTake={() => void choose(taken ? null : offer.item.id, !taken && own)}
            />
          );
        })}
      </Rows>
    </section>
  );
}

function ItemRow({
  offer: { item, against, hard },
  own,
  taken,
  onTake,
}: {
  offer: Offer;
  own: boolean;
  taken: boolean;
  onTake: () => void;
}) {
  const { snapshot } = useJob();
  return (
    <li data-hard={hard ? 'yes' : 'no'} data-taken={taken ? 'yes' : 'no'}>
      <PartDrawing part={item} size={32} />
      <div>
        <b>
          {item.maker} {item.model}
        </b>
        <Text variant="small" soft as="div">
          <WithFractions text={partFacts(item, snapshot.shop.units)} />
        </Text>
        {against.length > 0 && (
          <Text variant="small" as="div" className={css.itemAgainst}>
            <Tag kind={hard ? 'out' : 'warn'}>{hard ? w.refuses : w.warns}</Tag>{' '}
            <WithFractions text={against.map((finding) => finding.reason).join('; ')} />
          </Text>
        )}
      </div>
      <div className={css.itemPrice}>
        <Text variant="figure">{writeMoney(own ? 0 : sellCents(item))}</Text>
        {!own && item.closeOutCents !== null && (
          <Text variant="figure" soft as="s">
            {writeMoney(item.priceCents)}
          </Text>
        )}
        {!own && (
          <Text variant="small" soft>
            {item.stock > 0 ? w.stock(item.stock) : w.days(item.deliveryDays)}
          </Text>
        )}
      </div>
      {hard && !taken ? (
        <span />
      ) : (
        <Button
          variant={taken ? 'text' : 'outlined'}
          aria-label={`${taken ? w.putBack : own ? w.hasThis : w.take}: ${item.maker} ${item.model}`}
          onClick={onTake}
        >
          {taken ? w.putBack : own ? w.hasThis : w.take}
        </Button>
      )}
    </li>
  );
}

function OwnPart({ slot, onTake }: { slot: Slot; onTake: (label: string) => Promise<void> }) {
  const { job } = useJob().snapshot;
  const { value: label, set: setLabel, settled } = useKept(`${job.id}.own.${slot}`, () => '');
  const [missing, setMissing] = useState(false);
  return (
    <form
      className={css.ownPart}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (label.trim() === '') setMissing(true);
        else void onTake(label.trim()).then(settled);
      }}
    >
      <TextField
        id={`own-${slot}`}
        label={w.ownLabel}
        value={label}
        autoComplete="off"
        error={missing}
        helperText={missing ? w.ownMissing : w.ownHint}
        slotProps={{ htmlInput: { maxLength: 80 } }}
        onChange={(event) => {
          setLabel(event.target.value);
          setMissing(false);
        }}
      />
      <Button type="submit" variant="contained">
        {w.ownTake}
      </Button>
    </form>
  );
}
