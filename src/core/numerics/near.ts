/** Whether two numbers lie no further apart than this. */
export const near = (a: number, b: number, within: number) => Math.abs(a - b) <= within;
