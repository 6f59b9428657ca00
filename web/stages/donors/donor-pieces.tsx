/** What of a donor is used, sold or scrapped. */
export function ListRow({
  words,
  lists,
  none,
  bad = false,
}: {
  words: string
  lists: readonly (readonly string[])[]
  none: string
  bad?: boolean
}) {
  return (
    <tr className="border-b border-line align-top">
      <th
        scope="row"
        className="sticky left-0 bg-paper py-1 pr-4 text-[13px] font-normal text-ink [font-stretch:100%]"
      >
        {words}
      </th>
      {lists.map((list, index) => (
        <td key={index} className="py-1 pl-4">
          {list.length === 0 && <span className="text-steel">{none}</span>}
          {list.map((one) => (
            <div key={one} className={bad ? 'my-0.5 border-l-[3px] border-clash pl-2' : ''}>
              {one}
            </div>
          ))}
        </td>
      ))}
    </tr>
  )
}
