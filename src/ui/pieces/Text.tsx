import { createElement } from 'react';
import clsx from 'clsx';
import type { PieceProps } from './piece';
import s from './Text.module.css';

const VARIANTS = {
  small: s.small,
  aside: s.aside,
  figure: s.figure,
  big: s.big,
  huge: s.huge,
};

/**
 * Text that is not as what stands around it: smaller, beside a heading, a figure, the one large thing
 * of a screen, the value worked on. An element and its classes: a table has hundreds of them, and
 * what MUI has for it made every answer of the server a fifth slower.
 */
export function Text({
  variant,
  soft = false,
  wrong = false,
  as = variant ? 'span' : 'p',
  className,
  ...rest
}: PieceProps & {
  variant?: keyof typeof VARIANTS;
  /** Read after the rest. */
  soft?: boolean | undefined;
  /** Says what is wrong. */
  wrong?: boolean | undefined;
}) {
  const classes = clsx(variant && VARIANTS[variant], soft && s.soft, wrong && s.wrong, className);
  // Its name to tests, and to a module that shapes the figures within it.
  return createElement(as, {
    'data-text': variant ?? 'plain',
    ...rest,
    className: classes || undefined,
  });
}
