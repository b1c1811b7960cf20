/**
 * What one job holds at most, at entry and in a file alike: what was taken in can be read back. `bytes` are those of its
 * events and snags as JSON.
 */
export const JOB_LIMITS = { events: 5000, snags: 500, pictures: 200, bytes: 8 * 1024 * 1024 } as const;
/** Largest number of pixels of a picture that is taken in. */
export const PHOTO_PIXELS = 50e6;
