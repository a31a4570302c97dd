/** Of every hang: half a degree is read. Steeper than this nothing hangs from a cord that holds it. */
export const HUNG = {
  kind: 'angle',
  tolerance: 0.5,
  min: -75,
  max: 75,
  dependsOn: [],
  optional: true,
  takenWhole: true,
  stage: 'steady',
  part: 'bar',
  tool: 'cord, level or telephone',
} as const;

export const MOUNTED = {
  kind: 'text',
  tolerance: 0,
  takenWhole: true,
  stage: 'steady',
  part: 'bar',
  tool: 'fingers',
} as const;

export const NOTCH = {
  kind: 'angle',
  tolerance: 0.5,
  min: 0,
  max: 90,
  dependsOn: [],
  stage: 'steady',
  part: 'bar',
  tool: 'hex key',
} as const;

export const DISCS = {
  kind: 'turns',
  tolerance: 0.4,
  min: 0,
  max: 20,
  dependsOn: [],
  stage: 'steady',
  part: 'bar',
  tool: 'fingers',
  spokenAs: 'disc',
} as const;
