/** Words of the fields. */
export const fields = {
  chartLost: 'The chart could not be fetched: not connected. Load the page again when it is.',
  wideTable: 'Wide table, scrolls sideways',
  pad: 'Number pad',
  back: 'Delete the last',
  sign: 'Plus or minus',
  takeIt: 'Take',
  inTolerance: 'in',
  adds: (what: string) => `${what} are added`,
  out: (todo: string) => `out: ${todo}`,
} as const;
