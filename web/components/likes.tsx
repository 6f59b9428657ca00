import { LikeTable } from './like-table.tsx'

/** What each empty list will look like: invented rows. */
export const LIKE = {
  builds: (
    <LikeTable
      heads={['Build', 'Recipient', 'Pairing', 'Likely']}
      rows={[
        ['Heron', 'Library van', 'Alloy four, five-speed', '€ 3 180'],
        ['Wren', 'Farm pickup', 'not chosen yet', '–'],
      ]}
    />
  ),
  pairings: (
    <LikeTable
      heads={['Engine, transmission', 'Open', 'Closed by', 'Pieces']}
      rows={[
        ['Iron six with heavy four-speed', '1', 'Plate 12 mm', '€ 265'],
        ['Alloy four with light five-speed', '–', '', '–'],
      ]}
    />
  ),
  lines: (
    <LikeTable
      heads={['Line, and why in short', 'From', 'State', 'EUR']}
      rows={[
        ['Adapter plate', 'conversion kit', 'in the plan', '265.00'],
        ['Clutch disc', '6 to choose', 'to solve', '40–250'],
        ['Propshaft', 'made to order', 'open', '240.00'],
      ]}
    />
  ),
  budget: (
    <LikeTable
      heads={['Line', 'Place', 'From', 'EUR']}
      rows={[
        ['Adapter plate', 'Bell', 'Kit', '265.00'],
        ['Work, 14 h', '', 'Labour rate', '672.00'],
        ['Likely', '', '', '3 180.00'],
      ]}
    />
  ),
  donors: (
    <LikeTable
      heads={['Term', 'Saloon, rust', 'Hatchback, front hit', 'Bare engine']}
      rows={[
        ['Price', '€ 520', '€ 380', '€ 310'],
        ['Sold on and scrap', '−€ 320', '−€ 90', '–'],
        ['Net cost', '€ 883', '€ 420', '€ 870'],
      ]}
    />
  ),
  kits: (
    <LikeTable
      heads={['Kit', 'Holds', 'Leaves out', 'Price']}
      rows={[['Plate kit', 'plate, dowels, bolts', 'pilot', '€ 369']]}
    />
  ),
  parts: (
    <LikeTable
      heads={['Part', 'Kind', 'Years', 'Numbers']}
      rows={[
        ['Alloy four, second series', 'Engine', '1982–1989', '41720'],
        ['Heavy four-speed', 'Transmission', '1979–', '–'],
      ]}
    />
  ),
  suppliers: (
    <LikeTable
      heads={['Supplier', 'Currency', 'Free over', 'Shipping']}
      rows={[
        ['Quayside parts', 'EUR', '150', '7.90'],
        ['North breakers', 'SEK', '–', '95.00'],
      ]}
    />
  ),
} as const
