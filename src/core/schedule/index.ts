/** Days and nights: when a laid film is tacky, open for the next coat, and fully cured. */
export * from './stretches';
