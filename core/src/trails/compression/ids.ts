/** Ids of the parts that this trail asks for by name; of those that each cylinder has, `numbered` builds them. */
export const BORES = 'compression-bores';
export const GASKET = 'compression-gasket';
export const CRANKCASE = 'compression-crankcase';
export const REEDS = 'compression-reeds';
export const PORT = 'compression-port';
export const CHAMBERS = 'compression-chambers';
/** Where the valves stand on the trail. */
export const VALVES = 'compression-valves';
