/** What charges a store between two firings. SI. */
export interface StoreCharge {
  /** Open peak at the pack's terminal, and the ohms it comes through: Thévenin of coil, wires and what leaks to earth. */
  peakVolts: number;
  sourceOhms: number;
  /** One swing of the charge coil, and how many lie between two firings. */
  swingSeconds: number;
  swings: number;
  farads: number;
  leakOhms: number;
}

const RECTIFIER_VOLTS = 0.9;
const STEPS = 64;
/** Where in its idle half swing the store is dumped; as in `dischargeCircuit`. */
const DUMPED_AT = 0.55;

/**
 * Volts in the store when it is dumped, from empty: each half swing charges it through the source, and between them it
 * leaks. Stepped exactly for a source held still over each step. The coil's own inductance is left out: within 4 % of
 * the transient (`discharge`) up to 600 rev/min, 15 % low at 1500.
 */
export function storeVolts(c: StoreCharge): number {
  const h = c.swingSeconds / STEPS;
  const [charging, leaking] = [1 / c.sourceOhms + 1 / c.leakOhms, 1 / c.leakOhms];
  const [keep, hold] = [Math.exp((-charging * h) / c.farads), Math.exp((-leaking * h) / c.farads)];
  let volts = 0;
  const last = Math.round((c.swings - 1 + DUMPED_AT) * STEPS);
  // From the moment of the last dump to that of the next.
  for (let k = Math.round((DUMPED_AT - 1) * STEPS); k < last; k++) {
    const emf = c.peakVolts * Math.sin((2 * Math.PI * (k + 0.5)) / STEPS) - RECTIFIER_VOLTS;
    if (emf > volts) {
      const towards = emf / c.sourceOhms / charging;
      volts = towards + (volts - towards) * keep;
    } else volts *= hold;
  }
  return Math.max(0, volts);
}

export interface StoreDump {
  storeVolts: number;
  farads: number;
  henries: number;
  turnsRatio: number;
  coupling: number;
  secondaryFarads: number;
  shuntOhms: number;
  /** Primary, thyristor, and what a poor earth puts into their loop. */
  loopOhms: number;
}

/**
 * Peak secondary volts when the store is switched across the primary, nothing sparking. Store and secondary's
 * capacitance, joined by the leakage inductance L(1−k²), swing about their common level V·C/(C + N²C₂): after half a
 * swing the secondary has overshot to nearly twice it, less what the loop's ohms and the shunts damp (e^(−πζ/√(1−ζ²)))
 * and what has begun to flow in the winding itself (cos of its slower swing). Within 8 % of `discharge` for couplings
 * about 0.98; within 15 % through a poor earth.
 */
export function dumpedVolts(d: StoreDump): number {
  const n2 = d.turnsRatio ** 2;
  const mirrored = n2 * d.secondaryFarads;
  const both = d.farads + mirrored;
  const leakage = d.henries * (1 - d.coupling ** 2);
  const joined = (d.farads * mirrored) / both;
  const impedance = Math.sqrt(leakage / joined);
  const zeta = Math.min(0.99, d.loopOhms / (2 * impedance) + (impedance * n2) / (2 * d.shuntOhms));
  const overshoot = Math.exp((-Math.PI * zeta) / Math.sqrt(1 - zeta * zeta));
  const begun = Math.cos(Math.PI * Math.sqrt((leakage * joined) / (d.henries * both)));
  // Through many ohms (a poor earth) the store can only kick the secondary's own swing: V·Z/R.
  const own = (Math.sqrt(d.henries / mirrored) * both) / d.farads;
  const kicked = (1 + (d.loopOhms / own) ** 1.5) ** (-1 / 1.5);
  return d.turnsRatio * d.coupling * ((d.storeVolts * d.farads) / both) * (1 + overshoot) * begun * kicked;
}
