import Stack, { type StackProps } from '@mui/material/Stack';
import { piece } from './piece';
import s from './layout.module.css';

/** What one screen is about, its large figure beside it. */
export const Head = piece('div', s.head, 'head');
/** Stands at the right end of a head. */
export const HeadEnd = piece('div', s.headEnd);
/** A part of the work under a rule. */
export const Block = piece('section', s.block);
export const BlockTitle = piece('h3', s.blockTitle);
/** Lines with a thin rule between them. */
export const Rows = piece('ul', s.rows, 'rows');
/** Two columns, one on narrow screens. */
export const Split = piece('div', s.split);
/** Fields of a form in two columns; `data-wide` takes both. */
export const Questions = piece('div', s.questions);
/** What stands where there is nothing yet. */
export const Empty = piece('p', s.empty);
/** A conclusion, in a sentence. */
export const Verdict = piece('p', s.verdict, 'verdict');
/** Values of one step, side by side to choose from. */
export const ValueTabs = piece('ul', s.valueTabs);
/** What is done at a step, in a sentence to act on. */
export const StepSay = piece('p', s.stepSay);

/** Buttons in a line that breaks. */
export const Actions = ({ sx, ...rest }: StackProps) => (
  <Stack
    direction="row"
    sx={{
      flexWrap: 'wrap',
      gap: 1.5,
      mt: 2,
      alignItems: 'center',
      '& > .MuiButton-root': { gap: 1.5 },
      ...sx,
    }}
    {...rest}
  />
);
