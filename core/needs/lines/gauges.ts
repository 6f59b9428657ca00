import { all, has, is, yes } from '../condition.ts'
import { COMPUTER, DIESEL_IN, ENGINE_IN, NO_COMPUTER } from './conditions.ts'
import { given, part, task } from './row.ts'

export const GAUGES_LINES = [
  ...given(all(ENGINE_IN, yes('keep.gauges')), [
    part('oil-pressure-and-temperature-senders', 'Oil pressure and temperature senders', 'engine top', 'wiring', [12, 35, 100], [0.1, 0.15, 0.4], 'Gauge and sender are a pair', { comes: ['engine', 'recipient'] }),
    part('rev-counter-from-the-coil', 'Rev counter from the coil', 'cab', 'wiring', [0, 15, 60], [0.1, 0.25, 0.6], 'It counts sparks', { only: all(NO_COMPUTER, is('engine.spark', 'distributor')) }),
    part('rev-counter-from-the-computer', 'Rev counter from the computer', 'cab', 'wiring', [5, 25, 90], [0.1, 0.3, 0.8], 'The computer gives it out', { only: COMPUTER }),
    part('rev-counter-from-alternator-or-pump', 'Rev counter from alternator or pump', 'cab', 'wiring', [20, 60, 160], [0.2, 0.4, 1.2], 'There is neither coil nor computer', { only: all(DIESEL_IN, is('engine.electronics', 'none')) }),
    task('gauges-proved', 'Gauges proved against a reference', 'cab', 'shakedown', [0, 0, 0], [0.2, 0.45, 1.1], 'A gauge is trusted after that'),
  ]),
  ...given(all(ENGINE_IN, yes('keep.gauges'), is('vehicle.cluster', 'senders'), COMPUTER), [
    part('sender-and-rev-counter-adapters', 'Sender and rev counter adapters', 'cab', 'wiring', [10, 40, 140], [0.15, 0.4, 1.2], 'Old gauges, new engine'),
  ]),
  ...given(all(ENGINE_IN, yes('keep.gauges'), is('vehicle.cluster', 'bus')), [
    part('gateway-to-the-cluster', 'Gateway to the cluster', 'cab', 'wiring', [120, 320, 800], [1.2, 2.8, 6.4], 'Chosen: the cluster listens to a bus', { only: is('choice.cluster', 'gateway') }),
    part('cluster-of-the-donor', 'Cluster of the donor', 'cab', 'wiring', [40, 160, 480], [4, 9, 20], 'Chosen: the donor’s own', { only: is('choice.cluster', 'donor'), comes: ['vehicle'] }),
    part('new-gauges-and-panel', 'New gauges and panel', 'cab', 'wiring', [150, 350, 800], [4, 8, 16], 'Chosen', { only: is('choice.cluster', 'new') }),
    task('gauges-left-dead-said-so', 'Gauges left dead, and said so', 'cab', 'before', [0, 0, 0], [0.05, 0.1, 0.2], 'Chosen', { only: is('choice.cluster', 'dead') }),
  ]),
  ...given(all(ENGINE_IN, yes('keep.gauges'), is('vehicle.cluster', 'senders'), NO_COMPUTER), [
    part('sender-threads-and-range-matched', 'Sender threads and range matched', 'engine top', 'wiring', [6, 20, 60], [0.1, 0.2, 0.6], 'An old engine meets old gauges of another maker'),
  ]),
  ...given(all(ENGINE_IN, yes('keep.gauges'), is('vehicle.volts', 'six', 'twentyfour')), [part('gauges-fed-by-a-reducer', 'Gauges fed by a reducer', 'cab', 'wiring', [12, 35, 100], [0.2, 0.4, 1.2], 'They were made for another voltage')]),
  ...given(has('gateway-to-the-cluster'), [task('place-for-the-gateway-its-file-and-updates', 'Place for the gateway, its file and updates', 'cab', 'wiring', [0, 5, 20], [0.15, 0.35, 0.8], 'Its file is lost with the one who wrote it')]),
]
