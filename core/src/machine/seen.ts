/** Signs are missed far more often than seen where there are none. */
const IMAGINED = 0.003;
/** Chance that a person notices a sign: `keenness` when it is there, a little even when it is not. */
export const seen = (there: boolean, keenness: number): number => (there ? keenness : IMAGINED);
