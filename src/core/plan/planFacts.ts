import { concentrateFraction } from '../chemistry/dilution';
import { developerFamilies } from '../chemistry/developerFamilies';
import type { Condition } from '../films/condition';
import { expectsRemJet } from '../films/conditionFacts';
import { filmEquivalents, type FilmFormatId } from '../films/filmFormats';
import { stockFamilies, type StockFamilyId } from '../films/stockFamilies';
import { stopSchools } from '../fixing/stopSchools';
import type { CautionFacts } from '../safety/cautions';
import type { PlanChoices } from './planForm';

/**
 * What the caution table needs to know about a plan for a roll.
 * @param film family, format and condition of the roll
 * @param choices what the plan decides
 */
export function planFacts(film: { familyId: StockFamilyId; formatId: FilmFormatId; condition: Condition }, choices: PlanChoices): CautionFacts {
  const { developer } = choices;
  const improvised = developer.kind === 'improvised';
  const family = developer.kind === 'concentrate' ? developerFamilies[developer.familyId] : null;
  return {
    remJet: expectsRemJet(film.condition, stockFamilies[film.familyId].remJet),
    temperatureC: choices.temperatureC,
    alkalineDeveloper: improvised || family?.alkaline === true,
    powders: improvised,
    kitchenIngredients: improvised,
    carbonateBrew: improvised,
    bromide: choices.bromideGPerL > 0,
    acidStop: stopSchools[choices.wet.stopId].acid,
    fixer: true,
    concentrate:
      developer.kind === 'concentrate'
        ? {
            mlPerFilm: (concentrateFraction(developer.parts) * choices.volumeMl) / filmEquivalents(film.formatId),
            leastMl: developerFamilies[developer.familyId].leastConcentrateMl ?? 0,
          }
        : undefined,
  };
}
