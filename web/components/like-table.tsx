/**
 * What a list will look like once there is something in it: heads and a few rows, pale, for the eye only. Of each row the
 * last cell is a figure.
 */
export const LikeTable = ({
  heads,
  rows,
}: {
  heads: readonly string[]
  rows: readonly (readonly string[])[]
}) => (
  <div aria-hidden className="mt-6 max-w-3xl select-none opacity-45 print:hidden">
    <div className="grid border-b border-ink" style={columns(heads.length)}>
      {heads.map((head) => (
        <span key={head} className="narrow py-1 font-semibold text-steel last:text-right">
          {head}
        </span>
      ))}
    </div>
    {rows.map((row) => (
      <div key={row[0]} className="grid border-b border-line py-1.5" style={columns(heads.length)}>
        {row.map((cell, i) => (
          <span
            key={heads[i]}
            className={i === 0 ? 'font-bold' : i === row.length - 1 ? 'figure text-right' : ''}
          >
            {cell}
          </span>
        ))}
      </div>
    ))}
  </div>
)

const columns = (count: number) => ({
  gridTemplateColumns: `2fr repeat(${count - 1}, minmax(0, 1fr))`,
})
