// Facts, findings and the rules under them: a third of all the page's script, fetched when somebody is about to change something.
export { evaluator as newJudge, withTriedRemedies } from '@zesty/core'
