/** What a pour's append-only events add up to, and where a piece stands because of them. */
export * from './times';
export * from './session';
export * from './summary';
export * from './standing';
export * from './standings';
export * from './below';
