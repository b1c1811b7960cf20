import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useRef } from 'react';
import { useForm, type DefaultValues, type FieldValues, type UseFormReturn } from 'react-hook-form';
import { z } from 'zod';
import { useDraft } from '../draft/useDraft.ts';

/** A form read by a schema, whose fields survive a reload until it is saved. `clear` throws the draft away. */
export function useDraftForm<In extends FieldValues, Out extends FieldValues>(
  key: string,
  initial: In,
  schema: z.ZodType<Out, In>,
): [UseFormReturn<In, unknown, Out>, clear: () => void] {
  const [draft, setDraft, clearDraft] = useDraft(key, initial);
  const form = useForm<In, unknown, Out>({ defaultValues: draft as DefaultValues<In>, resolver: zodResolver(schema) });
  const keep = useRef(setDraft);
  useEffect(() => {
    keep.current = setDraft;
  });
  useEffect(
    () => form.subscribe({ formState: { values: true }, callback: ({ values }) => keep.current(values) }),
    [form],
  );
  const clear = () => {
    form.reset(initial as DefaultValues<In>);
    clearDraft();
  };
  return [form, clear];
}

/** A number as people type it, comma or point; empty counts as `empty` where that is given. */
export const typedNumber = (message: string, low: number, high: number, empty?: number) =>
  z.string().transform((text, context) => {
    const value = text.trim() === '' ? (empty ?? NaN) : Number(text.replace(',', '.'));
    if (value >= low && value <= high) return value;
    context.addIssue({ code: 'custom', message: text.trim() === '' ? message : `“${text}”: ${message}` });
    return z.NEVER;
  });
