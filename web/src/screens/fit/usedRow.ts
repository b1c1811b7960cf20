import { z } from 'zod';
import { typedNumber } from '../../ui/useDraftForm.ts';

/** What is asked of each used part: a figure as people type it, or one of a few words. */
export type Asked =
  | {
      readonly id: string;
      readonly label: string;
      readonly low: number;
      readonly high: number;
      readonly optional?: true;
    }
  | { readonly id: string; readonly label: string; readonly words: readonly string[] };

export type TypedRow = Record<string, string>;
export interface TypedUsed {
  rows: TypedRow[];
}
export type ReadRow = Record<string, string | number | undefined>;

const figure = (low: number, high: number) => typedNumber(`Between ${low} and ${high}.`, low, high);

/** Reads what was typed of all rows; what is left empty where it may be is not given. */
export const usedSchema = (asked: readonly Asked[]) =>
  z.object({
    rows: z.array(
      z.object({
        name: z.string().trim().min(1, 'Say which one it is.').max(60, 'Sixty letters at most.'),
        ...Object.fromEntries(
          asked.map((a) => [
            a.id,
            'words' in a
              ? z.enum(a.words as [string, ...string[]])
              : a.optional
                ? z.union([
                    z
                      .string()
                      .regex(/^\s*$/)
                      .transform(() => undefined),
                    figure(a.low, a.high),
                  ])
                : figure(a.low, a.high),
          ]),
        ),
      }),
    ),
  }) as unknown as z.ZodType<{ rows: ReadRow[] }, TypedUsed>;

export const emptyRow = (asked: readonly Asked[]): TypedRow => ({
  name: '',
  ...Object.fromEntries(asked.map((a) => [a.id, 'words' in a ? a.words[0]! : ''])),
});
