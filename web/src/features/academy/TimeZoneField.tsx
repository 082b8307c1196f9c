// The time zone of the academy: its days and weeks are those of this zone.
import { useMemo } from 'react'
import { t } from '../../texts/t'
import { SelectCell } from '../../ui/fields'

/** The zone of this browser: whoever sets the academy up mostly sits in it. */
export const zoneHere = () => Intl.DateTimeFormat().resolvedOptions().timeZone

interface Props {
  value: string
  onChange: (zone: string) => void
}

export function TimeZoneField({ value, onChange }: Props) {
  const zones = useMemo(
    () => [...new Set([...Intl.supportedValuesOf('timeZone'), 'UTC', value])].sort(),
    [value],
  )
  return (
    <SelectCell
      label={t('begin-time-zone')}
      helperText={t('begin-time-zone-note')}
      value={value}
      options={zones.map((zone) => ({ value: zone, says: zone.replaceAll('_', ' ') }))}
      onChange={onChange}
    />
  )
}
