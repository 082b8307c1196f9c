// Signing out where something is left behind: without network, or with entries that wait.
import { useOutbox } from '../../storage/outbox'
import { t } from '../../texts/t'
import { Sure } from '../../ui/Sure'
import { useSignOut } from './session'

export function SignOutDialog({ person, onClose }: { person: string; onClose: () => void }) {
  const signOut = useSignOut()
  const n = useOutbox().filter((w) => w.by === person && !w.sent).length
  return (
    <Sure
      title={t('sign-out-title')}
      says={
        <>
          {!navigator.onLine && <p>{t('sign-out-offline')}</p>}
          {n > 0 && <p>{t('sign-out-waiting', { n })}</p>}
        </>
      }
      go={t('sign-out')}
      stay={t('sign-out-stay')}
      onGo={() => signOut.mutate()}
      onClose={onClose}
    />
  )
}
