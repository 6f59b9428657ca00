import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from 'react'
import type { Pixel } from '../../../core/patterns/from-trace.ts'
import type { Marks, Picture } from './trace-marks.ts'

/** The picture with its marks. A click marks a point; with the keyboard, arrows move the cross (Shift: ten at once), Enter marks. */
export function Canvas({
  picture,
  marks,
  first,
  asks,
  onMark,
}: {
  picture: Picture
  marks: Marks
  first: Pixel | null
  asks: string
  onMark: (point: Pixel) => void
}) {
  const svg = useRef<SVGSVGElement>(null)
  const [cross, setCross] = useState<Pixel | null>(null)
  const unit = Math.max(picture.width, picture.height) / 400
  useEffect(
    () =>
      setCross(
        (held) =>
          held && { x: Math.min(held.x, picture.width), y: Math.min(held.y, picture.height) },
      ),
    [picture],
  )
  const click = (event: PointerEvent): void => {
    const box = svg.current!.getBoundingClientRect()
    onMark({
      x: ((event.clientX - box.left) / box.width) * picture.width,
      y: ((event.clientY - box.top) / box.height) * picture.height,
    })
  }
  const press = (event: KeyboardEvent): void => {
    const step = event.shiftKey ? 10 : 1
    const by = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, -step],
      ArrowDown: [0, step],
    }[event.key]
    const at = cross ?? { x: picture.width / 2, y: picture.height / 2 }
    if (by) {
      event.preventDefault()
      setCross({
        x: Math.min(picture.width, Math.max(0, at.x + by[0]!)),
        y: Math.min(picture.height, Math.max(0, at.y + by[1]!)),
      })
    } else if (event.key === 'Enter') {
      event.preventDefault()
      onMark(at)
    }
  }
  return (
    <svg
      ref={svg}
      role="application"
      aria-label={`Picture of the face. ${asks} Arrows move the cross, Enter marks.`}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: points are marked in it by keyboard.
      tabIndex={0}
      viewBox={`0 0 ${picture.width} ${picture.height}`}
      className="w-full cursor-crosshair touch-none border border-line bg-ground"
      onPointerDown={click}
      onKeyDown={press}
    >
      <image href={picture.url} width={picture.width} height={picture.height} />
      <g className="fill-none stroke-accent" strokeWidth={unit}>
        {marks.known.map(({ from, to }, index) => (
          <g key={index}>
            <path
              d={`M${from.x} ${from.y}L${to.x} ${to.y}`}
              strokeDasharray={`${unit * 4} ${unit * 2}`}
            />
            <text
              x={(from.x + to.x) / 2}
              y={(from.y + to.y) / 2 - unit * 3}
              fontSize={unit * 9}
              className="figure fill-accent"
              strokeWidth={0}
            >
              {index + 1}
            </text>
          </g>
        ))}
        {[...marks.holes, ...marks.dowels].map(({ centre, edge }, index) => (
          <g key={index}>
            <circle
              cx={centre.x}
              cy={centre.y}
              r={Math.hypot(edge.x - centre.x, edge.y - centre.y)}
            />
            <path
              d={`M${centre.x - unit * 3} ${centre.y}h${unit * 6}M${centre.x} ${centre.y - unit * 3}v${unit * 6}`}
            />
          </g>
        ))}
        {marks.axis && (
          <path
            d={`M${marks.axis.x - unit * 9} ${marks.axis.y}h${unit * 18}M${marks.axis.x} ${marks.axis.y - unit * 9}v${unit * 18}`}
          />
        )}
        {first && <circle cx={first.x} cy={first.y} r={unit * 2} className="fill-accent" />}
        {cross && (
          <path
            className="stroke-clash"
            d={`M${cross.x - unit * 8} ${cross.y}h${unit * 16}M${cross.x} ${cross.y - unit * 8}v${unit * 16}`}
          />
        )}
      </g>
    </svg>
  )
}
