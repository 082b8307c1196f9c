// Chains to try: moves that a squad has met, each going on where the one before it ends.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { MovingFeet } from './MovingFeet'

interface Props {
  chain: Schemas['ChainToTry']
  title: string
  height: number
}

export function Chain({ chain, title, height }: Props) {
  return (
    <>
      <Box component="ol" sx={{ m: 0, pl: 2.5 }}>
        {chain.links.map((link) => (
          <li key={link.skill}>
            {link.name}
            {link.mirrored && ` · ${t('score-mirror')}`}
          </li>
        ))}
      </Box>
      <MovingFeet feet={chain.feet} title={title} height={height} compact />
    </>
  )
}

/** One after the other, for players who make their own. */
export function Chains({ chains, height }: { chains: Schemas['ChainToTry'][]; height: number }) {
  const [at, setAt] = useState(0)
  const chain = chains[at % chains.length]
  if (!chain) return null
  const title = t('chains-title')
  return (
    <Box component="section" aria-label={title} sx={{ display: 'grid', gap: 0.5, minWidth: 0 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Typography variant="h3" sx={{ flex: 1 }}>
          {title}
        </Typography>
        {chains.length > 1 && (
          <Button size="small" onClick={() => setAt(at + 1)}>
            {t('chains-another')}
          </Button>
        )}
      </Box>
      <Typography variant="body2" color="text.secondary">
        {t('chains-own')}
      </Typography>
      <Chain key={at} chain={chain} title={title} height={height} />
    </Box>
  )
}
