import { freeProbeId, type FreeProbe, type RecentWork } from '@pondu/core';
import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { CardStations } from './CardStations.tsx';
import { probeIn, probeOf } from './probeParam.ts';
import { TrailMap } from '../../trailMap/TrailMap.tsx';
import { ProbePanel } from './ProbePanel.tsx';
import { ProbePicker } from './ProbePicker.tsx';
import { useProbing } from './useProbing.ts';
import { RecentWorkFields } from './RecentWorkFields.tsx';
import { pickFrom } from '../../__tests__/pickFrom.ts';

beforeEach(() => localStorage.clear());
// This DOM lays nothing out, so it has nothing to scroll.
beforeEach(() => void (Element.prototype.scrollIntoView = () => undefined));
afterEach(cleanup);

const stations = [
  { id: 'coil', label: 'Coil', picture: 'coil' },
  { id: 'points', label: 'Points', picture: 'points' },
  { id: 'plug-leads', label: 'Plug leads', picture: 'lead' },
];
const probing = {
  places: [
    { id: 'coil+', label: 'coil +', station: 'coil' },
    { id: 'points', label: 'the terminal at the points', station: 'points' },
  ],
  wires: [{ id: 'coil-feed', label: 'Wire to the coil', station: 'coil' }],
  parts: [{ id: 'condenser', label: 'Condenser' }],
  states: ['key off', 'key on', 'cranking'] as const,
  light: false,
};

describe('leads anywhere', () => {
  function Placed({ onProbe, station }: { onProbe: (p: FreeProbe) => void; station: string | undefined }) {
    const use = useProbing('j');
    return (
      <>
        <TrailMap stations={stations} states={[]} selected={undefined} onSelect={use.tap} />
        {use.lead && <ProbePicker probing={use} stations={stations} places={probing} />}
        <ProbePanel use={use} probing={probing} stations={stations} station={station} onProbe={onProbe} />
      </>
    );
  }
  const panel = (onProbe = vi.fn(), station?: string) => {
    render(<Placed onProbe={onProbe} station={station} />);
    return onProbe;
  };
  it('are placed by tapping stations on the map, the other lead after the live one', async () => {
    const onProbe = panel();
    await userEvent.click(screen.getByLabelText('Live lead on: pick it on the map'));
    expect(screen.getByRole('status').textContent).toBe('The live lead: tap its station on the map.');
    await userEvent.click(screen.getByRole('button', { name: /^Plug leads/ }));
    expect(screen.getByRole('status').textContent).toBe('Nothing to be touched at Plug leads: tap another station.');
    await userEvent.click(screen.getByRole('button', { name: /^Coil/ }));
    await userEvent.click(screen.getByRole('button', { name: 'coil +' }));
    expect(screen.getByRole('status').textContent).toBe('The other lead: tap its station on the map.');
    await userEvent.click(screen.getByRole('button', { name: /^Points/ }));
    await userEvent.click(screen.getByRole('button', { name: 'the terminal at the points' }));
    expect(screen.queryByRole('group', { name: 'Placing a lead' })).toBeNull();
    await go();
    expect(onProbe.mock.calls[0]![0]).toMatchObject({ live: 'coil+', earth: 'points' });
  });
  it('are left where they are with Escape', async () => {
    panel();
    await userEvent.click(screen.getByLabelText('Other lead on: pick it on the map'));
    await userEvent.keyboard('{Escape}');
    expect(screen.queryByRole('status')).toBeNull();
  });
  const go = () => userEvent.click(screen.getByText('Show what it should read'));

  it('says what is missing, one thing at a time, and sends nothing', async () => {
    const onProbe = panel();
    await go();
    expect(screen.getByRole('alert', { hidden: true }).textContent).toBe('Pick where the live lead goes.');
    await pickFrom('Live lead on', 'coil+');
    await go();
    expect(screen.getByRole('alert', { hidden: true }).textContent).toBe('Pick where the other lead goes.');
    await pickFrom('Other lead on', 'coil+');
    await go();
    expect(screen.getByRole('alert', { hidden: true }).textContent).toMatch(/same place/);
    expect(onProbe).not.toHaveBeenCalled();
  });
  it('gives places, state and what is unplugged', async () => {
    const onProbe = panel();
    await pickFrom('While', 'cranking');
    await pickFrom('Live lead on', 'coil+');
    await pickFrom('Other lead on', 'points');
    await pickFrom('Unplug meanwhile', 'condenser');
    await go();
    expect(onProbe).toHaveBeenCalledWith({
      instrument: 'voltmeter',
      live: 'coil+',
      earth: 'points',
      state: 'cranking',
      unplugged: ['condenser'],
    });
  });
  it('a clamp goes around a wire and has no other lead', async () => {
    const onProbe = panel();
    await pickFrom('With', 'clamp meter');
    expect(screen.queryByLabelText('Other lead on')).toBeNull();
    await pickFrom('Around the wire of', 'coil-feed');
    await go();
    expect(onProbe).toHaveBeenCalledWith(expect.objectContaining({ live: 'coil-feed', earth: '' }));
  });
  it('an ohmmeter is offered with the key off only', async () => {
    panel();
    await pickFrom('With', 'ohmmeter');
    await userEvent.click(screen.getByRole('combobox', { name: 'While' }));
    expect(screen.getAllByRole('option').map((o) => o.dataset['value'])).toEqual(['key off']);
  });
  it('places of the station picked on the map come first', async () => {
    panel(vi.fn(), 'points');
    await userEvent.click(screen.getByRole('combobox', { name: 'Live lead on' }));
    expect(within(screen.getAllByRole('group')[0]!).getByText('Points')).toBeTruthy();
  });
});

describe('a probe in the address', () => {
  const probe: FreeProbe = { instrument: 'voltmeter', live: 'coil+', earth: '0', state: 'key on', unplugged: [] };
  it('is read again, and nonsense there is nothing', () => {
    expect(probeIn(new URLSearchParams({ probe: JSON.stringify(probe) }))).toEqual(probe);
    for (const bad of ['', '{', '{"instrument":"hammer"}', 'null'])
      expect(probeIn(new URLSearchParams({ probe: bad })), bad).toBeUndefined();
  });
  it('belongs to its own check only; an earlier reading knows where its leads were', () => {
    const params = new URLSearchParams({ probe: JSON.stringify(probe) });
    expect(probeOf(freeProbeId(probe), params, [])).toEqual(probe);
    expect(probeOf('battery-rest', params, [])).toBeUndefined();
    const event = {
      type: 'reading',
      reading: {
        id: 'r',
        checkId: freeProbeId(probe),
        probe,
        value: { kind: 'number', value: 12 },
        typed: '12',
        note: '',
        at: '2026-01-01T00:00:00Z',
        warmth: 'unknown',
        faultPresent: 'yes',
      },
    } as const;
    expect(probeOf(freeProbeId(probe), new URLSearchParams(), [event])).toEqual(probe);
  });
});

describe('what was done just before', () => {
  function Fields({ text }: { text: string }) {
    const [value, setValue] = useState<readonly RecentWork[]>([]);
    return (
      <>
        <RecentWorkFields stations={stations} text={text} value={value} onChange={setValue} />
        <output>{JSON.stringify(value)}</output>
      </>
    );
  }
  const value = () => JSON.parse(document.querySelector('output')!.textContent) as RecentWork[];

  it('offers what was written, and takes it with one press', async () => {
    render(<Fields text="new points" />);
    await userEvent.click(screen.getByRole('button', { name: 'You wrote “points”: add it' }));
    expect(value()).toEqual([{ station: 'points', what: 'new', ago: 'just before' }]);
    expect(screen.queryByRole('button', { name: /You wrote/ })).toBeNull();
  });
  it('is picked, changed and taken out again by its fields', async () => {
    render(<Fields text="" />);
    await pickFrom('Worked on', 'coil');
    await pickFrom('Coil: what', 'wired');
    await pickFrom('Coil: when', 'weeks');
    expect(value()).toEqual([{ station: 'coil', what: 'wired', ago: 'weeks' }]);
    await userEvent.click(screen.getByRole('button', { name: 'Take coil out' }));
    expect(value()).toEqual([]);
  });
});

it('the card tells proven from reasoned and from unknown, and leaves out what there is none of', () => {
  render(
    <CardStations
      stations={stations}
      states={[
        { id: 'coil', share: 0, state: 'proven' },
        { id: 'points', share: 0.9, state: 'lost here' },
        { id: 'plug-leads', share: 0, state: 'cleared' },
      ]}
    />,
  );
  expect(screen.getByText('Proven by a reading').nextSibling?.textContent).toBe('Coil');
  expect(screen.getByText(/Not measured; cleared/).nextSibling?.textContent).toBe('Plug leads');
  expect(screen.queryByText('Not known')).toBeNull();
});
