import { cleanup, render, screen } from '@testing-library/react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { WentWrong } from './WentWrong.tsx';

let reloads: number;
beforeEach(() => {
  reloads = 0;
  sessionStorage.clear();
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
  vi.stubGlobal('location', { ...location, reload: () => reloads++ });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});
const open = (error: Error) =>
  render(
    <RouterProvider
      router={createMemoryRouter([
        { path: '/', errorElement: <WentWrong />, lazy: () => Promise.reject(error), HydrateFallback: () => null },
      ])}
    />,
  );
const missing = new TypeError('Failed to fetch dynamically imported module: http://shop/assets/JobPage-1a2b.js');
const answering = (status: number | undefined) =>
  vi.stubGlobal('fetch', () =>
    status ? Promise.resolve(new Response('{}', { status })) : Promise.reject(new Error()),
  );

describe('a screen whose file is gone', () => {
  it('is an upgrade: the page is loaded anew once, then it is said', async () => {
    answering(200);
    const first = open(missing);
    await vi.waitFor(() => expect(reloads).toBe(1));
    first.unmount();
    open(missing);
    expect(await screen.findByText('Pondu is newer than this page')).toBeTruthy();
    await vi.waitFor(() => expect(screen.getByText(/Everything typed is kept/)).toBeTruthy());
    expect(reloads).toBe(1);
  });
  it('without a signal is not: nothing is loaded anew, for nothing would come', async () => {
    answering(undefined);
    open(missing);
    expect(await screen.findByText('This screen has not been fetched yet')).toBeTruthy();
    expect(reloads).toBe(0);
  });
  it('is told from an address where nothing is', async () => {
    answering(200);
    open(new Error('no such job'));
    expect(await screen.findByText('There is nothing at this address')).toBeTruthy();
    expect(reloads).toBe(0);
  });
});
