// Invites somebody: who, what for, and then the link that is handed on.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Typography from '@mui/material/Typography'
import { type SyntheticEvent, useState } from 'react'
import { newId, type Schemas } from '../../../api/client'
import { LONGEST } from '../../../api/limits'
import { t } from '../../../texts/t'
import { Choice } from '../../../ui/Choice'
import { SelectCell, TextCell } from '../../../ui/fields'
import { asDay } from '../../../ui/figures'
import { LinkField } from '../../../ui/LinkField'
import { ErrorNote } from '../../../ui/notes'
import { TickList } from '../../../ui/TickList'
import { useInvite } from './queries'

type Role = Schemas['RoleView']

const ROLES: Role[] = ['coach', 'club_lead', 'director']

export function InviteDialog({ clubs, onClose }: { clubs: Schemas['ClubView'][]; onClose: () => void }) {
  const [id] = useState(newId)
  const [name, setName] = useState('')
  const [email, setEmail] = useState('')
  const [role, setRole] = useState<Role>('coach')
  const [club, setClub] = useState(clubs[0]?.id ?? '')
  const [teams, setTeams] = useState<string[]>([])
  const invite = useInvite()
  const ofClub = clubs.find((each) => each.id === club)
  const go = () =>
    invite.mutate({
      id,
      name,
      role,
      club: role === 'club_lead' ? club : null,
      teams: role === 'coach' ? teams : [],
      email: email.trim() || null,
    })
  const invited = invite.data
  return (
    <Dialog
      open
      onClose={onClose}
      aria-labelledby="invite-title"
      slotProps={{
        paper: {
          component: 'form',
          sx: { width: 460 },
          onSubmit: (event: SyntheticEvent) => {
            event.preventDefault()
            if (!invited && name.trim() && !invite.isPending) go()
          },
        },
      }}
    >
      <DialogTitle id="invite-title">
        {invited ? t('clubs-hand-on', { name }) : t('clubs-invite')}
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2 }}>
        {invited ? (
          <HandOn invited={invited} asked={email.trim() !== ''} />
        ) : (
          <>
            <TextCell
              autoFocus
              label={t('clubs-full-name')}
              longest={LONGEST.NewInvitation.name}
              value={name}
              onChange={setName}
              sx={{ mt: 1 }}
            />
            <WhatFor role={role} onChoose={setRole} />
            {role !== 'director' && (
              <SelectCell
                label={t('clubs-club')}
                value={club}
                options={clubs.map((each) => ({ value: each.id, says: each.name }))}
                onChange={setClub}
              />
            )}
            {role === 'coach' && (
              <TickList
                label={t('clubs-teams')}
                all={ofClub?.teams ?? []}
                chosen={teams}
                onChoose={setTeams}
              />
            )}
            <TextCell
              label={t('clubs-email')}
              value={email}
              onChange={setEmail}
              type="email"
              helperText={t('clubs-email-about')}
            />
            {invite.isError && <ErrorNote error={invite.error} />}
          </>
        )}
      </DialogContent>
      <DialogActions>
        <Button variant={invited ? 'contained' : 'text'} onClick={onClose}>
          {invited ? t('done') : t('cancel')}
        </Button>
        {!invited && (
          <Button type="submit" variant="contained" disabled={!name.trim() || invite.isPending}>
            {t('clubs-make-link')}
          </Button>
        )}
      </DialogActions>
    </Dialog>
  )
}

function WhatFor({ role, onChoose }: { role: Role; onChoose: (role: Role) => void }) {
  return (
    <>
      <Choice
        label={t('clubs-what-for')}
        options={ROLES}
        chosen={[role]}
        says={(each) => t(`role-${each}`)}
        onToggle={onChoose}
      />
      <Typography variant="body2" color="text.secondary">
        {t(`clubs-role-means-${role}`)}
      </Typography>
    </>
  )
}

/** The link, this once. */
function HandOn({ invited, asked }: { invited: Schemas['Invited']; asked: boolean }) {
  return (
    <>
      <Typography>{t('clubs-once', { day: asDay(invited.until.slice(0, 10)) })}</Typography>
      <Mailed mailed={invited.mailed} asked={asked} />
      <LinkField path={invited.path} />
    </>
  )
}

/** Whether the link is on its way by mail as well. */
function Mailed({ mailed, asked }: { mailed?: boolean | null; asked: boolean }) {
  if (!asked) return null
  return (
    <Typography color={mailed ? undefined : 'error'}>
      {mailed ? t('link-mailed') : mailed === false ? t('link-not-mailed') : t('link-no-server')}
    </Typography>
  )
}
