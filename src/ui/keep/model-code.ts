/** Under which name the text of a card waits to be taken as the model of a job. */
export const modelCodeKey = (jobId: string): string => `${jobId}.like.code`;
