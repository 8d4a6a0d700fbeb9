/** What a pour's append-only events add up to, beside the plan it was started from. */
export * from './session';
