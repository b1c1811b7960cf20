import { act, renderHook } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { typedNumber } from '../ui/useDraftForm.ts';
import { useDraft } from './useDraft.ts';

beforeEach(() => localStorage.clear());

describe('a draft', () => {
  it('is there again after the page was left', () => {
    const first = renderHook(() => useDraft('a', ''));
    act(() => first.result.current[1]('12.4'));
    first.unmount();
    expect(renderHook(() => useDraft('a', '')).result.current[0]).toBe('12.4');
  });
  it('belongs to its key', () => {
    const { result, rerender } = renderHook(({ key }) => useDraft(key, ''), { initialProps: { key: 'a' } });
    act(() => result.current[1]('12.4'));
    rerender({ key: 'b' });
    expect(result.current[0]).toBe('');
    rerender({ key: 'a' });
    expect(result.current[0]).toBe('12.4');
  });
  it('is gone once cleared', () => {
    const { result } = renderHook(() => useDraft('a', 'empty'));
    act(() => result.current[1]('x'));
    act(() => result.current[2]());
    expect(result.current[0]).toBe('empty');
    expect(localStorage.length).toBe(0);
  });
  it('survives a store that holds nonsense', () => {
    localStorage.setItem('pondu.draft.a', '{half');
    expect(renderHook(() => useDraft('a', 'empty')).result.current[0]).toBe('empty');
  });
});

describe('a typed number', () => {
  const schema = typedNumber('a number from 3 to 14.', 3, 14);
  it('takes a comma or a point', () => {
    expect(schema.parse('8,5')).toBe(8.5);
    expect(schema.parse(' 8.5 ')).toBe(8.5);
  });
  it.each(['', 'eight', '2', '15', 'Infinity'])('refuses %j', (text) => {
    expect(schema.safeParse(text).success).toBe(false);
  });
  it('may count empty as something', () => {
    expect(typedNumber('', 0, 10, 0).parse('')).toBe(0);
  });
});
