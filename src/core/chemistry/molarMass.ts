/** Standard atomic masses, g/mol. Source: IUPAC, abridged standard atomic weights 2021, from memory; the CRC Handbook prints the same. */
export const atomicMasses: Record<string, number> = {
  H: 1.008,
  B: 10.81,
  C: 12.011,
  N: 14.007,
  O: 15.999,
  Na: 22.99,
  P: 30.974,
  S: 32.06,
  Cl: 35.45,
  K: 39.098,
  Br: 79.904,
};

/**
 * Molar mass of a compound from its formula.
 * @param formula elements with counts; hydrates after a raised dot, as in Na2CO3·10H2O; brackets as in (NH4)2S2O3
 * @returns g/mol. Source: sum of the standard atomic masses.
 * @throws RangeError for an element that is not in the table or a formula that does not read: a programmer's error
 * @example molarMass('Na2CO3') // 105.988
 */
export function molarMass(formula: string): number {
  return formula.split('·').reduce((sum, part) => {
    const [, count = '', rest = ''] = /^(\d*)(.*)$/.exec(part) ?? [];
    return sum + Number(count || 1) * massOfPart(rest, formula);
  }, 0);
}

const token = /\(([^()]*)\)(\d*)|([A-Z][a-z]?)(\d*)/gy;

function massOfPart(part: string, formula: string): number {
  let mass = 0;
  let read = 0;
  for (const [text, group, groupCount, element, count] of part.matchAll(token)) {
    mass +=
      group === undefined
        ? atomicMass(element ?? '', formula) * Number(count || 1)
        : massOfPart(group, formula) * Number(groupCount || 1);
    read += text.length;
  }
  if (read === 0 || read !== part.length) throw new RangeError(`“${formula}” does not read as a formula.`);
  return mass;
}

function atomicMass(element: string, formula: string): number {
  const mass = atomicMasses[element];
  if (mass === undefined) throw new RangeError(`“${formula}” holds ${element}, whose mass is not in the table.`);
  return mass;
}
