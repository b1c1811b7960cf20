import type { SuspectView } from '@pondu/core';
import { SelectField } from '../../ui/Field.tsx';

export const suspectName = (s: SuspectView): string => `${s.part} ${s.how}`;

/** Which suspect a curve is drawn for, beside the one when well; nothing where there is none to choose. */
export function BesideField({
  suspects,
  faultId,
  onChange,
}: {
  suspects: readonly SuspectView[];
  faultId: string | undefined;
  onChange: (faultId: string) => void;
}) {
  if (suspects.length === 0) return null;
  return (
    <div className="min-w-60 grow">
      <SelectField
        label="Beside it, with"
        value={faultId ?? ''}
        options={suspects.map((s) => ({ value: s.faultId, label: suspectName(s) }))}
        onChange={onChange}
      />
    </div>
  );
}
