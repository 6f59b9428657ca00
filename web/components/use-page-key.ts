import { type Options, useHotkeys } from 'react-hotkeys-hook'

/** A key of the page or of its list: dead in fields, which take letters themselves; a choice of one takes none, so there it works. */
export function usePageKey(key: string, act: () => void, options: Options = {}): void {
  useHotkeys(key, act, { enableOnFormTags: ['radio'], ...options })
}
