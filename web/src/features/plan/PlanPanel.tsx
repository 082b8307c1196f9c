// The panel beside the floor: the chosen session, wishes, approaches compared, surfaces, or the forecast.
import Box from '@mui/material/Box'
import type { Curriculum, Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { Choice } from '../../ui/Choice'
import { PANEL } from '../../ui/placing'
import { type At, PANELS, type Panel } from './at'
import { ComparePanel } from './ComparePanel'
import { FeetPanel } from './FeetPanel'
import { ForecastPanel } from './ForecastPanel'
import type { Change, Edit, useChanges } from './queries'
import { SessionInspector } from './SessionInspector'
import { WishesPanel } from './WishesPanel'

interface Props {
  view: Curriculum
  panel: Panel
  at: At
  forecast: Schemas['Forecast'] | undefined
  soFar: Schemas['SoFar'] | undefined
  busy: boolean
  changes: ReturnType<typeof useChanges>
  onPanel: (panel: Panel) => void
  onChoose: (at: At) => void
  onChange: (change: Change) => void
  onEdit: (edit: Edit) => void
}

export function PlanPanel(props: Props) {
  const { view, panel, at, forecast, soFar, busy, changes, onPanel, onChoose, onChange, onEdit } = props
  const { wish, season, solve } = changes
  return (
    <Box component="aside" className="no-print" aria-label={t(`plan-panel-${panel}`)} sx={PANEL}>
      <Choice
        label={t('plan-panels')}
        options={PANELS}
        chosen={[panel]}
        says={(each) => t(`plan-panel-${each}`)}
        onToggle={onPanel}
      />
      {panel === 'session' && <SessionInspector {...{ view, at, busy, onChoose, onEdit, onChange }} />}
      {panel === 'wishes' && (
        <WishesPanel
          view={view}
          saving={busy}
          onChange={onChange}
          onSeason={(body) => season.mutate(body)}
          onReplan={() => solve.mutate({ near: false })}
        />
      )}
      {panel === 'compare' && (
        <ComparePanel
          view={view}
          onTake={(approach) =>
            wish.mutate((wishes) => ({ ...wishes, approach }), {
              onSuccess: () => solve.mutate({ near: false, seed: 1 }),
            })
          }
        />
      )}
      {panel === 'feet' && <FeetPanel id={view.id} version={view.version} />}
      {panel === 'forecast' && (
        <ForecastPanel view={view} forecast={forecast} soFar={soFar} onChange={onChange} />
      )}
    </Box>
  )
}
