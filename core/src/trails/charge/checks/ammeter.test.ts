import { describe, expect, it } from 'vitest';
import { CHARGED } from '../../../__tests__/chargeMachines.ts';
import { house } from '../../../__tests__/machines.ts';
import { readsLike } from '../../../__tests__/readsLike.ts';
import { buildModel } from '../../../tracing/model.ts';

const says = (checkId: string, faultId?: string) =>
  readsLike(CHARGED['generator, twelve volts, without a lamp']!, checkId, faultId, 0.8);

/** What anyone sees on the dash of an old machine. */
describe('the ammeter on the dash', () => {
  it('stands on charge after a start when all is well', () => {
    expect(says('charge-ammeter-fast')).toBe('charges');
  });
  it.each(['charger.brushes', 'belt.gone', 'charger.no-residual', 'cut-out.open', 'charge-wire.broken'])(
    'shows discharge with the lamps on and %s',
    (fault) => {
      expect(says('charge-ammeter-loaded', fault)).toBe('discharges');
      expect(says('charge-ammeter-fast', fault)).not.toBe('charges');
    },
  );
  it('is only asked where there is one', () => {
    const lamp = buildModel(CHARGED['alternator with a lamp']!, house);
    expect(lamp.checks.some((c) => c.id.startsWith('charge-ammeter'))).toBe(false);
  });
});
