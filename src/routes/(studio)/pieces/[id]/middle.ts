/** Where in a part its figure stands; fetched when the chart has been drawn. */
export { middleOf } from '#core/geometry';
