import { useSyncExternalStore } from 'react';

const subscribe = (changed: () => void) => {
  addEventListener('online', changed);
  addEventListener('offline', changed);
  return () => {
    removeEventListener('online', changed);
    removeEventListener('offline', changed);
  };
};

export function Offline() {
  const online = useSyncExternalStore(subscribe, () => navigator.onLine);
  if (online) return null;
  return (
    <p role="status" className="no-print bg-warn-wash px-4 py-2 text-[15px] text-warn">
      No connection to the workshop. What you type is kept here and can be saved when it is back.
    </p>
  );
}
