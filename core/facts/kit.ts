import { yesNo } from './fact-row.ts'

/** What is known of the kit that joins engine and gearbox. */
export const KIT_FACTS = {
  'kit.in': yesNo('Is a kit used?', { found: 'Sourcing' }),
  'kit.dowels': yesNo('Does it come with its dowels?', { found: 'advert, box' }),
  'kit.hardware': yesNo('Does it come with its bolts?', { found: 'advert, box' }),
  'kit.told': yesNo('Does it come with instructions?', { found: 'advert, box' }),
  'kit.crank-bolts': yesNo('Does it keep every crank bolt?', { found: 'advert, box' }),
  'kit.holes': yesNo('Are its dowel holes milled or reamed?', { found: 'advert, maker' }),
  'kit.class': yesNo('Are bolt class and plate material told?', { found: 'advert, maker' }),
  'kit.whole': yesNo('Is its plate of one piece?', { found: 'advert, maker' }),
  'kit.reports': yesNo('Are failures of it reported?', { found: 'others who run one' }),
  'kit.proven': yesNo('Has somebody run one?', { found: 'others who run one' }),
} as const
