// When a screen breaks, it says so, and that nothing entered is lost; it never stays empty. Each surface has one of
// its own, so that the way to the others stays. A screen that breaks once more lets go what was read, since it may be
// what it stumbled over; never without network, where that is all that there is.
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { Component, type ReactNode } from 'react'
import { forgetRead } from '../storage/device'
import { stumbledAt } from '../storage/remembered'
import { t } from '../texts/t'
import { Empty } from './notes'

const SOON_MS = 60_000

async function loadAgain() {
  const before = stumbledAt.read()
  stumbledAt.write(Date.now())
  if (navigator.onLine && Date.now() - before < SOON_MS) await forgetRead()
  window.location.reload()
}

interface Props {
  /** Which surface it is: another one starts again. */
  place: string
  children: ReactNode
}

export class Fallen extends Component<Props, { fallen: boolean }> {
  override state = { fallen: false }

  static getDerivedStateFromError() {
    return { fallen: true }
  }

  override componentDidUpdate(before: Props) {
    if (this.state.fallen && before.place !== this.props.place) this.setState({ fallen: false })
  }

  override render() {
    if (!this.state.fallen) return this.props.children
    return (
      <Empty>
        <Typography role="alert" sx={{ mb: 2 }}>
          {t('fallen')}
        </Typography>
        <Button onClick={() => void loadAgain()}>{t('retry')}</Button>
      </Empty>
    )
  }
}
