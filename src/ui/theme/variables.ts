import { theme } from './theme';

type Rules = { readonly [name: string]: string | number | Rules };

const written = (rules: Rules): string =>
  Object.entries(rules)
    .map(([name, value]) =>
      typeof value === 'object' ? `${name}{${written(value)}}` : `${name}:${value};`,
    )
    .join('');

/**
 * The variables of both colour schemes as a style sheet. They are the same for every page and are
 * written once, not worked out anew by each answer.
 */
export const VARIABLES = (theme as unknown as { generateStyleSheets: () => Rules[] })
  .generateStyleSheets()
  .map(written)
  .join('');
