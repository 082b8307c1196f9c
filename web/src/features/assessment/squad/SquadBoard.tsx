// The squad board: who can do what, and what that means for next week.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { dayNow } from '../../../api/day'
import { t } from '../../../texts/t'
import { Choice } from '../../../ui/Choice'
import { ErrorNote, Loading } from '../../../ui/notes'
import { BoardTable, type Chosen } from './BoardTable'
import { Groups } from './Groups'
import { useBoard } from './queries'
import { WordDialog } from './WordDialog'

const SORTS = ['list', 'decide'] as const

interface Props {
  team: string
  view: 'board' | 'groups'
  /** Whether the reader is their coach. */
  coaching: boolean
  toPlayer: (player: string) => string
}

export function SquadBoard({ team, view, coaching, toPlayer }: Props) {
  const read = useBoard(team)
  const [address, setAddress] = useSearchParams()
  const [chosen, setChosen] = useState<Chosen | null>(null)
  if (read.isError && !read.data) return <ErrorNote error={read.error} />
  if (!read.data) return <Loading />
  const board = read.data
  if (board.milestones.length === 0) return <Typography>{t('board-empty')}</Typography>
  const sort = address.get('sort') === 'decide' ? 'decide' : 'list'
  const change = (key: string, value: string) =>
    setAddress(
      (old) => {
        old.set(key, value)
        return old
      },
      { replace: true },
    )
  const groups = <Groups board={board} toPlayer={toPlayer} />
  if (view === 'groups') return groups
  return (
    <Box
      sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', lg: 'minmax(0, max-content) 290px' }, gap: 3 }}
    >
      <Box sx={{ minWidth: 0 }}>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1, mb: 1 }}>
          <Typography variant="body2" color="text.secondary">
            {t('board-sort')}
          </Typography>
          <Choice
            label={t('board-sort')}
            options={SORTS}
            chosen={[sort]}
            says={(each) => t(`board-sorts-${each}`)}
            onToggle={(each) => change('sort', each)}
          />
        </Box>
        <BoardTable
          board={board}
          players={
            sort === 'decide' ? [...board.players].sort((a, b) => a.decided - b.decided) : board.players
          }
          onChoose={coaching ? setChosen : undefined}
          toPlayer={toPlayer}
        />
      </Box>
      <Box sx={{ display: { xs: 'none', lg: 'block' } }}>{groups}</Box>
      {chosen && (
        <WordDialog
          {...chosen}
          team={team}
          day={dayNow(board.on, read.dataUpdatedAt)}
          onClose={() => setChosen(null)}
        />
      )}
    </Box>
  )
}
