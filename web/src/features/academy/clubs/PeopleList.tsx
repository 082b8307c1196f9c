// The people of the academy, and what a director does with them.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Menu from '@mui/material/Menu'
import MenuItem from '@mui/material/MenuItem'
import Typography from '@mui/material/Typography'
import { useEffect, useState } from 'react'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { asMoment } from '../../../ui/figures'
import { LinkField } from '../../../ui/LinkField'
import { ErrorNote, Loading } from '../../../ui/notes'
import { Sure } from '../../../ui/Sure'
import { usePasswordLink, useRights, useShutOut } from '../../people/queries'
import { useSession } from '../../people/session'

type Person = Schemas['PersonView']
type Doing = 'link' | 'factor' | 'shut-out'

export function PeopleList({ people }: { people: Person[] }) {
  const own = useSession().data?.id
  const [menu, setMenu] = useState<{ at: HTMLElement; of: Person } | null>(null)
  const [doing, setDoing] = useState<{ what: Doing; of: Person } | null>(null)
  const rights = useRights()
  const begin = (what: Doing) => {
    if (menu) setDoing({ what, of: menu.of })
    setMenu(null)
  }
  return (
    <>
      <Typography variant="h2">{t('people-title')}</Typography>
      {rights.isError && <ErrorNote error={rights.error} />}
      {people.map((each) => (
        <Box
          key={each.id}
          sx={{ display: 'flex', alignItems: 'center', py: 0.5, borderBottom: 1, borderColor: 'divider' }}
        >
          <Box sx={{ flex: 1, minWidth: 0 }}>
            <Typography>{each.name}</Typography>
            <Typography variant="body2" color="text.secondary">
              {t('people-role', { role: t(`role-${each.role}`), login: each.login })}
            </Typography>
          </Box>
          {each.id !== own && (
            <Button
              size="small"
              variant="text"
              aria-haspopup="menu"
              aria-label={t('people-more', { name: each.name })}
              onClick={(event) => setMenu({ at: event.currentTarget, of: each })}
              sx={{ minWidth: 40 }}
            >
              …
            </Button>
          )}
        </Box>
      ))}
      <ShutOutList />
      <Menu anchorEl={menu?.at} open={menu !== null} onClose={() => setMenu(null)}>
        {(['link', 'factor', 'shut-out'] as const).map((what) => (
          <MenuItem key={what} onClick={() => begin(what)}>
            {t(`people-${what}`)}
          </MenuItem>
        ))}
      </Menu>
      {doing?.what === 'link' && <LinkDialog person={doing.of} onClose={() => setDoing(null)} />}
      {doing && doing.what !== 'link' && (
        <Sure
          title={`${t(`people-${doing.what}`)}: ${doing.of.name}`}
          says={t(`people-${doing.what}-sure`, { name: doing.of.name })}
          go={t(`people-${doing.what}`)}
          onGo={() => {
            rights.mutate(doing.what === 'factor' ? { factor: doing.of.id } : { shutOut: doing.of.id })
            setDoing(null)
          }}
          onClose={() => setDoing(null)}
        />
      )}
    </>
  )
}

function ShutOutList() {
  const shutOut = useShutOut()
  const rights = useRights()
  if (shutOut.isError) return <ErrorNote error={shutOut.error} />
  if (!shutOut.data) return <Loading />
  if (shutOut.data.length === 0) return null
  return (
    <>
      <Typography variant="h2" sx={{ mt: 2 }}>
        {t('people-shut-out-list')}
      </Typography>
      {rights.isError && <ErrorNote error={rights.error} />}
      {shutOut.data.map((each) => (
        <Box key={each.id} sx={{ display: 'flex', alignItems: 'center' }}>
          <Typography sx={{ flex: 1 }}>{each.name}</Typography>
          <Button
            size="small"
            variant="text"
            disabled={rights.isPending}
            aria-label={`${t('people-let-in')}: ${each.name}`}
            onClick={() => rights.mutate({ letIn: each.id })}
          >
            {t('people-let-in')}
          </Button>
        </Box>
      ))}
    </>
  )
}

/** The link is made as soon as it is asked for, and shown this once. */
function LinkDialog({ person, onClose }: { person: Person; onClose: () => void }) {
  const { mutate, data: link, error } = usePasswordLink(person.id)
  useEffect(() => mutate(), [mutate])
  return (
    <Dialog open onClose={onClose} aria-labelledby="link-title">
      <DialogTitle id="link-title">{t('people-link-title', { name: person.name })}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1.5, width: 460, maxWidth: '100%' }}>
        {error && <ErrorNote error={error} />}
        {link && (
          <>
            <Typography>
              {t('people-link-how', {
                name: person.name,
                when: asMoment(link.until),
              })}
            </Typography>
            <LinkField path={link.path} />
            {link.mailed !== null && (
              <Typography color={link.mailed ? undefined : 'error'}>
                {link.mailed ? t('link-mailed') : t('link-not-mailed')}
              </Typography>
            )}
          </>
        )}
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={onClose}>
          {t('done')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
