import { createElement, type AllHTMLAttributes, type ElementType, type Ref } from 'react';
import clsx from 'clsx';

export type PieceProps = Omit<AllHTMLAttributes<HTMLElement>, 'as'> & {
  /** Another element, where it says better what this is. */
  as?: ElementType;
  ref?: Ref<never>;
  [data: `data-${string}`]: unknown;
};

/** A component that is one element with one class of the house; `part` is its name to tests. */
export const piece = (tag: ElementType, name: string | undefined, part?: string) => {
  const Piece = ({ as = tag, className, ...rest }: PieceProps) =>
    createElement(as, { 'data-part': part, ...rest, className: clsx(name, className) });
  return Piece;
};
