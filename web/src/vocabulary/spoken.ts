import { speech } from './speech.ts';

/** What is read out or shown besides an element's text. */
const READ = ['aria-label', 'title', 'placeholder', 'alt'] as const;

type Props = Readonly<Record<string, unknown>>;

const saidAll = (children: unknown): unknown =>
  typeof children === 'string'
    ? speech.say(children)
    : Array.isArray(children)
      ? children.map((c: unknown) => (typeof c === 'string' ? speech.say(c) : c))
      : children;

/**
 * An element's properties in the words of this shop. Every text that is drawn passes here (see `jsx-runtime.ts`), so that
 * none has to be marked; what somebody wrote himself is marked with `translate="no"` and stays as it was written.
 */
export function spoken(props: Props): Props {
  if (props['translate'] === 'no') return props;
  const children = saidAll(props['children']);
  const changed: Record<string, unknown> = {};
  if (children !== props['children'] && !same(children, props['children'])) changed['children'] = children;
  for (const name of READ) {
    const text = props[name];
    if (typeof text !== 'string') continue;
    const said = speech.say(text);
    if (said !== text) changed[name] = said;
  }
  return Object.keys(changed).length === 0 ? props : { ...props, ...changed };
}

const same = (one: unknown, other: unknown): boolean =>
  Array.isArray(one) && Array.isArray(other) && one.every((c, k) => c === other[k]);
