import type { DocumentWriter } from './document.ts'

/** What people said of vehicles, engines and gearboxes of the three builds: enough that their lists are of their own kind. */
export function traits(doc: DocumentWriter): void {
  const say = (
    owner: 'vehicle' | 'engine' | 'gearbox',
    part: string,
    said: string,
    by: string,
  ): void =>
    void doc.port(
      part,
      `${owner}-traits`,
      'main',
      Object.fromEntries(said.split(/\s+/).map((one) => one.split('='))),
      { grade: 'heard', by, source: 'Seen on the vehicle' },
    )
  // Lantern: a carburettor van and an injected four that lies as it was born.
  say(
    'vehicle',
    'packet',
    'layout=lengthwise driven=two axle=live body=shell frame=none side=left fuel=petrol supply=low return=no throttle=cable box=manual clutch=hydraulic steering=none booster=vacuum cooling=water cluster=senders electronics=none speedo=cable volts=twelve charge=alternator air=no bags=no lock=no started=no evap=no',
    'Ida',
  )
  say(
    'engine',
    'wick-2',
    'born=lengthwise fuel=petrol injection=port return=yes throttle=cable air=natural cooling=water electronics=plain spark=coils timing=belt cams=head emission=catalyst outlet=front vacuum=yes pump=no compressor=no fan=electric hot=right charge=own',
    'Bram',
  )
  say(
    'gearbox',
    'marlund-4',
    'nose=yes release=fork shift=direct case=none output=yoke speedo=cable',
    'Ida',
  )
  // Alder: a four-wheel drive with winch and take-off, a diesel six and an automatic.
  say(
    'vehicle',
    'hawser',
    'layout=lengthwise driven=four axle=live body=rails frame=none side=left fuel=diesel supply=low return=yes throttle=cable box=manual clutch=hydraulic steering=hydraulic booster=vacuum cooling=water cluster=senders electronics=none speedo=cable volts=twelve charge=alternator air=yes bags=no lock=no started=no',
    'Tove',
  )
  say(
    'engine',
    'maul-2',
    'born=lengthwise fuel=diesel injection=pump return=yes throttle=cable air=turbo cooling=water electronics=none spark=none timing=gears cams=block emission=none vacuum=no pump=yes compressor=no fan=belt',
    'Tove',
  )
  say(
    'gearbox',
    'dovrek-4a-maul',
    'nose=no control=cable shift=rods case=bolted output=flange speedo=cable',
    'Tove',
  )
  // Sprat: a crosswise coupé and a later engine of its family, by wire and on a bus.
  say(
    'vehicle',
    'whimbrel',
    'layout=crosswise driven=two axle=independent body=shell frame=none side=left fuel=petrol supply=high return=yes throttle=cable box=manual clutch=hydraulic steering=hydraulic booster=vacuum cooling=water cluster=senders electronics=abs speedo=pulse volts=twelve charge=alternator air=no bags=yes lock=no started=no',
    'Tove',
  )
  say(
    'engine',
    'tarn-3',
    'born=crosswise fuel=petrol injection=port return=no throttle=wire air=natural cooling=water electronics=locked spark=coils timing=chain cams=head emission=catalyst outlet=side vacuum=yes pump=no compressor=no fan=electric',
    'Tove',
  )
  say(
    'gearbox',
    'obrelle-5x',
    'nose=no release=fork shift=cables case=none output=sides speedo=pulse',
    'Tove',
  )
}

/** What was answered for the builds themselves, by whom it belongs to. */
export function answers(doc: DocumentWriter): void {
  const at = '2026-10-21T18:30:00.000Z'
  const say = (buildId: string, by: string, said: string): void =>
    void doc.add('buildSheet', {
      id: `sheet-${buildId}-facts`,
      buildId,
      kind: 'facts',
      answers: Object.fromEntries(
        said.split(/\s+/).map((one) => {
          const [key = '', value = ''] = one.split('=')
          return [key, { value, at, by }]
        }),
      ),
    })
  say(
    'lantern',
    'Ida',
    'build.school=reseal donor.kind=pulled donor.box=manual donor.dry-under=yes donor.coolant-clean=yes donor.oil-clean=yes donor.quiet-below=yes donor.clear-smoke=yes donor.runs-even=yes donor.mounts-whole=yes donor.reason-told=yes donor.far=no engine.hybrid=no engine.fault=no engine.dual-mass=no engine.flat-tappet=no vehicle.rust=no vehicle.tank=clean joint.exhaust=fits joint.axle-load=fits joint.fuel=fits build.runs=no build.cause-stays=no law.noise=no choice.loom=own choice.mounts=bolt',
  )
  say(
    'alder',
    'Tove',
    'build.box=with-engine build.school=as-is donor.kind=vehicle donor.box=automatic choice.vacuum=pump engine.hybrid=no',
  )
  say(
    'sprat',
    'Tove',
    'build.box=with-engine build.school=reseal build.output=raised engine.hybrid=no',
  )
}
