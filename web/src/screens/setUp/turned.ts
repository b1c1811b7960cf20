/** So many degrees, whichever way. */
export const turned = (degrees: number): string => `${Math.abs(degrees).toFixed(1)}°`;
