import '@mui/material/Button';
import '@mui/material/Typography';
import '@mui/material/styles';

/** What the house adds to MUI's variants; the theme shapes each. */
declare module '@mui/material/Typography' {
  interface TypographyPropsVariantOverrides {
    /** Type of 14 px. */
    small: true;
    /** Beside a heading. */
    aside: true;
    /** Digits: the figure face, tabular, never broken. */
    figure: true;
    /** The one large thing of a screen. */
    big: true;
    /** The value that is worked on. */
    huge: true;
  }
}
declare module '@mui/material/Button' {
  interface ButtonPropsVariantOverrides {
    /** A sign or word in a line of tools. */
    plain: true;
    /** Reads as a link, does something. */
    link: true;
  }
}
