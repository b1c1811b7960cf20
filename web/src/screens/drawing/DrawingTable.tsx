import { figureOf } from '../../drawing/figures.ts';
import { Folded } from '../../ui/Folded.tsx';
import type { DrawingPageState } from './useDrawingPage.ts';

function flowing(part: string, { well, bad }: NonNullable<DrawingPageState['live']>): string {
  const figure = figureOf('amps', part, well, bad);
  return figure.bad ? `${figure.well || '—'}, now ${figure.bad}` : figure.well || '—';
}

/** The same drawing as a table: each part, what its ends are joined to, volts and amperes. */
export function DrawingTable({ page }: { page: DrawingPageState }) {
  const { view, live } = page;
  const { parts } = view!.drawing;
  const others = (node: string, own: string) =>
    parts.flatMap((p) => (p.id !== own && p.ports.some((t) => t.node === node) ? [p.label] : []));
  return (
    <Folded name="The same as a table" className="no-print card p-3">
      <table className="w-full text-left text-[15px]">
        <caption className="sr-only">Parts of the wiring, what they are joined to, volts and amperes</caption>
        <thead>
          <tr>
            <th scope="col">Part</th>
            <th scope="col">Joined to</th>
            <th scope="col">Volts</th>
            <th scope="col">Amperes</th>
          </tr>
        </thead>
        <tbody>
          {parts.map((part) => (
            <tr key={part.id} className="border-t border-rule align-top">
              <th scope="row" className="py-2 pr-3 font-medium">
                {part.label}
              </th>
              <td className="py-2 pr-3">
                {part.ports.map((t) => (
                  <div key={t.name}>{t.earthed ? 'earth' : others(t.node, part.id).join(', ') || '—'}</div>
                ))}
              </td>
              <td className="py-2 pr-3">
                {live &&
                  part.ports.map((t) => {
                    const { well, bad } = figureOf('volts', t.node, live.well, live.bad);
                    return <div key={t.name}>{(bad ? `${well}, now ${bad}` : well) || '—'}</div>;
                  })}
              </td>
              <td className="py-2">{live && flowing(part.id, live)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Folded>
  );
}
