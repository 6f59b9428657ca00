import { all, any, has, is, yes } from '../condition.ts'
import { COMPUTER, DIESEL_IN, ENGINE_IN, GEARBOX_IN, INJECTED, NO_COMPUTER, ROAD, TRAIN_APART, WELD } from './conditions.ts'
import { given, part, service, task } from './row.ts'

export const ORDER_OF_WORK_LINES = [
  ...given(all(TRAIN_APART, yes('build.runs')), [task('hill-cruise-and-consumption-before', 'Hill, cruise and consumption before', 'shop', 'before', [0, 15, 40], [0.4, 0.65, 1.4], 'Without a before there is no after')]),
  ...given(TRAIN_APART, [
    task('old-train-taken-out', 'Old train taken out', 'shop', 'stripping', [0, 0, 0], [6, 10, 18], 'It is in the way', { caution: ['lifting'] }),
    task('mock-up-out-final-fit', 'Mock-up, out again, final fit', 'shop', 'mock-up', [0, 0, 0], [6, 12, 24], 'Twice in is once right', { caution: ['lifting'] }),
    task('first-start-plan', 'First start plan', 'shop', 'first fire', [0, 0, 0], [0.3, 0.55, 1.1], 'Who stands where, and what stops it', { caution: ['first-fire'] }),
    task('sizes-checked-on-arrival', 'Critical sizes checked on arrival', 'shop', 'before', [0, 0, 0], [0.4, 0.8, 1.65], 'Before the right to send it back ends'),
    task('first-1-000-km-and-as-built-sheet', 'First 1,000 km, and the as-built sheet', 'shop', 'after', [0, 20, 60], [0.8, 1.65, 3.3], 'The next one under it will want to know'),
    task('photographs-plugs-and-hoses-labelled-before-stripping', 'Photographs, plugs and hoses labelled before stripping', 'shop', 'stripping', [0, 0, 0], [0.3, 0.55, 1.1], 'Nobody remembers'),
  ]),
  ...given(all(ENGINE_IN, COMPUTER), [task('codes-numbers-and-keys-read-before-battery-off', 'Codes, numbers and keys read before the battery is off', 'wiring', 'before', [0, 0, 0], [0.2, 0.45, 1.1], 'A computer forgets, or locks')]),
  ...given(all(ENGINE_IN, yes('build.stand-run')), [
    part('stand-with-radiator-tank-and-loom', 'Stand with radiator, tank and loom', 'shop', 'before', [20, 80, 260], [1.2, 2.4, 4.8], 'It is to run before it goes in', { level: 'wanted', caution: ['first-fire'] }),
  ]),
  ...given(all(INJECTED, is('vehicle.fuel', 'petrol'), is('vehicle.supply', 'high'), yes('build.runs'), has('pump-of-more-flow')), [
    task('new-pump-proved-with-the-old-engine', 'New pump proved with the old engine', 'tank', 'before', [0, 0, 0], [0.2, 0.45, 1.1], 'One change at a time'),
  ]),
  ...given(all(TRAIN_APART, yes('vehicle.bags')), [service('airbags-left-to-trained-people', 'Airbags left to trained people', 'cab', 'before', [0, 60, 180], [0.1, 0.2, 0.55], 'They go off when handled', { caution: ['airbags'] })]),
  ...given(DIESEL_IN, [task('way-to-choke-a-runaway', 'A way to choke a runaway', 'engine top', 'first fire', [0, 5, 20], [0.05, 0.1, 0.3], 'A diesel can run on its own oil')]),
  ...given(all(ENGINE_IN, is('donor.kind', 'vehicle')), [
    task('donor-stripped', 'Donor stripped', 'shop', 'before', [0, 0, 0], [8, 16, 30], 'What is not wanted is sold', { caution: ['lifting'] }),
    service('hulk-taken-away', 'Hulk taken away', 'shop', 'after', [0, 40, 150], [0.3, 0.55, 1.1], 'The yard fills'),
    task('donor-s-radiator-coolers-tank-pump-axle-judged-before-buying', 'The donor’s radiator, coolers, tank, pump and axle judged before buying', 'shop', 'before', [0, 0, 0], [0.2, 0.45, 1.1], 'What it brings need not be bought'),
    task('donor-s-locks-park-brake-freed-battery-kept-till-read', 'The donor’s locks and park brake freed, battery kept till read', 'shop', 'before', [0, 0, 0], [0.15, 0.35, 0.65], 'A dead battery locks it where it stands'),
    part('stands-wheels-and-a-place-for-the-donor', 'Stands, wheels and a place for the donor', 'shop', 'before', [0, 30, 150], [0.1, 0.25, 0.6], 'It stands there for months'),
  ]),
  ...given(WELD, [task('battery-and-computers-off-before-welding', 'Battery and computers off before welding', 'wiring', 'mock-up', [0, 0, 0], [0.1, 0.15, 0.35], 'Welding current ends computers', { caution: ['welding'] })]),
  ...given(all(TRAIN_APART, ROAD), [task('state-rust-and-completeness-noted-at-intake-signed', 'State, rust and completeness noted at intake, signed', 'papers', 'before', [0, 0, 0], [0.2, 0.4, 0.8], 'Afterwards it is word against word')]),
  ...given(all(TRAIN_APART, yes('vehicle.started')), [task('missing-wrong-and-paid-parts-listed-claims-kept', 'Missing, wrong and paid parts listed, claims kept', 'papers', 'before', [0, 0, 0], [0.55, 1.4, 3.3], 'Somebody else began it')]),
  ...given(all(ENGINE_IN, ROAD), [
    task('crank-height-mount-faces-gaps-measured-before', 'Crank height, mount faces and gaps measured before', 'engine under', 'before', [0, 0, 0], [0.4, 0.65, 1.4], 'The old engine holds the place of the new'),
  ]),
  ...given(GEARBOX_IN, [
    task('old-lever-flange-and-mount-positions-measured-before', 'Positions of old lever, flange and mount measured before', 'gearbox', 'before', [0, 0, 0], [0.3, 0.45, 0.8], 'They are gone with the old gearbox'),
    task('cruise-revs-and-steps-told-against-the-old-gearbox', 'Cruise revs and steps told against the old gearbox', 'shop', 'before', [0, 0, 0], [0.1, 0.15, 0.35], 'That is why it is done'),
  ]),
  ...given(all(ENGINE_IN, is('build.use', 'daily', 'show', 'track')), [task('power-to-mass-told-against-the-old', 'Power to mass told against the old', 'shop', 'before', [0, 0, 0], [0.1, 0.15, 0.35], 'People regret not knowing')]),
  ...given(all(ENGINE_IN, is('build.use', 'towing', 'trail', 'work')), [
    task('hill-crawl-and-pull-told-against-the-old', 'Hill, crawl and pull told against the old', 'shop', 'before', [0, 0, 0], [0.1, 0.15, 0.35], 'People regret not knowing'),
  ]),
  ...given(all(ENGINE_IN, is('build.output', 'raised')), [
    task('claimed-power-net-or-gross-proved-how', 'Claimed power: net or gross, proved how', 'papers', 'before', [0, 0, 0], [0.1, 0.15, 0.35], 'Brochures of old engines say more than they gave'),
  ]),
  ...given(any(all(NO_COMPUTER, is('build.school', 'rebuild')), all(ENGINE_IN, yes('engine.flat-tappet'))), [
    task('oil-primed-by-hand-run-in-kept', 'Oil primed by hand, run-in kept', 'engine under', 'first fire', [0, 5, 30], [0.2, 0.45, 1.1], 'Dry at its first turn, it is worn at its second'),
  ]),
  ...given(TRAIN_APART, [service('waste-and-old-fluids-taken-away', 'Waste and old fluids taken away', 'shop', 'after', [0, 20, 80], [0.2, 0.4, 1], 'Old oil, coolant and cleaners go where the law says')]),
]
