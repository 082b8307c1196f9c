//! Age bands: which ages, ball, minutes and limits?
//!
//! Every number is a rule of thumb, an *assumption*, until the academy says in `sources` where it comes from.

use std::collections::BTreeMap;
use std::fmt;
use std::str::FromStr;

use jiff::civil::Date;
use serde::{Deserialize, Serialize};

use crate::academy::roster::{BirthMonth, Row, RowNote};
use crate::fact::{Fact, facts};
use crate::ground::layout::{Layout, PathKind};
use crate::ids::BandId;
use crate::input::sheet::shown;
use crate::input::{InputError, RangeFault, What, short_text};
use crate::technique::score::tempo::{BodySize, Tempos};
use crate::units::{Minutes, Seconds};

/// Children and youths: nobody is younger or older, in years.
const YOUNGEST: u8 = 3;
const OLDEST: u8 = 21;

facts! {
    /// What is wrong with a band beyond its numbers, or with the day from which its ages count.
    pub enum BandFault {
        NoSuchNumber = "band-no-such-number" { known: Vec<&'static str> },
        TemposOutOfOrder = "band-tempos-out-of-order",
        NoDayOfTheYear = "band-no-day-of-the-year" { written: String },
    }
}

/// How fast the children of a band go along a path, in metres per second.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Speeds {
    /// With the ball at the foot.
    pub dribble: f64,
    /// Without a ball.
    pub run: f64,
    /// The ball, passed along the floor.
    pub pass: f64,
    /// The ball, served.
    pub serve: f64,
}

impl Default for Speeds {
    /// Assumptions.
    fn default() -> Speeds {
        Speeds { dribble: 1.6, run: 2.8, pass: 6.0, serve: 5.0 }
    }
}

impl Speeds {
    /// The speed along one kind of path.
    pub fn along(&self, kind: PathKind) -> f64 {
        match kind {
            PathKind::Dribble => self.dribble,
            PathKind::Run => self.run,
            PathKind::Pass => self.pass,
            PathKind::Serve => self.serve,
        }
    }

    /// How long all paths of a layout take, one after the other.
    ///
    /// ```
    /// use jogo_core::{academy::band::Speeds, ground::layout::Layout, units::{Pace, Seconds}};
    /// let text = "unit m; mark A; walk 8; mark B; path dribble A -> B; path run B -> A";
    /// let there_and_back = Layout::read(text, Pace::default()).unwrap();
    /// let speeds = Speeds { dribble: 2.0, run: 4.0, ..Speeds::default() };
    /// assert_eq!(speeds.once_through(&there_and_back), Seconds(6.0)); // 8 ÷ 2 + 8 ÷ 4
    /// ```
    pub fn once_through(&self, layout: &Layout) -> Seconds {
        layout.path_measures().iter().map(|path| Seconds(path.length.0 / self.along(path.kind))).sum()
    }
}

/// An age band of the academy. The limits are rules of thumb (assumptions) that the academy can edit.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Band {
    /// As `u8-u9`.
    pub id: BandId,
    /// As people say it: "U8–U9".
    pub name: String,
    /// Youngest age on the academy's cut-off date, in years.
    pub youngest: u8,
    /// Oldest age on the academy's cut-off date, in years.
    pub oldest: u8,
    /// Size of the ball, 1 to 5.
    pub ball_size: u8,
    /// Technical minutes of a usual session.
    #[serde(rename = "session_min")]
    pub session: Minutes,
    /// How many skills may be met for the first time in one week.
    pub new_skills_per_week: u32,
    /// Longest unbroken piece of work.
    #[serde(rename = "longest_bout_s")]
    pub longest_bout: Seconds,
    /// Longest block of one variant.
    #[serde(rename = "longest_block_min")]
    pub longest_block: Minutes,
    /// How long a coach needs to explain and show a drill.
    #[serde(rename = "explaining_s")]
    pub explaining: Seconds,
    /// How fast they go.
    #[serde(rename = "speeds_m_per_s")]
    pub speeds: Speeds,
    /// Seconds of a beat; the usual ones of the age if nothing is said.
    #[serde(rename = "tempos_s", default, skip_serializing_if = "Option::is_none")]
    pub tempos: Option<Tempos>,
    /// Where a number comes from, by its name here; one without a source is an assumption.
    pub sources: BTreeMap<String, String>,
}

impl Band {
    /// The band whose ages lie nearest to these; of two that lie as near, the younger one.
    pub fn nearest<'b>(
        youngest: u8,
        oldest: u8,
        bands: impl IntoIterator<Item = &'b Band>,
    ) -> Option<&'b Band> {
        let middle = |youngest: u8, oldest: u8| u32::from(youngest) + u32::from(oldest);
        let apart = |band: &&Band| {
            (middle(band.youngest, band.oldest).abs_diff(middle(youngest, oldest)), band.youngest)
        };
        bands.into_iter().min_by_key(apart)
    }

    /// A band of these ages with the numbers of this one: assumptions, to be looked at. It is named by the years of its
    /// teams, which are one above the ages. `None` if a name cannot be made of them.
    ///
    /// ```
    /// # use jogo_core::academy::band::Band;
    /// let bands: Vec<Band> = serde_json::from_str(include_str!("../../../../demo/bands.json")).unwrap();
    /// let like = Band::nearest(15, 16, &bands).unwrap();
    /// assert_eq!(like.id.as_str(), "u13-u15");
    /// let older = like.with_ages(15, 16).unwrap();
    /// assert_eq!((older.id.as_str(), older.name.as_str()), ("u16-u17", "U16\u{2013}U17"));
    /// assert_eq!(like.with_ages(5, 5).unwrap().id.as_str(), "u6");
    /// ```
    pub fn with_ages(&self, youngest: u8, oldest: u8) -> Option<Band> {
        let years = [youngest, oldest].map(|age| age.saturating_add(1).to_string());
        let (id, name) = match youngest == oldest {
            true => (format!("u{}", years[0]), format!("U{}", years[0])),
            false => (format!("u{}-u{}", years[0], years[1]), format!("U{}–U{}", years[0], years[1])),
        };
        let (id, sources) = (id.parse().ok()?, BTreeMap::new());
        Some(Band { id, name, youngest, oldest, sources, ..self.clone() })
    }

    /// Notes which players are younger or older than the children of the band, on the cut-off day of a year: they
    /// practise up or down.
    ///
    /// ```
    /// use jiff::civil::date;
    /// use jogo_core::academy::band::{Band, CutOff};
    /// use jogo_core::academy::roster::read;
    /// let bands: Vec<Band> = serde_json::from_str(include_str!("../../../../demo/bands.json")).unwrap();
    /// let u8_u9 = bands.iter().find(|band| band.id == "u8-u9").unwrap(); // seven and eight years old
    /// let list = "name,birth month,strong foot\nUna,2022-04,left\nOlo,2021-12,left\nBrin,2024-01,left\n";
    /// let mut rows = read(list.as_bytes(), date(2031, 2, 10)).unwrap();
    /// u8_u9.note_ages(&mut rows, CutOff::default(), 2031);
    /// let noted: Vec<bool> = rows.iter().map(|row| row.note.is_some()).collect();
    /// assert_eq!(noted, [false, true, true]); // eight, nine and six on 1 January 2031
    /// ```
    pub fn note_ages(&self, rows: &mut [Row], cut_off: CutOff, year: i16) {
        for row in rows {
            let Some(player) = &row.player else { continue };
            let age = cut_off.age(player.birth_month, year);
            if !(i16::from(self.youngest)..=i16::from(self.oldest)).contains(&age) {
                let (date, band_name) = (cut_off.in_year(year), self.name.clone());
                let (youngest, oldest) = (self.youngest, self.oldest);
                row.note = Some(RowNote::OutOfAges { age, date, band: band_name, youngest, oldest }.into());
            }
        }
    }

    /// The numbers that may have a source.
    pub const SOURCED: [&str; 8] = [
        "ages",
        "ball_size",
        "session_min",
        "new_skills_per_week",
        "longest_bout_s",
        "longest_block_min",
        "explaining_s",
        "tempos_s",
    ];

    /// How many skills a session of the band may have before it loses its focus: three for children under eight, else
    /// four. An assumption.
    pub fn skills_per_session(&self) -> u32 {
        if self.oldest < 8 { 3 } else { 4 }
    }

    /// Seconds of a beat: its own, or the usual ones of its age.
    ///
    /// ```
    /// # use jogo_core::{academy::band::Band, units::Seconds};
    /// # let bands: Vec<Band> = serde_json::from_str(include_str!("../../../../demo/bands.json")).unwrap();
    /// let band = bands.iter().find(|band| band.id == "u10-u12").unwrap();
    /// assert_eq!(band.tempos().in_rhythm, Seconds(0.55));
    /// ```
    pub fn tempos(&self) -> Tempos {
        self.tempos.unwrap_or_else(|| Tempos::up_to(self.oldest))
    }

    /// How tall its children are.
    pub fn body_size(&self) -> BodySize {
        BodySize::up_to(self.oldest)
    }

    /// The longest name, in characters.
    pub const LONGEST_NAME: usize = 20;

    /// Every fault, with its place.
    pub fn faults(&self) -> Vec<InputError> {
        let mut faults = Vec::new();
        let mut wrong = |at: &str, fact: Fact| faults.push(InputError::at(at, fact));
        if let Err(fault) = short_text(&self.name, Band::LONGEST_NAME, What::Name) {
            wrong("/name", fault.into());
        }
        let years = |years: u8, least: u8| RangeFault::Years {
            value: years.into(),
            least: least.into(),
            most: OLDEST.into(),
        };
        if !(YOUNGEST..=OLDEST).contains(&self.youngest) {
            wrong("/youngest", years(self.youngest, YOUNGEST).into());
        }
        if self.oldest < self.youngest || self.oldest > OLDEST {
            wrong("/oldest", years(self.oldest, self.youngest).into());
        }
        let speeds = &self.speeds;
        let tempos = self.tempos();
        let beat = |beat: Seconds| RangeFault::Seconds { value: beat.0, least: 0.1, most: 5.0 };
        let numbers = [
            ("/ball_size", RangeFault::Between { value: self.ball_size.into(), least: 1.0, most: 5.0 }),
            ("/session_min", RangeFault::Minutes { value: self.session.0.into(), least: 10.0, most: 240.0 }),
            (
                "/new_skills_per_week",
                RangeFault::Between { value: self.new_skills_per_week.into(), least: 1.0, most: 10.0 },
            ),
            ("/longest_bout_s", RangeFault::Seconds { value: self.longest_bout.0, least: 5.0, most: 600.0 }),
            (
                "/longest_block_min",
                RangeFault::Minutes { value: self.longest_block.0.into(), least: 2.0, most: 60.0 },
            ),
            ("/explaining_s", RangeFault::Seconds { value: self.explaining.0, least: 0.0, most: 600.0 }),
            ("/tempos_s/own_pace", beat(tempos.own_pace)),
            ("/tempos_s/in_rhythm", beat(tempos.in_rhythm)),
            ("/tempos_s/fast", beat(tempos.fast)),
            ("/speeds_m_per_s/dribble", RangeFault::Speed { value: speeds.dribble, least: 0.2, most: 10.0 }),
            ("/speeds_m_per_s/run", RangeFault::Speed { value: speeds.run, least: 0.2, most: 10.0 }),
            ("/speeds_m_per_s/pass", RangeFault::Speed { value: speeds.pass, least: 0.2, most: 30.0 }),
            ("/speeds_m_per_s/serve", RangeFault::Speed { value: speeds.serve, least: 0.2, most: 30.0 }),
        ];
        for (at, fault) in numbers.into_iter().filter(|(_, fault)| !fault.holds()) {
            wrong(at, fault.into());
        }
        if !tempos.in_order() {
            wrong("/tempos_s", BandFault::TemposOutOfOrder.into());
        }
        for (name, source) in &self.sources {
            let at = format!("/sources/{name}");
            if !Band::SOURCED.contains(&name.as_str()) {
                wrong(&at, BandFault::NoSuchNumber { known: Band::SOURCED.to_vec() }.into());
            } else if let Err(fault) = short_text(source, 200, What::Source) {
                wrong(&at, fault.into());
            }
        }
        faults
    }
}

/// The day of the year on which ages are counted, as `01-01`.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(try_from = "String", into = "String")]
pub struct CutOff {
    month: i8,
    day: i8,
}

impl CutOff {
    /// The month, 1 to 12.
    pub fn month(self) -> i8 {
        self.month
    }

    /// The month in which a year of birth begins, 1 to 12, and whether the first days of it belong to the year before.
    /// A child who is born on the first of the month counts with those of the month.
    ///
    /// ```
    /// use jogo_core::academy::band::CutOff;
    /// let first = |cut_off: &str| cut_off.parse::<CutOff>().unwrap().first_month();
    /// assert_eq!(first("01-01"), (1, false));
    /// assert_eq!(first("08-31"), (9, false)); // from 1 September on
    /// assert_eq!(first("12-31"), (1, false));
    /// assert_eq!(first("02-28"), (3, false));
    /// assert_eq!(first("08-15"), (8, true));
    /// ```
    pub fn first_month(self) -> (i8, bool) {
        match Date::new(2031, self.month, self.day).map(|day| day.days_in_month()) {
            Ok(last) if last == self.day => (self.month % 12 + 1, false),
            _ => (self.month, self.day > 1),
        }
    }

    /// The cut-off day of a year.
    pub fn in_year(self, year: i16) -> Date {
        Date::new(year, self.month, self.day).unwrap_or(Date::MAX)
    }

    /// The year whose cut-off day lies nearest to a day: a season's ages count on the one nearest to its first day.
    ///
    /// ```
    /// use jiff::civil::date;
    /// use jogo_core::academy::band::CutOff;
    /// let nearest = |cut_off: &str, day| cut_off.parse::<CutOff>().unwrap().nearest(day);
    /// assert_eq!(nearest("01-01", date(2031, 8, 1)), 2032); // 153 days ahead, 212 behind
    /// assert_eq!(nearest("08-31", date(2031, 9, 1)), 2031);
    /// assert_eq!(nearest("01-01", date(2031, 2, 1)), 2031);
    /// ```
    pub fn nearest(self, day: Date) -> i16 {
        let years = [day.year() - 1, day.year(), day.year() + 1];
        let apart = |year: &i16| (self.in_year(*year) - day).get_days().abs();
        years.into_iter().min_by_key(apart).unwrap_or(day.year())
    }

    /// The age in years, on the cut-off day of a year, of a child who was born in a month. A child who is born on the
    /// first of a month counts with those of the month; in a month that the cut-off splits, everybody counts with those
    /// born after it.
    ///
    /// ```
    /// use jogo_core::academy::band::CutOff;
    /// let age = |cut_off: &str, born: &str| {
    ///     cut_off.parse::<CutOff>().unwrap().age(born.parse().unwrap(), 2032)
    /// };
    /// assert_eq!((age("01-01", "2023-01"), age("01-01", "2022-12")), (8, 9));
    /// assert_eq!((age("08-31", "2023-08"), age("08-31", "2023-09")), (9, 8));
    /// assert_eq!(age("12-31", "2023-12"), 9);
    /// assert_eq!((age("08-15", "2023-07"), age("08-15", "2023-08")), (9, 8));
    /// ```
    pub fn age(self, born: BirthMonth, year: i16) -> i16 {
        let (first, _) = self.first_month();
        let had_birthday = born.month() < first || (first == 1 && self.month == 12);
        year - born.year() - i16::from(!had_birthday)
    }

    /// Whether a month of birth leaves the age on the cut-off day open: the cut-off splits it.
    pub fn is_unsure(self, born: BirthMonth) -> bool {
        let (first, is_split) = self.first_month();
        is_split && born.month() == first
    }
}

impl Default for CutOff {
    /// New Year's Day, an assumption.
    fn default() -> CutOff {
        CutOff { month: 1, day: 1 }
    }
}

impl fmt::Display for CutOff {
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        write!(f, "{:02}-{:02}", self.month, self.day)
    }
}

impl FromStr for CutOff {
    type Err = BandFault;

    /// Reads `MM-DD`; the 29th of February is no cut-off, since most years lack it.
    fn from_str(text: &str) -> Result<CutOff, BandFault> {
        let parts = text.split_once('-').and_then(|(m, d)| Some((m.parse().ok()?, d.parse().ok()?)));
        let day =
            parts.and_then(|(month, day)| Date::new(2031, month, day).ok().map(|_| CutOff { month, day }));
        day.ok_or_else(|| BandFault::NoDayOfTheYear { written: shown(text) })
    }
}

impl TryFrom<String> for CutOff {
    type Error = BandFault;

    fn try_from(text: String) -> Result<CutOff, BandFault> {
        text.parse()
    }
}

impl From<CutOff> for String {
    fn from(day: CutOff) -> String {
        day.to_string()
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::ids::called;
    use rstest::rstest;

    fn sound() -> Band {
        Band {
            id: called("u8-u9"),
            name: "U8–U9".into(),
            youngest: 7,
            oldest: 8,
            ball_size: 3,
            session: Minutes(40),
            new_skills_per_week: 2,
            longest_bout: Seconds(40.0),
            longest_block: Minutes(10),
            explaining: Seconds(60.0),
            speeds: Speeds::default(),
            tempos: None,
            sources: BTreeMap::new(),
        }
    }

    #[rstest]
    #[case::nothing_wrong(|_: &mut Band| (), &[])]
    #[case::ages_turned_round(|b: &mut Band| b.oldest = 6, &["/oldest"])]
    #[case::a_beach_ball(|b: &mut Band| b.ball_size = 9, &["/ball_size"])]
    #[case::an_endless_bout(|b: &mut Band| b.longest_bout = Seconds(f64::INFINITY), &["/longest_bout_s"])]
    #[case::fast_is_slow(
        |b: &mut Band| b.tempos = Some(Tempos { fast: Seconds(0.7), ..Tempos::up_to(8) }), &["/tempos_s"],
    )]
    #[case::nobody_moves(|b: &mut Band| b.speeds.run = 0.0, &["/speeds_m_per_s/run"])]
    #[case::a_source_for_nothing(
        |b: &mut Band| { b.sources.insert("luck".into(), "a coin".into()); }, &["/sources/luck"],
    )]
    #[case::an_empty_source(|b: &mut Band| { b.sources.insert("ages".into(), " ".into()); }, &["/sources/ages"])]
    fn faults_name_their_places(#[case] spoil: fn(&mut Band), #[case] places: &[&str]) {
        let mut band = sound();
        spoil(&mut band);
        let found: Vec<String> = band.faults().into_iter().map(|f| f.pointer).collect();
        assert_eq!(found, places);
    }

    #[rstest]
    #[case::new_year("01-01", true)]
    #[case::late_summer("08-31", true)]
    #[case::no_such_day("02-30", false)]
    #[case::a_leap_day("02-29", false)]
    #[case::words("midsummer", false)]
    fn cut_offs(#[case] text: &str, #[case] good: bool) {
        assert_eq!(text.parse::<CutOff>().map(|day| day.to_string()).ok(), good.then(|| text.to_owned()));
    }
}
