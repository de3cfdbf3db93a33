import { useQuery } from '@tanstack/react-query'
import { api } from '../state/api'

/** Whose bench this is, and whether others reach it. */
export const useMe = () => useQuery({ queryKey: ['me'], queryFn: api.me, staleTime: 60_000 }).data
