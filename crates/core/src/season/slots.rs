//! Slots and places: when and where does a team meet, and with whom does it share the floor?
//!
//! A team meets on the same weekdays at the same times, each time in a place of its club. Where two teams are in one
//! place at one time, each has its part of the floor and of the kit.

use std::collections::{BTreeMap, BTreeSet};
use std::fmt;
use std::str::FromStr;

use jiff::civil::{Date, Time};
use jiff::tz::TimeZone;
use jiff::{SignedDuration, Timestamp};
use serde::{Deserialize, Serialize};
use uuid::Uuid;

use crate::fact::{Fact, Value, facts};
use crate::ground::fit::Ground;
use crate::input::{InputError, RangeFault, What, short_text};
use crate::plan::curriculum::Season;
use crate::units::{Metres, Minutes};

facts! {
    /// What is wrong with the times of a team.
    pub enum SlotFault {
        NoTime = "slot-no-time" { written: String },
        AfterMidnight = "slot-after-midnight" { from: TimeOfDay, minutes: Minutes },
        Twice = "slot-twice" { weekday: Fact },
        NoPlace = "slot-no-place",
    }

    /// What happens where teams share a place.
    pub enum Sharing {
        Shared = "place-shared" {
            place: String, weekday: Fact, from: TimeOfDay, to: TimeOfDay, teams: Vec<String>,
            width: f64, depth: f64,
        },
        TooMany = "place-too-many" {
            place: String, weekday: Fact, from: TimeOfDay, to: TimeOfDay, teams: Vec<String>, most: u32,
        },
    }

    /// A day of every week.
    pub enum Named {
        Weekday = "weekday" { weekday: i8 },
    }
}

/// A time of the day, by the minute: 17:30.
///
/// ```
/// use jogo_core::season::slots::TimeOfDay;
/// let half_past: TimeOfDay = "17:30".parse().unwrap();
/// assert_eq!(half_past.to_string(), "17:30");
/// assert!("5.30 pm".parse::<TimeOfDay>().is_err() && "24:00".parse::<TimeOfDay>().is_err());
/// ```
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize)]
#[serde(try_from = "String", into = "String")]
pub struct TimeOfDay {
    /// Minutes since midnight.
    minute: u16,
}

impl TimeOfDay {
    /// Of minutes since midnight; `None` from the next midnight on.
    fn of(minute: u32) -> Option<TimeOfDay> {
        (minute < 24 * 60).then_some(TimeOfDay { minute: minute as u16 })
    }

    fn time(self) -> Time {
        Time::midnight().saturating_add(SignedDuration::from_mins(self.minute.into()))
    }
}

impl fmt::Display for TimeOfDay {
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        write!(f, "{:02}:{:02}", self.minute / 60, self.minute % 60)
    }
}

impl FromStr for TimeOfDay {
    type Err = SlotFault;

    fn from_str(text: &str) -> Result<TimeOfDay, SlotFault> {
        let is_number = |part: &str| part.len() == 2 && part.bytes().all(|byte| byte.is_ascii_digit());
        let digits = |part: &str| is_number(part).then(|| part.parse::<u32>().ok()).flatten();
        let parts = text.split_once(':').and_then(|(hour, minute)| Some((digits(hour)?, digits(minute)?)));
        let time = parts.filter(|(_, minute)| *minute < 60);
        time.and_then(|(hour, minute)| TimeOfDay::of(hour * 60 + minute))
            .ok_or_else(|| SlotFault::NoTime { written: text.chars().take(20).collect() })
    }
}

impl TryFrom<String> for TimeOfDay {
    type Error = SlotFault;

    fn try_from(text: String) -> Result<TimeOfDay, SlotFault> {
        text.parse()
    }
}

impl From<TimeOfDay> for String {
    fn from(time: TimeOfDay) -> String {
        time.to_string()
    }
}

impl From<TimeOfDay> for Value {
    fn from(time: TimeOfDay) -> Value {
        time.to_string().into()
    }
}

/// A hall or pitch of a club.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Place {
    /// As people say it, and as calendars show it.
    pub name: String,
    /// Free width.
    #[serde(rename = "width_m")]
    pub width: Metres,
    /// Free depth.
    #[serde(rename = "depth_m")]
    pub depth: Metres,
    /// Markers that are there, for all who are there at one time.
    pub markers: u32,
    /// Whether there is a wall, or a board, that gives the ball back.
    pub wall: bool,
    /// How many teams may be there at one time, 1 to 4.
    pub teams: u32,
}

impl Place {
    /// What a team has of it that shares it with others: the longer side is cut into equal parts, and the markers are
    /// divided, for as many teams as may be there at most. Squad, adults, margin and run-off are the team's own.
    ///
    /// ```
    /// use jogo_core::ground::fit::Ground;
    /// use jogo_core::season::slots::Place;
    /// use jogo_core::units::Metres;
    /// let (name, width, depth) = ("Skerrow hall".to_owned(), Metres(30.0), Metres(16.0));
    /// let hall = Place { name, width, depth, markers: 61, wall: true, teams: 2 };
    /// let half = hall.ground(&Ground::ASSUMED, 2);
    /// assert_eq!((half.width, half.depth, half.markers), (Metres(15.0), Metres(16.0), 30));
    /// ```
    pub fn ground(&self, own: &Ground, parts: u32) -> Ground {
        let parts = parts.min(self.teams).max(1);
        let part = |length: Metres| Metres(length.0 / f64::from(parts));
        let (width, depth) = match self.width.0 >= self.depth.0 {
            true => (part(self.width), self.depth),
            false => (self.width, part(self.depth)),
        };
        Ground { width, depth, markers: self.markers / parts, wall: self.wall, ..*own }
    }

    /// Every fault, with its place.
    pub fn faults(&self) -> Vec<InputError> {
        let mut faults: Vec<InputError> = self.ground(&Ground::ASSUMED, self.teams.min(4)).faults();
        if let Err(fault) = short_text(&self.name, 40, What::Name) {
            faults.push(InputError::at("/name", fault));
        }
        let teams = RangeFault::Between { value: self.teams.into(), least: 1.0, most: 4.0 };
        if !teams.holds() {
            faults.push(InputError::at("/teams", teams));
        }
        faults
    }
}

/// When and where a team meets, week by week.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Slot {
    /// Monday 1 to Sunday 7.
    pub weekday: i8,
    /// When it begins, as `17:30`.
    #[cfg_attr(feature = "openapi", schema(value_type = String))]
    pub from: TimeOfDay,
    /// How long the team has the place, 15 to 240.
    pub minutes: Minutes,
    /// Which place of its club; `None` if it is not known yet.
    #[serde(default)]
    pub place: Option<Uuid>,
}

impl Slot {
    /// When it ends; the last minute of the day at the latest.
    pub fn to(&self) -> TimeOfDay {
        let end = u32::from(self.from.minute) + self.minutes.0;
        TimeOfDay { minute: end.min(24 * 60 - 1) as u16 }
    }

    /// Its beginning and its end on a day. Where the clocks change in between, it still lasts as long.
    ///
    /// ```
    /// use jiff::civil::date;
    /// use jiff::tz::TimeZone;
    /// use jogo_core::season::slots::Slot;
    /// use jogo_core::units::Minutes;
    /// let slot = Slot { weekday: 7, from: "01:30".parse().unwrap(), minutes: Minutes(60), place: None };
    /// let zone = TimeZone::get("Europe/London").unwrap();
    /// // On 30 March 2031 the clocks go from 01:00 to 02:00.
    /// let times = slot.on(date(2031, 3, 30), &zone).unwrap().map(|time| time.to_string());
    /// assert_eq!(times, ["2031-03-30T01:30:00Z", "2031-03-30T02:30:00Z"]); // 02:30 and 03:30 there
    /// ```
    ///
    /// `None` beyond the end of the calendar (year 9999).
    pub fn on(&self, day: Date, zone: &TimeZone) -> Option<[Timestamp; 2]> {
        let from = zone.to_timestamp(day.to_datetime(self.from.time())).ok()?;
        let to = from.checked_add(SignedDuration::from_mins(self.minutes.0.into())).ok()?;
        Some([from, to])
    }

    fn faults(&self) -> Vec<InputError> {
        let weekday = RangeFault::Between { value: self.weekday.into(), least: 1.0, most: 7.0 };
        let minutes = RangeFault::Minutes { value: self.minutes.0.into(), least: 15.0, most: 240.0 };
        let at =
            [("/weekday", weekday), ("/minutes", minutes)].into_iter().filter(|(_, fault)| !fault.holds());
        let mut faults: Vec<InputError> = at.map(|(at, fault)| InputError::at(at, fault)).collect();
        let end = u32::from(self.from.minute).saturating_add(self.minutes.0);
        if faults.is_empty() && TimeOfDay::of(end).is_none() {
            let (from, minutes) = (self.from, self.minutes);
            faults.push(InputError::at("/minutes", SlotFault::AfterMidnight { from, minutes }));
        }
        faults
    }
}

/// Every fault of a team's slots, with its place. A team meets at most once a day.
pub fn faults(slots: &[Slot]) -> Vec<InputError> {
    let mut faults = Vec::new();
    for (place, slot) in slots.iter().enumerate() {
        let inside = slot.faults().into_iter().map(|fault| fault.inside(&format!("/{place}")));
        faults.extend(inside);
        if slots[..place].iter().any(|other| other.weekday == slot.weekday) {
            let fault = SlotFault::Twice { weekday: Named::Weekday { weekday: slot.weekday }.into() };
            faults.push(InputError::at(format!("/{place}/weekday"), fault));
        }
    }
    faults
}

/// The slot of a day, if the team meets on its weekday.
pub fn slot_on(slots: &[Slot], day: Date) -> Option<&Slot> {
    slots.iter().find(|slot| slot.weekday == day.weekday().to_monday_one_offset())
}

impl Season {
    /// The same on the weekdays of a team's slots; on its own ones if the team has none.
    pub fn on_slots(&self, slots: &[Slot]) -> Season {
        let weekdays: BTreeSet<i8> = slots.iter().map(|slot| slot.weekday).collect();
        match weekdays.is_empty() {
            true => self.clone(),
            false => Season { weekdays: weekdays.into_iter().collect(), ..self.clone() },
        }
    }
}

/// Teams that are in one place at one time.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Meeting<T> {
    /// Where.
    pub place: Uuid,
    /// Monday 1 to Sunday 7.
    pub weekday: i8,
    /// From when.
    pub from: TimeOfDay,
    /// Until when.
    pub to: TimeOfDay,
    /// Who, in their order.
    pub teams: Vec<T>,
}

/// Where and when teams of some slots are in one place at one time: by place, weekday and time. Whoever comes as
/// others leave does not meet them.
pub fn meetings<T: Clone + Ord>(taken: &[(T, Slot)]) -> Vec<Meeting<T>> {
    let mut by_place: BTreeMap<(Uuid, i8), Vec<(&T, Slot)>> = BTreeMap::new();
    for (team, slot) in taken {
        if let Some(place) = slot.place {
            by_place.entry((place, slot.weekday)).or_default().push((team, *slot));
        }
    }
    let mut found: Vec<Meeting<T>> = Vec::new();
    for ((place, weekday), there) in by_place {
        let times: BTreeSet<TimeOfDay> = there.iter().flat_map(|(_, slot)| [slot.from, slot.to()]).collect();
        let times: Vec<TimeOfDay> = times.into_iter().collect();
        for span in times.windows(2) {
            let is_there = |slot: &Slot| slot.from <= span[0] && span[1] <= slot.to();
            let teams: BTreeSet<&T> =
                there.iter().filter(|(_, slot)| is_there(slot)).map(|(team, _)| *team).collect();
            let teams: Vec<T> = teams.into_iter().cloned().collect();
            match found.last_mut() {
                Some(last)
                    if last.to == span[0]
                        && last.teams == teams
                        && last.weekday == weekday
                        && last.place == place =>
                {
                    last.to = span[1]
                }
                _ if teams.len() > 1 => {
                    found.push(Meeting { place, weekday, from: span[0], to: span[1], teams });
                }
                _ => (),
            }
        }
    }
    found
}

/// The floor that a team is sure to have in all of its slots: of the places that are known, the smallest part. `None`
/// if no place is known.
pub fn sure_ground<T: PartialEq>(
    team: &T,
    slots: &[Slot],
    places: &BTreeMap<Uuid, Place>,
    meetings: &[Meeting<T>],
    own: &Ground,
) -> Option<Ground> {
    let area = |ground: &Ground| ground.width.0 * ground.depth.0;
    let of_slot = |slot: &Slot| {
        let shared = meetings.iter().filter(|meeting| meeting.concerns(team, slot));
        let parts = shared.map(|meeting| meeting.teams.len()).max().unwrap_or(1);
        Some(places.get(&slot.place?)?.ground(own, parts as u32))
    };
    slots.iter().filter_map(of_slot).min_by(|one, other| area(one).total_cmp(&area(other)))
}

impl<T: PartialEq> Meeting<T> {
    /// Whether a team meets others in this slot of its own.
    pub fn concerns(&self, team: &T, slot: &Slot) -> bool {
        Some(self.place) == slot.place && self.weekday == slot.weekday && self.teams.contains(team)
    }
}

impl<T> Meeting<T> {
    /// What it means for those who meet.
    pub fn said(&self, place: &Place, name: impl Fn(&T) -> String) -> Sharing {
        let teams = self.teams.iter().map(name).collect();
        let weekday = Named::Weekday { weekday: self.weekday }.into();
        let (from, to, called) = (self.from, self.to, place.name.clone());
        if self.teams.len() > place.teams as usize {
            return Sharing::TooMany { place: called, weekday, from, to, teams, most: place.teams };
        }
        let Ground { width, depth, .. } = place.ground(&Ground::ASSUMED, self.teams.len() as u32);
        let (width, depth) = (width.0, depth.0);
        Sharing::Shared { place: called, weekday, from, to, teams, width, depth }
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use jiff::civil::date;
    use rstest::rstest;

    fn slot(weekday: i8, from: &str, minutes: u32, place: Option<u128>) -> Slot {
        Slot {
            weekday,
            from: from.parse().unwrap(),
            minutes: Minutes(minutes),
            place: place.map(Uuid::from_u128),
        }
    }

    fn hall() -> Place {
        let (width, depth) = (Metres(30.0), Metres(16.0));
        Place { name: "Skerrow hall".into(), width, depth, markers: 60, wall: true, teams: 2 }
    }

    #[rstest]
    #[case::sound(&[slot(1, "17:30", 75, None), slot(4, "17:30", 75, None)], &[])]
    #[case::no_weekday(&[slot(8, "17:30", 75, None)], &["/0/weekday"])]
    #[case::no_time_at_all(&[slot(1, "17:30", 5, None)], &["/0/minutes"])]
    #[case::over_midnight(&[slot(1, "23:00", 60, None)], &["/0/minutes"])]
    #[case::to_the_last_minute(&[slot(1, "22:59", 60, None)], &[])]
    #[case::twice_a_day(&[slot(1, "09:00", 60, None), slot(1, "17:30", 60, None)], &["/1/weekday"])]
    fn faults_have_their_places(#[case] slots: &[Slot], #[case] at: &[&str]) {
        let found: Vec<String> = faults(slots).into_iter().map(|fault| fault.pointer).collect();
        assert_eq!(found, at);
    }

    #[rstest]
    #[case("17:30", true)]
    #[case("00:00", true)]
    #[case("23:59", true)]
    #[case("24:00", false)]
    #[case("17:60", false)]
    #[case("7:30", false)]
    #[case("17.30", false)]
    #[case("+7:30", false)]
    #[case("", false)]
    fn a_time_is_written_in_one_way(#[case] text: &str, #[case] good: bool) {
        let read = text.parse::<TimeOfDay>();
        assert_eq!(read.map(|time| time.to_string()).ok(), good.then(|| text.to_owned()));
    }

    // 14 teams in the order of time would be drawn on paper as bars: A from 17 to 18.15, B from 17.30 to 18.45, C from
    // 18.15 to 19.30, D elsewhere.
    #[test]
    fn teams_meet_where_their_times_overlap_and_not_where_one_comes_as_the_other_leaves() {
        let taken = [
            ('a', slot(1, "17:00", 75, Some(1))),
            ('b', slot(1, "17:30", 75, Some(1))),
            ('c', slot(1, "18:15", 75, Some(1))),
            ('d', slot(1, "17:30", 75, Some(2))),
            ('e', slot(2, "17:30", 75, Some(1))),
            ('f', slot(1, "17:30", 75, None)),
        ];
        let found = meetings(&taken);
        let said: Vec<(String, String, &[char])> = found
            .iter()
            .map(|meeting| (meeting.from.to_string(), meeting.to.to_string(), &meeting.teams[..]))
            .collect();
        assert_eq!(
            said,
            [
                ("17:30".to_owned(), "18:15".to_owned(), &['a', 'b'][..]),
                ("18:15".to_owned(), "18:45".to_owned(), &['b', 'c'][..]),
            ]
        );
    }

    #[test]
    fn a_third_team_in_a_place_for_two_is_too_many() {
        let taken = ['a', 'b', 'c'].map(|team| (team, slot(1, "17:00", 60, Some(1))));
        let found = meetings(&taken);
        assert_eq!(found.len(), 1);
        let said = found[0].said(&hall(), char::to_string);
        assert!(matches!(said, Sharing::TooMany { most: 2, .. }), "{said:?}");
        let two = meetings(&taken[..2]);
        let said = two[0].said(&hall(), char::to_string);
        assert!(matches!(said, Sharing::Shared { width: 15.0, depth: 16.0, .. }), "{said:?}");
    }

    #[test]
    fn what_a_team_is_sure_of_is_the_smallest_part_of_all_its_slots() {
        let small = Place { name: "Gym".into(), width: Metres(12.0), depth: Metres(20.0), ..hall() };
        let places = [(Uuid::from_u128(1), hall()), (Uuid::from_u128(2), small)].into();
        let own = [slot(1, "17:00", 60, Some(1)), slot(3, "17:00", 60, Some(2))];
        let alone: Vec<(char, Slot)> = own.iter().map(|slot| ('a', *slot)).collect();
        let sure = |taken: &[(char, Slot)]| {
            let ground = sure_ground(&'a', &own, &places, &meetings(taken), &Ground::ASSUMED).unwrap();
            (ground.width.0, ground.depth.0)
        };
        assert_eq!(sure(&alone), (12.0, 20.0)); // 240 m² against 480 m²
        let with = |other: Slot| [&alone[..], &[('b', other)]].concat();
        assert_eq!(sure(&with(slot(3, "17:30", 60, Some(2)))), (12.0, 10.0)); // half of the gym
        assert_eq!(sure(&with(slot(1, "17:30", 60, Some(1)))), (15.0, 16.0)); // 240 m² both: the first of them
        assert_eq!(sure_ground(&'a', &[slot(1, "17:00", 60, None)], &places, &[], &Ground::ASSUMED), None);
    }

    #[test]
    fn a_third_team_takes_nothing_from_the_halves_of_two_and_a_part_is_not_narrower_than_a_ground_may_be() {
        let parts = [1, 2, 3].map(|parts| hall().ground(&Ground::ASSUMED, parts).width.0);
        assert_eq!(parts, [30.0, 15.0, 15.0]);
        assert_eq!(hall().faults(), []);
        let corridor = Place { width: Metres(3.0), depth: Metres(3.0), teams: 4, ..hall() };
        let at: Vec<String> = corridor.faults().into_iter().map(|fault| fault.pointer).collect();
        assert_eq!(at, ["/width_m"]); // 0.75 m each
    }

    #[test]
    fn a_season_takes_the_weekdays_of_the_slots() {
        let season = Season {
            start: date(2031, 1, 6),
            weeks: 6,
            weekdays: vec![1, 4],
            holidays: vec![2],
            days_off: vec![],
        };
        let slots = [slot(5, "17:00", 60, None), slot(2, "17:00", 60, None)];
        assert_eq!(season.on_slots(&slots).weekdays, [2, 5]);
        assert_eq!(season.on_slots(&[]), season);
        let tuesday = date(2031, 1, 7);
        assert_eq!(slot_on(&slots, tuesday), Some(&slots[1]));
        assert_eq!(slot_on(&slots, date(2031, 1, 8)), None);
    }

    // Clocks in London go forward on 30 March 2031 and back on 26 October 2031, both at 01:00 UTC.
    #[rstest]
    #[case::before_they_go_forward(date(2031, 3, 29), "2031-03-29T17:30:00Z", "2031-03-29T18:45:00Z")]
    #[case::after_they_went_forward(date(2031, 3, 30), "2031-03-30T16:30:00Z", "2031-03-30T17:45:00Z")]
    #[case::before_they_go_back(date(2031, 10, 25), "2031-10-25T16:30:00Z", "2031-10-25T17:45:00Z")]
    #[case::after_they_went_back(date(2031, 10, 26), "2031-10-26T17:30:00Z", "2031-10-26T18:45:00Z")]
    fn the_clock_on_the_wall_decides(#[case] day: Date, #[case] from: &str, #[case] to: &str) {
        let zone = TimeZone::get("Europe/London").unwrap();
        let times = slot(1, "17:30", 75, None).on(day, &zone).unwrap();
        assert_eq!(times.map(|time| time.to_string()), [from, to]);
    }
}
