import type { ListKind } from './lists.ts'

/** A few invented rows of each list, to begin from. */
export const LIST_SAMPLES: Readonly<Record<ListKind, readonly Readonly<Record<string, string>>[]>> =
  {
    parts: [
      {
        name: 'Clutch disc 225, 23 splines',
        kind: 'disc',
        issuer: 'MLD',
        number: '417.60',
        otherNumbers: 'HBP: 3160',
        mass: '1.1 kg',
        fromYear: '1976',
        toYear: '1984',
      },
      { name: 'Thermostat 82', issuer: 'HBP', number: '4410', mass: '90 g', note: 'With its seal' },
    ],
    numbers: [
      {
        part: 'MLD 417.20',
        issuer: 'HBP',
        number: 'HBP 3120',
        mark: 'catalogue',
        grade: 'catalogue',
        source: 'List of spring',
        on: '2026-03-14',
      },
      { part: 'MLD 417.20', issuer: 'MLD', number: '417 C', mark: 'cast', grade: 'measured' },
    ],
    supersessions: [
      {
        issuer: 'MLD',
        old: '520.10',
        new: '520.14',
        back: 'yes',
        since: '1988-04',
        grade: 'maker',
      },
      {
        set: 'pump',
        issuer: 'MLD',
        old: '611.1',
        new: '611.2',
        newQuantity: '1',
        back: 'no',
        engine: 'Kessarn Wick',
      },
      { set: 'pump', issuer: 'MLD', old: '611.1', new: '611.9', newQuantity: '2', back: 'no' },
    ],
    interchange: [
      { group: 'seal', serves: 'yes', market: 'north', grade: 'heard', source: 'Counter' },
      { group: 'seal', issuer: 'MLD', number: '702.4', way: 'both' },
      { group: 'seal', issuer: 'TRP', number: 'S 44', way: 'serves' },
    ],
    applications: [
      {
        issuer: 'MLD',
        number: '520.14',
        fits: 'yes',
        vehicle: 'Marlund Packet',
        from: '1976',
        to: '1984',
        gearbox: 'manual',
        grade: 'maker',
      },
      {
        issuer: 'MLD',
        number: '520.14',
        fits: 'no',
        vehicle: 'Marlund Packet',
        vehicleGenerations: 'late',
        grade: 'maker',
      },
    ],
    suppliers: [
      {
        name: 'Gannet Row Spares',
        place: 'Gannet row',
        currency: 'EUR',
        minimum: '20.00',
        shipping: '6.50',
        freeOver: '90.00',
        returnDays: '14',
      },
    ],
    kits: [
      {
        kit: 'Gannet pilot kit',
        price: '39.00',
        currency: 'EUR',
        taxIncluded: 'yes',
        omits: 'Grease',
        kind: 'pilot',
        issuer: 'GNR',
        number: 'P 15',
        words: 'Pilot bush 15',
        quantity: '1',
        hadAgain: 'Turned from bronze',
      },
      {
        kit: 'Gannet pilot kit',
        kind: 'disc',
        issuer: 'GNR',
        number: 'D 225',
        words: 'Clutch disc 225',
        quantity: '1',
      },
    ],
  }
