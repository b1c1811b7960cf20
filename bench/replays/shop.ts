import { toldIn, type Replay } from './replay.ts';

const HOT = { warmth: 'hot', faultPresent: 'yes' } as const;
const COLD = { warmth: 'cold', faultPresent: 'yes' } as const;
const WELL_COLD = { warmth: 'cold', faultPresent: 'no' } as const;

/** Written from the trade before they were run; readings that do not agree with one another stand as they were. */
export const SHOP: readonly Replay[] = [
  toldIn('saloon', { symptom: 'misses' }, 'coil.swap-leads', [
    ['spark-every', 'weak on all'],
    ['coil-feed-closed', 6.4],
    ['coil-primary', 1.5],
    ['spark-polarity', 'flares at the lead'],
    ['look-coil', 'leads swapped'],
  ]),
  toldIn('tractor', { symptom: 'hard-start' }, 'coil-feed.remake', [
    ['battery-rest', 6.3],
    ['coil-feed-closed', 4.6],
    ['switch-drop', 0.05],
    ['coil-feed-drop', 1.4],
  ]),
  toldIn('tractor', { symptom: 'hard-start' }, 'switch.replace', [
    ['battery-rest', 6.35],
    ['coil-feed-closed', 4.9],
    ['switch-drop', 1.1],
  ]),
  toldIn('van', { symptom: 'hard-start' }, 'condenser.replace', [
    ['spark-coil-lead', 'weak'],
    ['watch-points', 'fat arcs'],
    ['condenser-insulation', 10000000],
  ]),
  toldIn('van', { symptom: 'misses' }, 'distributor-shaft.bushes', [
    ['spark-coil-lead', 'good'],
    ['shaft-play', 'it rocks'],
    ['dwell-wander', 8],
  ]),
  toldIn('launch', { symptom: 'misses' }, 'plug-5.replace', [
    ['cylinder-drop', 'only 5 makes none'],
    ['plug-exchanged', 'goes with the plug'],
  ]),
  toldIn('launch', { symptom: 'misses', pattern: 'damp' }, 'lead-7.replace', [
    ['cylinder-drop', 'only 7 makes none'],
    ['plug-exchanged', 'stays in its cylinder'],
    ['lead-7-ohms', 8000],
    ['leads-in-the-dark', 'lead 7 leaks'],
  ]),
  toldIn('launch', { symptom: 'misses' }, 'cap.replace', [
    ['spark-coil-lead', 'good'],
    ['spark-every', 'some dead'],
    ['look-leads', 'dry and clean'],
    ['look-cap', 'tracked'],
  ]),
  toldIn('launch', { symptom: 'no-fire' }, 'distributor-shaft.drive', [
    ['spark-coil-lead', 'none'],
    ['lamp-cranking', 'lit steadily'],
    ['rotor-turns', 'stands still'],
  ]),
  toldIn('roadster', { symptom: 'no-fire' }, 'module-earth.clean', [
    ['lamp-cranking', 'lit steadily'],
    ['sensor-feed', 11.9],
    ['module-earth-drop', 1.8],
  ]),
  toldIn('estate', { symptom: 'dies', pattern: 'hot' }, 'module.replace', [
    ['spark-coil-lead', 'none', HOT],
    ['module-feed-on', 12.2, HOT],
    ['trigger-ohms', 1050, HOT],
    ['trigger-peak-module', 2.1, HOT],
    ['lamp-cranking', 'lit steadily', HOT],
  ]),
  toldIn('estate', { symptom: 'dies', pattern: 'now-and-then' }, 'trigger-connector.remake', [
    ['look-connectors', 'trigger’s is bad'],
    ['trigger-ohms', 1100],
    ['trigger-ohms-connected', 6400],
  ]),
  toldIn('hatchback', { symptom: 'no-fire' }, 'trigger.replace', [
    ['scan-rpm', 'stays at nought'],
    ['trigger-ohms', 'OL'],
  ]),
  toldIn('hatchback', { symptom: 'misses' }, 'coil-3.replace', [
    ['scan-counts', 'only 3 counts'],
    ['command-3-signal', 'pulses'],
    ['spark-known-coil-3', 'good'],
  ]),
  toldIn('dory', { symptom: 'misses' }, 'coil-2.replace', [
    ['cylinder-drop', 'only 2 makes none'],
    ['plug-exchanged', 'stays in its cylinder'],
    ['points-2-gap', 0.00038],
    ['look-points-2', 'clean'],
    ['coil-2-secondary', 'OL'],
  ]),
  toldIn('dory', { symptom: 'no-fire' }, 'stop-switch.replace', [
    ['spark-every', 'none at all'],
    ['spark-stop-off', 'good on all'],
    ['stop-switch', 0.4],
  ]),
  toldIn('pump', { symptom: 'hard-start' }, 'impulse.free', [
    ['impulse-snap', 'no snap'],
    ['spark-every', 'weak on all'],
  ]),
  toldIn('pump', { symptom: 'hard-start' }, 'magnet-rotor.charge', [
    ['impulse-snap', 'it snaps'],
    ['spark-every', 'weak on all'],
    ['magnet-pull', 'soft all round'],
  ]),
  toldIn('netboat', { symptom: 'no-fire' }, 'trigger.replace', [
    ['spark-every', 'none at all'],
    ['spark-stop-off', 'none at all'],
    ['charge-peak-open', 190],
    ['trigger-ohms', 6],
  ]),
  toldIn('netboat', { symptom: 'misses' }, 'pack.replace', [
    ['spark-every', 'only 2 is dead'],
    ['coil-2-primary', 0.4],
    ['pack-output-1', 160],
    ['pack-output-2', 8],
  ]),
  toldIn('pilot', { symptom: 'misses' }, 'charge-coil.replace', [
    ['spark-every', 'weak on all'],
    ['charge-peak-stop-off', 85],
    ['charge-coil-ohms', 300],
  ]),
  toldIn('lorry', { symptom: 'crank-slow' }, 'battery.replace', [
    ['battery-rest', 6.3],
    ['battery-cranking', 3.4],
    ['battery-load', 3.6],
    ['battery-acid', 'one cell low'],
  ]),
  toldIn('tender', { symptom: 'hard-start', pattern: 'cold' }, 'preheating.replace', [
    ['heat-volts', 11.2],
    ['heat-amps', 22],
    ['heat-each', 'some dark'],
  ]),
  toldIn('hatchback', { symptom: 'crank-nothing' }, 'interlock-1.replace', [
    ['crank-listen', 'nothing'],
    ['crank-switch-out', 12.1],
    ['crank-interlock-1', 11.9],
  ]),
  toldIn('roadster', { symptom: 'crank-click' }, 'strap.clean', [
    ['battery-rest', 12.6],
    ['crank-listen', 'chatters'],
    ['strap-drop', 6.5],
  ]),
  toldIn('coupe', { symptom: 'no-charge' }, 'charger.replace', [
    ['charge-idle', 12.5],
    ['charge-fast', 13.1],
    ['charge-loaded', 12.2],
    ['charge-ripple', 1.1],
  ]),
  toldIn('hatchback', { symptom: 'no-charge' }, 'charge-wire.remake', [
    ['charge-fast', 13.2],
    ['charge-source', 14.6],
    ['charge-drop', 1.7],
  ]),
  toldIn('tractor', { symptom: 'no-charge' }, 'charger.polarise', [
    ['charge-belt', 'firm'],
    ['charge-full-field', 'no change'],
    ['charge-residual', 0.05],
  ]),
  toldIn('van', { symptom: 'no-charge' }, 'cut-out.set', [
    ['charge-fast', 12.3],
    ['charge-source', 14.8],
    ['charge-cut-out', 'never closes'],
  ]),
  toldIn('quad', { symptom: 'no-charge' }, 'charge-regulator.replace', [
    ['charge-fast', 12.3],
    ['charge-leg-volts-fast-1-2', 55],
    ['charge-leg-volts-fast-2-3', 56],
    ['charge-leg-volts-fast-3-1', 55],
    ['charge-rectifier-look', 'burnt or blistered'],
  ]),
  toldIn('quad', { symptom: 'no-charge' }, 'charger.replace', [
    ['charge-fast', 12.9],
    ['charge-leg-volts-fast-1-2', 54],
    ['charge-leg-volts-fast-2-3', 4],
    ['charge-leg-volts-fast-3-1', 3],
    ['charge-leg-ohms-2-3', 'OL'],
  ]),
  toldIn('launch', { symptom: 'flat-overnight' }, 'charger.replace', [
    ['charge-fast', 14.2],
    ['charge-drain', 0.4],
    ['charge-drain-unplugged', 0.002],
  ]),
  toldIn('coupe', { symptom: 'floods' }, 'fuel-float.renew', [
    ['fuel-plug', 'dripping'],
    ['fuel-pressure', 22000],
    ['fuel-drips', 'drips or runs'],
    ['fuel-needle-look', 'passes and holds'],
    ['fuel-float-look', 'heavy'],
  ]),
  toldIn('coupe', { symptom: 'floods', pattern: 'hot' }, 'fuel-choke.free', [
    ['fuel-plug', 'dripping', { warmth: 'hot' }],
    ['fuel-choke-look', 'stays shut'],
  ]),
  toldIn('coupe', { symptom: 'no-pull' }, 'fuel-accelerator.renew', [
    ['fuel-can', 0.0004],
    ['fuel-squirt', 'nothing or late'],
  ]),
  toldIn('coupe', { symptom: 'no-idle' }, 'fuel-idle-jet.clean', [
    ['air-spray-joint', 'no change'],
    ['air-hoses', 'no change'],
    ['air-screw-turned', 'no difference'],
    ['fuel-idle-jet-look', 'blocked'],
  ]),
  toldIn('coupe', { symptom: 'idle-wrong' }, 'air-servo.renew', [
    ['air-servo-pinch', 'it changes'],
    ['air-vacuum-idle', -48000],
  ]),
  toldIn('coupe', { symptom: 'hard-start', pattern: 'cold' }, 'fuel-pump.renew', [
    ['spark-plug-lead', 'good'],
    ['fuel-stood-full', 'run empty'],
  ]),
  toldIn('twin', { symptom: 'idle-wrong' }, 'air-balance.set', [
    ['air-balance-gauge', 6000],
    ['air-balance-ear', 'one is louder'],
  ]),
  toldIn('twin', { symptom: 'stalls' }, 'fuel-vent.valve', [
    ['fuel-level', 'enough'],
    ['fuel-cap', 'hisses'],
    ['fuel-vapour-line', 'valve stuck'],
  ]),
  toldIn('netboat', { symptom: 'no-pull' }, 'fuel-bulb.renew', [
    ['fuel-bulb-firm', 'firm, then soft'],
    ['fuel-bubbles', 'solid fuel'],
    ['fuel-hand-fed', 'well from the can'],
  ]),
  toldIn('mower', { symptom: 'no-fire' }, 'fuel-tank.drain', [
    ['spark-every', 'good on all'],
    ['fuel-sample', 'smells of varnish'],
    ['fuel-whiff', 'fires for a moment'],
  ]),
  toldIn('mower', { symptom: 'hard-start' }, 'compression-exhaust-1.set', [
    ['spark-every', 'good on all'],
    ['compression-1', 350000],
    ['compression-clearances', 'none at the exhaust'],
  ]),
  toldIn('coupe', { symptom: 'misses' }, 'compression-exhaust-3.head', [
    ['cylinder-drop', 'only 3 makes none'],
    ['spark-every', 'good on all'],
    ['compression-1', 1050000],
    ['compression-2', 1030000],
    ['compression-3', 420000],
    ['compression-4', 1040000],
    ['compression-wet', 'hardly rises'],
    ['compression-hiss', 'exhaust pipe'],
  ]),
  toldIn('coupe', { symptom: 'misses' }, 'compression-gasket.renew', [
    ['compression-1', 1050000],
    ['compression-2', 500000],
    ['compression-3', 480000],
    ['compression-4', 1040000],
    ['compression-hiss', 'next plug hole'],
  ]),
  toldIn('coupe', { symptom: 'no-pull' }, 'timing-chain.renew', [
    ['timing-idle', 4],
    ['timing-slack', 'follows late'],
    ['timing-cover', 'in line'],
  ]),
  toldIn('coupe', { symptom: 'no-pull' }, 'timing-pod.renew', [
    ['timing-idle', 8],
    ['timing-fast', 28],
    ['timing-fast-hose', 28],
    ['timing-pod-hand', 'falls off'],
  ]),
  toldIn('tender', { symptom: 'will-not-stop' }, 'stop-line.renew', [
    ['stop-at-source', -80000],
    ['stop-at-valve', -78000],
    ['stop-at-actuator', -35000],
    ['stop-line-holds', 'falls off'],
  ]),
  toldIn('tender', { symptom: 'will-not-stop' }, 'stop-check.renew', [
    ['stop-at-source', -80000],
    ['stop-at-check', -30000],
  ]),
  toldIn('lorry', { symptom: 'hard-start' }, 'points.dress', [
    ['battery-rest', 6.3],
    ['spark-coil-lead', 'weak'],
    ['coil-minus-closed', 0.6],
    ['points-drop', 0.55],
  ]),
  toldIn('coupe', { symptom: 'no-pull', also: 'misses' }, 'plugs.replace', [
    ['spark-every', 'good on all'],
    ['plug-1-gap', 0.0013],
    ['plug-2-gap', 0.00125],
    ['plug-3-gap', 0.0014],
  ]),
  toldIn('coupe', { symptom: 'no-fire', pattern: 'damp' }, 'cap.dry', [
    ['spark-coil-lead', 'good'],
    ['look-leads', 'damp'],
    ['look-cap', 'damp'],
  ]),
  toldIn('coupe', { symptom: 'misses' }, 'coil-lead.replace', [
    ['spark-coil-lead', 'good'],
    ['coil-lead-ohms', 'OL'],
  ]),
  toldIn('saloon', { symptom: 'hard-start' }, 'points.set', [
    ['points-gap', 0.0002],
    ['spark-coil-lead', 'weak'],
  ]),
  toldIn('saloon', { symptom: 'dies', pattern: 'hot' }, 'ballast.refit', [
    ['coil-feed-closed', 11.6],
    ['look-ballast', 'bypassed'],
  ]),
  toldIn('van', { symptom: 'misses' }, 'switch.replace', [
    ['battery-rest', 12.5],
    ['feed-volts', 12.4],
    ['fuse-drop', 0.05],
    ['switch-drop', 2.1],
  ]),
  toldIn('van', { symptom: 'dies', pattern: 'hot' }, 'fuse.clean-holder', [
    ['fuse-drop', 3.5],
    ['look-fuse', 'holder corroded'],
  ]),
  toldIn('launch', { symptom: 'dies', pattern: 'hot' }, 'coil.replace', [
    ['spark-coil-lead', 'none', HOT],
    ['lamp-cranking', 'flashes', HOT],
    ['coil-primary', 1.5, HOT],
    ['coil-secondary', 'OL', HOT],
  ]),
  toldIn('launch', { symptom: 'no-fire' }, 'points.set', [
    ['lamp-cranking', 'lit steadily'],
    ['points-gap', 0.0015],
  ]),
  toldIn('tractor', { symptom: 'misses', before: 'new leads' }, 'lead-order.sort', [['lead-order', 'two swapped']]),
  toldIn('tractor', { symptom: 'no-fire' }, 'rotor.replace', [
    ['spark-coil-lead', 'good'],
    ['spark-every', 'none at all'],
    ['rotor-jump', 'it jumps'],
  ]),
  toldIn('roadster', { symptom: 'no-fire' }, 'sensor.clean', [
    ['sensor-feed', 12.2],
    ['signal-sensor', 'stays up'],
    ['look-sensor', 'dirty or out of place'],
  ]),
  toldIn('estate', { symptom: 'no-fire' }, 'suppressor.replace', [
    ['look-fuse', 'blown'],
    ['fuse-new', 'blows at once'],
    ['feed-to-earth', 0.2],
    ['feed-to-earth-suppressor-off', 6],
  ]),
  toldIn('estate', { symptom: 'misses', pattern: 'hot' }, 'coil.replace', [
    ['spark-coil-lead', 'weak', HOT],
    ['coil-primary', 0.8, HOT],
    ['coil-secondary', 7800, HOT],
    ['module-feed-on', 12.3, HOT],
  ]),
  toldIn('hatchback', { symptom: 'no-fire' }, 'fuse.replace', [
    ['look-fuse', 'blown'],
    ['fuse-new', 'holds'],
  ]),
  toldIn('hatchback', { symptom: 'misses', pattern: 'damp' }, 'lead-2.replace', [
    ['scan-counts', 'only 2 counts'],
    ['plug-exchanged', 'stays in its cylinder'],
    ['leads-in-the-dark', 'lead 2 leaks'],
  ]),
  toldIn('dory', { symptom: 'kicks-back' }, 'flywheel.key', [
    ['spark-every', 'good on all'],
    ['timing-marks', 'far out'],
    ['flywheel-key', 'sheared'],
  ]),
  toldIn('dory', { symptom: 'misses' }, 'condenser-1.replace', [
    ['spark-every', 'only 1 is dead'],
    ['points-1-open', 0.3],
    ['condenser-1-insulation', 0.2],
  ]),
  toldIn('netboat', { symptom: 'no-fire' }, 'stop-switch.replace', [
    ['spark-every', 'none at all'],
    ['charge-peak-loaded', 6],
    ['charge-peak-stop-off', 210],
    ['stop-switch', 800],
  ]),
  toldIn('netboat', { symptom: 'misses' }, 'coil-1.replace', [
    ['spark-every', 'only 1 is dead'],
    ['pack-output-1', 205],
    ['coil-1-primary', 0.45],
    ['coil-1-secondary', 'OL'],
  ]),
  toldIn('netboat', { symptom: 'no-pull' }, 'fuel-filter.renew', [
    ['fuel-bulb-firm', 'firm and stays'],
    ['fuel-can', 5e-5],
    ['fuel-filter-look', 'blocked'],
  ]),
  toldIn('netboat', { symptom: 'idle-wrong' }, 'compression-reeds.renew', [
    ['compression-spit', 'wet'],
    ['compression-reeds-look', 'one open or chipped'],
  ]),
  toldIn('netboat', { symptom: 'misses' }, 'fuel-tank.drain', [
    ['spark-every', 'good on all'],
    ['fuel-sample', 'water under it'],
  ]),
  toldIn('quad', { symptom: 'crank-nothing' }, 'interlock-2.replace', [
    ['crank-listen', 'nothing'],
    ['crank-relay-coil', 0],
    ['crank-interlock-2', 12.1],
  ]),
  toldIn('quad', { symptom: 'flat-overnight' }, 'charge-regulator.replace', [
    ['charge-fast', 14.2],
    ['charge-drain', 0.25],
    ['charge-drain-unplugged', 0.001],
  ]),
  toldIn('mower', { symptom: 'floods' }, 'fuel-needle.renew', [
    ['fuel-drips', 'drips or runs'],
    ['fuel-needle-look', 'never holds'],
  ]),
  toldIn('mower', { symptom: 'no-pull' }, 'fuel-main-jet.clean', [
    ['fuel-choke-hand-fast', 'picks up'],
    ['fuel-main-jet-look', 'blocked'],
  ]),
  toldIn('mower', { symptom: 'no-fire' }, 'condenser-1.replace', [
    ['spark-every', 'none at all'],
    ['points-1-gap', 0.0004],
    ['look-points-1', 'burnt or dirty'],
    ['spark-known-condenser-1', 'good'],
  ]),
  toldIn('twin', { symptom: 'misses' }, 'plug-2.replace', [
    ['cylinder-drop', 'only 2 makes none'],
    ['plug-exchanged', 'goes with the plug'],
  ]),
  toldIn('twin', { symptom: 'idle-wrong' }, 'carburettor-1.clean', [
    ['fuel-pipes', 'only 1 stays cold'],
    ['spark-every', 'good on all'],
    ['fuel-mouth-1', 'picks up'],
  ]),
  toldIn('twin', { symptom: 'no-idle' }, 'air-gasket.renew', [
    ['air-spray-joint', 'it changes'],
    ['air-screw-turned', 'better richer'],
  ]),
  toldIn('twin', { symptom: 'no-charge' }, 'charger.brushes', [
    ['charge-fast', 6.1],
    ['charge-residual', 0],
    ['charge-opened', 'brushes worn'],
  ]),
  toldIn('lorry', { symptom: 'flat-overnight' }, 'cut-out.set', [
    ['charge-fast', 7.1],
    ['charge-drain', 6],
    ['charge-cut-out', 'never opens'],
  ]),
  toldIn('hatchback', { symptom: 'no-charge' }, 'belt.tighten', [
    ['charge-fast', 14.1],
    ['charge-loaded', 12.2],
    ['charge-belt', 'slack'],
  ]),
  toldIn('hatchback', { symptom: 'overcharge' }, 'charge-regulator.replace', [['charge-fast', 16.4]]),
  toldIn('coupe', { symptom: 'lamp-wrong' }, 'charge-lamp.bulb', [
    ['charge-lamp-on', 'out'],
    ['charge-lamp-earthed', 'stays out'],
    ['charge-bulb', 'blown'],
  ]),
  toldIn('tender', { symptom: 'crank-click' }, 'starter-motor.brushes', [
    ['battery-rest', 12.6],
    ['crank-motor-volts', 12.2],
    ['crank-listen', 'clicks once'],
    ['plugs-out-by-hand', 'turns freely, dry'],
  ]),
  toldIn('coupe', { symptom: 'crank-click' }, 'starter-solenoid.contacts', [
    ['battery-rest', 12.6],
    ['crank-small-terminal', 11.9],
    ['crank-motor-volts', 0.4],
    ['crank-contacts-drop', 12],
  ]),
  toldIn('coupe', { symptom: 'crank-nothing' }, 'start-wire.remake', [
    ['battery-rest', 12.6],
    ['crank-switch-out', 12.3],
    ['crank-small-terminal', 0.1],
  ]),
  toldIn('coupe', { symptom: 'crank-click' }, 'engine.drain', [['plugs-out-by-hand', 'water comes out']]),
  toldIn('lorry', { symptom: 'crank-grinds' }, 'starter-drive.ring', [
    ['crank-listen', 'grinds'],
    ['crank-starter-out', 'teeth gone'],
  ]),
  toldIn('coupe', { symptom: 'knocks' }, 'timing-body.set', [
    ['timing-idle', 19],
    ['timing-fast', 38],
    ['timing-clamp', 'loose or moved'],
  ]),
  toldIn('coupe', { symptom: 'no-pull' }, 'timing-weights.free', [
    ['timing-idle', 8],
    ['timing-fast', 10],
    ['timing-twist', 'does not move'],
  ]),
  toldIn('coupe', { symptom: 'no-pull' }, 'air-exhaust.clear', [
    ['fuel-can', 0.0004],
    ['timing-idle', 8],
    ['air-vacuum-fast', -35000],
    ['air-exhaust-hand', 'hardly anything'],
  ]),
  toldIn('coupe', { symptom: 'no-idle' }, 'air-breather.renew', [['air-breather-pinch', 'changes much']]),
  toldIn('coupe', { symptom: 'floods' }, 'carburettor-2.needle', [
    ['fuel-bowl-drain-2', 'does not stop'],
    ['fuel-mouth-2', 'smokes and stops'],
  ]),
  toldIn('coupe', { symptom: 'stalls' }, 'fuel-vent.clear', [
    ['fuel-can', 0.0001],
    ['fuel-cap', 'hisses'],
  ]),
  toldIn('coupe', { symptom: 'no-pull' }, 'fuel-strainer.clean', [
    ['fuel-suction', -30000],
    ['fuel-filter-look', 'clear'],
    ['fuel-hose-look', 'clear'],
    ['fuel-strainer-look', 'blocked'],
  ]),
  toldIn('coupe', { symptom: 'misses' }, 'compression-gasket.renew', [
    ['compression-bubbles', 'bubbles or cream'],
    ['compression-4', 600000],
    ['compression-1', 1050000],
  ]),
  toldIn('coupe', { symptom: 'no-pull' }, 'compression-bores.rebore', [
    ['exhaust-smoke', 'thick blue'],
    ['compression-1', 650000],
    ['compression-2', 640000],
    ['compression-3', 620000],
    ['compression-4', 660000],
    ['compression-wet', 'rises well'],
  ]),
  toldIn('tender', { symptom: 'will-not-stop' }, 'stop-actuator.renew', [
    ['stop-at-actuator', -70000],
    ['stop-actuator-holds', 'falls off'],
  ]),
  toldIn('tender', { symptom: 'will-not-stop' }, 'stop-rack.free', [
    ['stop-at-actuator', -75000],
    ['stop-actuator-holds', 'holds a minute'],
    ['stop-lever', 'stays at run'],
  ]),
  toldIn('tender', { symptom: 'no-fire' }, 'stop-valve.renew', [
    ['stop-where', 'at stop'],
    ['stop-vents', -50000],
  ]),
  toldIn('coupe', { symptom: 'dies', pattern: 'hot' }, 'condenser.replace', [
    ['lamp-cranking', 'flashes', HOT],
    ['spark-coil-lead', 'weak', HOT],
    ['spark-known-condenser', 'good', HOT],
  ]),
  toldIn('coupe', { symptom: 'no-pull' }, 'fuel-pump.renew', [
    ['fuel-can', 9e-5],
    ['fuel-pressure', 12000],
    ['fuel-suction', -12000],
    ['fuel-bubbles', 'solid fuel'],
  ]),
  toldIn('coupe', { symptom: 'stalls' }, 'fuel-line.renew', [
    ['fuel-suction', -40000],
    ['fuel-strainer-look', 'clear'],
    ['fuel-filter-look', 'clear'],
    ['fuel-hose-look', 'blocked'],
  ]),
  toldIn('coupe', { symptom: 'no-pull' }, 'fuel-line.renew', [
    ['fuel-bubbles', 'bubbles'],
    ['fuel-can', 0.00012],
  ]),
  toldIn('coupe', { symptom: 'cold-runs', pattern: 'cold' }, 'fuel-choke.free', [
    ['spark-plug-lead', 'good', COLD],
    ['fuel-choke-look', 'stays open', COLD],
  ]),
  toldIn('coupe', { symptom: 'hard-start' }, 'fuel-tank.drain', [['fuel-sample', 'smells of varnish']]),
  toldIn('coupe', { symptom: 'misses' }, 'cap.replace', [
    ['lead-2-ohms', 'OL'],
    ['fix', 'lead-2.replace'],
    ['try-it', 'runs, but misses'],
    ['look-cap', 'tracked'],
  ]),
  toldIn('coupe', { symptom: 'crank-slow', also: 'flat-overnight' }, 'charger.replace', [
    ['battery-rest', 11.9],
    ['charge-fast', 12.6],
    ['charge-lamp-on', 'lit'],
    ['charge-lamp-run', 'glows'],
    ['charge-ripple', 1.2],
  ]),
  toldIn('coupe', { symptom: 'crank-nothing', pattern: 'now-and-then' }, 'start-switch.replace', [
    ['crank-switch-in', 12.5],
    ['crank-switch-out', 0.2],
  ]),
  toldIn('coupe', { symptom: 'no-pull' }, 'timing-mark.renew', [
    ['timing-idle', 8],
    ['timing-stop', 'off'],
  ]),
  toldIn('coupe', { symptom: 'no-pull' }, 'timing-chain.renew', [
    ['timing-cover', 'a tooth off'],
    ['compression-1', 800000],
    ['air-vacuum-idle', -45000],
  ]),
  toldIn('coupe', { symptom: 'will-not-stop' }, 'plugs.range', [
    ['compression-unplugged', 'goes on unevenly'],
    ['plug-type', 'too hot'],
  ]),
  toldIn('coupe', { symptom: 'will-not-stop' }, 'compression-chambers.decoke', [
    ['compression-unplugged', 'goes on unevenly'],
    ['plug-type', 'as the book says'],
    ['compression-chamber-look', 'thick and hard'],
  ]),
  toldIn('coupe', { symptom: 'misses' }, 'compression-exhaust-4.set', [
    ['compression-4', 600000],
    ['compression-clearances', 'none at exhaust 4'],
  ]),
  toldIn('coupe', { symptom: 'no-pull' }, 'air-filter.renew', [['air-filter-look', 'blocked']]),
  toldIn('coupe', { symptom: 'no-idle' }, 'air-stop.set', [
    ['air-stop-look', 'backed off'],
    ['air-rpm-idle', 420],
  ]),
  toldIn('saloon', { symptom: 'overcharge' }, 'charge-regulator.sense', [
    ['charge-fast', 15.6],
    ['charge-sense-drop', 1.3],
  ]),
  toldIn('saloon', { symptom: 'overcharge' }, 'regulator-earth.remake', [
    ['charge-fast', 15.4],
    ['charge-regulator-earth', 1.1],
  ]),
  toldIn('saloon', { symptom: 'hard-start' }, 'feed.remake', [
    ['battery-rest', 12.5],
    ['feed-volts', 11.6],
    ['clamp-drop', 0.02],
    ['switch-volts', 11.5],
  ]),
  toldIn('saloon', { symptom: 'crank-slow' }, 'live-clamp.clean', [
    ['crank-hot-joints', 'clamp hot'],
    ['clamp-drop', 1.1],
  ]),
  toldIn('launch', { symptom: 'misses', pattern: 'damp' }, 'cap.dry', [
    ['look-leads', 'damp'],
    ['spark-every', 'weak on all'],
  ]),
  toldIn('launch', { symptom: 'misses' }, 'lead-order.part', [['leads-in-the-dark', 'jumps from lead to lead']]),
  toldIn('launch', { symptom: 'crank-click' }, 'engine.drain', [['plugs-out-by-hand', 'water comes out']]),
  toldIn('launch', { symptom: 'crank-nothing' }, 'interlock-1.replace', [
    ['crank-switch-out', 12.3],
    ['crank-interlock-1-bridged', 'turns well'],
  ]),
  toldIn('launch', { symptom: 'crank-nothing' }, 'start-relay.replace', [
    ['crank-relay-coil', 12.2],
    ['crank-small-terminal', 0.05],
    ['crank-relay-drop', 12.3],
  ]),
  toldIn('tractor', { symptom: 'no-charge' }, 'charger.brushes', [
    ['charge-ammeter-fast', 'discharges'],
    ['charge-belt', 'firm'],
    ['charge-residual', 0],
    ['charge-full-field', 'no change'],
    ['charge-opened', 'brushes worn'],
  ]),
  toldIn('tractor', { symptom: 'no-charge' }, 'field-wire.remake', [
    ['charge-residual', 1.2],
    ['charge-full-field', 'rise'],
    ['charge-full-field-box', 'no change'],
    ['charge-field-wire-ohms', 'OL'],
  ]),
  toldIn('tractor', { symptom: 'no-fire' }, 'points.dress', [
    ['lamp-cranking', 'lit steadily'],
    ['look-points', 'burnt or dirty'],
    ['points-drop', 5.8],
  ]),
  toldIn(
    'tractor',
    { symptom: 'hard-start', recent: [{ station: 'coil', what: 'new', ago: 'just before' }] },
    'coil.swap-leads',
    [
      ['spark-polarity', 'flares at the lead'],
      ['look-coil', 'leads swapped'],
    ],
  ),
  toldIn('van', { symptom: 'hard-start' }, 'plugs.replace', [
    ['spark-plug-lead', 'good'],
    ['look-plugs', 'all wet or sooty'],
    ['plug-1-ohms', 20000],
    ['plug-2-ohms', 15000],
  ]),
  toldIn('lorry', { symptom: 'lamp-wrong' }, 'belt.tighten', [['charge-belt', 'slack']]),
  toldIn('lorry', { symptom: 'crank-click' }, 'starter-drive.part', [
    ['battery-rest', 6.35],
    ['crank-by-hand', 'stops dead'],
    ['crank-pinion', 'it lets go'],
  ]),
  toldIn('quad', { symptom: 'dies', pattern: 'damp' }, 'trigger-connector.remake', [
    ['look-connectors', 'trigger’s is bad'],
  ]),
  toldIn('quad', { symptom: 'no-fire' }, 'pack.replace', [
    ['pack-feed', 12.1],
    ['trigger-peak-pack', 2.2],
    ['pack-output-1', 0.5],
    ['pack-earth-ohms', 0.1],
    ['coil-wire-1-ohms', 0.4],
  ]),
  toldIn('quad', { symptom: 'overcharge' }, 'charge-regulator.replace', [['charge-fast', 17.2]]),
  toldIn('quad', { symptom: 'no-charge' }, 'charger.replace', [
    ['charge-core-ohms', 2],
    ['charge-fast', 12.6],
  ]),
  toldIn('mower', { symptom: 'stalls' }, 'fuel-vent.clear', [
    ['fuel-cap', 'hisses'],
    ['fuel-level', 'enough'],
  ]),
  toldIn('mower', { symptom: 'no-fire' }, 'fuel-choke.free', [
    ['fuel-plug', 'dripping'],
    ['fuel-choke-look', 'stays shut'],
    ['spark-every', 'good on all'],
  ]),
  toldIn('mower', { symptom: 'dies', pattern: 'hot' }, 'coil-1.replace', [
    ['spark-every', 'good on all', WELL_COLD],
    ['spark-every', 'none at all', HOT],
    ['spark-stop-off', 'none at all', HOT],
    ['points-1-gap', 0.0004],
    ['spark-known-coil-1', 'good', HOT],
  ]),
  toldIn('mower', { symptom: 'no-fire' }, 'stop-wire-1.insulate', [
    ['spark-every', 'none at all'],
    ['spark-stop-off', 'good on all'],
    ['look-stop', 'wire rubbed through'],
  ]),
  toldIn('netboat', { symptom: 'no-pull' }, 'fuel-pump.hose', [['fuel-pulse-hose', 'split or off']]),
  toldIn('netboat', { symptom: 'no-pull' }, 'compression-port.clear', [
    ['fuel-can', 0.0003],
    ['compression-port-look', 'choked'],
  ]),
  toldIn('pilot', { symptom: 'misses' }, 'pack.replace', [
    ['spark-every', 'only 3 is dead'],
    ['pack-output-3', 4],
    ['coil-wire-3-ohms', 0.5],
    ['pack-output-1', 210],
  ]),
  toldIn('pilot', { symptom: 'dies', pattern: 'now-and-then' }, 'trigger-connector.remake', [
    ['look-connectors', 'trigger’s is bad'],
    ['trigger-connector-ohms', 450],
  ]),
  toldIn('twin', { symptom: 'hard-start' }, 'fuel-tank.drain', [
    ['fuel-sample', 'smells of varnish'],
    ['spark-every', 'good on all'],
  ]),
  toldIn('twin', { symptom: 'floods' }, 'carburettor-2.needle', [
    ['fuel-bowl-drain-2', 'does not stop'],
    ['fuel-drips', 'drips or runs'],
  ]),
  toldIn('dory', { symptom: 'hard-start' }, 'flywheel.replace', [
    ['spark-every', 'weak on all'],
    ['magnets', 'weak or loose'],
  ]),
  toldIn('dory', { symptom: 'misses' }, 'plug-1.replace', [
    ['cylinder-drop', 'only 1 makes none'],
    ['plug-exchanged', 'goes with the plug'],
    ['plug-1-ohms', 3000],
  ]),
  toldIn('estate', { symptom: 'no-fire' }, 'trigger.gap', [
    ['spark-coil-lead', 'none'],
    ['trigger-ohms', 1050],
    ['pickup-gap', 'far too wide'],
  ]),
  toldIn('estate', { symptom: 'no-fire' }, 'module.replace', [
    ['module-feed-on', 12.3],
    ['trigger-peak-module', 2],
    ['module-prod', 'none'],
    ['spark-known-module', 'good'],
  ]),
  toldIn('estate', { symptom: 'no-fire' }, 'coil-lead.replace', [
    ['spark-coil-lead', 'none'],
    ['spark-known-lead', 'good'],
  ]),
  toldIn('roadster', { symptom: 'no-fire' }, 'module.replace', [
    ['module-feed-on', 12.3],
    ['signal-module', 'swings'],
    ['lamp-cranking', 'lit steadily'],
    ['module-earth-ohms', 0.05],
    ['spark-known-module', 'good'],
  ]),
  toldIn('hatchback', { symptom: 'misses' }, 'command-1.remake', [
    ['scan-counts', 'only 1 counts'],
    ['command-1-signal', 'does not pulse'],
  ]),
  toldIn('hatchback', { symptom: 'misses' }, 'plugs.replace', [
    ['scan-counts', 'several count'],
    ['plug-1-gap', 0.0014],
    ['plug-3-gap', 0.0015],
  ]),
  toldIn('digger', { symptom: 'crank-slow', pattern: 'cold' }, 'battery.replace', [
    ['battery-rest', 12.4],
    ['battery-load', 7.9],
    ['battery-acid', 'all good'],
  ]),
];
