import type { House, MachineBody, RepairView, SuspectView } from '@pondu/core';
import { fixSchema, type Fix } from '@pondu/core/schema';
import { Controller, useWatch, type Control } from 'react-hook-form';
import { toast } from 'sonner';
import { z } from 'zod';
import { useJobWrites } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import { useAdvice } from '../../tracer/useTracer.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { SelectField, TextArea, TextField } from '../../ui/Field.tsx';
import { typedNumber, useDraftForm } from '../../ui/useDraftForm.ts';
import { percent } from '../../words/belief.ts';
import { BenchCare } from './Cautions.tsx';
import type { JobPlace } from './place.ts';
import { repairNames } from '../../words/repairs.ts';

const HOW = [
  { value: 'replaced', label: 'Replaced' },
  { value: 'cleaned', label: 'Cleaned' },
  { value: 'adjusted', label: 'Adjusted' },
  { value: 'adapted', label: 'Adapted' },
  { value: 'bypassed', label: 'Bypassed' },
] as const satisfies readonly { value: Fix['how']; label: string }[];

const formSchema = fixSchema
  .omit({ id: true, at: true, by: true })
  .required()
  .extend({
    repairId: fixSchema.shape.repairId.unwrap(),
    parts: fixSchema.shape.parts.unwrap(),
    temporary: fixSchema.shape.temporary.unwrap(),
    wiring: fixSchema.shape.wiring.unwrap(),
    way: fixSchema.shape.way.unwrap(),
    partNumber: fixSchema.shape.partNumber.unwrap(),
    source: fixSchema.shape.source.unwrap(),
    meter: z
      .string()
      .trim()
      .regex(/^\d*([.,]\d+)?$/, 'A number, as it stands on the meter.'),
    minutes: typedNumber('a number.', 0, 10_000, 0),
    money: typedNumber('a number.', 0, 1e6, 0),
  });
type Typed = z.input<typeof formSchema>;
type Read = z.output<typeof formSchema>;

const EMPTY: Typed = {
  repairId: '',
  what: '',
  how: 'replaced',
  parts: '',
  partNumber: '',
  source: '',
  meter: '',
  minutes: '',
  money: '',
  temporary: false,
  wiring: '',
  way: '',
};

const howOf = (label: string): Fix['how'] =>
  /^(clean|dry)/i.test(label) ? 'cleaned' : /^(set|swap|charge)/i.test(label) ? 'adjusted' : 'replaced';
const filled = (r: RepairView): Typed => ({
  ...EMPTY,
  repairId: r.id,
  what: r.label,
  how: howOf(r.label),
  minutes: String(r.minutes),
  money: String(r.money),
});

/** What is no longer as it left the works is written down for the next person. */
const stays = (how: Fix['how']): boolean => how === 'adapted' || how === 'bypassed';

interface WayProps {
  machine: MachineBody;
  house: House;
  control: Control<Typed, unknown, Read>;
}
/** One of the ways that were worked out for a machine whose regulator is no longer made; nothing where it has none. */
function WayField({ machine, house, control }: WayProps) {
  const { data: advice } = useAdvice(machine, house);
  if (!advice?.ways.length) return null;
  const options = [
    { value: '', label: 'Otherwise, or not its regulator' },
    ...advice.ways.map(({ way }) => ({ value: way.id, label: way.label })),
  ];
  return (
    <Controller
      control={control}
      name="way"
      render={({ field }) => (
        <SelectField label="Regulator wired" value={field.value} options={options} onChange={field.onChange} />
      )}
    />
  );
}

interface Props {
  place: JobPlace;
  repairs: readonly RepairView[];
  suspects: readonly SuspectView[];
  /** The repair that is called for, filled in to begin with. */
  asked: string | undefined;
}

/** What is done about it, written down. */
export function FixForm({ place: { stored, machine, house }, repairs, suspects, asked }: Props) {
  const proposed = repairs.find((r) => r.id === asked);
  const [form, clear] = useDraftForm<Typed, Read>(
    `${stored.id}.fix.${asked ?? ''}`,
    proposed ? filled(proposed) : EMPTY,
    formSchema,
  );
  const { register, control } = form;
  const { errors } = form.formState;
  const [repairId, how] = useWatch({ control, name: ['repairId', 'how'] });
  const write = useJobWrites(stored);
  const leading = suspects.filter((s, i, all) => all.findIndex((x) => x.repair.id === s.repair.id) === i);
  const chosen = repairs.find((r) => r.id === repairId);
  const goesWith = chosen?.goesWith;

  async function save(read: Read) {
    try {
      const { partNumber, source, meter, wiring, way, ...rest } = read;
      const rewired = stays(read.how) ? { ...(wiring ? { wiring } : {}), ...(way ? { way } : {}) } : {};
      await write('POST', '/fixes', {
        ...rest,
        ...rewired,
        ...(partNumber ? { partNumber } : {}),
        ...(source ? { source } : {}),
        ...(meter ? { meter: Number(meter.replace(',', '.')) } : {}),
      });
      clear();
      form.reset(EMPTY);
      toast.success('Repair written down.');
    } catch (error) {
      toast.error(problemOf(error).message);
    }
  }
  function fill(id: string) {
    const repair = repairs.find((r) => r.id === id);
    form.reset(repair ? filled(repair) : { ...form.getValues(), repairId: '' });
  }
  const nameOf = repairNames(repairs);
  const options = [
    { value: '', label: 'Something else (say what below)' },
    ...leading.map((s) => ({ value: s.repair.id, label: `${nameOf(s.repair)} · ${percent(s.share)}` })),
    ...repairs
      .filter((r) => !leading.some((s) => s.repair.id === r.id))
      .map((r) => ({ value: r.id, label: nameOf(r) })),
  ];
  return (
    <form
      className="card grid content-start gap-3 p-4"
      aria-label="Repair"
      noValidate
      onSubmit={(e) => void form.handleSubmit(save)(e)}
    >
      <h2 className="text-xl">What is done about it</h2>
      <SelectField label="Repair" value={repairId} options={options} onChange={fill} />
      <BenchCare stored={stored} ids={chosen?.cautions ?? []} about={repairId} />
      <TextField label="In words" error={errors.what?.message} {...register('what')} />
      {goesWith && <p className="text-[15px]">Renew as a set with {goesWith}.</p>}
      <Controller
        control={control}
        name="how"
        render={({ field }) => <Choice label="How" value={field.value} options={HOW} onChange={field.onChange} />}
      />
      {stays(how) && (
        <>
          <TextArea
            label="How it is wired now"
            hint="From where to where, in which colour, fused how: it stands in the machine’s book."
            error={errors.wiring?.message}
            {...register('wiring')}
          />
          {how === 'adapted' && <WayField machine={machine} house={house} control={control} />}
        </>
      )}
      <TextField label="Parts" {...register('parts')} />
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        <TextField label="Number on it" error={errors.partNumber?.message} {...register('partNumber')} />
        <TextField label="From" error={errors.source?.message} {...register('source')} />
        <TextField label="Meter stands at" inputMode="decimal" error={errors.meter?.message} {...register('meter')} />
      </div>
      <div className="grid grid-cols-2 gap-3">
        <TextField label="Minutes" inputMode="decimal" error={errors.minutes?.message} {...register('minutes')} />
        <TextField
          label={`Parts, ${house.currency}`}
          inputMode="decimal"
          error={errors.money?.message}
          {...register('money')}
        />
      </div>
      <label className="flex min-h-12 items-center gap-3">
        <input type="checkbox" className="size-6" {...register('temporary')} />
        Temporary: it gets it home
      </label>
      <Button look="do" type="submit">
        Write down the repair
      </Button>
    </form>
  );
}
