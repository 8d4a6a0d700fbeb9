/** What gravity and surface tension do to a wet film. */
export { capillaryLength, drawsBackBelow, EDGE_WARN, edgeHolds, puddleFilm, RECEDING } from './free-edge';
