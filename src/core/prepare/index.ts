/** What is done to a board before its resin and after it, with the time that takes, and how a clock face is set out. */
export * from './before';
export * from './additive';
export * from './after';
export * from './dial';
