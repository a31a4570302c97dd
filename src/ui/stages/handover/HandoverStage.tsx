'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import { cautionsAgain, HANDOVER_CAUTIONS, openVisitOf, openWork } from '@/core/job';
import { Text } from '../../pieces/Text';
import { TextField } from '../../fields/TextField';
import { whenText } from '../../fields/dates';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { ReasonButton } from '../../job/ReasonButton';
import { useKept } from '../../keep/useKept';
import { useStage } from '../../job/useStage';
import { delivery, handover as w, lane, visit } from '../../words';
import { Choice } from '../../fields/Choice';
import { Work } from '../../job/Work';
import { Actions, Block, Head, Rows } from '../../pieces/layout';
import { Note } from '../../pieces/texts';
import { NoBow } from '../bench/BenchStage';
import { StepWork } from '../bench/StepWork';
import { Delivery } from './Delivery';
import { OpenVisit } from './OpenVisit';
import { Photos } from './Photos';
import { SignaturePad, type Signed } from './SignaturePad';
import { VisitPart } from './VisitPart';
import paperPageCss from '../../pieces/PaperPage.module.css';
import css from './HandoverStage.module.css';

/** What is open, what was told, and the sheet. */
export function HandoverStage() {
  const { snapshot, derived, states } = useJob();
  if (!snapshot.bow) return <NoBow text={lane.noBow} />;
  const open = openWork(states, derived);
  const step = derived.plan.steps.find(({ id }) => id === 'fasteners')!;
  return (
    <>
      <Work>
        <Head>
          <h2>{w.title}</h2>
          <Text variant="aside">{open.length === 0 ? w.ready : w.openCount(open.length)}</Text>
        </Head>
        {snapshot.sheets.length > 0 && <Sheets />}
        <VisitPart />
        <OpenVisit />
        <Open open={open} />
        <Block>
          <h3>{w.tight}</h3>
          <StepWork step={step} asked={null} onward={null} />
        </Block>
        <Cautions />
        <Photos />
        <Delivery />
        <MakeSheet open={open} />
        {snapshot.sheets.length === 0 && <Sheets />}
      </Work>
      <Margin
        because={[w.because.immutable, w.because.open]}
        watch={[
          ...(snapshot.archer.minor ? [{ id: 'minor', text: w.watch.minor }] : []),
          { id: 'law', text: HANDOVER_CAUTIONS.find(({ id }) => id === 'law')!.text },
        ]}
      />
    </>
  );
}

function Open({ open }: { open: readonly string[] }) {
  const { states } = useJob();
  const { href } = useStage();
  return (
    <Block>
      <h3>{w.open}</h3>
      {open.length === 0 ? (
        <Note kind="good">{w.nothingOpen}</Note>
      ) : (
        <Rows className={css.openRows}>
          {states
            .filter((stage) => stage.open.length > 0 && !['meet', 'handover'].includes(stage.id))
            .map((stage) => (
              <li key={stage.id}>
                <Link href={href(stage.id)}>{stage.name}</Link>
                <span>{stage.open.join(' · ')}</span>
              </li>
            ))}
        </Rows>
      )}
    </Block>
  );
}

function Cautions() {
  const { snapshot, send } = useJob();
  const told = HANDOVER_CAUTIONS.filter(({ id }) => snapshot.acknowledged.includes(id)).length;
  return (
    <Block>
      <h3>
        {w.cautions}{' '}
        <Text soft as="span">
          {w.told(told, HANDOVER_CAUTIONS.length)}
        </Text>
      </h3>
      <Text soft>{w.tellAll}</Text>
      <Rows className={css.cautionRows} data-part="caution-rows">
        {HANDOVER_CAUTIONS.map(({ id, text }) => {
          const yes = snapshot.acknowledged.includes(id);
          return (
            <li key={id}>
              <label>
                <Checkbox
                  id={`caution-${id}`}
                  checked={yes}
                  onChange={() => void send({ name: 'acknowledge', cautionId: id, yes: !yes })}
                />
                <span>{text}</span>
              </label>
            </li>
          );
        })}
      </Rows>
    </Block>
  );
}

function MakeSheet({ open }: { open: readonly string[] }) {
  const { snapshot, derived, send, sending } = useJob();
  const {
    value: reason,
    set: setReason,
    forget,
  } = useKept(`${snapshot.job.id}.openReason`, () => '');
  const [trouble, setTrouble] = useState('');
  const [way, setWay] = useState<'paper' | 'screen'>('paper');
  const [signature, setSignature] = useState<Signed | null>(null);
  const { archer } = snapshot;
  const unsigned = way === 'screen' && signature === null;
  const [told, setTold] = useState<readonly string[]>([]);
  const back = openVisitOf(snapshot.job);
  const again = back ? cautionsAgain(back, derived.history) : [];
  const untoldAgain = again.some((id) => !told.includes(id));
  const untold = HANDOVER_CAUTIONS.some(({ id }) => !snapshot.acknowledged.includes(id));
  const revision = (snapshot.sheets[0]?.revision ?? 0) + 1;
  const make = async () => {
    const answer = await send({
      name: 'handOver',
      openReason: reason,
      signature: way === 'screen' ? signature : null,
      ...(again.length > 0 ? { toldAgain: [...told] } : {}),
    });
    setTrouble(answer?.message ?? '');
    if (!answer) forget();
  };
  return (
    <Block>
      {open.length > 0 && (
        <TextField
          id="open-reason"
          label={w.openReason}
          autoComplete="off"
          value={reason}
          helperText={w.openReasonHint}
          slotProps={{ htmlInput: { maxLength: 300 } }}
          onChange={(event) => setReason(event.target.value)}
        />
      )}
      {again.length > 0 && (
        <>
          <Text soft>{visit.again}</Text>
          <Rows className={css.cautionRows}>
            {HANDOVER_CAUTIONS.filter(({ id }) => again.includes(id)).map(({ id, text }) => (
              <li key={id}>
                <label>
                  <Checkbox
                    id={`again-${id}`}
                    checked={told.includes(id)}
                    onChange={() =>
                      setTold(told.includes(id) ? told.filter((one) => one !== id) : [...told, id])
                    }
                  />
                  <span>{text}</span>
                </label>
              </li>
            ))}
          </Rows>
        </>
      )}
      <Choice
        label={delivery.signHow}
        value={way}
        options={delivery.signWays}
        onChange={(next) => setWay(next as typeof way)}
      />
      {way === 'screen' && (
        <SignaturePad
          label={delivery.signs(
            archer.minor ? archer.guardianName || delivery.guardian : archer.name,
          )}
          onChange={setSignature}
        />
      )}
      <Actions>
        <Button
          variant="contained"
          disabled={untold || untoldAgain || unsigned || sending}
          onClick={() => void make()}
        >
          {revision === 1 ? w.make : w.makeAgain(revision)}
        </Button>
        {untold && (
          <Text soft as="span">
            {w.blocked}
          </Text>
        )}
        {unsigned && !untold && (
          <Text soft as="span">
            {delivery.unsigned}
          </Text>
        )}
      </Actions>
      {trouble && (
        <Note kind="stop" role="alert">
          {trouble}
        </Note>
      )}
    </Block>
  );
}

function Sheets() {
  const { snapshot } = useJob();
  const { job, sheets, shop, today } = snapshot;
  return (
    <Block>
      <h3>{w.sheets}</h3>
      {sheets.length === 0 ? (
        <Text soft>{w.noSheets}</Text>
      ) : (
        <Rows className={css.sheetRows} data-part="sheet-rows">
          {sheets.map(({ revision, at, who }) => {
            const api = `/api/v1/jobs/${job.id}/sheets/${revision}`;
            return (
              <li key={revision}>
                <b>{w.revision(revision)}</b>
                <Text soft as="span">
                  {whenText(at, shop.timeZone, today)}, {who}
                </Text>
                <span className={paperPageCss.sheetLinks}>
                  <Link href={`/jobs/${job.id}/sheet/${revision}`}>{w.page}</Link>
                  <Link href={`/jobs/${job.id}/sheet/${revision}/cards`}>{w.cards}</Link>
                  <a href={`${api}/pdf?paper=A4`}>{w.a4}</a>
                  <a href={`${api}/pdf?paper=LETTER`}>{w.letter}</a>
                  <a href={api}>{w.json}</a>
                </span>
              </li>
            );
          })}
        </Rows>
      )}
      {job.deliveredAt !== null && <TakeBack />}
    </Block>
  );
}

/** Signed too early, or the bow came back: with a reason the job is open again. */
function TakeBack() {
  const { send } = useJob();
  return (
    <ReasonButton
      title={w.takeBack}
      text={w.takeBackText}
      action={w.takeBack}
      onReason={(reason) => send({ name: 'takeBackHandover', reason })}
    >
      {w.takeBack}
    </ReasonButton>
  );
}
