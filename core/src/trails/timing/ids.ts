/** Ids of the parts that this trail asks for by name. */
export const BODY = 'timing-body';
export const MARK = 'timing-mark';
export const CHAIN = 'timing-chain';
export const WEIGHTS = 'timing-weights';
export const POD = 'timing-pod';
export const BOX = 'timing-map';
