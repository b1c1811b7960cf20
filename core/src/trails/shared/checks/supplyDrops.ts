import { partsOf } from '../../../machine/numbered.ts';
import { hasPart, loaded, nodeOf, touch, type Check, type CheckMaker } from '../../../machine/check.ts';

/** Drop over one piece of the supply while it carries the coil's current: it names the joint that volts only hint at. */
export const supplyDrops: CheckMaker = (machine) => {
  const over = (
    id: string,
    station: string,
    what: string,
    live: string,
    earth: string,
    more: Partial<Check>,
  ): Check => ({
    ...loaded(machine),
    id,
    station,
    label: `Drop ${what}`,
    touch: touch(machine, live, earth),
    watch: 'A few hundredths of a volt. Half a volt or more is a poor joint.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live, earth },
    minutes: 1.3,
    opens: [],
    ...more,
  });
  const intoSwitch = machine.fit.fused ? 'switch-in' : 'fuse-in';
  const coilEnd = nodeOf(machine, 'coil-feed', 'b');
  return [
    ...(hasPart(machine, 'fuse')
      ? [over('fuse-drop', 'fuse', 'across the fuse and its holder', 'fuse-in', 'switch-in', {})]
      : []),
    over('switch-drop', 'switch', 'through the switch', intoSwitch, 'switch-out', { opens: ['behind the dash'] }),
    over('coil-feed-drop', 'coil-feed', 'along the wire from the switch', 'switch-out', coilEnd, {
      opens: ['behind the dash'],
      minutes: 2,
    }),
    ...partsOf(machine, 'added').map((p) =>
      over(`${p.id}-drop`, p.id, `across the ${p.label.toLowerCase()}`, p.nodes['a']!, p.nodes['b']!, {}),
    ),
    ...machine.parts
      .filter((p) => p.id === 'coil-minus' || p.oneOf?.what === 'coil-minus')
      .map((p) =>
        over(`${p.id}-drop`, 'coil-minus', `along the ${p.label.toLowerCase()}`, p.nodes['a']!, p.nodes['b']!, {
          opens: hasPart(machine, 'cap') ? ['cap off'] : ['cowl off'],
        }),
      ),
  ];
};
