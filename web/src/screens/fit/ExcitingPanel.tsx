import type { Exciting } from '@pondu/core';

const named = ({ exciter: e, ratedWatts }: Exciting): string =>
  e.kind === 'lamp'
    ? `Lamp of ${e.watts} W`
    : e.kind === 'LED'
      ? 'LED alone'
      : `Resistor of ${e.ohms} Ω${ratedWatts ? `, ${ratedWatts} W` : ''}`;
const lowered = (words: string) => words[0]!.toLowerCase() + words.slice(1);
const speed = (rpm: number): string => (rpm > 9000 ? 'never' : `${Math.round(rpm / 10) * 10} rev/min`);

/** Which lamp or resistor starts this alternator, and what it brings back with the key off. */
export function ExcitingPanel({ exciting, best }: { exciting: readonly Exciting[]; best: Exciting | undefined }) {
  return (
    <section className="card grid gap-3 p-4" aria-label="Exciting">
      <h2 className="text-lg">What excites it</h2>
      <p className="text-[14.5px]">
        {best
          ? `A ${lowered(named(best))} starts it: ${best.amps.toFixed(2)} A with the key on, charging from ${speed(best.startsRpm)} of the engine. An LED with a resistor of the right size beside it does as well.`
          : 'None of these starts it from its idle without keeping the engine running: look at the rotor first.'}
      </p>
      <div className="overflow-x-auto">
        <table className="w-full min-w-[36rem] text-left text-[14.5px]">
          <caption className="sr-only">Lamps and resistors between the key and the alternator</caption>
          <thead>
            <tr className="border-b border-rule text-soft">
              {['Between key and alternator', 'Key on', 'Charges from', 'Starts', 'Back, key turned off'].map((h) => (
                <th key={h} scope="col" className="p-1.5 font-medium">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {exciting.map((e) => (
              <tr key={named(e)} className={`border-b border-rule ${e === best ? 'bg-sunk font-semibold' : ''}`}>
                <th scope="row" className={`p-1.5 whitespace-nowrap ${e === best ? '' : 'font-normal'}`}>
                  {named(e)}
                  {e === best && <span className="tag ml-2">fit this</span>}
                </th>
                <td className="p-1.5 whitespace-nowrap">{e.amps.toFixed(2)} A</td>
                <td className="p-1.5 whitespace-nowrap">{speed(e.startsRpm)}</td>
                <td className="p-1.5">{e.starts}</td>
                <td className={`p-1.5 ${(e.runsOn ?? 0) > 0.5 ? 'text-danger' : ''}`}>
                  {e.backVolts.toFixed(1)} V
                  {e.runsOn === undefined ? '' : e.runsOn > 0.5 ? ', keeps it running' : ', it stops'}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
