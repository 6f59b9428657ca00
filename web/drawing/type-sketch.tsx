import type { Template } from '../../core/templates/template.ts'

const LINE = 'fill-none stroke-ink'
const SOLID = 'fill-bench stroke-ink'
/** Share of an engine's height below its crank. */
const BELOW_CRANK = 0.28
/** How much of an engine's length its cylinders take, and of its height its head. */
const CYLINDERS = 0.8
const HEAD = 0.22
/** A wheel, and how far a body stands over its axle line, mm (common practice). */
const WHEEL = 320
const ROOF = 1050

/** A figure of a type, mm; none where it has none. */
function figure({ ports }: Template, kind: string, field: string): number | null {
  const value = ports.find((port) => port.kind === kind)?.fields[field]?.[0]
  return typeof value === 'number' ? value : null
}
const said = ({ ports }: Template, kind: string, field: string): unknown =>
  ports.find((port) => port.kind === kind)?.fields[field]?.[0]

/** A type seen from its left side, front to the left, from the lengths it is assumed to have. */
export function TypeSketch({ template }: { template: Template }) {
  if (template.kind === 'vehicle') return <VehicleSide template={template} />
  if (template.kind === 'engine') return <EngineSide template={template} />
  return <GearboxSide template={template} />
}

const Frame = ({
  box: [x, y, width, height],
  words,
  children,
}: {
  box: readonly [number, number, number, number]
  words: string
  children: React.ReactNode
}) => (
  <svg
    viewBox={`${x - width * 0.04} ${y - height * 0.04} ${width * 1.08} ${height * 1.08}`}
    role="img"
    aria-label={`${words}, from the left`}
    className="h-[84px] w-full"
    style={{ strokeWidth: width / 240 }}
  >
    {children}
  </svg>
)

/** Block, head or heads, cylinders and pan, x from the front pulley. */
function EngineSide({ template }: { template: Template }) {
  const length = figure(template, 'outline', 'lengthMm') ?? 560
  const height = figure(template, 'outline', 'heightMm') ?? 640
  const isVee = said(template, 'engine-traits', 'hot') === 'both'
  const count = /eight/.test(template.id) ? 8 : /six/.test(template.id) ? 6 : 4
  const inBank = isVee ? count / 2 : count
  const up = height * (1 - BELOW_CRANK)
  const head = height * HEAD
  const bore = (length * CYLINDERS) / inBank
  return (
    <Frame box={[-40, -up, length + 60, height]} words={template.words}>
      <rect x={0} y={-up + head} width={length} height={up - head} className={SOLID} />
      <rect x={length * 0.04} y={-up} width={length * 0.92} height={head} className={SOLID} />
      {isVee && <path d={`M0 ${-up + head * 2.2}H${length}`} className={LINE} />}
      {Array.from({ length: inBank }, (_, i) => (
        <rect
          key={length * (0.1 + i)}
          x={length * 0.1 + i * bore + bore * 0.12}
          y={-up + head * 1.15}
          width={bore * 0.76}
          height={(up - head) * 0.5}
          className={LINE}
        />
      ))}
      <path
        d={`M${length * 0.03} 0L${length * 0.08} ${height * BELOW_CRANK}H${length * 0.5}L${length * 0.62} ${height * BELOW_CRANK * 0.6}H${length * 0.97}V0Z`}
        className={SOLID}
      />
      <circle cx={-18} cy={0} r={height * 0.1} className={SOLID} />
      <path d={`M-40 0H${length + 20}`} className={LINE} strokeDasharray="12 8" />
    </Frame>
  )
}

/** Bell and case; a converter's hump where it has one; outputs to the back or to the sides. */
function GearboxSide({ template }: { template: Template }) {
  const bell = figure(template, 'outline', 'bellMm') ?? 170
  const length = figure(template, 'outline', 'lengthMm') ?? 600
  const height = figure(template, 'outline', 'heightMm') ?? 330
  const isAutomatic = said(template, 'ratios', 'type') === 'automatic'
  const isSides = said(template, 'gearbox-traits', 'output') === 'sides'
  const tall = height * 0.62
  return (
    <Frame box={[-20, -height / 2, length + 60, height]} words={template.words}>
      <path
        d={`M0 ${-height / 2}V${height / 2}L${bell} ${tall / 2}V${-tall / 2}Z`}
        className={SOLID}
      />
      <rect
        x={bell}
        y={-tall / 2}
        width={(length - bell) * (isSides ? 1 : 0.7)}
        height={tall}
        className={SOLID}
      />
      {isAutomatic && (
        <rect
          x={bell * 1.1}
          y={tall / 2}
          width={(length - bell) * 0.55}
          height={height * 0.14}
          className={SOLID}
        />
      )}
      {isSides ? (
        <circle cx={bell * 0.9} cy={height * 0.22} r={height * 0.12} className={SOLID} />
      ) : (
        <path
          d={`M${bell + (length - bell) * 0.7} ${-tall * 0.32}L${length} ${-tall * 0.18}V${tall * 0.18}L${bell + (length - bell) * 0.7} ${tall * 0.32}Z`}
          className={SOLID}
        />
      )}
      {!isAutomatic && (
        <path
          d={`M${bell + (length - bell) * 0.55} ${-tall / 2}l${isSides ? 0 : -18} ${-height * 0.2}`}
          className={LINE}
        />
      )}
      <path d={`M-20 0H${length + 40}`} className={LINE} strokeDasharray="12 8" />
    </Frame>
  )
}

/** Body by its bay, axles and firewall; the train as it lies. */
function VehicleSide({ template }: { template: Template }) {
  const layout = said(template, 'vehicle-traits', 'layout') ?? said(template, 'outline', 'layout')
  const front = figure(template, 'outline', 'frontAxleMm') ?? 450
  const rear = figure(template, 'outline', 'rearAxleMm') ?? 3000
  const wall = figure(template, 'outline', 'firewallMm') ?? 1000
  const face = figure(template, 'outline', 'blockFaceMm') ?? 900
  const isTractor = layout === 'tractor'
  const isOpen = /roadster|tractor/.test(template.id)
  const isVan = /van|four-by-four/.test(template.id)
  const bonnet = -ROOF * 0.52
  const roof = isOpen ? -ROOF * 0.62 : isVan ? -ROOF * 1.25 : -ROOF
  const tail = rear + 620
  const isBehind = layout === 'mid' || layout === 'rear'
  // Behind the seats the wall is: the screen stands ahead of it.
  const screen = isBehind ? front + 250 : wall - 60
  const roofEnd = isOpen ? screen + 440 : isVan ? tail : isBehind ? rear - 500 : rear - 150
  const engine = layout === 'mid' ? rear - 700 : layout === 'rear' ? rear + 120 : face - 560
  return (
    <Frame box={[-420, roof, tail + 520, -roof + WHEEL]} words={template.words}>
      {isTractor ? (
        <path
          d={`M-100 -120V${bonnet * 1.2}H${wall}V${-180}H${tail - 500}V-80H${wall}V-120Z`}
          className={SOLID}
        />
      ) : (
        <path
          d={`M-400 -60V${bonnet * 0.8}L${-300} ${bonnet}H${screen}L${screen + 380} ${roof}H${roofEnd}L${isVan ? tail : rear + 250} ${isOpen ? bonnet : bonnet * 1.05}H${tail}V-60Z`}
          className={SOLID}
        />
      )}
      <circle cx={front} cy={0} r={isTractor ? WHEEL * 0.8 : WHEEL} className={SOLID} />
      <circle
        cx={rear}
        cy={isTractor ? -160 : 0}
        r={isTractor ? WHEEL * 1.6 : WHEEL}
        className={SOLID}
      />
      <path
        d={`M${isBehind ? rear - 900 : wall} ${bonnet}V-60`}
        className={LINE}
        strokeDasharray="40 30"
      />
      <rect
        x={engine}
        y={bonnet * 0.85}
        width={layout === 'crosswise' || layout === 'mid' ? 420 : 560}
        height={-bonnet * 0.7}
        className={LINE}
      />
      {!isTractor && layout === 'lengthwise' && (
        <path d={`M${engine + 560} -180H${engine + 1200}L${rear} 0`} className={LINE} />
      )}
    </Frame>
  )
}
