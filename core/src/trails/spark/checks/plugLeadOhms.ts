import { idOf } from '../../../machine/numbered.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';

/** One for each cylinder. */
export const plugLeadOhms: CheckMaker = (machine) =>
  Array.from({ length: machine.fit.cylinders }, (_, i) => ({
    id: `lead-${i + 1}-ohms`,
    beside: { what: 'Plug leads', n: i + 1 },
    station: 'plug-leads',
    label: `Plug lead ${i + 1} resistance`,
    set: 'Lead off at both ends.',
    touch: 'Probes on its two ends.',
    watch: 'Compare with the others of about the same length.',
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red: `lead-${i + 1}:a`, black: `lead-${i + 1}:b`, bench: idOf('lead', i + 1) },
    state: KEY_OFF,
    minutes: 1,
    opens: [],
    cautions: [],
  }));
