/** Words of the fields. */
export const fields = {
  pad: 'Number pad',
  back: 'Delete the last',
  sign: 'Plus or minus',
  takeIt: 'Take',
  inTolerance: 'in',
  out: (wanted: string) => `out: wanted ${wanted}`,
} as const;
