/** Small stand-ins for outside devices, which ship with the app: a scale, moved by a time that is passed in, and a camera over a card. */
export * from './scale';
export * from './photo';
