import { Check, ChevronDown } from 'lucide-react';
import { Select as Radix } from 'radix-ui';

export interface Option {
  readonly value: string;
  readonly label: string;
}
/** Options under a heading of their own. */
export interface OptionGroup {
  readonly label: string;
  readonly options: readonly Option[];
}

interface Props {
  id: string;
  labelledBy: string;
  value: string;
  onChange: (value: string) => void;
  options: readonly (Option | OptionGroup)[];
  invalid?: boolean;
  describedBy?: string | undefined;
  className?: string;
}

/** The list takes no empty value, and "nothing" is one of ours. */
const keyOf = (value: string): string => `=${value}`;

function Item({ value, label }: Option) {
  return (
    <Radix.Item
      value={keyOf(value)}
      data-value={value}
      className="flex min-h-12 cursor-pointer items-center gap-2 rounded px-3 py-1 text-[16px] outline-none data-highlighted:bg-sunk data-highlighted:outline-2 data-highlighted:-outline-offset-2 data-highlighted:outline-do"
    >
      <span className="w-5 shrink-0">
        <Radix.ItemIndicator>
          <Check aria-hidden className="size-5" />
        </Radix.ItemIndicator>
      </span>
      <Radix.ItemText>{label}</Radix.ItemText>
    </Radix.Item>
  );
}

/** One of several, picked from a list that opens. */
export function Select({ id, labelledBy, value, onChange, options, invalid, describedBy, className = '' }: Props) {
  return (
    <Radix.Root value={keyOf(value)} onValueChange={(key) => onChange(key.slice(1))}>
      <Radix.Trigger
        id={id}
        aria-labelledby={labelledBy}
        aria-invalid={invalid ? true : undefined}
        aria-describedby={describedBy}
        value={value}
        className={`field flex min-w-0 items-center justify-between gap-2 text-left ${className}`}
      >
        <span className="min-w-0 truncate">
          <Radix.Value placeholder="Choose" />
        </span>
        <ChevronDown aria-hidden className="size-5 shrink-0 text-soft" />
      </Radix.Trigger>
      <Radix.Portal>
        <Radix.Content
          position="popper"
          sideOffset={4}
          className="card z-50 max-h-(--radix-select-content-available-height) min-w-(--radix-select-trigger-width) max-w-[calc(100vw-1rem)] overflow-hidden p-1 shadow-lg"
        >
          <Radix.Viewport>
            {options.map((o) =>
              'options' in o ? (
                <Radix.Group key={`group ${o.label}`}>
                  <Radix.Label className="tag px-3 pt-2 pb-1">{o.label}</Radix.Label>
                  {o.options.map((own) => (
                    <Item key={own.value} {...own} />
                  ))}
                </Radix.Group>
              ) : (
                <Item key={o.value} {...o} />
              ),
            )}
          </Radix.Viewport>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
