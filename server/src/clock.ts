/** The server's clock. Tests move it ahead, for what must wait until tomorrow. */
let ahead = 0;
export const moveClock = (milliseconds: number): void => void (ahead = milliseconds);
export const now = (): number => Date.now() + ahead;
