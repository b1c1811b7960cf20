import { plugHeat, type HeatSays } from '@pondu/core';
import { TIPS, type Tip } from '@pondu/core/schema';
import type { StoredJob } from '../../api/types.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { SelectField } from '../../ui/Field.tsx';
import { Answer, Part } from './figure.tsx';
import { useSheet } from './useSheet.ts';

const WORDS: Readonly<Record<Tip, string>> = {
  blistered: 'White and blistered',
  white: 'White',
  brown: 'Light brown or grey',
  'dry soot': 'Black, dry soot',
  wet: 'Wet',
};
const LOOKS = TIPS.map((value) => ({ value, label: WORDS[value] }));
const SEEN_TO = [
  { value: 'no', label: 'Not yet' },
  { value: 'yes', label: 'Checked and right' },
] as const;
const UNSEEN = '';

/** The heat range of the plugs by their colour, cylinder by cylinder. */
export function TipsPart({ stored, cylinders }: { stored: StoredJob; cylinders: number }) {
  const { sheet, put, save, changed } = useSheet(stored, 'tips', { kind: 'tips', tips: [], ruledOut: false });
  const says = plugHeat(sheet.tips, sheet.ruledOut);
  const whole = sheet.tips.length === cylinders;
  return (
    <Part
      title="Heat range by colour"
      about="Warm engine, a minute under load, then ignition off and clutch in at once: the tip of each plug as it comes out."
    >
      <div className="grid grid-cols-2 items-start gap-2 sm:grid-cols-4">
        {Array.from({ length: cylinders }, (_, k) =>
          // One after the other: what nobody has looked at yet is not taken for right.
          k <= sheet.tips.length ? (
            <SelectField
              key={k}
              label={cylinders === 1 ? 'Plug' : `Plug ${k + 1}`}
              value={sheet.tips[k] ?? UNSEEN}
              options={[...(sheet.tips[k] ? [] : [{ value: UNSEEN, label: 'Not looked at' }]), ...LOOKS]}
              onChange={(tip) => {
                const tips = [...sheet.tips];
                tips[k] = tip as Tip;
                put({ tips });
              }}
            />
          ) : null,
        )}
      </div>
      <Choice
        label="Mixture and timing"
        value={sheet.ruledOut ? 'yes' : 'no'}
        options={SEEN_TO}
        onChange={(value) => put({ ruledOut: value === 'yes' })}
      />
      <Answer>{whole && says ? wordsOf(says) : ''}</Answer>
      <Button className="justify-self-start" disabled={!changed || !whole} onClick={() => void save()}>
        Write it down
      </Button>
    </Part>
  );
}

function wordsOf(says: HeatSays): string {
  switch (says.kind) {
    case 'right':
      return 'The right heat: leave it.';
    case 'colder':
      return says.steps === 2
        ? 'Much too hot: plugs two steps colder, and do not drive it before.'
        : 'Plugs one step colder, then look again.';
    case 'hotter':
      return 'Plugs one step hotter, then look again.';
    case 'first':
      return `First see to ${says.look}: they do the same to a plug of the right heat.`;
    case 'own':
      return `Cylinder ${says.cylinders.join(', ')} by itself: another heat range would hide what is wrong there. Trace it.`;
  }
}
