//! Years: the terms of an academy, in which its curricula run.

use jiff::civil::Date;
use serde::{Deserialize, Serialize};

use super::calendar::last_day;
use super::days_off::{DaysOff, in_order};
use crate::fact::facts;
use crate::input::{InputError, RangeFault, What, short_text};
use crate::plan::curriculum::Season;

facts! {
    /// What is wrong with the terms of a year.
    pub enum YearFault {
        TermOutside = "term-outside" { term: String, first: Date, last: Date },
        TermsMeet = "terms-meet" { term: String, before: String },
        TermTwice = "term-twice" { term: String },
    }
}

/// A season of an academy, from summer to summer or as it likes.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Year {
    /// As people say it: "2030/31".
    pub name: String,
    /// Its first day; whoever changes band does so by their age on it.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub first: Date,
    /// Its last day.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub last: Date,
    /// Its terms, in order, 1 to 6.
    pub terms: Vec<Term>,
}

/// A part of a year in which curricula run.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Term {
    /// As people say it: "Autumn".
    pub name: String,
    /// Its first day, with which the first week of a curriculum begins.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub first: Date,
    /// Its last day.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub last: Date,
}

impl Year {
    /// The most days of a year.
    pub const LONGEST: i32 = 400;
    /// The most terms.
    pub const MOST_TERMS: usize = 6;

    /// Whether any day of some weeks that begin on a day lies in it.
    pub fn meets(&self, start: Date, weeks: u32) -> bool {
        start <= self.last && self.first <= last_day(start, weeks)
    }

    /// Every fault, with its place. Terms lie within the year, one after the other.
    pub fn faults(&self) -> Vec<InputError> {
        let mut faults = Vec::new();
        if let Err(fault) = short_text(&self.name, 40, What::Name) {
            faults.push(InputError::at("/name", fault));
        }
        faults.extend(in_order(self.first, self.last, Year::LONGEST));
        if !(1..=Year::MOST_TERMS).contains(&self.terms.len()) {
            let fault = RangeFault::Between {
                value: self.terms.len() as f64,
                least: 1.0,
                most: Year::MOST_TERMS as f64,
            };
            faults.push(InputError::at("/terms", fault));
            return faults;
        }
        for (nth, term) in self.terms.iter().enumerate() {
            let found = self.term_faults(term, &self.terms[..nth]);
            faults.extend(found.into_iter().map(|fault| fault.inside(&format!("/terms/{nth}"))));
        }
        faults
    }

    fn term_faults(&self, term: &Term, before: &[Term]) -> Vec<InputError> {
        let mut faults = Vec::new();
        if let Err(fault) = short_text(&term.name, 40, What::Name) {
            faults.push(InputError::at("/name", fault));
        }
        if before.iter().any(|other| other.name == term.name) {
            faults.push(InputError::at("/name", YearFault::TermTwice { term: term.name.clone() }));
        }
        faults.extend(in_order(term.first, term.last, Term::LONGEST));
        if term.first < self.first || self.last < term.last {
            let (term, first, last) = (term.name.clone(), self.first, self.last);
            faults.push(InputError::at("/first", YearFault::TermOutside { term, first, last }));
        }
        if let Some(before) = before.last().filter(|before| term.first <= before.last) {
            let (term, before) = (term.name.clone(), before.name.clone());
            faults.push(InputError::at("/first", YearFault::TermsMeet { term, before }));
        }
        faults
    }
}

impl Term {
    /// The most days of a term: the longest curriculum.
    pub const LONGEST: i32 = 140;

    /// When a curriculum of the whole term runs on some weekdays. Weeks in which every day of the term is off are
    /// holidays; of the others, the days that are off are, and those after the term's end.
    ///
    /// ```
    /// use jiff::civil::date;
    /// use jogo_core::season::days_off::DaysOff;
    /// use jogo_core::season::year::Term;
    /// let autumn = Term { name: "Autumn".into(), first: date(2031, 9, 1), last: date(2031, 9, 24) };
    /// let off = |first, last| DaysOff { name: "Off".into(), first, last };
    /// let off = [off(date(2031, 9, 8), date(2031, 9, 14)), off(date(2031, 9, 18), date(2031, 9, 18))];
    /// let season = autumn.runs(vec![1, 4], &off);
    /// assert_eq!((season.start, season.weeks, &season.holidays[..]), (date(2031, 9, 1), 4, &[2][..]));
    /// assert_eq!(season.days_off, [date(2031, 9, 18), date(2031, 9, 25)]); // the second is after the end
    /// ```
    pub fn runs(&self, weekdays: Vec<i8>, off: &[DaysOff]) -> Season {
        let days = (self.last - self.first).get_days();
        let weeks = u32::try_from(days / 7 + 1).unwrap_or(1).min(20);
        let is_off = |day: Date| day > self.last || off.iter().any(|each| each.has(day));
        let mut season =
            Season { start: self.first, weeks, weekdays, holidays: Vec::new(), days_off: Vec::new() };
        let days: Vec<Date> = self.first.series(jiff::Span::new().days(1)).take(7 * weeks as usize).collect();
        for (week, days) in (1..).zip(days.chunks(7)) {
            match days.iter().all(|day| is_off(*day)) {
                true => season.holidays.push(week),
                false => {
                    season.days_off.extend(season.sessions_of(days).into_iter().filter(|day| is_off(*day)))
                }
            }
        }
        season
    }
}

impl Season {
    /// Of some days, those on its weekdays.
    fn sessions_of(&self, days: &[Date]) -> Vec<Date> {
        days.iter()
            .copied()
            .filter(|day| self.weekdays.contains(&day.weekday().to_monday_one_offset()))
            .collect()
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use jiff::civil::date;
    use rstest::rstest;

    fn year() -> Year {
        let term = |name: &str, first, last| Term { name: name.into(), first, last };
        Year {
            name: "2031/32".into(),
            first: date(2031, 8, 1),
            last: date(2032, 7, 31),
            terms: vec![
                term("Autumn", date(2031, 9, 1), date(2031, 11, 30)),
                term("Winter", date(2031, 12, 1), date(2032, 3, 14)),
            ],
        }
    }

    #[rstest]
    #[case::nothing_wrong(|_: &mut Year| (), &[])]
    #[case::no_name(|year: &mut Year| year.name = " ".into(), &["/name"])]
    #[case::no_term(|year: &mut Year| year.terms.clear(), &["/terms"])]
    #[case::it_ends_first(|year: &mut Year| year.last = date(2031, 7, 31), &["/last", "/terms/0/first", "/terms/1/first"])]
    #[case::two_years(|year: &mut Year| year.last = date(2033, 7, 31), &["/last"])]
    #[case::a_term_outside(|year: &mut Year| year.terms[0].first = date(2031, 7, 31), &["/terms/0/first"])]
    #[case::terms_meet(|year: &mut Year| year.terms[0].last = date(2031, 12, 1), &["/terms/1/first"])]
    #[case::a_term_ends_first(|year: &mut Year| year.terms[1].last = date(2031, 11, 30), &["/terms/1/last"])]
    #[case::a_term_of_half_a_year(|year: &mut Year| year.terms[1].last = date(2032, 6, 14), &["/terms/1/last"])]
    #[case::two_of_one_name(|year: &mut Year| year.terms[1].name = "Autumn".into(), &["/terms/1/name"])]
    fn faults_name_their_places(#[case] spoil: fn(&mut Year), #[case] places: &[&str]) {
        let mut year = year();
        spoil(&mut year);
        let found: Vec<String> = year.faults().into_iter().map(|fault| fault.pointer).collect();
        assert_eq!(found, places);
    }

    #[rstest]
    #[case::they_end_on_the_day_before(date(2031, 7, 18), false)]
    #[case::they_end_on_its_first_day(date(2031, 7, 19), true)]
    #[case::they_begin_on_its_last_day(date(2032, 7, 31), true)]
    #[case::they_begin_on_the_day_after(date(2032, 8, 1), false)]
    fn two_weeks_lie_in_a_year_or_beside_it(#[case] start: Date, #[case] meets: bool) {
        assert_eq!(year().meets(start, 2), meets);
    }
}
