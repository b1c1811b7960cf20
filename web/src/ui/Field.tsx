import { useId, type InputHTMLAttributes, type ReactNode, type TextareaHTMLAttributes } from 'react';

interface Shown {
  label: string;
  error?: string | undefined;
  hint?: ReactNode;
}

/** What is wrong stands by the field, and is read out with it. */
function Around({ id, label, error, hint, children }: Shown & { id: string; children: ReactNode }) {
  return (
    <div>
      <label htmlFor={id} className="tag mb-1 block">
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
}: Shown & { value: string; onChange: (value: string) => void; options: readonly { value: string; label: string }[] }) {
  const id = useId();
  return (
    <Around id={id} label={label} error={error} hint={hint}>
      <select id={id} className="field" value={value} onChange={(e) => onChange(e.target.value)}>
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.label}
          </option>
        ))}
      </select>
    </Around>
  );
}
