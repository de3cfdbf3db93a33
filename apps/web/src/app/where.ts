import { STATIONS, type Station } from '@snug/core'
import { useLocation, useNavigate, useParams } from 'react-router'
import { useCallback } from 'react'

const isStation = (s: string | undefined): s is Station => STATIONS.includes(s as Station)

const query = (of: Record<string, string | undefined>): string => {
  const said = new URLSearchParams(Object.entries(of).flatMap(([k, v]) => (v === undefined ? [] : [[k, v]]))).toString()
  return said && `?${said}`
}

/** Which build, station and thing are in hand: the address says it, so a reload or a link finds the same place. */
export function useWhere() {
  const { id = '' } = useParams()
  const { pathname, state } = useLocation()
  const [, , , station, thing] = pathname.split('/')
  const navigate = useNavigate()
  const here = isStation(station) ? station : undefined
  // Within a station what lies over its list stays there; see Workspace.
  const kept = state as { over?: true } | null
  const go = useCallback(
    (to: Station, hand?: string, replace = false, tab?: string, atBench = false) =>
      void navigate(
        `/builds/${id}/${to}${hand ? `/${encodeURIComponent(hand)}` : ''}${query({ tab, at: atBench ? 'bench' : undefined })}`,
        // One thing after the other over the list is one place: the way back from any of them leads to the list.
        { replace: replace || (to === here && kept?.over === true), state: to === here ? kept : null },
      ),
    [id, navigate, here, kept],
  )
  return { id, station: here, thing: thing ? decodeURIComponent(thing) : undefined, go }
}
