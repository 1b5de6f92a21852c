import { cncRuleWords } from '../cnc/ruleWords'
import { controlsRuleWords } from '../controls/ruleWords'
import { costRuleWords } from '../cost/ruleWords'
import { cuttingRuleWords } from '../cutting/ruleWords'
import { dcRuleWords } from '../dc/ruleWords'
import { driveRuleWords } from '../drive/ruleWords'
import { drivetrainRuleWords } from '../drivetrain/ruleWords'
import { motorRuleWords } from '../motor/ruleWords'
import { supplyRuleWords } from '../supply/ruleWords'
import { workholdingRuleWords } from '../workholding/ruleWords'
import type { RuleWording } from '../rules/ruleWording'
import type { RuleId } from './registry'

/** The words of every rule; one without words does not compile. */
export const ruleWords: Readonly<Record<RuleId, RuleWording>> = {
  ...motorRuleWords,
  ...driveRuleWords,
  ...supplyRuleWords,
  ...drivetrainRuleWords,
  ...workholdingRuleWords,
  ...cuttingRuleWords,
  ...costRuleWords,
  ...controlsRuleWords,
  ...cncRuleWords,
  ...dcRuleWords,
}
