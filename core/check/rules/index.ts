import { attachRule } from './attach';
import { belowTideRule } from './belowTide';
import { boundsRule } from './bounds';
import { cairnGapRule } from './cairnGap';
import { cairnLegRule } from './cairnLeg';
import { cairnNumbersRule } from './cairnNumbers';
import { crowdRule } from './crowd';
import { familyRule } from './family';
import { flickerRule } from './flicker';
import { gapRule } from './gap';
import { goalRule } from './goal';
import { heavyRule } from './heavy';
import { heavyRunRule } from './heavyRun';
import { insideRule } from './inside';
import { lapsRule } from './laps';
import { legRule } from './leg';
import { linkRule } from './link';
import { linkLoopRule } from './linkLoop';
import { lockRule } from './lock';
import { looseRule } from './loose';
import { misfitRule } from './misfit';
import { nameRule } from './name';
import { offLaneRule } from './offLane';
import { openEndRule } from './openEnd';
import { overlapRule } from './overlap';
import { pairsRule } from './pairs';
import { pathRule } from './path';
import { patternRule } from './pattern';
import { rangeRule } from './range';
import { seamRule } from './seam';
import { settingRule } from './setting';
import { speedRule } from './speed';
import { startRule } from './start';
import { startAirRule } from './startAir';
import { startsRule } from './starts';
import { stepRule } from './step';
import { throwerRule } from './thrower';
import { twinsRule } from './twins';
import { unlikeRule } from './unlike';

/** All that is looked for in a course, in the order it is told. */
export const RULES = [
  familyRule,
  settingRule,
  startRule,
  startsRule,
  goalRule,
  nameRule,
  startAirRule,
  speedRule,
  cairnNumbersRule,
  twinsRule,
  belowTideRule,
  lapsRule,
  pairsRule,
  lockRule,
  pathRule,
  rangeRule,
  attachRule,
  looseRule,
  throwerRule,
  linkRule,
  linkLoopRule,
  misfitRule,
  cairnGapRule,
  cairnLegRule,
  legRule,
  unlikeRule,
  heavyRunRule,
  crowdRule,
  gapRule,
  offLaneRule,
  openEndRule,
  patternRule,
  flickerRule,
  insideRule,
  boundsRule,
  heavyRule,
  overlapRule,
  seamRule,
  stepRule,
] as const;

/** What a finding is of. */
export type RuleId = (typeof RULES)[number]['id'];
