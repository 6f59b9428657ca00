import { all, any, has, is, no, yes } from '../condition.ts'

/** Another engine goes in. */
export const ENGINE_IN = is('build.engine', 'other')
/** Another gearbox goes in. */
export const GEARBOX_IN = is('build.box', 'with-engine', 'apart')
/** Engine and gearbox are parted. */
export const TRAIN_APART = any(ENGINE_IN, GEARBOX_IN)
/** Parted, and the gearbox that will be in is shifted by hand. */
export const MANUAL = all(TRAIN_APART, is('gearbox.type', 'manual'))
/** Parted, and the gearbox that will be in is an automatic. */
export const AUTOMATIC = all(TRAIN_APART, is('gearbox.type', 'automatic'))
/** A computer runs the engine. */
export const COMPUTER = is('engine.electronics', 'plain', 'locked', 'bus')
/** A petrol engine with injection goes in. */
export const INJECTED = all(ENGINE_IN, is('engine.fuel', 'petrol'), is('engine.injection', 'single', 'port', 'direct'))
/** A water-cooled engine goes in. */
export const WATER_COOLED = all(ENGINE_IN, is('engine.cooling', 'water'))
/** A petrol engine goes in. */
export const PETROL_IN = all(ENGINE_IN, is('engine.fuel', 'petrol'))
/** A diesel goes in. */
export const DIESEL_IN = all(ENGINE_IN, is('engine.fuel', 'diesel'))
/** A charged engine goes in. */
export const CHARGED = all(ENGINE_IN, is('engine.air', 'turbo', 'blower'))
/** A propshaft leaves the gearbox. */
export const LENGTHWISE_SHAFT = all(is('vehicle.layout', 'lengthwise'), is('gearbox.output', 'yoke', 'flange'))
/** Shafts leave at its sides. */
export const SIDE_SHAFTS = any(is('vehicle.layout', 'crosswise', 'mid', 'rear'), all(is('vehicle.layout', 'lengthwise'), is('gearbox.output', 'sides')))
/** The castings are the frame of the tractor. */
export const CASTINGS = all(is('vehicle.layout', 'tractor'), is('vehicle.frame', 'castings'))
/** Born crosswise, it goes in lengthwise. */
export const TURNED = all(ENGINE_IN, is('engine.born', 'crosswise'), is('vehicle.layout', 'lengthwise', 'tractor'))
/** Four wheels are driven through a transfer case. */
export const CASE = all(is('vehicle.driven', 'four'), yes('keep.four-wheel-drive'), any(is('gearbox.case', 'bolted', 'apart', 'inside'), all(is('gearbox.case', 'none'), is('choice.case', 'adapter', 'apart'))))
/** The engine is resealed or rebuilt. */
export const RESEALED = is('build.school', 'reseal', 'rebuild')
/** Oil moves the clutch. */
export const HYDRAULIC_CLUTCH = all(MANUAL, any(is('gearbox.release', 'concentric'), is('vehicle.clutch', 'hydraulic', 'none')))
/** The train ends elsewhere than the old one. */
export const TRAIN_MOVES = any(GEARBOX_IN, all(TRAIN_APART, is('build.place', 'set-back')))
/** More heat than the old cooling was made for. */
export const MORE_HEAT = any(is('build.output', 'raised'), is('build.use', 'towing', 'track', 'work'), is('engine.air', 'turbo', 'blower'))
/** The exhaust runs on the side of the steering column. */
export const HOT_COLUMN = all(ENGINE_IN, is('vehicle.layout', 'lengthwise'), any(all(is('vehicle.side', 'left'), is('engine.hot', 'left', 'both')), all(is('vehicle.side', 'right'), is('engine.hot', 'right', 'both'))))
/** The brakes want vacuum, and the engine makes none. */
export const NO_VACUUM = all(ENGINE_IN, yes('keep.brake-assist'), is('vehicle.booster', 'vacuum'), no('engine.vacuum'))
/** Something of the body is cut. */
export const CUT = any(has('tunnel-opened'), has('firewall-recessed'), has('bonnet-raised-or-opened'), has('lever-opening-cut-and-closed'), has('inner-panels-dressed'), has('radiator-support-moved'))
/** Something is welded. */
export const WELD = any(has('brackets-welded'), has('pan-cut-and-welded'), has('crossmember-ears-welded'), has('rust-at-mounts-and-rails-plated'), all(CUT, no('build.bolt-in')))
/** Another gearbox, and the speedometer must still work. */
export const SPEEDOMETER = all(GEARBOX_IN, yes('keep.speedometer'))
/** The deep end of the pan meets what is there. */
export const PAN_CLASH = all(ENGINE_IN, no('engine.sump-clear'))
/** Hydraulic steering assist must still work. */
export const HYDRAULIC_STEERING = all(ENGINE_IN, yes('keep.steering-assist'), is('vehicle.steering', 'hydraulic'))
/** The engine meets the brake booster. */
export const BOOSTER_MEETS = all(ENGINE_IN, yes('keep.brake-assist'), is('room.booster', 'short'))
/** The computer wants its key. */
export const LOCKED = all(ENGINE_IN, is('engine.electronics', 'locked', 'bus'))
/** The gearbox is resealed or rebuilt. */
export const GEARBOX_RESEALED = is('build.box-school', 'reseal', 'rebuild')
/** A vehicle of the road. */
export const ROAD = is('vehicle.layout', 'lengthwise', 'crosswise', 'mid', 'rear')
/** No computer runs the engine. */
export const NO_COMPUTER = all(ENGINE_IN, is('engine.electronics', 'none'))
/** A carburettor engine goes in. */
export const CARBURETTOR = all(ENGINE_IN, is('engine.injection', 'carburettor'))
/** A used engine goes in. */
export const USED_ENGINE = all(ENGINE_IN, is('donor.kind', 'vehicle', 'pulled', 'bare'))
/** The ways chosen ask for a cut. */
export const ASKS_CUT = any(
  all(TRAIN_APART, is('room.tunnel', 'short'), is('choice.tunnel', 'open')),
  all(TRAIN_MOVES, is('joint.lever', 'work', 'bridge'), is('choice.lever', 'cut')),
  all(
    ENGINE_IN,
    any(
      all(is('room.firewall', 'short'), is('choice.firewall', 'recess')),
      all(is('room.bonnet', 'short'), is('choice.bonnet', 'bonnet')),
      all(is('room.width', 'short'), is('choice.width', 'panels')),
      all(is('room.length', 'short'), is('choice.length', 'support')),
    ),
  ),
)
/** The crossmember of the gearbox cannot stay. */
export const MEMBER_MOVES = any(all(GEARBOX_IN, is('joint.gearbox-mount', 'bridge', 'work')), all(ENGINE_IN, is('build.place', 'set-back')))
/** The ways chosen ask for a weld. */
export const ASKS_WELD = any(all(is('joint.engine-mounts', 'bridge'), is('choice.mounts', 'weld')), all(PAN_CLASH, is('choice.sump', 'cut')), all(MEMBER_MOVES, is('choice.member', 'weld')))
/** Something wants a hydraulic pump on the engine. */
export const PUMP_WANTED = any(
  HYDRAULIC_STEERING,
  all(
    ENGINE_IN,
    yes('keep.brake-assist'),
    any(
      all(is('vehicle.booster', 'hydraulic'), any(is('room.booster', 'free'), is('choice.booster', 'smaller', 'hydraulic'))),
      all(is('room.booster', 'short'), is('choice.booster', 'hydraulic')),
      all(is('vehicle.booster', 'vacuum'), no('engine.vacuum'), is('choice.vacuum', 'hydraulic')),
    ),
  ),
)
