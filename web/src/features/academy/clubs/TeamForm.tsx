// One team or one club: its name, and who coaches.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { type ReactNode, type SyntheticEvent, useState } from 'react'
import { newId, type Schemas } from '../../../api/client'
import { LONGEST } from '../../../api/limits'
import { t } from '../../../texts/t'
import { SelectCell, TextCell } from '../../../ui/fields'
import { ErrorNote } from '../../../ui/notes'
import { Sure } from '../../../ui/Sure'
import { TickList } from '../../../ui/TickList'
import { useRights } from '../../people/queries'
import { useChange } from './queries'

interface FormProps {
  title: string
  busy: boolean
  error: unknown
  ready: boolean
  onSave: () => void
  onDone: () => void
  children: ReactNode
}

function Form({ title, busy, error, ready, onSave, onDone, children }: FormProps) {
  return (
    <Box
      component="form"
      onSubmit={(event: SyntheticEvent) => {
        event.preventDefault()
        if (ready && !busy) onSave()
      }}
      sx={{ display: 'grid', gap: 1.5 }}
    >
      <Typography variant="h2">{title}</Typography>
      {children}
      {error ? <ErrorNote error={error} /> : null}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" variant="contained" disabled={!ready || busy}>
          {t('clubs-save')}
        </Button>
        <Button variant="text" onClick={onDone}>
          {t('cancel')}
        </Button>
      </Box>
    </Box>
  )
}

interface CoachesProps {
  people: Schemas['PersonView'][]
  chosen: string[]
  onChoose: (chosen: string[]) => void
}

/** Those who coach first, then the others. */
function Coaches({ people, chosen, onChoose }: CoachesProps) {
  const [first] = useState(chosen)
  const able = people.filter((person) => person.role !== 'director')
  const sorted = [
    ...able.filter((person) => first.includes(person.id)),
    ...able.filter((person) => !first.includes(person.id)),
  ]
  return (
    <Box role="group" aria-label={t('clubs-coaches')}>
      <Typography variant="h3">{t('clubs-coaches')}</Typography>
      <TickList all={sorted} chosen={chosen} onChoose={onChoose} />
    </Box>
  )
}

interface TeamProps {
  team: Schemas['ClubTeam']
  people: Schemas['PersonView'][]
  onDone: () => void
}

export function TeamForm({ team, people, onDone }: TeamProps) {
  const [name, setName] = useState(team.name)
  const [coaches, setCoaches] = useState(team.coaches.map((coach) => coach.id))
  const change = useChange()
  const save = () => change.mutate({ change: team.id, body: { name, coaches } }, { onSuccess: onDone })
  return (
    <Form
      title={team.name}
      busy={change.isPending}
      error={change.error}
      ready={name.trim() !== ''}
      onSave={save}
      onDone={onDone}
    >
      <TextCell label={t('clubs-name')} longest={LONGEST.NewClub.name} value={name} onChange={setName} />
      <Coaches people={people} chosen={coaches} onChoose={setCoaches} />
    </Form>
  )
}

interface ClubProps {
  /** Undefined for a new one. */
  club: Schemas['ClubView'] | undefined
  people: Schemas['PersonView'][]
  bands: Schemas['Band'][]
  onDone: () => void
}

export function ClubForm({ club, people, bands, onDone }: ClubProps) {
  const [id] = useState(newId)
  const [name, setName] = useState(club?.name ?? '')
  const change = useChange()
  const save = () =>
    change.mutate(club ? { rename: club.id, body: { name } } : { add: 'club', body: { id, name } }, {
      onSuccess: onDone,
    })
  return (
    <>
      <Form
        title={club ? club.name : t('clubs-new-club')}
        busy={change.isPending}
        error={change.error}
        ready={name.trim() !== ''}
        onSave={save}
        onDone={onDone}
      >
        <TextCell
          label={t('clubs-name')}
          longest={LONGEST.NewClub.name}
          value={name}
          onChange={setName}
          autoFocus={!club}
        />
      </Form>
      {club && <Leads club={club} />}
      {club && <NewTeam club={club} people={people} bands={bands} onDone={onDone} />}
    </>
  )
}

/** Who leads a club, each with the way to end it. */
function Leads({ club }: { club: Schemas['ClubView'] }) {
  const rights = useRights()
  const [asked, setAsked] = useState<Schemas['NamedView'] | null>(null)
  return (
    <Box sx={{ mt: 3, pt: 2, borderTop: 1, borderColor: 'divider' }}>
      <Typography variant="h2">{t('people-leads')}</Typography>
      {club.leads.length === 0 && <Typography color="text.secondary">{t('people-leads-none')}</Typography>}
      {rights.isError && <ErrorNote error={rights.error} />}
      {club.leads.map((lead) => (
        <Box key={lead.id} sx={{ display: 'flex', alignItems: 'center' }}>
          <Typography sx={{ flex: 1 }}>{lead.name}</Typography>
          <Button
            size="small"
            variant="text"
            aria-label={`${t('people-end-lead')}: ${lead.name}`}
            onClick={() => setAsked(lead)}
          >
            {t('people-end-lead')}
          </Button>
        </Box>
      ))}
      {asked && (
        <Sure
          title={t('people-end-lead')}
          says={`${asked.name}, ${club.name}`}
          go={t('people-end-lead')}
          onGo={() => {
            rights.mutate({ club: club.id, lead: asked.id })
            setAsked(null)
          }}
          onClose={() => setAsked(null)}
        />
      )}
    </Box>
  )
}

function NewTeam({ club, people, bands, onDone }: ClubProps & { club: Schemas['ClubView'] }) {
  const [id] = useState(newId)
  const [name, setName] = useState('')
  const [band, setBand] = useState<string>(bands[0]?.id ?? '')
  const [coaches, setCoaches] = useState<string[]>([])
  const change = useChange()
  const save = () =>
    change.mutate({ add: 'team', club: club.id, body: { id, name, band, coaches } }, { onSuccess: onDone })
  return (
    <Box sx={{ mt: 3, pt: 2, borderTop: 1, borderColor: 'divider' }}>
      <Form
        title={t('clubs-new-team', { club: club.name })}
        busy={change.isPending}
        error={change.error}
        ready={name.trim() !== '' && band !== ''}
        onSave={save}
        onDone={onDone}
      >
        <TextCell
          label={t('clubs-team-name')}
          longest={LONGEST.NewTeam.name}
          value={name}
          onChange={setName}
        />
        <SelectCell
          label={t('clubs-band')}
          value={band}
          options={bands.map((each) => ({ value: each.id, says: each.name }))}
          onChange={setBand}
        />
        <Coaches people={people} chosen={coaches} onChoose={setCoaches} />
      </Form>
    </Box>
  )
}
