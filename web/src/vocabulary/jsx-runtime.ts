import type { ElementType } from 'react';
import { Fragment, jsx as element, jsxs as elements } from 'react/jsx-runtime';
import { spoken } from './spoken.ts';

/** React's own way of making an element, with its texts in the words of this shop: the compiler is told to use this one. */
export const jsx = (type: ElementType, props: Readonly<Record<string, unknown>>, key?: React.Key) =>
  element(type, spoken(props), key);
export const jsxs = (type: ElementType, props: Readonly<Record<string, unknown>>, key?: React.Key) =>
  elements(type, spoken(props), key);
export { Fragment };
export type { JSX } from 'react/jsx-runtime';
