/** Every screen is kept in this browser once the first has been shown; only over https or on this machine. */
export function installable(): void {
  if (!('serviceWorker' in navigator) || import.meta.env.DEV) return;
  const register = () => void navigator.serviceWorker.register('/sw.js').catch(() => undefined);
  addEventListener('load', () => setTimeout(register, 0), { once: true });
  if (document.readyState === 'complete') register();
}

/** Whether this address can work without a signal at all. */
export const worksWithoutSignal = (): boolean => 'serviceWorker' in navigator;
