import type { View } from '../../core/recipient/dimensions.ts'

const body = 'fill-none stroke-steel'
const thing = 'fill-bench stroke-steel'

/** What a view shows, in hundredths of its width, 44 high: a sketch of any vehicle with its train, not to scale. */
export function VehicleSketch({ view }: { view: View }) {
  switch (view) {
    case 'side':
      return (
        <g strokeWidth={0.3}>
          <path
            d="M6 30V20C6 17 8 16 12 15.5L34 13L40 4.5H84C88 4.5 92 8 92.5 14V30H88A6 6 0 0 0 80 30H25A6 6 0 0 0 15 30Z"
            className={body}
          />
          <circle cx={20} cy={31} r={5} className={thing} />
          <circle cx={84} cy={31} r={5} className={thing} />
          <rect x={8} y={17} width={1.4} height={10} className={thing} />
          <path d="M18 20H33V29H28L26 33H19L18 29Z" className={thing} />
          <path d="M33 20L39 22V27L33 29Z" className={thing} />
          <path d="M39 22H57V27H39Z" className={thing} />
          <path d="M46 22L44.5 14" className={body} strokeWidth={0.5} />
          <path d="M57 24.5L78 29.5" className={body} strokeWidth={0.5} />
          <rect x={49} y={28} width={6} height={1.6} className={thing} />
          <rect x={23.5} y={27} width={3} height={2} className={thing} />
          <circle cx={82} cy={30} r={2.6} className={thing} />
        </g>
      )
    case 'top':
      return (
        <g strokeWidth={0.3}>
          <path
            d="M6 10C6 7 8 6 12 6H88C92 6 94 9 94 14V30C94 35 92 38 88 38H12C8 38 6 37 6 34Z"
            className={body}
          />
          <rect x={8} y={13} width={1.4} height={18} className={thing} />
          <rect x={18} y={15} width={15} height={14} className={thing} />
          <path d="M33 16L39 19V25L33 28Z" className={thing} />
          <rect x={39} y={19} width={18} height={6} className={thing} />
          <path d="M57 22H78" className={body} strokeWidth={0.5} />
          <path d="M82 9V35" className={body} strokeWidth={0.7} />
          <circle cx={82} cy={22} r={3.4} className={thing} />
          <path d="M20 9V12M20 32V35" className={body} strokeWidth={0.7} />
          <rect x={25} y={10.5} width={3.5} height={2} className={thing} />
          <rect x={25} y={31.5} width={3.5} height={2} className={thing} />
          <rect x={53} y={16} width={2} height={12} className={thing} />
        </g>
      )
    case 'front':
      return (
        <g strokeWidth={0.3}>
          <path d="M14 40V16C14 8 24 5 50 5S86 8 86 16V40" className={body} />
          <path d="M16 40L18 20H25L24 40M84 40L82 20H75L76 40" className={thing} />
          <path d="M36 12H64L66 30H60L57 37H43L40 30H34Z" className={thing} />
          <circle cx={50} cy={26} r={3.5} className={body} />
          <circle cx={72} cy={22} r={5} className={thing} />
          <circle cx={28} cy={30} r={1.6} className={thing} />
          <path d="M33 37L41 33M67 37L59 33" className={body} strokeWidth={0.5} />
        </g>
      )
    case 'tunnel':
      return (
        <g strokeWidth={0.3}>
          <path d="M6 10C24 12 50 17 94 18" className={body} strokeWidth={0.5} />
          <path d="M6 36H94" className={body} strokeDasharray="1.4 1" />
          <path d="M12 20H30V34H12ZM30 22H66V33H30ZM66 21H90V35H66Z" className={thing} />
        </g>
      )
  }
}
