/** The letter a picked pairing goes by. */
export const Letter = ({ children }: { children: string }) => (
  <span className="inline-block size-[18px] shrink-0 rounded bg-ink text-center font-semibold text-[12px] text-paper leading-[18px]">
    {children}
  </span>
)
