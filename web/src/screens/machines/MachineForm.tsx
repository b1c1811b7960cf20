import type { FitOut, MachineBody } from '@pondu/core';
import { useState } from 'react';
import { call } from '../../api/client.ts';
import { problemOf } from '../../api/problem.ts';
import type { StoredMachine } from '../../api/types.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { SelectField, TextArea, TextField } from '../../ui/Field.tsx';
import { BALLAST, CYLINDERS, EARTH, KINDS, VOLTS, YES_NO } from './fitOutWords.ts';

interface Draft extends Omit<MachineBody, 'worth' | 'fitOut' | 'plates'> {
  worth: string;
  fitOut: Omit<FitOut, 'compressionRatio'> & { compressionRatio: string };
}

const EMPTY: Draft = {
  name: '',
  kind: 'car',
  maker: '',
  year: '',
  worth: '2000',
  firingOrder: '',
  notes: '',
  fitOut: {
    layout: 'battery-points',
    volts: 12,
    earth: 'negative',
    cylinders: 4,
    ballast: 'none',
    fused: true,
    marine: false,
    compressionRatio: '8',
  },
};
const draftOf = ({ machine }: StoredMachine): Draft => {
  const { plates: _plates, ...rest } = machine;
  return {
    ...rest,
    worth: String(machine.worth),
    fitOut: { ...machine.fitOut, compressionRatio: String(machine.fitOut.compressionRatio) },
  };
};

/** A machine by what one sees: the layout and its typical figures follow from it. */
export function MachineForm({
  stored,
  draftKey,
  onSaved,
  onCancel,
}: {
  stored?: StoredMachine;
  draftKey: string;
  onSaved: (machine: StoredMachine) => void;
  onCancel?: () => void;
}) {
  const [draft, setDraft, clear] = useDraft<Draft>(draftKey, stored ? draftOf(stored) : EMPTY);
  const [errors, setErrors] = useState<Record<string, string>>({});
  const set = (part: Partial<Draft>) => setDraft({ ...draft, ...part });
  const fit = (part: Partial<Draft['fitOut']>) => set({ fitOut: { ...draft.fitOut, ...part } });

  async function save() {
    const number = (text: string) => Number(text.replace(',', '.'));
    const body = {
      ...draft,
      worth: number(draft.worth),
      fitOut: { ...draft.fitOut, compressionRatio: number(draft.fitOut.compressionRatio) },
      plates: stored?.machine.plates ?? {},
    };
    const wrong: Record<string, string> = {};
    if (!draft.name.trim()) wrong['name'] = 'Give the machine a name.';
    if (!(body.worth >= 0)) wrong['worth'] = `“${draft.worth}” is not a number.`;
    if (!(body.fitOut.compressionRatio >= 3 && body.fitOut.compressionRatio <= 14))
      wrong['fitOut.compressionRatio'] = 'A number from 3 to 14, such as 8.5.';
    setErrors(wrong);
    if (Object.keys(wrong).length) return;
    try {
      const saved = stored
        ? await call<StoredMachine>('PUT', `/machines/${stored.id}`, body, stored.version)
        : await call<StoredMachine>('POST', '/machines', body);
      clear();
      onSaved(saved);
    } catch (error) {
      const refusal = problemOf(error);
      setErrors({ ...Object.fromEntries(refusal.fields.map((f) => [f.field, f.message])), all: refusal.message });
    }
  }
  return (
    <form
      className="grid gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        void save();
      }}
    >
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField
          label="Name"
          value={draft.name}
          error={errors['name']}
          onChange={(e) => set({ name: e.target.value })}
        />
        <SelectField
          label="Kind"
          value={draft.kind}
          options={KINDS}
          onChange={(kind) => set({ kind: kind as MachineBody['kind'] })}
        />
        <TextField label="Maker" value={draft.maker} onChange={(e) => set({ maker: e.target.value })} />
        <TextField label="Year" value={draft.year} onChange={(e) => set({ year: e.target.value })} />
      </div>
      <div className="grid gap-4 sm:grid-cols-2">
        <Choice
          label="Battery"
          value={String(draft.fitOut.volts) as '6' | '12'}
          options={VOLTS}
          onChange={(v) => fit({ volts: Number(v) as FitOut['volts'] })}
        />
        <Choice
          label="Which post goes to the chassis"
          value={draft.fitOut.earth}
          options={EARTH}
          onChange={(earth) => fit({ earth })}
        />
        <Choice
          label="Cylinders"
          value={String(draft.fitOut.cylinders) as '4' | '6' | '8'}
          options={CYLINDERS}
          onChange={(v) => fit({ cylinders: Number(v) as FitOut['cylinders'] })}
        />
        <Choice
          label="What feeds the coil"
          value={draft.fitOut.ballast}
          options={BALLAST}
          onChange={(ballast) => fit({ ballast })}
        />
        <Choice
          label="Is the ignition fused?"
          value={String(draft.fitOut.fused) as 'true' | 'false'}
          options={YES_NO}
          onChange={(v) => fit({ fused: v === 'true' })}
        />
        <Choice
          label="In a boat?"
          value={String(draft.fitOut.marine) as 'true' | 'false'}
          options={YES_NO}
          onChange={(v) => fit({ marine: v === 'true' })}
        />
      </div>
      <div className="grid gap-4 sm:grid-cols-3">
        <TextField
          label="Compression ratio"
          inputMode="decimal"
          value={draft.fitOut.compressionRatio}
          error={errors['fitOut.compressionRatio']}
          onChange={(e) => fit({ compressionRatio: e.target.value })}
        />
        <TextField
          label="Firing order"
          placeholder="1-3-4-2"
          value={draft.firingOrder}
          error={errors['firingOrder']}
          onChange={(e) => set({ firingOrder: e.target.value })}
        />
        <TextField
          label="Worth"
          inputMode="decimal"
          value={draft.worth}
          error={errors['worth']}
          onChange={(e) => set({ worth: e.target.value })}
        />
      </div>
      <TextArea
        label="Notes for the next person"
        value={draft.notes}
        onChange={(e) => set({ notes: e.target.value })}
      />
      {errors['all'] && (
        <p role="alert" className="font-medium text-danger">
          {errors['all']}
        </p>
      )}
      <div className="flex gap-3">
        <Button look="do" type="submit">
          Save the machine
        </Button>
        {onCancel && <Button onClick={onCancel}>Back</Button>}
      </div>
    </form>
  );
}
