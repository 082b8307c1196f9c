// A season: its name, its days, and its terms.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Typography from '@mui/material/Typography'
import { type SyntheticEvent, useState } from 'react'
import { useNavigate } from 'react-router'
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { TextCell } from '../../ui/fields'
import { ErrorNote } from '../../ui/notes'
import { useDropSeason, useKeepSeason } from './queries'

type Term = Schemas['Term']

interface Props {
  view: Schemas['YearView']
  known: Schemas['YearView'][]
  onClose: () => void
}

/** As many as a season may have. */
const MOST_TERMS = 6

export function SeasonDialog({ view, known, onClose }: Props) {
  const navigate = useNavigate()
  const [season, setSeason] = useState(view.season)
  const keep = useKeepSeason()
  const drop = useDropSeason()
  const isKnown = known.some(({ id }) => id === view.id)
  const set = (next: Partial<Schemas['Year']>) => setSeason({ ...season, ...next })
  const setTerm = (at: number, term: Term) => set({ terms: season.terms.with(at, term) })
  const save = (event: SyntheticEvent) => {
    event.preventDefault()
    if (keep.isPending) return
    const then = () => {
      onClose()
      void navigate(`/year/${view.id}`)
    }
    keep.mutate({ id: view.id, season }, { onSuccess: then })
  }
  return (
    <Dialog open onClose={onClose} aria-labelledby="season-title" maxWidth="md">
      <DialogTitle id="season-title">{t(isKnown ? 'year-edit-season' : 'year-add-season')}</DialogTitle>
      <Box component="form" onSubmit={save} sx={{ display: 'contents' }}>
        <DialogContent sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
          <Typography sx={{ maxWidth: 560 }}>{t('year-season-about')}</Typography>
          <Span label={t('year-season')} span={season} onChange={set} first />
          <Typography variant="h2">{t('year-terms')}</Typography>
          {season.terms.map((term, at) => (
            <Box key={at} sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
              <Span
                label={t('year-term')}
                span={term}
                onChange={(next) => setTerm(at, { ...term, ...next })}
              />
              <Button
                size="small"
                variant="text"
                aria-label={t('year-drop-term', { term: term.name })}
                onClick={() => set({ terms: season.terms.filter((_, each) => each !== at) })}
              >
                {t('times-take-out')}
              </Button>
            </Box>
          ))}
          {season.terms.length < MOST_TERMS && (
            <Button
              sx={{ justifySelf: 'start' }}
              onClick={() => {
                const first = season.terms.at(-1)?.last ?? season.first
                set({ terms: [...season.terms, { name: '', first, last: season.last }] })
              }}
            >
              {t('year-add-term')}
            </Button>
          )}
          {(keep.isError || drop.isError) && <ErrorNote error={keep.error ?? drop.error} />}
        </DialogContent>
        <DialogActions>
          {isKnown && (
            <Button
              variant="text"
              color="error"
              sx={{ mr: 'auto' }}
              onClick={() => drop.mutate(view.id, { onSuccess: onClose })}
            >
              {t('year-drop-season')}
            </Button>
          )}
          <Button variant="text" onClick={onClose}>
            {t('cancel')}
          </Button>
          <Button type="submit" variant="contained" disabled={keep.isPending}>
            {t('clubs-save')}
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  )
}

interface SpanProps {
  label: string
  span: Term
  onChange: (next: Partial<Term>) => void
  first?: boolean
}

/** A name with a first and a last day. */
function Span({ label, span, onChange, first }: SpanProps) {
  return (
    <Box role="group" aria-label={span.name || label} sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
      <TextCell
        label={label}
        autoFocus={first}
        value={span.name}
        longest={40}
        onChange={(name) => onChange({ name })}
        fullWidth={false}
        sx={{ width: 180 }}
      />
      {(['first', 'last'] as const).map((key) => (
        <TextCell
          key={key}
          label={t(`year-${key}`)}
          type="date"
          value={span[key]}
          onChange={(day) => day && onChange({ [key]: day })}
          fullWidth={false}
        />
      ))}
    </Box>
  )
}
