/** Who sells: id, name, place, currency, least order, shipping, and from what it is free. */
export const SUPPLIERS = [
  ['harbour', 'Harbour Parts', 'Inner quay', 'EUR', 0, 890, 15000],
  ['tessil', 'Tessil Works', 'Mill lane', 'EUR', 0, 1450, 60000],
  ['brimble', 'Brimble Fabrication', 'Far shore', 'GBP', 0, 1800, null],
  ['skarvik', 'Skarvik Drivetrain', 'North sound', 'SEK', 40000, 12900, 250000],
  ['oldquay', 'Old Quay Breakers', 'Old quay', 'EUR', 0, 2400, null],
  ['fennmoor', 'Fennmoor Fasteners', 'Fen road', 'EUR', 1500, 490, 6000],
  ['oarsman', 'Oarsman Trade Counter', 'Outer quay', 'EUR', 2500, 690, 12000],
  ['lamplight', 'Lamplight Lane Electrics', 'Lamplight lane', 'EUR', 0, 590, 9000],
  ['sluice', 'Sluice Gate Spares', 'Sluice gate', 'EUR', 0, 750, 10000],
  ['ropewalk', 'Ropewalk Hydraulics', 'Ropewalk', 'EUR', 3000, 990, 20000],
  ['saltpan', 'Saltpan Auto Store', 'Saltpan yard', 'EUR', 0, 690, 8000],
  ['tarpot', 'Tarpot Seals', 'Tarpot row', 'EUR', 0, 490, 7500],
  ['cooperage', 'Cooperage Hose and Clip', 'Cooperage', 'EUR', 1000, 590, 9000],
  ['skerryflash', 'Skerry Flash Service', 'Inner quay', 'EUR', 0, 1200, null],
  ['anchor', 'Anchor Lane Machine Shop', 'Anchor lane', 'EUR', 0, 1900, null],
] as const
