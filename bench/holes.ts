import { holesOf, Tracer, unsaidOf, type Complaint, type House, type MachineBody } from '@pondu/core';

/** Places that each check is read at, from far below its sound band to far above. */
const PLACES = 13;
const SYMPTOMS = ['no-fire', 'misses', 'no-charge', 'crank-nothing', 'stalls', 'idle-wrong', 'no-pull'] as const;
const of = (symptom: Complaint['symptom']): Complaint => ({
  symptom,
  pattern: 'constant',
  words: '',
  since: '',
  before: '',
});

/** Readings that nothing explains, machine by machine, under the complaint that says least by itself. */
export function holeFigures(house: House, machines: Readonly<Record<string, MachineBody>>): object {
  return Object.fromEntries(
    Object.entries(machines).map(([name, body]) => {
      const tracer = new Tracer(body, house);
      const outside = (symptom: Complaint['symptom']) => tracer.belief(of(symptom), []).outside;
      const symptom = [...SYMPTOMS].sort((a, b) => outside(a) - outside(b))[0]!;
      return [name, { ...holesOf(tracer, of(symptom), PLACES), unsaid: unsaidOf(tracer) }];
    }),
  );
}
