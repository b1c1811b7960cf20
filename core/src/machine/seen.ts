/** Chance that a person notices a sign: `keenness` when it is there, a little even when it is not. */
export const seen = (there: boolean, keenness: number): number => (there ? keenness : 0.015);
