//! Results as a list: one line for each trial, in and out.
//!
//! Columns: *player*, *test*, *side* (empty where the foot does not matter), *day*, *value*; for tests that look at
//! points the value may be written as the marks, `2 1 2`. Every line answers for itself: a trial, or what is wrong
//! with it.
//!
//! A player is found by their name, whatever the case and the spaces; a name that is nearly right is taken for
//! nobody, and the nearest names are offered.

use jiff::civil::Date;
use serde::Serialize;

use super::Trial;
use crate::assessment::benchmarks::{Protocol, Test};
use crate::fact::{Fact, facts};
use crate::ids::TestId;
use crate::input::What;
use crate::input::sheet::{Sheet, shown};
use crate::technique::skill::Side;

/// What a list needs beside it: the squad and the tests.
#[derive(Clone, Copy, Debug)]
pub struct Beside<'a, P> {
    /// Players by name.
    pub players: &'a [(P, String)],
    /// Tests that may be named, by id, name or short name.
    pub tests: &'a [Test],
    /// The day after which nothing can have been measured.
    pub today: Date,
}

/// One line of a list.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ResultLine<P> {
    /// Line in the file, from 1.
    pub line: u64,
    /// What it says, as written.
    pub written: String,
    /// The player, if they were found.
    pub player: Option<P>,
    /// The test, if it was found.
    pub test: Option<TestId>,
    /// The foot.
    pub side: Option<Side>,
    /// The day, as `2031-02-10`.
    pub taken_on: Option<String>,
    /// The value.
    pub value: Option<f64>,
    /// What was seen of each point.
    pub marks: Vec<u8>,
    /// What is wrong, with the mend; `None` if it can be taken in.
    pub errors: Vec<Fact>,
}

/// The names of the columns, in the order in which they are written.
pub const COLUMNS: [&str; 5] = ["player", "test", "side", "day", "value"];

facts! {
    /// Why a list could not be read at all.
    pub enum ListFault {
        NoColumn = "line-no-column" { column: &'static str },
    }

    /// What is wrong with a line of results.
    pub enum LineFault {
        Already = "line-already",
        NoFoot = "row-no-foot" { what: What, written: String },
        FootMissing = "line-foot-missing" { test: String },
        FootTooMuch = "line-foot-too-much" { test: String },
        NoPlayer = "line-no-player" { name: String },
        IsIt = "line-is-it" { name: String, one: String },
        OneOfTwo = "line-one-of-two" { name: String, one: String, other: String },
        NoTest = "line-no-test" { name: String, known: Vec<String> },
        NoDay = "line-no-day" { written: String },
        DayToCome = "line-day-to-come" { written: String },
        LongAgo = "line-long-ago" { written: String },
        NoMarks = "line-no-marks" { written: String },
        NoNumber = "line-no-number" { written: String },
    }
}

/// Every line of a list, from the second on.
pub fn read<P: Copy>(sheet: &Sheet, beside: Beside<'_, P>) -> Result<Vec<ResultLine<P>>, ListFault> {
    let head: Vec<String> = sheet.head.iter().map(|name| name.trim().to_lowercase()).collect();
    let mut at = [0; 5];
    for (place, name) in at.iter_mut().zip(COLUMNS) {
        *place = head.iter().position(|column| column == name).ok_or(ListFault::NoColumn { column: name })?;
    }
    let line = |(number, cells): &(u64, Vec<String>)| {
        let cells = at.map(|column| cells.get(column).map_or("", |cell| cell.trim()));
        one(*number, cells, beside)
    };
    Ok(sheet.lines.iter().map(line).collect())
}

/// Takes out the lines that say what is known already, as often as it is known: the same list may be read in twice.
pub fn note_known<P: PartialEq>(lines: &mut [ResultLine<P>], known: &[Trial<P>]) {
    let mut left: Vec<&Trial<P>> = known.iter().collect();
    for line in lines.iter_mut().filter(|line| line.errors.is_empty()) {
        let same = |trial: &&Trial<P>| {
            line.player.as_ref() == Some(&trial.player)
                && line.test.as_ref() == Some(&trial.test)
                && line.side == trial.side
                && line.taken_on == Some(trial.taken_on.to_string())
                && line.value == Some(trial.value)
                && line.marks == trial.marks
        };
        if let Some(at) = left.iter().position(same) {
            left.swap_remove(at);
            line.errors.push(LineFault::Already.into());
        }
    }
}

fn one<P: Copy>(line: u64, cells: [&str; 5], beside: Beside<'_, P>) -> ResultLine<P> {
    let [player, test, side, day, value] = cells;
    let mut errors = Vec::new();
    let mut noted = |fault: Fact| errors.push(fault);
    let player = found_player(player, beside.players).map_err(|fault| noted(fault.into())).ok();
    let test = found_test(test, beside.tests).map_err(|fault| noted(fault.into())).ok();
    let taken_on = plausible_day(day, beside.today).map_err(|fault| noted(fault.into())).ok();
    let side = match side.to_lowercase().as_str() {
        "" => Ok(None),
        "left" | "links" | "l" => Ok(Some(Side::Left)),
        "right" | "rechts" | "r" => Ok(Some(Side::Right)),
        _ => Err(LineFault::NoFoot { what: What::Foot, written: shown(side) }),
    };
    let side = side.map_err(|fault| noted(fault.into())).ok().flatten();
    let mut marks = Vec::new();
    let mut read = None;
    if let Some(test) = test {
        if test.per_side && side.is_none() {
            noted(LineFault::FootMissing { test: test.name.clone() }.into());
        } else if !test.per_side && side.is_some() {
            noted(LineFault::FootTooMuch { test: test.name.clone() }.into());
        }
        match measured(value, test) {
            Ok((value, seen)) => (read, marks) = (Some(value), seen),
            Err(fault) => noted(fault),
        }
    }
    ResultLine {
        line,
        written: cells.map(shown).join(" · "),
        player,
        test: test.map(|test| test.id.clone()),
        side,
        taken_on: taken_on.map(|day| day.to_string()),
        value: read,
        marks,
        errors,
    }
}

fn same(name: &str) -> String {
    name.split_whitespace().collect::<Vec<_>>().join(" ").to_lowercase()
}

fn found_player<P: Copy>(name: &str, players: &[(P, String)]) -> Result<P, LineFault> {
    let wanted = same(name);
    if let Some((player, _)) = players.iter().find(|(_, known)| same(known) == wanted) {
        return Ok(*player);
    }
    let mut near: Vec<(f64, &str)> = players
        .iter()
        .map(|(_, known)| (strsim::jaro_winkler(&same(known), &wanted), known.as_str()))
        .filter(|(alike, _)| *alike > 0.8)
        .collect();
    near.sort_by(|a, b| b.0.total_cmp(&a.0));
    let mut names = near.into_iter().map(|(_, name)| name.to_owned());
    let name = shown(name);
    Err(match (names.next(), names.next()) {
        (Some(one), Some(other)) => LineFault::OneOfTwo { name, one, other },
        (Some(one), None) => LineFault::IsIt { name, one },
        (None, _) => LineFault::NoPlayer { name },
    })
}

fn found_test<'t>(name: &str, tests: &'t [Test]) -> Result<&'t Test, LineFault> {
    let wanted = same(name);
    let is =
        |test: &&Test| [test.id.as_str(), &test.name, &test.short].iter().any(|known| same(known) == wanted);
    tests.iter().find(is).ok_or_else(|| {
        let known = tests.iter().map(|test| test.short.clone()).collect();
        LineFault::NoTest { name: shown(name), known }
    })
}

fn plausible_day(day: &str, today: Date) -> Result<Date, LineFault> {
    let read: Date = day.parse().map_err(|_| LineFault::NoDay { written: shown(day) })?;
    match (today - read).get_days() {
        ..0 => Err(LineFault::DayToCome { written: read.to_string() }),
        0..=3_700 => Ok(read),
        _ => Err(LineFault::LongAgo { written: read.to_string() }),
    }
}

fn measured(value: &str, test: &Test) -> Result<(f64, Vec<u8>), Fact> {
    if let Protocol::Points { .. } = test.protocol {
        let marks: Option<Vec<u8>> =
            value.split([' ', '-', '/']).filter(|m| !m.is_empty()).map(|m| m.parse().ok()).collect();
        let marks = marks.ok_or_else(|| LineFault::NoMarks { written: shown(value) })?;
        return Ok((test.marked(&marks)?, marks));
    }
    let number: f64 =
        value.replace(',', ".").parse().map_err(|_| LineFault::NoNumber { written: shown(value) })?;
    Ok((test.value(number)?, Vec::new()))
}

/// Trials as the lines of a list, the names of the columns first; what is written can be read back.
pub fn lines<P: PartialEq>(trials: &[Trial<P>], players: &[(P, String)]) -> Vec<[String; 5]> {
    let name = |trial: &Trial<P>| {
        players.iter().find(|(player, _)| *player == trial.player).map(|(_, name)| name.clone())
    };
    let line = |trial: &Trial<P>| {
        let side = match trial.side {
            None => "",
            Some(Side::Left) => "left",
            Some(Side::Right) => "right",
        };
        let marks: Vec<String> = trial.marks.iter().map(u8::to_string).collect();
        let value = if marks.is_empty() { trial.value.to_string() } else { marks.join(" ") };
        let day = trial.taken_on.to_string();
        Some([name(trial)?, trial.test.to_string(), side.to_owned(), day, value])
    };
    std::iter::once(COLUMNS.map(str::to_owned)).chain(trials.iter().filter_map(line)).collect()
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::assessment::benchmarks::plain;
    use crate::fact::told;
    use crate::ids::called;
    use crate::input::sheet::to_csv;
    use jiff::civil::date;
    use rstest::rstest;

    fn tests() -> [Test; 2] {
        let points = vec!["eyes".to_owned(), "knees".to_owned()];
        [
            plain("weave", Protocol::Course { penalty_s: 1.0 }, true, 90.0),
            plain("turn", Protocol::Points { points }, false, 4.0),
        ]
    }

    const SQUAD: [(u8, &str); 2] = [(1, "Una Brae"), (2, "Olo Skar")];

    fn read_all(csv: &str) -> Vec<ResultLine<u8>> {
        let (players, tests) = (SQUAD.map(|(id, name)| (id, name.to_owned())), tests());
        let beside = Beside { players: &players, tests: &tests, today: date(2031, 2, 10) };
        read(&Sheet::from_csv(csv.as_bytes()).unwrap(), beside).unwrap()
    }

    #[rstest]
    #[case::as_asked("Una Brae,weave,left,2031-02-10,17.42", &[])]
    #[case::other_case_and_comma("\"una  brae\",The weave,L,2031-02-10,\"17,42\"", &[])]
    #[case::points("Olo Skar,turn,,2031-02-10,2 1", &[])]
    #[case::nearly_a_name(
        "Una Bray,weave,left,2031-02-10,17", &["line-is-it name=Una Bray one=Una Brae"],
    )]
    #[case::a_stranger(
        "Xyz,weave,left,2031-02-10,17",
        &["line-no-player name=Xyz"],
    )]
    #[case::no_test("Una Brae,luck,left,2031-02-10,17", &["line-no-test name=luck known=[weave, turn]"])]
    #[case::tomorrow("Una Brae,weave,left,2031-02-11,17", &["line-day-to-come written=2031-02-11"])]
    #[case::no_foot("Una Brae,weave,,2031-02-10,17", &["line-foot-missing test=The weave"])]
    #[case::a_foot_too_many(
        "Olo Skar,turn,left,2031-02-10,2 2", &["line-foot-too-much test=The turn"],
    )]
    #[case::out_of_range(
        "Una Brae,weave,left,2031-02-10,91", &["result-out-of-range test=The weave value=91 least=0 most=90"],
    )]
    #[case::no_number("Una Brae,weave,left,2031-02-10,fast", &["line-no-number written=fast"])]
    #[case::a_sum_is_no_mark("Olo Skar,turn,,2031-02-10,3", &["test-marks test=The turn marks=1 points=2"])]
    fn a_line_answers_for_itself(#[case] line: &str, #[case] errors: &[&str]) {
        let read = read_all(&format!("player,test,side,day,value\n{line}\n"));
        assert_eq!(told(read[0].errors.clone()), errors);
    }

    #[test]
    fn what_is_written_can_be_read_back() {
        let trial = |player, test: &str, side, value, marks| Trial {
            player,
            test: called(test),
            side,
            taken_on: date(2031, 2, 3),
            value,
            marks,
        };
        let trials =
            [trial(1, "weave", Some(Side::Left), 17.42, Vec::new()), trial(2, "turn", None, 3.0, vec![2, 1])];
        let players = SQUAD.map(|(id, name)| (id, name.to_owned()));
        let mut back = read_all(&to_csv(&lines(&trials, &players)));
        note_known(&mut back, &trials[..1]);
        assert_eq!(back[0].errors, [LineFault::Already.into()]);
        assert!(back[1].errors.is_empty());
        let again: Vec<Trial<u8>> = back
            .into_iter()
            .map(|line| Trial {
                player: line.player.unwrap(),
                test: line.test.unwrap(),
                side: line.side,
                taken_on: line.taken_on.unwrap().parse().unwrap(),
                value: line.value.unwrap(),
                marks: line.marks,
            })
            .collect();
        assert_eq!(again, trials);
    }

    #[test]
    fn a_missing_column_is_named() {
        let sheet = Sheet::from_csv(b"player,test,day,value\n").unwrap();
        let beside: Beside<'_, u8> = Beside { players: &[], tests: &[], today: date(2031, 2, 10) };
        assert_eq!(read(&sheet, beside), Err(ListFault::NoColumn { column: "side" }));
    }
}
