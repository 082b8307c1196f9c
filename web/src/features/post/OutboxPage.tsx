// The outbox: what the academy wrote to its coaches, and whether it left.

import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, data, type Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { asDay, asTime } from '../../ui/figures'
import { ErrorNote, Loading } from '../../ui/notes'
import { postKeys } from './keys'

export function OutboxPage() {
  const queries = useQueryClient()
  const outbox = useQuery({ queryKey: postKeys.letters, queryFn: () => data(api.GET('/letters')) })
  const deliver = useMutation({
    mutationFn: () => data(api.POST('/letters')),
    onSuccess: (next) => queries.setQueryData(postKeys.letters, next),
  })
  if (outbox.isError) return <ErrorNote error={outbox.error} />
  if (!outbox.data) return <Loading />
  const { letters, by_mail_server } = outbox.data
  return (
    <Box sx={{ p: 2, maxWidth: 900 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap' }}>
        <Typography variant="h1" sx={{ flex: 1 }}>
          {t('letters-title')}
        </Typography>
        <Button disabled={deliver.isPending} onClick={() => deliver.mutate()}>
          {t('letters-now')}
        </Button>
      </Box>
      <Typography color="text.secondary" sx={{ mb: 2 }}>
        {by_mail_server ? t('letters-by-server') : t('letters-in-folder')}
      </Typography>
      {deliver.isError && <ErrorNote error={deliver.error} />}
      {letters.length === 0 && <Typography>{t('letters-none')}</Typography>}
      {letters.map((letter) => (
        <Letter key={letter.id} letter={letter} />
      ))}
    </Box>
  )
}

function Letter({ letter }: { letter: Schemas['LetterView'] }) {
  const state = letter.failed
    ? t('letters-failed', { why: letter.failed })
    : letter.left_at
      ? t('letters-left', { when: `${asDay(letter.left_at.slice(0, 10))}, ${asTime(letter.left_at)}` })
      : t('letters-waits')
  return (
    <Box component="details" sx={{ borderTop: 1, borderColor: 'divider', py: 0.75 }}>
      <Box component="summary" sx={{ cursor: 'pointer', minHeight: 28 }}>
        <strong>{letter.subject}</strong> · {letter.to}
        <Typography
          component="span"
          variant="body2"
          color={letter.failed ? 'error' : 'text.secondary'}
          sx={{ ml: 1 }}
        >
          {state}
        </Typography>
      </Box>
      <Typography variant="body2" color="text.secondary">
        {letter.address}
      </Typography>
      <Box
        component="pre"
        sx={{
          font: 'inherit',
          whiteSpace: 'pre-wrap',
          bgcolor: 'background.paper',
          border: 1,
          borderColor: 'divider',
          p: 1.5,
          m: 0,
          mt: 0.5,
        }}
      >
        {letter.body}
      </Box>
    </Box>
  )
}
