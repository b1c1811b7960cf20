/** How a source moves. Volts (or amperes), seconds, hertz; the letters of the usual netlist cards. */
export type Waveform =
  | { kind: 'sine'; offset: number; amplitude: number; hertz: number; delay: number; damping: number }
  | {
      kind: 'pulse';
      low: number;
      high: number;
      delay: number;
      rise: number;
      fall: number;
      width: number;
      period: number;
    }
  | { kind: 'corners'; points: readonly (readonly [seconds: number, value: number])[] };

/** Value at a time, seconds from the start. */
export function waveAt(wave: Waveform, t: number): number {
  switch (wave.kind) {
    case 'sine': {
      const since = t - wave.delay;
      if (since < 0) return wave.offset;
      return (
        wave.offset + wave.amplitude * Math.exp(-wave.damping * since) * Math.sin(2 * Math.PI * wave.hertz * since)
      );
    }
    case 'pulse': {
      if (t < wave.delay) return wave.low;
      const u = (t - wave.delay) % wave.period;
      const { rise, width, fall, low, high } = wave;
      if (u < rise) return low + ((high - low) * u) / rise;
      if (u < rise + width) return high;
      if (u < rise + width + fall) return high + ((low - high) * (u - rise - width)) / fall;
      return low;
    }
    case 'corners':
      return atCorners(wave.points, t);
  }
}

function atCorners(points: readonly (readonly [number, number])[], t: number): number {
  const first = points[0];
  if (!first) return 0;
  if (t <= first[0]) return first[1];
  for (let i = 1; i < points.length; i++) {
    const [t0, v0] = points[i - 1]!;
    const [t1, v1] = points[i]!;
    if (t <= t1) return t1 === t0 ? v1 : v0 + ((v1 - v0) * (t - t0)) / (t1 - t0);
  }
  return points[points.length - 1]![1];
}

/** Times up to `until` at which a step must end, because the slope breaks there. */
export function breaksOf(wave: Waveform, until: number): number[] {
  if (wave.kind === 'sine') return wave.delay > 0 && wave.delay < until ? [wave.delay] : [];
  if (wave.kind === 'corners') return wave.points.map(([t]) => t).filter((t) => t > 0 && t < until);
  const { delay, rise, width, fall, period } = wave;
  const breaks: number[] = [];
  for (let start = delay; start < until; start += period)
    for (const t of [start, start + rise, start + rise + width, start + rise + width + fall])
      if (t > 0 && t < until) breaks.push(t);
  return breaks;
}

/**
 * The three phases of a permanent-magnet alternator turning at `rpm` with `polePairs`: the amplitude is `voltsPerRpm`
 * times the speed, the frequency follows it, each phase a third of a period after the one before.
 */
export function threePhases(rpm: number, polePairs: number, voltsPerRpm: number): Waveform[] {
  const hertz = (rpm / 60) * polePairs;
  return [0, 1, 2].map((n) => ({
    kind: 'sine',
    offset: 0,
    amplitude: voltsPerRpm * rpm,
    hertz,
    delay: n / (3 * hertz),
    damping: 0,
  }));
}
