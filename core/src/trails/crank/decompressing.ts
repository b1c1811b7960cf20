import { figuresIfAny, withFigures } from '../../machine/figures.ts';
import type { MachineParams } from '../../machine/known.ts';
import type { Offers } from '../../machine/observed.ts';
import type { PartInstance } from '../../machine/part.ts';
import type { Station } from '../../machine/trail.ts';
import type { Fit } from '../../schema/fit.ts';
import { SOUND_ENGINE } from '../../machine/observed.ts';
import { CRANK_PARTS as PARTS } from './parts/index.ts';
import { DECOMPRESSOR, ENGINE } from './ids.ts';

/** Work of turning over without its lift, against with it: two strokes of compression pushed over by hand. Judgement. */
const UNLIFTED = 2.2;

const has = ({ crank }: Fit): boolean => crank?.decompressor === true;

export const decompressorStations = (fit: Fit): Station[] =>
  has(fit) ? [{ id: DECOMPRESSOR, label: 'Decompressor', picture: 'valve' }] : [];

export const decompressorParts = (fit: Fit): PartInstance[] =>
  has(fit)
    ? [
        {
          id: DECOMPRESSOR,
          label: 'Decompressor',
          station: DECOMPRESSOR,
          kind: PARTS.decompressor,
          nodes: {},
          apart: true,
        },
      ]
    : [];

/** An engine whose decompressor does not lift is turned against all of its compression: put into what it asks. */
export function settleDecompressor(params: MachineParams): MachineParams {
  const [own, engine] = [figuresIfAny(params, DECOMPRESSOR), figuresIfAny(params, ENGINE)];
  if (!own || !engine) return params;
  const against = 1 + (UNLIFTED - 1) * (1 - own.lifts);
  return withFigures(params, ENGINE, { ...engine, stillTorque: engine.stillTorque * against });
}

/** Where it leaves a valve open nothing is squeezed; with a compression trail told, that trail counts its leak. */
export const decompressing = (fit: Fit): Offers =>
  has(fit) && !fit.compression
    ? {
        compression: (scene, state, at) => {
          const open = figuresIfAny(scene.params, DECOMPRESSOR)?.leakSquareMetres ?? 0;
          return SOUND_ENGINE.compression(scene, state, at) / (1 + (open / halves(fit)) ** 2);
        },
      }
    : {};
/**
 * A hole through which half of the squeeze is lost as it is turned, square metres; with what it runs around, the two thirds
 * of the volume. Judgement.
 */
const halves = ({ litres, cylinders }: Fit): number => 6e-6 * (litres / cylinders / 0.42) ** (2 / 3);
