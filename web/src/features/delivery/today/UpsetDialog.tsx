// A session is cancelled or cut short: three ways to go on, each with what comes of it.

import { useMediaQuery, useTheme } from '@mui/material'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import FormControlLabel from '@mui/material/FormControlLabel'
import Radio from '@mui/material/Radio'
import RadioGroup from '@mui/material/RadioGroup'
import Typography from '@mui/material/Typography'
import { type SyntheticEvent, useState } from 'react'
import type { Schemas } from '../../../api/client'
import { listed } from '../../../texts/said'
import { t } from '../../../texts/t'
import { told } from '../../../texts/told'
import { Choice } from '../../../ui/Choice'
import { NumberField } from '../../../ui/fields'
import { asDay, asNumber } from '../../../ui/figures'
import { ErrorNote, Loading } from '../../../ui/notes'
import { useGoOn, useRemedies } from './queries'

const KINDS = ['out', 'short'] as const

interface Props {
  team: string
  edition: string
  session: number
  day: string
  minutes: number
  onClose: () => void
  onDone: () => void
}

export function UpsetDialog({ team, edition, session, day, minutes, onClose, onDone }: Props) {
  const narrow = useMediaQuery(useTheme().breakpoints.down('sm'))
  const [kind, setKind] = useState<(typeof KINDS)[number]>('out')
  const [short, setShort] = useState(Math.max(Math.floor(minutes / 2), 1))
  const [chosen, setChosen] = useState<Schemas['Remedy'] | null>(null)
  const left = kind === 'out' ? 0 : short
  const possible = left >= 0 && left < minutes
  const found = useRemedies(team, edition, session, left, possible)
  const remedy = chosen ?? found.data?.advised ?? 'squeeze'
  const goOn = useGoOn(team, edition, session, onDone)
  return (
    <Dialog
      open
      fullScreen={narrow}
      onClose={onClose}
      aria-labelledby="upset-title"
      slotProps={{
        paper: {
          component: 'form',
          onSubmit: (event: SyntheticEvent) => {
            event.preventDefault()
            if (found.data && !goOn.isPending) goOn.mutate({ version: found.data.version, left, remedy })
          },
        },
      }}
    >
      <DialogTitle id="upset-title">{t('upset-title', { day })}</DialogTitle>
      <DialogContent>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, flexWrap: 'wrap', mb: 2, minHeight: 56 }}>
          <Choice
            label={t('upset-kind')}
            options={KINDS}
            chosen={[kind]}
            says={(each) => t(`upset-kinds-${each}`)}
            onToggle={setKind}
          />
          {kind === 'short' && (
            <NumberField
              label={t('upset-left')}
              value={short}
              whole
              error={!possible}
              helperText={possible ? undefined : t('minutes', { n: `1–${minutes - 1}` })}
              onChange={(value) => setShort(value ?? 0)}
              sx={{ width: 190 }}
            />
          )}
        </Box>
        {found.isError && <ErrorNote error={found.error} />}
        {possible && !found.data && !found.isError && <Loading />}
        {found.data && (
          <>
            <Typography variant="h2" id="upset-how" sx={{ mb: 0.5 }}>
              {t('upset-how')}
            </Typography>
            <RadioGroup
              aria-labelledby="upset-how"
              value={remedy}
              onChange={(_, value) => setChosen(value as Schemas['Remedy'])}
            >
              {found.data.remedies.map((each) => (
                <FormControlLabel
                  key={each.remedy}
                  value={each.remedy}
                  control={<Radio autoFocus={each.remedy === remedy} />}
                  label={<RemedyLine remedy={each} />}
                  sx={{ alignItems: 'flex-start', mb: 1.5 }}
                />
              ))}
            </RadioGroup>
          </>
        )}
        {found.data?.tests.map(({ name, day: to }) => (
          <Typography key={name} variant="body2">
            {to ? t('upset-test-moves', { name, day: asDay(to) }) : t('upset-test-lost', { name })}
          </Typography>
        ))}
        {goOn.isError && <ErrorNote error={goOn.error} />}
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('cancel')}
        </Button>
        <Button type="submit" variant="contained" disabled={!found.data || goOn.isPending}>
          {t('upset-go')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}

function RemedyLine({ remedy }: { remedy: Schemas['RemedyView'] }) {
  return (
    <Box sx={{ pt: 1 }}>
      <Typography sx={{ fontWeight: 650 }}>{t(`upset-remedy-${remedy.remedy}`)}</Typography>
      <Typography variant="body2" color="text.secondary">
        {t(`upset-means-${remedy.remedy}`)}
      </Typography>
      <Typography variant="body2">
        {t('upset-moved', { n: remedy.moved })}. {t('upset-score', { points: asNumber(remedy.score) })}.
      </Typography>
      <Typography variant="body2" color={remedy.short.length > 0 ? 'error' : undefined}>
        {remedy.short.length > 0
          ? t('upset-short', { what: listed(remedy.short.map(told)) })
          : t('upset-enough')}
      </Typography>
      <Typography
        variant="body2"
        color={remedy.breaks.length > 0 ? 'error' : undefined}
        title={remedy.breaks.map(told).join('\n')}
      >
        {remedy.breaks.length > 0 ? t('upset-breaks', { n: remedy.breaks.length }) : t('upset-sound')}
      </Typography>
    </Box>
  )
}
