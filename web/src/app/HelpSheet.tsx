import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { Button } from '../ui/Button.tsx';

const KEYS: readonly [string, string][] = [
  ['?', 'Show or hide this sheet'],
  ['B', 'Go to the bays'],
  ['M', 'Go to the machines'],
  ['P', 'Go to the practice bench'],
  ['N', 'Open a new job'],
  ['R', 'Type the reading'],
  ['Enter', 'Save the reading (in its box)'],
  ['1 2 3', 'Take the next check, or one of the two alternatives'],
  ['C', 'Choose any check'],
  ['L', 'Open or close the log'],
  ['← →', 'Walk along the trail, or between answers'],
  ['T', 'Light or dim'],
];

export function HelpSheet({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-20 bg-black/50" />
        <Dialog.Content
          className="card fixed inset-x-3 top-[8vh] z-30 mx-auto max-h-[84vh] max-w-md overflow-auto p-5"
          aria-describedby={undefined}
        >
          <div className="flex items-center justify-between">
            <Dialog.Title className="text-lg">Keys</Dialog.Title>
            <Dialog.Close asChild>
              <Button look="quiet" aria-label="Close">
                <X aria-hidden className="size-5" />
              </Button>
            </Dialog.Close>
          </div>
          <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
            {KEYS.map(([key, what]) => (
              <div key={key} className="contents">
                <dt>
                  <kbd className="rounded border border-soft bg-sunk px-1.5 py-0.5 text-[14px] font-semibold">
                    {key}
                  </kbd>
                </dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
