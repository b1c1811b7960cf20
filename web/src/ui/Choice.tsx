import { RadioGroup } from 'radix-ui';
import { useId, type ReactNode } from 'react';

export interface Option<V extends string> {
  value: V;
  label: string;
  help?: string;
  icon?: ReactNode;
}

/** One of a few, as buttons in a row; arrow keys move between them. */
export function Choice<V extends string>({
  label,
  value,
  options,
  onChange,
  hideLabel = false,
  columns = '',
}: {
  label: string;
  value: V | '';
  options: readonly Option<V>[];
  onChange: (value: V) => void;
  hideLabel?: boolean;
  columns?: string;
}) {
  const id = useId();
  return (
    <div>
      <div id={id} className={hideLabel ? 'sr-only' : 'tag mb-1'}>
        {label}
      </div>
      <RadioGroup.Root
        aria-labelledby={id}
        value={value}
        onValueChange={(v) => onChange(v as V)}
        className={columns ? `grid gap-2 ${columns}` : 'flex flex-wrap gap-2'}
      >
        {options.map((o) => (
          <RadioGroup.Item
            key={o.value}
            value={o.value}
            className="min-h-12 rounded-lg border-[1.5px] border-soft bg-panel px-3 py-1.5 text-left text-[15px] hover:bg-sunk data-[state=checked]:border-ink data-[state=checked]:bg-ink data-[state=checked]:text-panel"
          >
            {o.icon ? (
              <span className="flex items-center gap-2.5">
                {o.icon}
                <Words option={o} />
              </span>
            ) : (
              <Words option={o} />
            )}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
    </div>
  );
}

function Words({ option }: { option: { label: string; help?: string } }) {
  return (
    <span>
      <span className="block font-medium">{option.label}</span>
      {option.help && <span className="block text-[13px] opacity-90">{option.help}</span>}
    </span>
  );
}
