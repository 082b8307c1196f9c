import assess from '../../../../locales/en/assess.ftl?raw'
import deliver from '../../../../locales/en/deliver.ftl?raw'
import drills from '../../../../locales/en/drills.ftl?raw'
import general from '../../../../locales/en/general.ftl?raw'
import glossary from '../../../../locales/en/glossary.ftl?raw'
import people from '../../../../locales/en/people.ftl?raw'
import plan from '../../../../locales/en/plan.ftl?raw'
import progressions from '../../../../locales/en/progressions.ftl?raw'
import words from '../../../../locales/en/words.ftl?raw'

export const catalogue = [assess, deliver, drills, general, glossary, people, plan, progressions, words]
