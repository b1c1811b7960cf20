import { machineBodySchema } from '@pondu/core/schema';
import { z } from 'zod';
import { typedNumber } from '../../ui/useDraftForm.ts';
import { formFit } from './formFit.ts';

/** The machine's own schema, with its numbers as typed and its choices as the buttons give them. */
export const formSchema = machineBodySchema.omit({ plates: true, worth: true, fitOut: true }).extend({
  year: z.string(),
  maker: z.string(),
  notes: z.string(),
  firingOrder: z.string().regex(/^(\d+([-, ]\d+)*)?$/, 'Write the firing order as numbers, such as 1-3-4-2.'),
  worth: typedNumber('a number from 0 up.', 0, 1e7),
  fitOut: formFit,
});
export type TypedMachine = z.input<typeof formSchema>;
export type ReadMachine = z.output<typeof formSchema>;
