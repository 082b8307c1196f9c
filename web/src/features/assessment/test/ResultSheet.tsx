// The whole squad on one sheet, left and right beside each other, with the level of every value.
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { useEffect, useRef } from 'react'
import type { Schemas, Side } from '../../../api/client'
import { t } from '../../../texts/t'
import { asResult, Figure } from '../../../ui/figures'
import { LevelSteps, levelOf } from '../../../ui/levels'
import { Spoken } from '../../../ui/Spoken'
import type { Cell } from './entry'
import type { Entered } from './queries'

interface Props {
  sheet: Schemas['Sheet']
  at: string | null
  nameOf: (cell: Cell) => string
  standing: (cell: Cell) => Entered | undefined
  onChoose: (cell: Cell) => void
}

export function ResultSheet({ sheet, at, nameOf, standing, onChoose }: Props) {
  const { floor } = useTheme()
  const sides: (Side | null)[] = sheet.test.per_side ? ['left', 'right'] : [null]
  const current = useRef<HTMLButtonElement>(null)
  useEffect(() => {
    // Newer browsers answer with a promise; an effect must not.
    current.current?.scrollIntoView({ block: 'nearest' })
  }, [at])
  return (
    <Box sx={{ flex: 1, overflowY: 'auto', minHeight: 0, px: 1.5, py: 0.5 }}>
      {sheet.players.map((player) => (
        <Box
          key={player.id}
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 1,
            borderBottom: `1px solid ${floor.hair}`,
            minHeight: 46,
          }}
        >
          <Typography sx={{ flex: 1, lineHeight: 1.15 }}>{player.name}</Typography>
          {sides.map((side) => (
            <Box key={side ?? ''} sx={{ display: 'flex' }}>
              {Array.from({ length: sheet.test.trials }, (_, round) => {
                const cell = { player, side, round }
                const entered = standing(cell)
                const chosen = nameOf(cell) === at
                return (
                  <ButtonBase
                    key={round}
                    ref={chosen ? current : undefined}
                    onClick={() => onChoose(cell)}
                    sx={{
                      minWidth: 56,
                      minHeight: 44,
                      gap: 0.5,
                      border: `2px solid ${chosen ? floor.ink : 'transparent'}`,
                    }}
                  >
                    <Spoken
                      as={`${t('test-entry', { player: player.name, side: side ?? 'none', round: round + 1 })}: ${entered ? asResult(entered.value) : '–'}`}
                    >
                      {side && round === 0 && (
                        <Typography component="span" variant="caption" color="text.secondary">
                          {side === 'left' ? t('test-left') : t('test-right')}
                        </Typography>
                      )}
                      <Figure sx={{ fontSize: '1.2rem', fontWeight: 600 }}>
                        {entered ? asResult(entered.value) : '–'}
                      </Figure>
                      {entered && <LevelSteps level={levelOf(sheet.levels, entered.value)} size={14} />}
                    </Spoken>
                  </ButtonBase>
                )
              })}
            </Box>
          ))}
        </Box>
      ))}
    </Box>
  )
}
