//! What time is it? Tests and pictures hold the calendar at a day.

use jiff::Timestamp;
use jiff::civil::Date;
use jiff::tz::TimeZone;

/// Where the time comes from.
#[derive(Clone, Debug)]
pub enum Clock {
    /// The machine's clock.
    Running,
    /// Always noon of one day.
    Held(Timestamp),
}

impl Clock {
    /// Holds the calendar at a day.
    pub fn held(day: Date) -> Result<Clock, jiff::Error> {
        Ok(Clock::Held(TimeZone::UTC.to_timestamp(day.at(12, 0, 0, 0))?))
    }

    /// This moment.
    pub fn now(&self) -> Timestamp {
        match self {
            Clock::Running => Timestamp::now(),
            Clock::Held(at) => *at,
        }
    }

    /// The civil date in a time zone.
    pub fn today(&self, zone: &TimeZone) -> Date {
        zone.to_datetime(self.now()).date()
    }
}
