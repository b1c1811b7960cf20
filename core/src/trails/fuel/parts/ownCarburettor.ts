import { between, type FaultMode, type PartKind } from '../../../machine/part.ts';
import { hidden } from './carburettor.ts';

type Own = 'idleBlocked' | 'mainBlocked' | 'high' | 'starved' | 'enriched';
const enriched: FaultMode<Own> = {
  id: 'enriched',
  label: 'enricher does not shut, rich once warm',
  weight: 1.5,
  repair: 'enricher',
  apply: (p, s) => ({ ...p, enriched: between(0.55, 1, s) }),
};

/** One of several carburettors, as far as it differs from its fellows. */
export const ownCarburettor: PartKind<Own> = {
  kind: 'one of several carburettors',
  symbol: 'none',
  plates: [
    hidden('idleBlocked', 'Share of its idle passages that is blocked', 0, 0.03),
    hidden('mainBlocked', 'Share of its main jet that is blocked', 0, 0.03),
    hidden('high', 'Its level over what it should be', -0.03, 0.03),
    hidden('starved', 'Share that its needle holds back', 0, 0),
    hidden('enriched', 'What its enricher lets by, shut', 0, 0),
  ],
  repairs: [
    { id: 'clean', label: 'Strip and clean this carburettor', minutes: 45, money: 8 },
    { id: 'needle', label: 'Clean or renew the needle, set the float', minutes: 40, money: 12 },
    { id: 'enricher', label: 'Renew the seat of the enricher', minutes: 25, money: 7 },
  ],
  faults: [
    {
      id: 'idle-blocked',
      label: 'idle passages blocked',
      weight: 3,
      repair: 'clean',
      apply: (p, s) => ({ ...p, idleBlocked: between(0.5, 0.98, s) }),
    },
    {
      id: 'main-blocked',
      label: 'main jet blocked',
      weight: 1.2,
      repair: 'clean',
      apply: (p, s) => ({ ...p, mainBlocked: between(0.5, 0.98, s) }),
    },
    {
      id: 'floods',
      label: 'overflows: needle or float',
      weight: 2,
      repair: 'needle',
      comesWith: 'shaking',
      apply: (p, s) => ({ ...p, high: between(0.2, 1, s) }),
    },
    {
      id: 'starved',
      label: 'needle stuck shut',
      weight: 1,
      repair: 'needle',
      apply: (p, s) => ({ ...p, starved: between(0.8, 1, s) }),
    },
    enriched,
  ],
  elements: () => [],
};
