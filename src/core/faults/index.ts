/** What went wrong: causes weighed by a pour's own record, what would tell them apart, and the way out put into the plan. */
export { causes, type Cause, type Evidence } from './causes';
export { factsOf, type Facts } from './facts';
export { rescued, rescueOf, type Rescue, type Rescued } from './rescue';
export { seenWords } from './seen';
export { weighCauses, type Weighed } from './weigh';
