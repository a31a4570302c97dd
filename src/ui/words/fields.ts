/** Words of the fields. */
export const fields = {
  pad: 'Number pad',
  back: 'Delete the last',
  sign: 'Plus or minus',
  takeIt: 'Take',
  inTolerance: 'in',
  adds: (what: string) => `${what} are added`,
  out: (todo: string) => `out: ${todo}`,
} as const;
