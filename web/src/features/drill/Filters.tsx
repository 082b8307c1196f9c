// What is looked for: every choice narrows the shelf at once.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { t } from '../../texts/t'
import { Choice } from '../../ui/Choice'
import { NumberField, SelectCell, TextCell } from '../../ui/fields'
import { COLUMN } from '../../ui/placing'
import { STAGES } from '../../ui/stages'
import { STRANDS, StrandSwatch } from '../../ui/strands'
import { useBands, useSkills, type Wanted } from './queries'
import { CAUTIONS, SURFACES } from './words'

const SWITCHES = ['home', 'plain', 'archived'] as const
/** For whoever keeps the library and answers the coaches. */
const ALL_SWITCHES = [...SWITCHES, 'unanswered', 'never_run', 'less'] as const

interface Props {
  wanted: Wanted
  /** Whether whoever looks keeps the library. */
  keeps: boolean
  onWant: (change: Record<string, string | null>) => void
  /** Enter in the words: on to the shelf. */
  onDone: () => void
}

export function Filters({ wanted, keeps, onWant, onDone }: Props) {
  const { floor } = useTheme()
  const [more, setMore] = useState(false)
  return (
    <Box
      role="search"
      aria-label={t('drills-search')}
      className="no-print"
      onKeyDown={(event) => {
        if (event.key === 'Enter' && event.target instanceof HTMLInputElement) {
          event.preventDefault()
          onDone()
        }
      }}
      sx={{
        p: 2,
        display: 'grid',
        alignContent: 'start',
        gap: 1.5,
        bgcolor: 'background.paper',
        borderRight: { md: `1px solid ${floor.hair}` },
        ...COLUMN,
      }}
    >
      <TextCell
        id="drill-words"
        label={t('drills-words')}
        placeholder={t('drills-words-hint')}
        value={wanted.text ?? ''}
        onChange={(text) => onWant({ text })}
      />
      <Choice
        framed
        label={t('drills-strand')}
        options={STRANDS}
        chosen={wanted.strand ? [wanted.strand] : []}
        says={(strand) => (
          <>
            <StrandSwatch strand={strand} width={32} />
            {t(`strand-${strand}`)}
          </>
        )}
        onToggle={(strand) => onWant({ strand: wanted.strand === strand ? null : strand })}
      />
      <Button
        variant="text"
        aria-expanded={more}
        onClick={() => setMore(!more)}
        sx={{ display: { md: 'none' }, justifySelf: 'start', ml: -1.5 }}
      >
        {more ? t('drills-fewer-wishes') : t('drills-more-wishes')}
      </Button>
      {/* On a phone the drills come first: what is wished for seldom waits behind a word. */}
      <Box sx={{ display: { xs: more ? 'grid' : 'none', md: 'grid' }, gap: 1.5 }}>
        <MoreFilters wanted={wanted} keeps={keeps} onWant={onWant} />
      </Box>
      {Object.keys(wanted).length > 0 && (
        <Button
          variant="text"
          onClick={() => onWant(Object.fromEntries(Object.keys(wanted).map((key) => [key, null])))}
          sx={{ justifySelf: 'start' }}
        >
          {t('drills-everything')}
        </Button>
      )}
      <Typography variant="caption" color="text.secondary" sx={{ display: { xs: 'none', md: 'block' } }}>
        {t('drills-keys')}
      </Typography>
    </Box>
  )
}

/** What is wished for beside words and strand. */
function MoreFilters({ wanted, keeps, onWant }: Pick<Props, 'wanted' | 'keeps' | 'onWant'>) {
  const skills = useSkills()
  const switches = keeps ? ALL_SWITCHES : SWITCHES
  return (
    <>
      <Choice
        label={t('drills-stage')}
        options={STAGES}
        chosen={wanted.stage ? [wanted.stage] : []}
        says={(stage) => t(`stage-${stage}`)}
        onToggle={(stage) => onWant({ stage: wanted.stage === stage ? null : stage })}
      />
      <SelectCell
        label={t('drills-skill')}
        none={t('drills-any')}
        value={wanted.skill ?? ''}
        options={(skills.data ?? [])
          .filter((skill) => !wanted.strand || skill.strand === wanted.strand)
          .map((skill) => ({ value: skill.id, says: skill.name }))}
        onChange={(skill) => onWant({ skill })}
      />
      <SizeFilters wanted={wanted} onWant={onWant} />
      <SelectCell
        label={t('drills-surface')}
        none={t('drills-any')}
        value={wanted.surface ?? ''}
        options={SURFACES.map((surface) => ({ value: surface, says: t(`surface-${surface}`) }))}
        onChange={(surface) => onWant({ surface })}
      />
      <SelectCell
        label={t('drills-without')}
        none={t('drills-no-matter')}
        value={wanted.without ?? ''}
        options={CAUTIONS.map((caution) => ({ value: caution, says: t(`caution-tag-${caution}`) }))}
        onChange={(without) => onWant({ without })}
      />
      <Choice
        label={t('drills-where')}
        options={switches}
        chosen={ALL_SWITCHES.filter((key) => wanted[key])}
        says={(key) => t(`drills-switches-${key}`)}
        onToggle={(key) => onWant({ [key]: wanted[key] ? null : 'true' })}
      />
    </>
  )
}

/** For whom, how long, and on how much floor. */
function SizeFilters({ wanted, onWant }: Pick<Props, 'wanted' | 'onWant'>) {
  const bands = useBands()
  const count = (value: number | null) => (value === null ? null : String(value))
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
      <SelectCell
        label={t('drills-band')}
        none={t('drills-any')}
        value={wanted.band ?? ''}
        options={(bands.data ?? []).map(({ band }) => ({ value: band.id, says: band.name }))}
        onChange={(band) => onWant({ band, ...(band === '' && { minutes: null }) })}
      />
      <NumberField
        label={t('drills-minutes')}
        title={wanted.band ? undefined : t('drills-minutes-need-band')}
        disabled={!wanted.band}
        optional
        whole
        value={wanted.minutes ?? null}
        onChange={(n) => onWant({ minutes: count(n) })}
        sx={{ width: '100%' }}
      />
      <NumberField
        label={t('drills-at-station')}
        optional
        whole
        value={wanted.players ?? null}
        onChange={(n) => onWant({ players: count(n) })}
        sx={{ width: '100%' }}
      />
      <NumberField
        label={t('drills-most-markers')}
        optional
        whole
        value={wanted.markers ?? null}
        onChange={(n) => onWant({ markers: count(n) })}
        sx={{ width: '100%' }}
      />
      <NumberField
        label={t('drills-wide')}
        optional
        value={wanted.width_m ?? null}
        onChange={(n) => onWant({ width_m: count(n) })}
        sx={{ width: '100%' }}
      />
      <NumberField
        label={t('drills-deep')}
        optional
        value={wanted.depth_m ?? null}
        onChange={(n) => onWant({ depth_m: count(n) })}
        sx={{ width: '100%' }}
      />
    </Box>
  )
}
