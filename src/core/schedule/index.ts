/** Days and nights: the air of a room, and when a laid film is tacky, open for the next coat, and fully cured. */
export * from './air';
export * from './stretches';
