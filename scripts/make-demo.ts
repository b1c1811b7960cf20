/** Writes demo/*.pondu.json: invented machines, and jobs whose readings the model itself plays. Same run, same files. */
import './demo/otherKinds.ts';
import './demo/points.ts';
import './demo/crankAndCharge.ts';
import './demo/fuel.ts';
import './demo/timing.ts';
import './demo/stop.ts';
