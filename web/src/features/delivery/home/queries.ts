import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, data, newId, type Schemas } from '../../../api/client'
import { useTranslated } from '../../../texts/phrases'
import { deliveryKeys } from '../keys'

/** The page that players open; nobody is asked who they are. */
export const useHomePage = (token: string) =>
  useQuery({
    queryKey: deliveryKeys.home(token),
    queryFn: () => data(api.GET('/home/{token}', { params: { path: { token } } })),
    select: useTranslated(),
  })

/** What a coach hands out. */
export const useHandout = (team: string) =>
  useQuery({
    queryKey: deliveryKeys.handout(team),
    queryFn: () => data(api.GET('/teams/{team}/home', { params: { path: { team } } })),
    select: useTranslated(),
  })

export type Report = Omit<Schemas['ReportSaid'], 'id' | 'said_at'>

export function useReport(team: string) {
  const queries = useQueryClient()
  const params = { path: { team } }
  const onSuccess = () => queries.invalidateQueries({ queryKey: deliveryKeys.handout(team) })
  return {
    report: useMutation({
      mutationFn: (said: Report) =>
        api.POST('/teams/{team}/home/reports', {
          params,
          body: { reports: [{ ...said, id: newId(), said_at: new Date().toISOString() }] },
        }),
      onSuccess,
    }),
    renew: useMutation({ mutationFn: () => api.POST('/teams/{team}/home/address', { params }), onSuccess }),
  }
}
