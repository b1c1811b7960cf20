/** Ids of the parts that this trail asks for by name. */
export const FILTER = 'air-filter';
export const GASKET = 'air-gasket';
export const HOSE = 'air-hose';
export const STOP = 'air-stop';
export const SCREW = 'air-screw';
export const EXHAUST = 'air-exhaust';
export const BREATHER = 'air-breather';
export const PURGE = 'air-purge';
export const SERVO = 'air-servo';
export const BALANCE = 'air-balance';
export const GOVERNOR = 'air-governor';
