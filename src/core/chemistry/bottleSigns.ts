import type { DeveloperFamilyId } from './developerFamilies';

/** What a bottle or packet of a developer looks like, and what people say of it. */
export interface BottleSigns {
  /** How it is drawn. */
  drawn: 'packet' | 'thin-clear' | 'thin-brown' | 'syrup' | 'two-bottles';
  looks: string;
  /** Dilutions that the label usually gives. */
  label: string;
  use: 'one-shot' | 're-used' | 'either';
  /** General words that people use for it. */
  called: string;
}

/** Signs of each class of developer. Source: common practice and from memory, to be checked. */
export const bottleSigns: Record<DeveloperFamilyId, BottleSigns> = {
  'mq-borax': {
    drawn: 'packet',
    looks: 'Powder in one or two packets that makes a litre or more of clear stock.',
    label: 'stock, or 1+1 to 1+3',
    use: 'either',
    called: 'fine-grain powder, MQ borax, “stock developer”',
  },
  'phenidone-ascorbate': {
    drawn: 'packet',
    looks: 'Powder in two packets, A and B; the stock is clear to pale yellow and dies without warning.',
    label: 'stock, or 1+1 to 1+3',
    use: 'either',
    called: 'vitamin C developer, ascorbate powder',
  },
  'pq-liquid': {
    drawn: 'thin-clear',
    looks: 'Thin liquid, clear to straw yellow, in a bottle of half a litre or more.',
    label: '1+4 to 1+9',
    use: 'either',
    called: 'PQ liquid, universal film developer',
  },
  'pq-liquid-high-dilution': {
    drawn: 'thin-clear',
    looks: 'Thin liquid, clear to yellow; a little goes far.',
    label: '1+9 to 1+19',
    use: 'one-shot',
    called: 'high-dilution PQ, one-shot liquid',
  },
  'hydroquinone-syrup': {
    drawn: 'syrup',
    looks: 'Thick as honey, yellow to amber; it sinks to the bottom of the water in a thread.',
    label: 'syrup 1+31 to 1+63, or a stock of 1+3 first',
    use: 'one-shot',
    called: 'syrup, “the thick one”',
  },
  'p-aminophenol': {
    drawn: 'thin-brown',
    looks:
      'Thin, wine-red to black-brown, in a small dark bottle; strongly alkaline; keeps for years when it is black.',
    label: '1+25, 1+50, 1+100 for stand',
    use: 'one-shot',
    called: 'the old one-shot, “the brown bottle”',
  },
  staining: {
    drawn: 'two-bottles',
    looks: 'Two bottles, A and B, that are mixed only for use; A clear to pink, B clear and slippery.',
    label: '1+1+100 or so: parts of A, of B, of water',
    use: 'one-shot',
    called: 'pyro, catechol, staining developer',
  },
};
