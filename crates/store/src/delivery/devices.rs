//! Devices: in which order was it said?
//!
//! The clock of a phone may be wrong, and may be set while something waits on it. So a device counts what is entered on
//! it, and says with everything it sends what its clock says just then. What it said counts as said so long before it
//! arrived, and never before what the same device said earlier.

use jiff::{SignedDuration, Timestamp};
use uuid::Uuid;

use crate::{Store, Stored, parsed, stamp};

/// What is sent at once from one device.
#[derive(Clone, Copy, Debug)]
pub struct Sending {
    /// Which device.
    pub device: Uuid,
    /// What its clock says.
    pub sent_at: Timestamp,
    /// What the server's clock says.
    pub received_at: Timestamp,
}

/// The least time between two sayings of one device.
const STEP: SignedDuration = SignedDuration::from_micros(1);

impl Store {
    /// When each of some entries counts as said: given the device's count and its clock's time for each, in any order.
    pub async fn said_when(&self, sending: Sending, entries: &[(i64, Timestamp)]) -> Stored<Vec<Timestamp>> {
        let Sending { device, sent_at, received_at } = sending;
        let mut tx = self.begin().await?;
        let known = sqlx::query!("SELECT count, said_at FROM device WHERE id = ?", device)
            .fetch_optional(&mut *tx)
            .await?;
        let (mut count, mut last) = match known {
            Some(row) => (row.count, Some(parsed::<Timestamp>("the time of a device", &row.said_at)?)),
            None => (i64::MIN, None),
        };
        let ahead = sent_at.duration_since(received_at);
        let mut order: Vec<usize> = (0..entries.len()).collect();
        order.sort_by_key(|at| entries[*at].0);
        let mut when = vec![received_at; entries.len()];
        for at in order {
            let (of, said) = entries[at];
            let meant = said.checked_sub(ahead).unwrap_or(received_at).min(received_at);
            when[at] = match last {
                // Sent once more: it is known already, or comes late by another way.
                _ if of <= count => meant,
                Some(last) if meant <= last => last.checked_add(STEP).unwrap_or(last),
                _ => meant,
            };
            if of > count {
                (count, last) = (of, Some(when[at]));
            }
        }
        if let Some(last) = last {
            let last = stamp(last);
            sqlx::query!(
                "INSERT INTO device (id, count, said_at) VALUES (?, ?, ?)
                 ON CONFLICT (id) DO UPDATE SET count = excluded.count, said_at = excluded.said_at",
                device,
                count,
                last
            )
            .execute(&mut *tx)
            .await?;
        }
        tx.commit().await?;
        Ok(when)
    }
}
