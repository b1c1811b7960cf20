import type { ElementType } from 'react';
import { Fragment, jsxDEV as element } from 'react/jsx-dev-runtime';
import { spoken } from './spoken.ts';

type Rest = [isStatic: boolean, source?: object, self?: unknown];

/** The same while developing and under test. */
export const jsxDEV = (
  type: ElementType,
  props: Readonly<Record<string, unknown>>,
  key: React.Key | undefined,
  ...rest: Rest
) => (element as (...all: unknown[]) => React.ReactElement)(type, spoken(props), key, ...rest);
export { Fragment };
export type { JSX } from 'react/jsx-runtime';
