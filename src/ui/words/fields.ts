/** Words of the fields. */
export const fields = {
  wideTable: 'Wide table, scrolls sideways',
  pad: 'Number pad',
  back: 'Delete the last',
  sign: 'Plus or minus',
  takeIt: 'Take',
  inTolerance: 'in',
  adds: (what: string) => `${what} are added`,
  out: (todo: string) => `out: ${todo}`,
} as const;
