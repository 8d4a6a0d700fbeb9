/** A photograph of a board read on the chart's millimetres: marked, straightened, its light taken out, its foam measured. */
export { pictureQuality, pictureRows, plannedBands, type PictureRow } from './beside';
export { boardSeen } from './drawn-board';
export { placed, type Framed, type Placed } from './marks';
export { readPicture, type PictureRead } from './read';
export { sureOf, type Sure } from './sure';
export { templateOf, type Template } from './template';
