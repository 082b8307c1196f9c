// A week of a team: minutes by strand, what falls short, and the log of each session.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { Link } from 'react-router'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { told } from '../../../texts/told'
import { asDay, asNumber, asTime, Figure } from '../../../ui/figures'
import { OUTCOME_SIGN } from '../../../ui/outcomes'
import { PANEL } from '../../../ui/placing'
import { STRANDS, StrandSwatch } from '../../../ui/strands'
import { useSquad } from '../../assessment/squad/queries'
import { useSession } from '../../people/session'
import type { SessionHeld } from '../today/log'
import { useSessions, useTeamSession } from '../today/queries'
import { CameOff } from '../weeks/CameOff'
import { OwnDialog } from '../weeks/OwnDialog'

interface Props {
  curriculum: string
  team: Schemas['TeamDelivery'] | undefined
  week: Schemas['WeekTally'] | undefined
}

export function WeekInspector({ curriculum, team, week }: Props) {
  return (
    <Box component="aside" sx={PANEL}>
      {!team || !week ? (
        <Typography color="text.secondary">{t('sessions-choose')}</Typography>
      ) : (
        <>
          <Typography variant="h2">{team.team}</Typography>
          <Typography color="text.secondary">
            {t('plan-week', { n: week.week })} · {t('today-edition', { n: team.edition_number })}
          </Typography>
          {week.logs_missing > 0 && (
            <Typography color="error">{t('sessions-logs-missing', { n: week.logs_missing })}</Typography>
          )}
          {week.cancelled > 0 && <Typography>{t('sessions-cancelled', { n: week.cancelled })}</Typography>}
          <ByStrand week={week} />
          <OfTeam curriculum={curriculum} team={team.id} />
          <Button
            component={Link}
            to={`/squads/${team.id}`}
            size="small"
            variant="text"
            sx={{ mt: 1, ml: -1.5 }}
          >
            {t('board-open')}
          </Button>
          <Settings key={team.id} curriculum={curriculum} team={team.id} />
          {team.drift.short.length > 0 && (
            <>
              <Typography variant="h2" sx={{ mt: 2 }}>
                {t('sessions-short')}
              </Typography>
              {team.drift.short.map((short, i) => (
                <Typography key={i}>{told(short)}</Typography>
              ))}
            </>
          )}
          <Logs key={`${team.id} ${week.week}`} curriculum={curriculum} team={team.id} week={week.week} />
        </>
      )}
    </Box>
  )
}

/** The team's own days and ground in the edition that holds now. */
function Settings({ curriculum, team }: { curriculum: string; team: string }) {
  const [open, setOpen] = useState(false)
  const director = useSession().data?.role === 'director'
  const edition = useSessions(team).data?.sessions.findLast(
    (entry) => entry.curriculum === curriculum,
  )?.edition
  if (!director || !edition) return null
  return (
    <>
      <Button size="small" variant="text" onClick={() => setOpen(true)} sx={{ mt: 1, ml: -1.5 }}>
        {t('own-open-theirs')}
      </Button>
      {open && <OwnDialog team={team} edition={edition} onClose={() => setOpen(false)} />}
    </>
  )
}

function ByStrand({ week }: { week: Schemas['WeekTally'] }) {
  return (
    <Table size="small" sx={{ mt: 1 }}>
      <TableHead>
        <TableRow>
          <TableCell sx={{ pl: 0 }} />
          <TableCell align="right">{t('sessions-planned')}</TableCell>
          <TableCell align="right">{t('sessions-delivered')}</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {STRANDS.map((strand, i) => (
          <TableRow key={strand}>
            <TableCell sx={{ pl: 0 }}>
              <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
                <StrandSwatch strand={strand} width={24} />
                {t(`strand-${strand}`)}
              </Box>
            </TableCell>
            <TableCell align="right">
              <Figure sx={{ fontSize: '1.1rem' }}>
                {t('minutes', { n: asNumber(week.planned[i] ?? 0) })}
              </Figure>
            </TableCell>
            <TableCell align="right">
              <Figure sx={{ fontSize: '1.1rem' }}>
                {t('minutes', { n: asNumber(week.delivered[i] ?? 0) })}
              </Figure>
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  )
}

function OfTeam({ curriculum, team }: { curriculum: string; team: string }) {
  const read = useSessions(team).data
  const edition = read?.sessions.findLast((entry) => entry.curriculum === curriculum)?.edition
  return <CameOff knack={read?.came_off.find((came) => came.edition === edition)?.knack} exactly />
}

function Logs({ curriculum, team, week }: { curriculum: string; team: string; week: number }) {
  const read = useSessions(team).data
  const ofWeek =
    read?.sessions.filter(
      (entry) => entry.curriculum === curriculum && entry.week === week && entry.date <= read.today,
    ) ?? []
  return ofWeek.map((entry) => <Log key={entry.date} team={team} entry={entry} />)
}

function Log({ team, entry }: { team: string; entry: Schemas['SessionEntry'] }) {
  const shown = useTeamSession(team, entry.edition, entry.session).data
  const players = useSquad(team).data?.players.length ?? 0
  if (!shown) return null
  // A device may hold a log from before notes named players.
  const { log }: Pick<SessionHeld, 'log'> = shown
  const about = log.note_about ?? []
  return (
    <Box component="section" sx={{ mt: 2 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          {asDay(entry.date)}
        </Typography>
        <Button
          component={Link}
          to={`/print/session/${team}/${entry.edition}/${entry.session}`}
          size="small"
          variant="text"
        >
          {t('print-card')}
        </Button>
      </Box>
      {entry.upset && (
        <Typography>
          {entry.upset.left === 0 ? t('weeks-cancelled') : t('weeks-shortened', { left: entry.upset.left })}
        </Typography>
      )}
      {log.missing && (
        <Typography>{t('log-count', { here: players - log.missing.length, all: players })}</Typography>
      )}
      {shown.running_order.blocks.map((block, i) => {
        const said = log.outcomes.find((outcome) => outcome.block === block.id)
        return (
          <Typography key={i} variant="body2" color={said ? undefined : 'text.secondary'}>
            <Box
              component="span"
              sx={{ display: 'inline-block', width: 18, fontWeight: 800 }}
              aria-label={said ? t(`outcome-${said.outcome}`) : t('log-nothing')}
              role="img"
            >
              {said ? OUTCOME_SIGN[said.outcome] : '·'}
            </Box>
            {block.title}
            {said?.success != null && `, ${t('log-tenths', { n: said.success / 10 })}`}
            {said?.ran && `, ${t(`ran-${said.ran}`)}`}
          </Typography>
        )
      })}
      {log.note && <Typography sx={{ fontStyle: 'italic' }}>“{log.note}”</Typography>}
      {about.length > 0 && (
        <Typography variant="body2">
          {t('log-note-of', { names: about.map((player) => player.name).join(', ') })}
        </Typography>
      )}
      {log.history.length > 0 && (
        <Typography variant="caption" color="text.secondary">
          {[...new Set(log.history.map((said) => said.by))].join(', ')} ·{' '}
          {asTime(log.history.at(-1)?.at ?? '')}
        </Typography>
      )}
    </Box>
  )
}
