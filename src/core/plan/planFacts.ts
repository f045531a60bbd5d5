import { isOneShot } from '../chemistry/concentrateWear';
import type { Brew } from '../records/records';
import { concentrateFraction } from '../chemistry/dilution';
import { standDeveloper } from '../estimate/stand';
import { developerFamilies } from '../chemistry/developerFamilies';
import type { Condition } from '../films/condition';
import { expectsRemJet } from '../films/conditionFacts';
import { filmEquivalents, type FilmFormatId } from '../films/filmFormats';
import { stockFamilies, type StockFamilyId } from '../films/stockFamilies';
import { usualOneBathAgitation } from '../kinetics/oneBath';
import type { CautionFacts } from '../safety/cautions';
import type { PlanChoices } from './planForm';

/**
 * What the caution table needs to know about a plan for a roll.
 * @param film family, format and condition of the roll
 * @param choices what the plan decides
 * @param jug the jug that it comes from; null for one still to be mixed
 */
export function planFacts(
  film: { familyId: StockFamilyId; formatId: FilmFormatId; condition: Condition },
  choices: PlanChoices,
  jug: Pick<Brew, 'films'> | null = null,
): CautionFacts {
  const { developer } = choices;
  const improvised = developer.kind === 'improvised';
  const family = developer.kind === 'concentrate' ? developerFamilies[developer.familyId] : null;
  return {
    remJet: expectsRemJet(film.condition, stockFamilies[film.familyId].remJet),
    temperatureC: choices.temperatureC,
    alkalineDeveloper: improvised || developer.kind === 'one-bath' || family?.alkaline === true,
    powders: improvised,
    kitchenIngredients: improvised,
    carbonateBrew: improvised,
    bromide: choices.bromideGPerL > 0,
    acidStop: developer.kind !== 'one-bath' && choices.baths.some(({ liquid }) => liquid === 'acid'),
    fixer: true,
    oneBath:
      developer.kind === 'one-bath'
        ? {
            agitation:
              (choices.movement?.movement.continuous ?? choices.agitationId === 'continuous') ? 'continuous' : 'gentle',
            usual: usualOneBathAgitation(choices.temperatureC),
            pushed: choices.target.pushStops !== 0,
          }
        : undefined,
    oneShotAgain: jug !== null && jug.films > 0 && developer.kind === 'concentrate' && isOneShot(developer),
    thickStand: choices.strategy.id === 'stand' && standDeveloper(developer) !== developer,
    concentrate:
      developer.kind === 'concentrate'
        ? {
            mlPerFilm: (concentrateFraction(developer.parts) * choices.volumeMl) / filmEquivalents(film.formatId),
            leastMl: developerFamilies[developer.familyId].leastConcentrateMl ?? 0,
          }
        : undefined,
  };
}
