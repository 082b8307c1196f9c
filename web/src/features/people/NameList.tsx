// The list that opens behind the name.
import Divider from '@mui/material/Divider'
import ListSubheader from '@mui/material/ListSubheader'
import Menu from '@mui/material/Menu'
import MenuItem from '@mui/material/MenuItem'
import { Link } from 'react-router'
import { LANGUAGES, type Schemas } from '../../api/client'
import { useKeeps } from '../../storage/device'
import { useOutbox } from '../../storage/outbox'
import { spoken, t } from '../../texts/t'
import { asResult } from '../../ui/figures'
import type { Look, Mode } from '../../ui/theme'
import type { Own } from './NameMenu'
import { useChooseLanguage, useSignOut } from './session'

const MODES: Mode[] = ['light', 'dark', 'pitch']

interface Props {
  at: HTMLElement
  session: Schemas['Session']
  look: Look
  carried: boolean | undefined
  onOwn: (own: Own) => void
  onClose: () => void
}

/** Where the list leads to. */
function placesOf(session: Schemas['Session'], coaching: boolean): [string, string][] {
  const leads = session.role === 'club_lead' && session.teams.length > 0
  const other: [string, string] = coaching
    ? ['/sessions', t('clubs-my-club')]
    : ['/today', t('clubs-my-teams')]
  return [
    ...(session.role === 'coach' ? [] : [['/clubs', t('clubs-title')] as [string, string]]),
    ...(leads ? [other] : []),
    ...(coaching ? [['/drills', t('places-drills')] as [string, string]] : []),
    ...(session.role === 'director'
      ? ([
          ['/outbox', t('letters-title')],
          ['/audit', t('audit-title')],
        ] as [string, string][])
      : []),
    ['/account', t('account-title')],
  ]
}

export function NameList({ at, session, look, carried, onOwn, onClose }: Props) {
  const signOut = useSignOut()
  const choose = useChooseLanguage(session)
  const keeps = useKeeps()
  const waits = useOutbox().some((w) => w.by === session.id && !w.sent)
  const asks = waits || !navigator.onLine
  const own: [Own, string][] = [
    ['pace', t('pace-mine', { pace: session.pace_m == null ? 'none' : asResult(session.pace_m) })],
  ]
  if (session.teams.length > 0) own.push(['calendar', t('calendar-open')], ['post', t('letters-mine')])
  return (
    <Menu anchorEl={at} open onClose={onClose}>
      <ListSubheader sx={{ bgcolor: 'transparent', lineHeight: 2 }}>{t('look-title')}</ListSubheader>
      {MODES.map((mode) => (
        <MenuItem key={mode} selected={mode === look.mode} onClick={() => look.setMode(mode)}>
          {t(`look-${mode}`)}
        </MenuItem>
      ))}
      <Divider />
      <ListSubheader sx={{ bgcolor: 'transparent', lineHeight: 2 }}>{t('language-title')}</ListSubheader>
      {LANGUAGES.map((language) => (
        <MenuItem
          key={language}
          lang={language}
          selected={language === spoken()}
          onClick={() => {
            onClose()
            choose.mutate(language)
          }}
        >
          {t(`language-${language}`)}
        </MenuItem>
      ))}
      <Divider />
      {own.map(([what, says]) => (
        <MenuItem key={what} onClick={() => onOwn(what)}>
          {says}
        </MenuItem>
      ))}
      {placesOf(session, carried !== undefined).map(([to, says]) => (
        <MenuItem key={to} component={Link} to={to} onClick={onClose}>
          {says}
        </MenuItem>
      ))}
      {carried !== undefined && (
        <ListSubheader sx={{ bgcolor: 'transparent', lineHeight: 1.5, py: 1, maxWidth: 260 }}>
          {!keeps ? t('carried-cannot') : carried ? t('carried-yes') : t('carried-not-yet')}
        </ListSubheader>
      )}
      <MenuItem onClick={() => (asks ? onOwn('sign-out') : signOut.mutate())}>{t('sign-out')}</MenuItem>
    </Menu>
  )
}
