import { all, is, no, yes } from '../condition.ts'
import { ENGINE_IN, GEARBOX_IN, ROAD, TRAIN_APART } from './conditions.ts'
import { blocker, given, paper, service } from './row.ts'

export const PAPERS_LINES = [
  ...given(ENGINE_IN, [
    paper('ownership-and-engine-number', 'Ownership and engine number', 'papers', 'before', [0, 10, 60], [0.1, 0.2, 0.6], 'No papers, no certificate, found last'),
    paper('engine-invoice-lien-check', 'Engine’s invoice, lien check', 'papers', 'before', [0, 15, 60], [0.1, 0.2, 0.45], 'A bank’s engine goes back to the bank'),
    paper('insurer-told', 'Insurer told', 'papers', 'after', [0, 40, 250], [0.1, 0.2, 0.45], 'An untold change is no cover'),
    paper('registration-changed', 'Registration changed', 'papers', 'after', [30, 90, 300], [0.2, 0.45, 1.2], 'The engine is in the papers', { only: ROAD }),
    paper('power-plate-and-yard-use-noted', 'Power plate and yard use noted', 'papers', 'after', [0, 15, 80], [0.05, 0.15, 0.45], 'Its power stands on its plate', { only: is('vehicle.layout', 'tractor') }),
  ]),
  ...given(all(TRAIN_APART, yes('law.engineer')), [
    paper('engineer-before', 'Engineer before', 'papers', 'before', [60, 150, 350], [0.15, 0.3, 0.6], 'A certificate is asked for'),
    paper('engineer-at-mock-up', 'Engineer at mock-up', 'papers', 'mock-up', [60, 150, 350], [0.15, 0.3, 0.6], 'A certificate is asked for'),
    paper('engineer-at-the-end', 'Engineer at the end', 'papers', 'after', [80, 220, 500], [0.2, 0.45, 0.9], 'A certificate is asked for'),
  ]),
  ...given(all(ENGINE_IN, no('law.allowed')), [blocker('not-allowed-as-it-is', 'Not allowed as it is', 'papers', 'before', [0, 0, 0], [0, 0, 0], 'The authority said no')]),
  ...given(all(ENGINE_IN, no('engine.papers')), [blocker('papers-missing', 'Papers missing', 'papers', 'before', [0, 0, 0], [0, 0, 0], 'Number and papers are not in hand')]),
  ...given(all(ENGINE_IN, yes('law.noise')), [service('noise-measured', 'Noise measured', 'papers', 'after', [40, 90, 220], [0.3, 0.55, 1.1], 'It is tested')]),
  ...given(all(GEARBOX_IN, is('build.engine', 'kept')), [paper('gearbox-change-told-to-the-insurer', 'Gearbox change told to the insurer', 'papers', 'after', [0, 10, 60], [0.05, 0.1, 0.25], 'An untold change is no cover')]),
  ...given(all(ENGINE_IN, is('donor.kind', 'vehicle')), [paper('donor-s-keeper-papers-scrap-note', 'The donor’s keeper papers and scrap note', 'papers', 'after', [0, 20, 80], [0.1, 0.2, 0.45], 'Its keeper answers for it till then')]),
  ...given(all(ENGINE_IN, is('donor.kind', 'pulled', 'bare')), [
    paper('seller-s-note-from-which-car-why-sold', 'Seller’s note: from which car, why sold', 'papers', 'before', [0, 0, 0], [0.05, 0.05, 0.15], 'Without it the number proves nothing'),
  ]),
  ...given(all(ENGINE_IN, is('build.output', 'raised')), [
    paper('power-increase-asked-of-the-authority', 'Power increase asked of the authority', 'papers', 'before', [0, 20, 120], [0.3, 0.6, 1.5], 'What is allowed may be a share of what it had'),
  ]),
]
