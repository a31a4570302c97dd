import '@mui/material/Button';
import '@mui/material/styles';

/** What the house adds to MUI's variants; the theme shapes each. */
declare module '@mui/material/Button' {
  interface ButtonPropsVariantOverrides {
    /** A sign or word in a line of tools. */
    plain: true;
    /** Reads as a link, does something. */
    link: true;
  }
}
