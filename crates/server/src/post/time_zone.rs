//! A time zone as calendars carry it (RFC 5545, 3.6.5): each change of its clocks over some time, one by one.

use jiff::tz::{Dst, Offset, TimeZone};
use jiff::{SignedDuration, Timestamp};

/// The time zone from a moment to another, as lines that end as calendars ask; `None` if it has no name that
/// calendars know.
pub fn vtimezone(zone: &TimeZone, from: Timestamp, to: Timestamp) -> Option<String> {
    let name = zone.iana_name()?;
    let mut lines = vec!["BEGIN:VTIMEZONE".to_owned(), format!("TZID:{name}")];
    let before = zone.preceding(from).next();
    let changes: Vec<_> = before
        .into_iter()
        .chain(zone.following(from).take_while(|change| change.timestamp() <= to))
        .collect();
    for change in &changes {
        let was = zone.to_offset(change.timestamp() - SignedDuration::from_secs(1));
        lines.extend(observance(change.timestamp(), was, change.offset(), change.dst()));
    }
    if changes.is_empty() {
        let offset = zone.to_offset(from);
        lines.extend(observance(Timestamp::UNIX_EPOCH, offset, offset, Dst::No));
    }
    lines.push("END:VTIMEZONE".into());
    Some(lines.iter().map(|line| format!("{line}\r\n")).collect())
}

/// From a moment on there is another offset. The moment is said by the clock that holds until then.
fn observance(at: Timestamp, was: Offset, is: Offset, dst: Dst) -> [String; 5] {
    let kind = if dst.is_dst() { "DAYLIGHT" } else { "STANDARD" };
    [
        format!("BEGIN:{kind}"),
        format!("DTSTART:{}", was.to_datetime(at).strftime("%Y%m%dT%H%M%S")),
        format!("TZOFFSETFROM:{}", written(was)),
        format!("TZOFFSETTO:{}", written(is)),
        format!("END:{kind}"),
    ]
}

/// As `+0100`; seconds only where there are some.
fn written(offset: Offset) -> String {
    let (sign, all) = (if offset.is_negative() { '-' } else { '+' }, offset.seconds().unsigned_abs());
    let (hours, minutes, seconds) = (all / 3_600, all / 60 % 60, all % 60);
    match seconds {
        0 => format!("{sign}{hours:02}{minutes:02}"),
        _ => format!("{sign}{hours:02}{minutes:02}{seconds:02}"),
    }
}

#[cfg(test)]
#[allow(clippy::unwrap_used, reason = "a test may stop here")]
mod tests {
    use super::*;
    use rstest::rstest;

    /// The changes that a zone carries over a year: kind, by the old clock, from, to.
    #[rstest]
    // The last Sundays of March and October, at 01:00 UTC.
    #[case::both_ways("Europe/London", &[
        "STANDARD 20301027T020000 +0100 +0000",
        "DAYLIGHT 20310330T010000 +0000 +0100",
        "STANDARD 20311026T020000 +0100 +0000",
    ])]
    // The second Sunday of March and the first of November, at 02:00 there.
    #[case::west_of_greenwich("America/St_Johns", &[
        "STANDARD 20301103T020000 -0230 -0330",
        "DAYLIGHT 20310309T020000 -0330 -0230",
        "STANDARD 20311102T020000 -0230 -0330",
    ])]
    #[case::never("UTC", &["STANDARD 19700101T000000 +0000 +0000"])]
    fn each_change_is_said_by_the_clock_that_held_until_then(#[case] name: &str, #[case] changes: &[&str]) {
        let at = |day: &str| format!("{day}T12:00:00Z").parse().unwrap();
        let zone = TimeZone::get(name).unwrap();
        let text = vtimezone(&zone, at("2031-01-06"), at("2031-12-31")).unwrap();
        let value = |name: &str| -> Vec<&str> {
            text.split("\r\n").filter_map(|line| line.strip_prefix(&format!("{name}:"))).collect()
        };
        assert_eq!(value("TZID"), [name]);
        let kinds = value("BEGIN");
        let said = (0..kinds.len() - 1).map(|nth| {
            let [at, from, to] = ["DTSTART", "TZOFFSETFROM", "TZOFFSETTO"].map(|name| value(name)[nth]);
            format!("{} {at} {from} {to}", kinds[nth + 1])
        });
        assert_eq!(said.collect::<Vec<_>>(), changes);
    }
}
