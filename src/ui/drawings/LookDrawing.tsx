import type { ReactNode } from 'react';
import type { LookId } from '@/core/job';
import { elsewhere as w } from '../words';
import css from './LookDrawing.module.css';

const line = {
  stroke: 'var(--ink)',
  strokeWidth: 2.2,
  fill: 'none',
  strokeLinecap: 'round',
} as const;
const soft = { ...line, stroke: 'var(--ink-soft)', strokeWidth: 1.3 } as const;
const wrong = { ...line, stroke: 'var(--brick)', strokeWidth: 2.6 } as const;

const LIMB = 'M14 70C44 66 84 48 106 16L112 20C92 54 50 76 16 78Z';
const POCKET = 'M10 50h44v30h-44z';
const CAM = 'M62 46m-30 0a30 30 0 1 0 60 0a30 30 0 1 0 -60 0';

/** What is drawn of each place: whole, and with what is looked for. */
const PLACES: Readonly<Record<LookId, (bad: boolean) => ReactNode>> = {
  limbs: (bad) => (
    <>
      <path d={LIMB} {...line} />
      <path d="M22 72C50 66 84 50 104 22" {...soft} />
      {bad && <path d="M66 48l5 5 -2 5 6 4 -1 5M84 40l9 -3M88 46l10 -2" {...wrong} />}
    </>
  ),
  pockets: (bad) => (
    <>
      <path d={POCKET} {...line} />
      <path d={bad ? 'M24 58L116 30L118 40L28 70' : 'M24 58L116 40L118 50L26 70'} {...line} />
      <circle cx={30} cy={72} r={4} {...soft} />
      {bad && <path d="M54 50l6 -9 -2 -6 7 -8M26 71l10 6h14" {...wrong} />}
    </>
  ),
  bolts: (bad) => (
    <>
      <path d="M14 58h40v24h-40zM70 58h40v24h-40z" {...soft} />
      <path d="M26 46h16v12h-16zM34 58v18" {...line} />
      {bad ? (
        <path d="M82 22h16v12h-16zM90 34v42M86 40h8M86 46h8M86 52h8" {...wrong} />
      ) : (
        <path d="M82 46h16v12h-16zM90 58v18" {...line} />
      )}
    </>
  ),
  riser: (bad) => (
    <>
      <path
        d="M40 6H66C62 20 62 26 70 32C80 38 80 46 72 52C64 58 62 68 66 88H40C44 70 42 62 48 54C54 48 54 42 48 36C40 28 44 18 40 6ZM50 12h8l2 10h-8zM50 82h8l1 -12h-7z"
        {...line}
      />
      <circle cx={62} cy={42} r={3.2} {...soft} />
      {bad && <path d="M72 52l-9 -3 1 6 -9 2M43 22l8 1 -2 6" {...wrong} />}
    </>
  ),
  cams: (bad) => (
    <>
      <path
        d={
          bad
            ? 'M62 16C84 16 94 34 90 52C86 66 98 70 84 74C70 82 40 78 34 58C28 36 42 16 62 16Z'
            : CAM
        }
        {...line}
      />
      <circle cx={62} cy={46} r={4} {...line} />
      <path d="M62 46L80 60" {...soft} />
      <path d="M44 38h16v10h-16z" {...soft} />
      {bad && <path d="M86 58C92 64 98 68 88 74M44 38h16v10h-16zM40 34l24 18" {...wrong} />}
    </>
  ),
  clips: (bad) => (
    <>
      <path d="M16 46h76" {...line} strokeWidth={9} />
      <path d="M92 46h14" {...line} strokeWidth={5} />
      {bad ? (
        <path d="M98 66a10 10 0 0 1 12 -4M112 74a10 10 0 0 1 -10 4" {...wrong} />
      ) : (
        <path d="M101 36a10 10 0 1 0 0 20" {...line} />
      )}
      <path d="M98 34v24" {...soft} />
    </>
  ),
  string: (bad) => (
    <>
      <path d="M56 6V88M62 6V88M68 6V88" {...(bad ? soft : line)} />
      <path d="M50 16h24M50 20h24M50 76h24M50 80h24" {...soft} />
      {bad && <path d="M62 6V42l-8 -6M62 88V54l9 5M56 44l-9 -3M68 50l10 3M56 54l-8 4" {...wrong} />}
    </>
  ),
  cables: (bad) => (
    <>
      <path d="M30 6L92 88M94 6L34 88" {...line} />
      <path d="M52 46h22" {...soft} strokeWidth={7} />
      {bad && <path d="M60 42l-6 -7M66 52l8 6M58 52l-9 4M66 42l8 -6" {...wrong} />}
    </>
  ),
  servings: (bad) => (
    <>
      <path d="M62 4V90" {...line} strokeWidth={3} />
      {(bad ? [20, 26, 32, 56, 62, 68] : [20, 26, 32, 38, 44, 50, 56, 62, 68]).map((y) => (
        <path key={y} d={`M54 ${y + 3}L70 ${y - 3}`} {...line} />
      ))}
      {bad && <path d="M70 30C84 34 82 46 92 48M54 58C44 54 46 46 40 44" {...wrong} />}
    </>
  ),
  guard: (bad) => (
    <>
      <path d={bad ? 'M8 42C40 42 62 44 76 56L112 74' : 'M8 46H112'} {...line} strokeWidth={5} />
      <path d={bad ? 'M66 40l12 -4 8 22 -12 4z' : 'M68 36h16v20h-16z'} {...(bad ? wrong : line)} />
      <path d="M76 6V34M76 62V88" {...soft} />
    </>
  ),
  dryFire: (bad) => (
    <>
      <path d={LIMB} {...line} />
      <circle cx={104} cy={22} r={14} {...line} />
      <path d="M104 8V2M118 22V88" {...soft} />
      {bad && (
        <path
          d="M92 28l-6 6M98 34l-4 8M116 30c4 4 8 2 6 8M118 56l-6 3M118 60l7 3M84 38l4 6"
          {...wrong}
        />
      )}
    </>
  ),
  missing: (bad) => (
    <>
      <path d="M14 20h30v22h-30zM50 20h22v22h-22zM78 20h30v22h-30z" {...line} />
      <path d="M14 54h22v22h-22zM42 54h30v22h-30z" {...line} />
      {bad ? (
        <path d="M78 54h30v22h-30z" {...wrong} strokeDasharray="5 5" />
      ) : (
        <path d="M78 54h30v22h-30z" {...line} />
      )}
    </>
  ),
};

/** A place of the guided look, sound or not: our own small drawing. */
export const LookDrawing = ({ of, bad, name }: { of: LookId; bad: boolean; name: string }) => (
  <svg
    className={css.look}
    viewBox="0 0 130 94"
    role="img"
    aria-label={`${name}: ${bad ? w.seen.unsound : w.seen.sound}`}
  >
    {PLACES[of](bad)}
  </svg>
);
