import type { ReactNode } from 'react';
import { kindOf, type AnyPart, type AttrsDrawnAs, type PartDrawingName } from '@/core/kit';
import css from './PartDrawing.module.css';

/** A part as a line drawing of our own, from its kind and what is known of it; no photograph. */
export function PartDrawing({ part, size = 40 }: { part: AnyPart; size?: number }) {
  return (
    <svg
      className={css.partDrawing}
      viewBox="0 0 40 40"
      width={size}
      height={size}
      aria-hidden="true"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.6"
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      {(DRAWINGS[kindOf(part.slot).drawing] as (attrs: object) => ReactNode)(part.attrs)}
    </svg>
  );
}

/** Something from 0 to 1, for lengths between their least and most. */
const part01 = (value: number, least: number, most: number) =>
  Math.min(1, Math.max(0, (value - least) / (most - least)));

/** One drawing for each name the descriptions of parts give; forgetting one does not compile. */
const DRAWINGS: { readonly [D in PartDrawingName]: (attrs: AttrsDrawnAs<D>) => ReactNode } = {
  rest: (attrs) =>
    attrs.drive === 'containment' ? (
      <>
        <circle cx="22" cy="17" r="10" />
        <path d="M22 27v8h-12M22 7v4M13.4 22l3.4-2M30.6 22l-3.4-2" />
        <circle cx="22" cy="17" r="3" />
      </>
    ) : (
      <>
        <path d="M6 30h16l4-8M20 14l6 8 6-8M22 30v5" />
        <circle cx="26" cy="12" r="3" />
        {attrs.contains && <path d="M15 20a11 11 0 0 1 22 0" strokeDasharray="3 2.5" />}
        {attrs.drive === 'limbDriven' && <path d="M6 30V5" strokeDasharray="1 3" />}
        {attrs.drive === 'cableDriven' && <path d="M6 30v7" strokeDasharray="1 3" />}
      </>
    ),
  sight: (attrs) => {
    const { pins, slides } = attrs;
    const step = 14 / (pins + 1);
    return (
      <>
        <circle cx="25" cy="20" r="11" />
        {Array.from({ length: pins }, (_, i) => {
          const y = 13 + step * (i + 1);
          return (
            <g key={i}>
              <path d={`M${pins === 1 ? 25 : 34} ${pins === 1 ? 31 : y}L25 ${y}`} />
              <circle cx="25" cy={y} r="1.1" fill="currentColor" />
            </g>
          );
        })}
        <path d={slides ? 'M14 20H8M8 6v28M5 10h3M5 16h3M5 22h3M5 28h3' : 'M14 20H6M6 14v12'} />
      </>
    );
  },
  peep: (attrs) => {
    const r = 3 + 7 * part01(attrs.apertureMm, 2, 9);
    return (
      <>
        <path d="M20 2v7M20 31v7M17 2l3 7 3-7M17 38l3-7 3 7" />
        <circle cx="20" cy="20" r="11" />
        <circle cx="20" cy="20" r={r} />
        {attrs.lens && <path d="M16 20a6 6 0 0 0 8 0" />}
      </>
    );
  },
  loop: (attrs) => (
    <>
      <path d="M28 2v36" />
      <path d={attrs.material === 'metal' ? 'M28 13H14v14h14' : 'M28 13c-20-3-20 17 0 14'} />
      <path d="M25 11h6v4h-6zM25 25h6v4h-6z" />
    </>
  ),
  arrows: (attrs) => (
    <>
      {[9, 20, 31].map((y) => (
        <path
          key={y}
          d={`M4 ${y}h29l3 0M10 ${y}l-4-3.5M15 ${y}l-4-3.5M10 ${y}l-4 3.5M15 ${y}l-4 3.5`}
        />
      ))}
      {attrs.bladeMm !== null &&
        [9, 20, 31].map((y) => <path key={y} d={`M29 ${y - 3}l7 3-7 3z`} />)}
    </>
  ),
  release: (attrs) =>
    attrs.type === 'index' ? (
      <path d="M4 14h16l6 4h9M20 14v10H4zM26 18v9M35 15v6" />
    ) : (
      <>
        <path d="M8 6c8 0 8 5 8 5s7-1 8 4-2 5-2 5 4 6 0 10-14 5-14 5" />
        <path d="M24 13l10-4" />
        {attrs.type === 'thumb' && <path d="M22 20l7 3v5" />}
      </>
    ),
  quiver: (attrs) => (
    <>
      <path d="M10 5h20v8H10zM14 30h12v4H14z" />
      {attrs.pieces === 1 && <path d="M8 9v24h6" />}
      {Array.from({ length: Math.min(attrs.arrows, 6) }, (_, i) => (
        <path key={i} d={`M${12.5 + i * 3} 13v23`} />
      ))}
    </>
  ),
  stabiliser: (attrs) => {
    const end = 14 + 20 * part01(attrs.lengthMm, 100, 800);
    return (
      <>
        <path d={`M3 20h4M7 17v6M7 18.5h${end - 7}M7 21.5h${end - 7}`} />
        <rect x={end} y="15" width="4" height="10" />
      </>
    );
  },
  barMount: (attrs) =>
    attrs.kind === 'slide' ? (
      <path d="M5 18h30v5H5zM16 12h8v16h-8z" />
    ) : attrs.kind === 'vBar' ? (
      <path d="M20 10v8l-13 12M20 18l13 12M16 6h8v4h-8z" />
    ) : (
      <path d="M10 8h8v8h-8zM14 16v6l14 8M25 27h7v6h-7z" />
    ),
  weights: (attrs) => (
    <>
      {Array.from({ length: Math.min(attrs.count, 5) }, (_, i) => (
        <rect key={i} x={8 + i * 5} y="11" width="4.2" height="18" rx="1" />
      ))}
      <path d="M3 20h5" />
    </>
  ),
  nockingPoint: (attrs) =>
    attrs.kind === 'kisser' ? (
      <>
        <path d="M20 2v36" />
        <ellipse cx="20" cy="20" rx="8" ry="5" />
      </>
    ) : (
      <path d="M20 2v36M16 17h8M16 19.5h8M16 22h8M16 24.5h8" />
    ),
  sling: () => <path d="M20 5v6M14 11h12M14 11c-14 20-2 24 6 24s20-4 6-24" />,
  dampeners: (attrs) =>
    attrs.place === 'limb' ? (
      <path d="M20 34V22M12 22h16M20 22c-9-2-9-14 0-16 9 2 9 14 0 16z" />
    ) : (
      <path d="M20 2v36M20 20L9 10M20 20L8 18M20 20L10 28M20 20l11-10M20 20l12-2M20 20l10 8" />
    ),
  stringStop: () => <path d="M4 20h24M4 17v6M28 14c6 0 6 12 0 12zM36 4v32" />,
  light: () => <path d="M12 20h10l6-5v10l-6-5M12 16v8H6v-8zM32 20h4M31 13l3-2M31 27l3 2" />,
  case: (attrs) =>
    attrs.hard ? (
      <path d="M3 12h34v18H3zM15 12V8h10v4M3 21h34M10 21v2M30 21v2" />
    ) : (
      <path d="M4 28c0-16 8-18 16-18s16 2 16 18zM15 10c0-5 10-5 10 0M10 22h20" />
    ),
  armGuard: () => <path d="M12 4c8 0 14 4 14 16s-6 16-14 16c3-10 3-22 0-32zM10 12h14M10 28h14" />,
  consumables: () => <path d="M12 14h16v20H12zM15 14v-4h10v4M12 22h16" />,
  shaft: () => <path d="M3 24L33 8l3 5L6 29zM33 8l3 5" />,
  nock: () => <path d="M6 16h16v8H6M22 16c8 0 12-4 12-4v5c-6 0-6 6 0 6v5s-4-4-12-4M6 16v8" />,
  vane: (attrs) => {
    const top = 26 - 14 * part01(attrs.heightMm, 4, 16);
    const from = 30 - 26 * part01(attrs.lengthMm, 20, 110);
    return <path d={`M3 28h34M${from} 28L${from + 8} ${top}H34l2 ${28 - top}`} />;
  },
  insert: () => <path d="M5 15h22v10H5zM27 13h5v14h-5zM11 15v10M16 15v10M21 15v10" />,
  point: (attrs) =>
    attrs.head === 'field' ? (
      <path d="M4 17h14v6H4zM18 16h8l10 4-10 4h-8z" />
    ) : (
      <path d="M4 17h10v6H4zM14 20h22L18 9v22z" />
    ),
};
