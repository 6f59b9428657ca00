import { isIP } from 'node:net'
import { hostname } from 'node:os'

const LOOPBACK = new Set(['localhost', '127.0.0.1', '::1'])

/**
 * Whether Junket answers as a host. On this machine as its loopback names only; beyond it as any address written in
 * figures, the machine's own name, and the names it was given: never as another's name that was pointed here.
 *
 * @param header the Host header, port included
 * @param isOpen bound beyond this machine
 * @param names names it is reached by, as behind a proxy that ends TLS
 */
export function answersAs(
  header: string | undefined,
  isOpen: boolean,
  names: readonly string[],
): boolean {
  const host = (header ?? 'localhost')
    .replace(/:\d+$/, '')
    .replace(/^\[|\]$/g, '')
    .toLowerCase()
  if (LOOPBACK.has(host)) return true
  if (!isOpen) return false
  const own = hostname().toLowerCase()
  return (
    isIP(host) !== 0 ||
    host === own ||
    host === `${own}.local` ||
    names.some((name) => name.toLowerCase() === host)
  )
}
