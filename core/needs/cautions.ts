/** What hurts people or ends parts, by id: shown once, at the step that names it. Common practice, no published source. */
export const CAUTIONS = {
  fuel: 'Fuel: injection keeps its pressure for a day. Let it off, catch it, no flame or spark near; hose of the right class only.',
  rail: 'Direct injection and common rail: fluid at this pressure goes through skin, a surgical emergency. Never crack such a pipe; wait, read the rail pressure, renew one-time pipes.',
  battery: 'Battery off first, after codes and keys were read; then wait before work near airbags.',
  airbags: 'Airbags and belt tensioners are left to trained people.',
  'high-voltage': 'Orange cables of a hybrid are left to trained people.',
  welding:
    'Before welding: battery, computers and alternator unplugged; never near fuel, on galvanised or tank metal without training, nor where chlorinated cleaner was used.',
  tanks: 'A fuel tank is never heated, cut or welded here: it explodes when it seems empty.',
  refrigerant: 'Refrigerant is recovered and filled by a licensed technician.',
  lifting:
    'Lifting: rated points or slings, balance found first, sling legs within 60°, the crane at its extended rating; nobody under what hangs; stands on hard floor.',
  rotating:
    'Right class and the maker’s torque, every bolt of the maker’s kept: a wheel or shaft that comes loose kills.',
  'steering-and-brakes':
    'Steering and brakes: clear through full travel and lock, no home-welded steering shaft; a licensed person judges them before the road.',
  'hot-coolant': 'Never open a hot cooling system.',
  springs: 'A compressed spring is held by its tool, never by hand.',
  asbestos: 'Old clutches, brakes and gaskets may hold asbestos: wet, masked, no compressed air.',
  'first-fire':
    'First fire: outdoors, chocked, in neutral, extinguisher at hand, a helper at the battery switch; oil pressure within seconds or stop. Exhaust gas kills indoors.',
  interlock: 'It must not start in gear: the interlock goes through a relay and is tried.',
  cutting:
    'What is cut carried something: rails and crossmembers are for an engineer. A computed verdict is no approval.',
} as const

export type CautionId = keyof typeof CAUTIONS
