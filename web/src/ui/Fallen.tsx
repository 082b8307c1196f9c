// When a screen breaks, it says so, and that nothing entered is lost; it never stays empty.
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { Component, type ReactNode } from 'react'
import { texts } from '../texts/en'
import { Empty } from './notes'

export class Fallen extends Component<{ children: ReactNode }, { fallen: boolean }> {
  override state = { fallen: false }

  static getDerivedStateFromError() {
    return { fallen: true }
  }

  override render() {
    if (!this.state.fallen) return this.props.children
    return (
      <Empty>
        <Typography role="alert" sx={{ mb: 2 }}>
          {texts.fallen}
        </Typography>
        <Button onClick={() => window.location.reload()}>{texts.retry}</Button>
      </Empty>
    )
  }
}
