import type { ReactNode } from 'react';
import Accordion from '@mui/material/Accordion';
import AccordionDetails from '@mui/material/AccordionDetails';
import AccordionSummary from '@mui/material/AccordionSummary';

/** What is read only by who asks for it, under the words that say what it is. */
export const More = ({
  title,
  strong = false,
  children,
}: {
  title: ReactNode;
  /** Something to heed is under it. */
  strong?: boolean;
  children: ReactNode;
}) => (
  // No heading of its own: it stands in the middle of a table or a package.
  <Accordion disableGutters square slotProps={{ heading: { component: 'div' } }}>
    <AccordionSummary sx={strong ? { color: 'var(--amber)', fontWeight: 650 } : {}}>
      {title}
    </AccordionSummary>
    <AccordionDetails>{children}</AccordionDetails>
  </Accordion>
);
