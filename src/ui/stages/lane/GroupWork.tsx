'use client';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { write } from '@/core/units';
import { Text } from '../../pieces/Text';
import { TargetDrawing } from '../../drawings/TargetDrawing';
import { SmallNumber } from '../../fields/SmallNumber';
import { useJob } from '../../job/JobProvider';
import { devices as d, lane as w, marksWords as m } from '../../words';
import { FieldError } from '../../pieces/texts';
import { Actions } from '../../pieces/layout';
import { GroupJudgement } from './GroupJudgement';
import { TypedHit } from './TypedHit';
import { useGroup } from './useGroup';
import entryCss from './entry.module.css';

type Group = ReturnType<typeof useGroup>;

/** Hits on a target: their middle, whether it is off, the pin's move, and the distance confirmed. */
export function GroupWork({ radiusMm }: { radiusMm: number }) {
  const group = useGroup(radiusMm);
  return (
    <div className={entryCss.groupSplit}>
      <TargetSide group={group} />
      <Stack spacing={2}>
        <GroupFields group={group} />
        {group.spread && (
          <Text variant="small" soft as="p">
            {m.group(
              `${group.spread.rmsMm.toFixed(0)} mm`,
              `${group.spread.widestMm.toFixed(0)} mm`,
            )}
          </Text>
        )}
        {group.answer && <GroupJudgement answer={group.answer} />}
        <GroupActions group={group} />
        <FieldError role={group.trouble ? 'alert' : undefined}>{group.trouble}</FieldError>
        <TypedHit onHit={group.add} />
      </Stack>
    </div>
  );
}

function TargetSide({ group }: { group: Group }) {
  const small = (name: string, onClick: (() => void) | null) => (
    <Button variant="text" size="small" disabled={!onClick} onClick={onClick ?? undefined}>
      {name}
    </Button>
  );
  return (
    <Stack spacing={2} className={entryCss.targetSide}>
      <TargetDrawing
        halfMm={group.halfMm}
        hits={group.hits}
        centre={group.answer?.centre ?? null}
        ellipse={group.spread?.confidence ?? null}
        before={group.before}
        onTap={group.add}
      />
      <Actions className={entryCss.hitActions}>
        <Text variant="figure" as="b">
          {w.hits(group.hits.length)}
        </Text>
        {small(w.removeLast, group.hits.length === 0 ? null : group.removeLast)}
        {small(w.closer, group.closer)}
        {small(w.wider, group.wider)}
      </Actions>
      <Button
        variant="text"
        className={entryCss.practise}
        title={d.practiceHint}
        disabled={group.practising || !group.far.ok}
        onClick={group.practise}
      >
        {d.practiseMany}
      </Button>
    </Stack>
  );
}

function GroupFields({ group }: { group: Group }) {
  const { units } = useJob().snapshot.shop;
  const { first, further, expected } = group;
  return (
    <>
      <div className={entryCss.groupFields}>
        <SmallNumber
          name="group-distance"
          label={w.distanceLabel}
          text={group.distance}
          placeholder="18 m"
          onText={group.setDistance}
          result={group.far}
        />
        {further && (
          <SmallNumber
            label={m.drop}
            text={group.drop}
            onText={group.setDrop}
            result={group.dropRead}
          />
        )}
      </div>
      <Text soft>
        {further
          ? `${m.dropRead} ${expected === null ? '' : m.dropHint(expected.toFixed(1))}`
          : first === null
            ? w.hitsHint
            : m.first(write(first, 'distance', units, { decimals: 0 }))}
      </Text>
    </>
  );
}

function GroupActions({ group }: { group: Group }) {
  const { units } = useJob().snapshot.shop;
  const { answer, far, correctedMm, confirm } = group;
  const said = far.ok ? write(far.si, 'distance', units, { decimals: 0 }) : '';
  return (
    <Actions>
      <Button
        variant="contained"
        disabled={!answer || answer.pValue === null || answer.adjust}
        onClick={() => void confirm(false)}
      >
        {`${w.confirm} ${said}`}
      </Button>
      {answer?.adjust && (
        <Button variant="outlined" onClick={group.pinMoved}>
          {m.moved}
        </Button>
      )}
      {correctedMm !== null && (
        <Button variant="text" onClick={() => void confirm(true)}>
          {m.takeCorrected(said, correctedMm.toFixed(1))}
        </Button>
      )}
    </Actions>
  );
}
