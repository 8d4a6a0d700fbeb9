/** Days and nights: when a laid film is tacky, open for the next coat, and fully cured. */
export { type Curing, curingOf, type Film, type Lying, type Stretch, stretchesOf } from './stretches';
