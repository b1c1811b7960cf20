/** Whether this server has been told to stop: what fails from then on fails for that, and is to be asked again. */
let told = false;
export const isStopping = (): boolean => told;
export function setStopping(to: boolean): void {
  told = to;
}
