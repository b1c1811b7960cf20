import type { Advice, House, MachineBody, Wired } from '@pondu/core';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { wayNetlist } from '../../tracer/useTracer.ts';
import { Button } from '../../ui/Button.tsx';
import { WayDrawing } from './WayDrawing.tsx';
import { showWire } from '../../units/quantity.ts';

const amps = (v: number) => `${v.toFixed(1)} A`;
const watts = (v: number) => `${Math.round(v)} W`;
const verdicts = {
  'carries all': 'carries all that is taken',
  'carries all but at idle': 'carries all, but not at idle',
  'not enough': 'does not carry what is taken',
} as const;

/** Ways of wiring a permanent-magnet machine to a unit that can still be had: what each gives, and its heat. */
export function WaysPanel({ machine, house, advice }: { machine: MachineBody; house: House; advice: Advice }) {
  const { ways, bestWay } = advice;
  const [chosen, choose] = useState(bestWay);
  const shown = ways.find((w) => w.way.id === chosen) ?? ways[0]!;
  async function save() {
    try {
      const text = await wayNetlist(machine, house, shown.way.id);
      const url = URL.createObjectURL(new Blob([text], { type: 'text/plain' }));
      Object.assign(document.createElement('a'), { href: url, download: `${shown.way.id}.cir` }).click();
      URL.revokeObjectURL(url);
    } catch (error) {
      toast.error(error instanceof Error ? error.message : String(error));
    }
  }
  return (
    <section className="card grid gap-3 p-4" aria-label="Regulator">
      <h2 className="text-lg">Its regulator is no longer made</h2>
      <div className="grid gap-4 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <div className="overflow-x-auto">
          <table className="w-full min-w-[34rem] text-left text-[14.5px]">
            <caption className="sr-only">Ways of wiring it, with what each gives and its heat</caption>
            <thead>
              <tr className="border-b border-rule text-soft">
                {[
                  'Wired',
                  'Gives idling',
                  'at speed',
                  'Battery gets at speed',
                  'Heat in the unit',
                  'in the winding',
                ].map((h) => (
                  <th key={h} scope="col" className="p-1.5 font-medium">
                    {h}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {ways.map((w) => (
                <tr key={w.way.id} className={`border-b border-rule ${w === shown ? 'bg-sunk' : ''}`}>
                  <th scope="row" className="p-0 font-normal">
                    <button
                      type="button"
                      aria-pressed={w === shown}
                      onClick={() => choose(w.way.id)}
                      className="min-h-12 w-full px-1.5 text-left underline decoration-soft underline-offset-4 hover:bg-sunk"
                    >
                      {w.way.label}
                      {w.way.id === bestWay && <span className="tag ml-2">fit this</span>}
                    </button>
                  </th>
                  <td className="p-1.5">{amps(w.idle.mostAmps)}</td>
                  <td className="p-1.5">{amps(w.fast.mostAmps)}</td>
                  <td className={`p-1.5 ${w.fast.batteryAmps < 0 ? 'font-semibold text-danger' : ''}`}>
                    {amps(w.fast.batteryAmps)}
                  </td>
                  <td className="p-1.5">{watts(w.fast.unitWatts)}</td>
                  <td className="p-1.5">{watts(w.fast.windingWatts)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <div className="grid content-start gap-2">
          <WayDrawing wired={shown} />
          <Words wired={shown} />
          <Button onClick={() => void save()} className="justify-self-start">
            <Download aria-hidden className="size-5" /> This circuit as .cir
          </Button>
        </div>
      </div>
      <p className="text-[13px] text-soft">
        Averages of a sound machine, everything switched on, wires of a metre and a half. A unit’s own limits stand on
        its label: bolt it to bare metal in the wind. Battery earth off before anything is wired; the fuse goes next to
        the battery.
      </p>
    </section>
  );
}

function Words({ wired: { way, fast, toBattery, leg, verdict } }: { wired: Wired }) {
  const lines = [
    `${way.label}: ${verdicts[verdict]}.`,
    ...(way.alters ? [way.alters] : []),
    `To the battery ${showWire(toBattery.mm2)}, fused at ${toBattery.fuseAmps} A; each wire of the winding ${showWire(leg.mm2)}, it carries up to ${amps(fast.legAmps)}.`,
    way.control === 'series'
      ? `The unit must stand ${Math.round(fast.openVolts)} V: that is what the open winding gives at speed.`
      : 'What is not taken is shorted in the unit: the winding carries its full current all the time.',
  ];
  return (
    <ul className="grid gap-1 text-[14.5px]">
      {lines.map((l) => (
        <li key={l}>{l}</li>
      ))}
    </ul>
  );
}
