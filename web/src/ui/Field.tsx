import { useId, type InputHTMLAttributes, type ReactNode, type TextareaHTMLAttributes } from 'react';
import { Select, type Option, type OptionGroup } from './Select.tsx';

interface Shown {
  label: string;
  error?: string | undefined;
  hint?: ReactNode;
}

/** What is wrong stands by the field, and is read out with it. */
function Around({ id, label, error, hint, children }: Shown & { id: string; children: ReactNode }) {
  return (
    <div className="min-w-0">
      <label id={`${id}-label`} htmlFor={id} className="tag mb-1 block">
        {label}
      </label>
      {children}
      {error ? (
        <p id={`${id}-note`} role="alert" className="mt-1 text-[14px] font-medium text-danger">
          {error}
        </p>
      ) : hint ? (
        <p id={`${id}-note`} className="mt-1 text-[13px] text-soft">
          {hint}
        </p>
      ) : null}
    </div>
  );
}

export function TextField({
  label,
  error,
  hint,
  className = '',
  ...rest
}: Shown & InputHTMLAttributes<HTMLInputElement>) {
  const id = useId();
  return (
    <Around id={id} label={label} error={error} hint={hint}>
      <input
        id={id}
        className={`field ${className}`}
        aria-invalid={error ? true : undefined}
        aria-describedby={error || hint ? `${id}-note` : undefined}
        autoComplete="off"
        {...rest}
      />
    </Around>
  );
}

export function TextArea({ label, error, hint, ...rest }: Shown & TextareaHTMLAttributes<HTMLTextAreaElement>) {
  const id = useId();
  return (
    <Around id={id} label={label} error={error} hint={hint}>
      <textarea
        id={id}
        rows={3}
        className="field py-2"
        aria-invalid={error ? true : undefined}
        aria-describedby={error || hint ? `${id}-note` : undefined}
        {...rest}
      />
    </Around>
  );
}

export function SelectField({
  label,
  error,
  hint,
  value,
  onChange,
  options,
}: Shown & { value: string; onChange: (value: string) => void; options: readonly (Option | OptionGroup)[] }) {
  const id = useId();
  return (
    <Around id={id} label={label} error={error} hint={hint}>
      <Select
        id={id}
        labelledBy={`${id}-label`}
        value={value}
        onChange={onChange}
        options={options}
        invalid={Boolean(error)}
        describedBy={error || hint ? `${id}-note` : undefined}
      />
    </Around>
  );
}
