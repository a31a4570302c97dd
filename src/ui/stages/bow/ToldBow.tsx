'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import type { Command } from '@/contracts/commands';
import { CAM_SYSTEMS, type BowRecord, type CamSystem } from '@/core/bow';
import { typedOf } from '@/core/elsewhere';
import type { CameAs } from '@/core/job';
import { Choice } from '../../fields/Choice';
import { TextField } from '../../fields/TextField';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import { Actions, Block, Questions } from '../../pieces/layout';
import { FieldError } from '../../pieces/texts';
import { Text } from '../../pieces/Text';
import { elsewhere as w } from '../../words';
import css from './ToldBow.module.css';

type Told = Extract<Extract<Command, { name: 'bringBow' }>['bow'], { kind: 'told' }>;
type Field = keyof typeof w.fields;

/** What stands on limb and box first, then what is measured. */
const FIELDS = Object.keys(w.fields) as Field[];
/** As the list of bows names them. */
const CAMS = (Object.keys(CAM_SYSTEMS) as CamSystem[]).map((id) => ({ id, name: CAM_SYSTEMS[id] }));
const NEEDED: readonly Field[] = ['maker', 'model', 'heaviest', 'brace', 'axles', 'mass'];

const BEGIN = (hand: Told['hand']): Told => ({
  kind: 'told',
  maker: '',
  model: '',
  hand,
  camSystem: 'twoCam',
  shortest: '',
  longest: '',
  step: 'half',
  bothCams: true,
  heaviest: '',
  lightest: '',
  maxTurns: '',
  letOff: '',
  brace: '',
  axles: '',
  mass: '',
  ratedSpeed: '',
  restMounts: ['plungerBolt'],
  sightMounts: ['sidePlate'],
  quiverMounts: ['riser'],
});

/** A bow that stands in no list, as it is told and measured; what cannot be told stays empty. */
export function ToldBow({
  came,
  bow = null,
  onDone,
}: {
  came: CameAs;
  /** One that was told before, to be corrected. */
  bow?: BowRecord | null;
  onDone?: () => void;
}) {
  const { snapshot, send, sending } = useJob();
  const { archer, shop } = snapshot;
  const kept = useKept<Told>(`${snapshot.job.id}.${bow?.id ?? 'brought'}`, () =>
    bow ? { kind: 'told', ...typedOf(bow, shop.units) } : BEGIN(archer.hand),
  );
  const [trouble, setTrouble] = useState<{ field: string; message: string } | null>(null);
  const told = kept.value;
  const set = (change: Partial<Told>) => {
    setTrouble(null);
    kept.set((now) => ({ ...now, ...change }));
  };
  const take = async () => {
    const refused = await send(
      bow ? { name: 'retellBow', bow: told } : { name: 'bringBow', came, bow: told },
    );
    if (!refused) {
      kept.forget();
      return onDone?.();
    }
    setTrouble({
      field: refused.pointer.split('/').at(-1) ?? '',
      message: refused.message,
    });
  };
  const lacks = NEEDED.some((field) => told[field].trim() === '');
  const known = trouble !== null && FIELDS.includes(trouble.field as Field);
  return (
    <Block>
      <h3>{bow ? w.retell : w.told}</h3>
      <Text soft>{w.toldLead}</Text>
      <form
        className={css.form}
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void take();
        }}
      >
        <Questions>
          {FIELDS.map((field) => (
            <TextField
              key={field}
              id={`told-${field}`}
              label={w.fields[field]}
              autoComplete="off"
              value={told[field]}
              error={trouble?.field === field}
              helperText={
                trouble?.field === field
                  ? trouble.message
                  : NEEDED.includes(field)
                    ? w.needed
                    : w.cannotTell
              }
              slotProps={{
                htmlInput: { maxLength: field === 'maker' || field === 'model' ? 60 : 40 },
              }}
              onChange={({ target }) => set({ [field]: target.value })}
            />
          ))}
          <Choice
            label={w.hand}
            value={told.hand}
            options={w.hands}
            onChange={(hand) => set({ hand })}
          />
          <Choice
            label={w.cams}
            value={told.camSystem}
            options={CAMS}
            onChange={(camSystem) => set({ camSystem })}
          />
          <Choice
            label={w.step}
            value={told.step}
            options={w.steps}
            onChange={(step) => set({ step })}
          />
          <Choice
            label={w.modules}
            value={told.bothCams ? 'both' : 'one'}
            options={w.moduleOn}
            onChange={(on) => set({ bothCams: on === 'both' })}
          />
        </Questions>
        <h4 className={css.mounts}>{w.mounts}</h4>
        <div className={css.taken}>
          <Mounts
            names={w.restMount}
            chosen={told.restMounts}
            onChange={(restMounts) => set({ restMounts })}
          />
          <Mounts
            names={w.sightMount}
            chosen={told.sightMounts}
            onChange={(sightMounts) => set({ sightMounts })}
          />
          <Mounts
            names={w.quiverMount}
            chosen={told.quiverMounts}
            onChange={(quiverMounts) => set({ quiverMounts })}
          />
        </div>
        <Actions>
          <Button type="submit" variant="contained" disabled={lacks || sending}>
            {bow ? w.correct : w.takeTold}
          </Button>
          <FieldError role={trouble ? 'alert' : undefined}>
            {trouble && !known ? trouble.message : ''}
          </FieldError>
        </Actions>
      </form>
    </Block>
  );
}

function Mounts<T extends string>({
  names,
  chosen,
  onChange,
}: {
  names: Readonly<Record<T, string>>;
  chosen: readonly T[];
  onChange: (chosen: T[]) => void;
}) {
  return (Object.keys(names) as T[]).map((id) => (
    <ToggleButton
      key={id}
      value={id}
      selected={chosen.includes(id)}
      onChange={() =>
        onChange(chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id])
      }
    >
      {names[id]}
    </ToggleButton>
  ));
}
