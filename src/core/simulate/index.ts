/** Small stand-ins for outside devices, which ship with the app: pure, moved by a time that is passed in. */
export * from './scale';
