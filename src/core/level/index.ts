/** What gravity and surface tension do to a wet film: free edges, drift on a board that hangs, the creep of a line. */
export { dryCreep, wetCreep, type Line } from './creep';
export { allowedTilt, closedDrift, flowToTravel, openDrift, runsDry, secondsToFlow, type Lying } from './drift';
export { feetOf, lengthAlong, shims, slopeOf, type Board, type Foot } from './feet';
export { capillaryLength, drawsBackBelow, EDGE_WARN, edgeHolds, puddleFilm, RECEDING } from './free-edge';
