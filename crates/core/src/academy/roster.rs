//! The roster: who is in the squad?
//!
//! Reads a squad list from a CSV file (RFC 4180; commas or semicolons) or the cells of a spreadsheet, with the
//! columns *name*, *birth month* and *strong foot*; where they have other names, somebody says which is which. Every
//! row answers for itself: a player, or what is wrong with it.
//!
//! ```
//! use jogo_core::academy::roster::{RowFault, read};
//! use jiff::civil::date;
//!
//! let rows = read(b"name,birth month,strong foot\nUna Brae,2023-04,left\nOlo,2023-13,left\n", date(2031, 10,
//! 1)).unwrap(); assert_eq!(rows[0].player.as_ref().unwrap().name, "Una Brae");
//! assert_eq!(rows[1].errors, [RowFault::NoSuchMonth { month: 13 }.into()]);
//! ```

use std::collections::BTreeMap;
use std::fmt;
use std::str::FromStr;

use jiff::civil::Date;
use serde::{Deserialize, Serialize};

use crate::fact::{Fact, facts};
use crate::input::sheet::{Sheet, SheetError, shown};
use crate::input::{What, short_text};
use crate::technique::skill::Side;

/// The most players that one file may hold.
pub const MOST_PLAYERS: usize = 60;
/// The longest display name, in characters.
pub const LONGEST_NAME: usize = 40;

/// Month and year of birth: no more is kept.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[serde(try_from = "String", into = "String")]
pub struct BirthMonth {
    year: i16,
    month: i8,
}

impl FromStr for BirthMonth {
    type Err = RowFault;

    /// Reads `2023-04`, `04/2023`, or the month of a day that is written as `2023-04-17`.
    fn from_str(text: &str) -> Result<BirthMonth, RowFault> {
        let parts: Vec<&str> = text.trim().split(['-', '/', '.']).collect();
        let (year, month) = match parts.as_slice() {
            [year, month] | [year, month, _] if year.len() == 4 => (*year, *month),
            [month, year] if year.len() == 4 => (*year, *month),
            _ => return Err(RowFault::NoMonth { written: shown(text) }),
        };
        let (Ok(year), Ok(month)) = (year.parse::<i16>(), month.parse::<i8>()) else {
            return Err(RowFault::NoMonth { written: shown(text) });
        };
        if !(1..=12).contains(&month) {
            return Err(RowFault::NoSuchMonth { month });
        }
        Ok(BirthMonth { year, month })
    }
}

impl BirthMonth {
    /// The month of a day.
    pub fn of(day: Date) -> BirthMonth {
        BirthMonth { year: day.year(), month: day.month() }
    }

    /// The year.
    pub fn year(self) -> i16 {
        self.year
    }

    /// The month, 1 to 12.
    pub fn month(self) -> i8 {
        self.month
    }

    /// Checks that a child born then can be in a squad on a day: 3 to 20 years old.
    pub fn plausible(self, on: Date) -> Result<BirthMonth, RowFault> {
        let months = (i32::from(on.year()) - i32::from(self.year)) * 12 + i32::from(on.month())
            - i32::from(self.month);
        match months {
            ..0 => Err(RowFault::NotBorn { month: self.to_string() }),
            0..36 => Err(RowFault::TooYoung { month: self.to_string(), youngest: 3 }),
            36..252 => Ok(self),
            _ => Err(RowFault::TooOld { month: self.to_string(), oldest: 20 }),
        }
    }
}

impl fmt::Display for BirthMonth {
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        write!(f, "{:04}-{:02}", self.year, self.month)
    }
}

impl TryFrom<String> for BirthMonth {
    type Error = RowFault;
    fn try_from(text: String) -> Result<BirthMonth, RowFault> {
        text.parse()
    }
}

impl From<BirthMonth> for String {
    fn from(month: BirthMonth) -> String {
        month.to_string()
    }
}

/// A child in a squad: the least that serves.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct NewPlayer {
    /// Display name.
    pub name: String,
    /// Month of birth, as `2023-04`.
    #[cfg_attr(feature = "openapi", schema(value_type = String))]
    pub birth_month: BirthMonth,
    /// Strong foot.
    pub strong_foot: Side,
}

/// One row of the file.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Row {
    /// Line in the file, from 1.
    pub line: u64,
    /// What the row says, as written, for people to recognise it.
    pub written: String,
    /// The player, if nothing is wrong.
    pub player: Option<NewPlayer>,
    /// What is wrong, with the mend.
    pub errors: Vec<Fact>,
    /// What somebody should know of a player with whom nothing is wrong: that they are out of the band's ages.
    pub note: Option<Fact>,
}

facts! {
    /// Why a list could not be read.
    pub enum RosterError {
        Sheet = "roster-sheet" { fault: SheetError },
        Column = "roster-column" { column: &'static str },
        Rows = "roster-rows" { most: usize },
        Empty = "roster-empty",
    }

    /// What is wrong with a row.
    pub enum RowFault {
        NoMonth = "row-no-month" { written: String },
        NoSuchMonth = "row-no-such-month" { month: i8 },
        NotBorn = "row-not-born" { month: String },
        TooYoung = "row-too-young" { month: String, youngest: u32 },
        TooOld = "row-too-old" { month: String, oldest: u32 },
        FootMissing = "row-foot-missing" { what: What },
        NoFoot = "row-no-foot" { what: What, written: String },
        SameName = "row-same-name" { line: u64 },
        InSquad = "row-in-squad",
    }

    /// What somebody should know of a player.
    pub enum RowNote {
        OutOfAges = "row-out-of-ages" { age: i16, date: Date, band: String, youngest: u8, oldest: u8 },
    }
}

impl From<SheetError> for RosterError {
    fn from(fault: SheetError) -> RosterError {
        RosterError::Sheet { fault }
    }
}

/// Which column holds what, from 0.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Columns {
    /// Display name.
    pub name: usize,
    /// Month of birth.
    pub birth_month: usize,
    /// Strong foot.
    pub strong_foot: usize,
}

/// Which column holds what, by the names in the first line.
pub fn columns(sheet: &Sheet) -> Result<Columns, RosterError> {
    let head: Vec<String> = sheet.head.iter().map(|name| heading(name)).collect();
    let column =
        |name: &'static str| head.iter().position(|h| h == name).ok_or(RosterError::Column { column: name });
    Ok(Columns {
        name: column("name")?,
        birth_month: column("birth month")?,
        strong_foot: column("strong foot")?,
    })
}

/// Every line as a row that answers for itself; the first line too, where it does not name the columns but holds a
/// player. `today` is the day against which ages are held to be possible.
///
/// ```
/// use jogo_core::academy::roster::{Columns, rows};
/// use jogo_core::input::sheet::Sheet;
/// use jiff::civil::date;
///
/// let sheet = Sheet::from_csv(b"Una Brae,2023-04,left\nOlo,2023-05,right\n").unwrap();
/// let columns = Columns { name: 0, birth_month: 1, strong_foot: 2 };
/// assert_eq!(rows(&sheet, columns, date(2031, 10, 1)).unwrap().len(), 2);
/// ```
pub fn rows(sheet: &Sheet, columns: Columns, today: Date) -> Result<Vec<Row>, RosterError> {
    let Columns { name, birth_month, strong_foot } = columns;
    let cells_of = |cells: &[String]| -> [String; 3] {
        [name, birth_month, strong_foot].map(|at| cells.get(at).map_or("", |cell| cell.trim()).to_owned())
    };
    let [_, born, foot] = cells_of(&sheet.head);
    let no_head = born.parse::<BirthMonth>().is_ok() || side(&foot).is_some();
    let first = no_head.then_some((1, sheet.head.as_slice()));
    let lines = first.into_iter().chain(sheet.lines.iter().map(|(line, cells)| (*line, cells.as_slice())));
    let read = |(line, cells)| row(line, cells_of(cells).each_ref().map(String::as_str), today);
    let mut rows: Vec<Row> = lines.take(MOST_PLAYERS + 1).map(read).collect();
    if rows.len() > MOST_PLAYERS {
        return Err(RosterError::Rows { most: MOST_PLAYERS });
    }
    note_twins(&mut rows);
    if rows.is_empty() { Err(RosterError::Empty) } else { Ok(rows) }
}

/// Reads a squad list from CSV whose first line names the columns.
pub fn read(file: &[u8], today: Date) -> Result<Vec<Row>, RosterError> {
    let sheet = Sheet::from_csv(file)?;
    rows(&sheet, columns(&sheet)?, today)
}

/// The lines of a squad list, the names of the columns first; what is written can be read back.
pub fn lines(players: &[NewPlayer]) -> Vec<[String; 3]> {
    let head = ["name", "birth month", "strong foot"].map(str::to_owned);
    let line = |player: &NewPlayer| {
        let foot = if player.strong_foot == Side::Left { "left" } else { "right" };
        [player.name.clone(), player.birth_month.to_string(), foot.to_owned()]
    };
    std::iter::once(head).chain(players.iter().map(line)).collect()
}

fn heading(head: &str) -> String {
    let head = head.trim().to_lowercase().replace(['_', '-'], " ");
    match head.as_str() {
        "player" | "display name" => "name".into(),
        "born" | "birthmonth" | "month of birth" | "geburtsmonat" => "birth month".into(),
        "foot" | "strongfoot" | "starker fuß" => "strong foot".into(),
        _ => head,
    }
}

fn side(foot: &str) -> Option<Side> {
    match foot.to_lowercase().as_str() {
        "left" | "links" | "l" => Some(Side::Left),
        "right" | "rechts" | "r" => Some(Side::Right),
        _ => None,
    }
}

fn row(line: u64, [name, birth, foot]: [&str; 3], today: Date) -> Row {
    let mut errors = Vec::new();
    let mut noted = |fault: Fact| errors.push(fault);
    let name_read = short_text(name, LONGEST_NAME, What::Name).map_err(|e| noted(e.into())).ok();
    let birth_read =
        birth.parse().and_then(|month: BirthMonth| month.plausible(today)).map_err(|e| noted(e.into())).ok();
    let foot_read = side(foot);
    if foot_read.is_none() {
        let what = What::StrongFoot;
        noted(match foot {
            "" => RowFault::FootMissing { what }.into(),
            _ => RowFault::NoFoot { what, written: shown(foot) }.into(),
        });
    }
    let player = match (name_read, birth_read, foot_read) {
        (Some(name), Some(birth_month), Some(strong_foot)) => {
            Some(NewPlayer { name, birth_month, strong_foot })
        }
        _ => None,
    };
    Row { line, written: [name, birth, foot].map(shown).join(" · "), player, errors, note: None }
}

/// Two rows of one name cannot be told apart beside the pitch: the later one is asked for an initial.
fn note_twins(rows: &mut [Row]) {
    let mut seen: BTreeMap<String, u64> = BTreeMap::new();
    for row in rows {
        let Some(name) = row.player.as_ref().map(|p| p.name.to_lowercase()) else { continue };
        match seen.get(&name) {
            Some(line) => {
                row.errors.push(RowFault::SameName { line: *line }.into());
                row.player = None;
            }
            None => {
                seen.insert(name, row.line);
            }
        }
    }
}

/// Takes a name that the squad has already out of the rows that can be added.
pub fn note_known(rows: &mut [Row], name: &str) {
    for row in rows {
        if row.player.as_ref().is_some_and(|p| p.name.to_lowercase() == name.to_lowercase()) {
            row.errors.push(RowFault::InSquad.into());
            row.player = None;
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::fact::told;
    use crate::input::TextFault;
    use crate::input::sheet::to_csv;
    use jiff::civil::date;
    use proptest::prelude::*;
    use rstest::rstest;

    const TODAY: Date = date(2031, 10, 1);
    const HEAD: &str = "name,birth month,strong foot\n";

    #[rstest]
    #[case::other_alphabet(
        b"name,birth month,strong foot\nJ\xf8rn,2023-01,left\n".to_vec(), SheetError::Encoding { line: 2 }.into(),
    )]
    #[case::two_bytes_a_letter(
        "name".encode_utf16().flat_map(u16::to_le_bytes).collect(), SheetError::Encoding { line: 1 }.into(),
    )]
    #[case::no_such_column(b"name,strong foot\nA,left\n".to_vec(), RosterError::Column { column: "birth month" })]
    #[case::only_a_head(HEAD.as_bytes().to_vec(), RosterError::Empty)]
    #[case::nothing(Vec::new(), RosterError::Column { column: "name" })]
    #[case::a_town(format!("{HEAD}{}", "A,2023-01,left\n".repeat(61)).into_bytes(), RosterError::Rows { most: 60 })]
    #[case::a_city(format!("{HEAD}{}", "A,2023-01,left\n".repeat(10_000)).into_bytes(), SheetError::Lines { most: 2_000 }.into())]
    #[case::a_country(vec![b'a'; 200_001], SheetError::Large { bytes: 200_001, most: 200_000 }.into())]
    fn a_file_that_cannot_be_read_says_why(#[case] file: Vec<u8>, #[case] error: RosterError) {
        assert_eq!(read(&file, TODAY), Err(error));
    }

    #[test]
    fn a_list_may_be_in_german() {
        let rows =
            read("Name;Geburtsmonat;Starker Fuß\nUna;2023-04;links\nOlo;2023-05;Rechts\n".as_bytes(), TODAY);
        let feet = rows.unwrap().into_iter().map(|row| row.player.unwrap().strong_foot);
        assert_eq!(feet.collect::<Vec<_>>(), Side::ALL);
    }

    #[rstest]
    #[case::as_asked("Una,2023-04,left", &[])]
    #[case::turned_month("Una,04/2023,R", &[])]
    #[case::no_name(",2023-04,left", &["text-empty what=what-name"])]
    #[case::month_thirteen("Una,2023-13,left", &["row-no-such-month month=13"])]
    #[case::in_words("Una,April,left", &["row-no-month written=April"])]
    #[case::not_born("Una,2031-11,left", &["row-not-born month=2031-11"])]
    #[case::grown_up("Una,2001-04,left", &["row-too-old month=2001-04 oldest=20"])]
    #[case::both_wrong(
        "Una,,both",
        &["row-no-month written=", "row-no-foot what=what-strong-foot written=both"],
    )]
    fn a_row_answers_for_itself(#[case] line: &str, #[case] errors: &[&str]) {
        let rows = read(format!("{HEAD}{line}\n").as_bytes(), TODAY).unwrap();
        assert_eq!(told(rows[0].errors.clone()), errors);
        assert_eq!(rows[0].player.is_some(), errors.is_empty());
    }

    #[test]
    fn other_columns_are_pointed_at() {
        let cells = [
            ["no", "Kind", "Fuß", "geb."],
            ["1", "Una Brae", "L", "2023-04-17"],
            ["", "", "", ""],
            ["2", "Olo", "R", "05/2023"],
        ];
        let sheet = Sheet::from_cells(cells.map(|line| line.map(str::to_owned).to_vec())).unwrap();
        assert_eq!(columns(&sheet), Err(RosterError::Column { column: "name" }));
        let pointed = Columns { name: 1, birth_month: 3, strong_foot: 2 };
        let rows = super::rows(&sheet, pointed, TODAY).unwrap();
        let players: Vec<_> =
            rows.iter().map(|row| row.player.as_ref().unwrap().birth_month.to_string()).collect();
        assert_eq!((players, rows[1].line), (vec!["2023-04".to_owned(), "2023-05".to_owned()], 4));
        // A column beyond the last one holds nothing.
        let beyond = Columns { name: 9, ..pointed };
        assert_eq!(
            super::rows(&sheet, beyond, TODAY).unwrap()[0].errors,
            [TextFault::Empty { what: What::Name }.into()]
        );
    }

    #[rstest]
    #[case::a_player("Una,2023-04,left", &[(1, true), (2, true)])]
    #[case::a_player_with_a_fault("Una,2023-04,lft", &[(1, false), (2, true)])]
    #[case::a_month_that_is_none("Una,April,left", &[(1, false), (2, true)])]
    #[case::names_of_columns("Kind,geb.,Fuß", &[(2, true)])]
    #[case::nothing(",,", &[(2, true)])]
    fn a_first_line_that_holds_a_player_is_a_row(#[case] first: &str, #[case] told: &[(u64, bool)]) {
        let sheet = Sheet::from_csv(format!("{first}\nOlo,2023-05,right\n").as_bytes()).unwrap();
        let columns = Columns { name: 0, birth_month: 1, strong_foot: 2 };
        let rows = super::rows(&sheet, columns, TODAY).unwrap();
        assert_eq!(rows.iter().map(|row| (row.line, row.player.is_some())).collect::<Vec<_>>(), told);
    }

    #[test]
    fn a_list_of_one_player_needs_no_head_and_of_sixty_one_is_refused_without_one() {
        let columns = Columns { name: 0, birth_month: 1, strong_foot: 2 };
        let list = |n: usize| {
            let lines: String = (0..n).map(|i| format!("Child {i},2023-04,left\n")).collect();
            super::rows(&Sheet::from_csv(lines.as_bytes()).unwrap(), columns, TODAY).map(|rows| rows.len())
        };
        assert_eq!(
            (list(1), list(60), list(61)),
            (Ok(1), Ok(60), Err(RosterError::Rows { most: MOST_PLAYERS }))
        );
    }

    #[test]
    fn what_is_written_can_be_read_back_and_is_no_formula() {
        let player = |name: &str, strong_foot| NewPlayer {
            name: name.into(),
            birth_month: "2023-04".parse().unwrap(),
            strong_foot,
        };
        let squad = [player("Una \"Bee\", B.", Side::Left), player("Olo", Side::Right)];
        let read: Vec<_> = read(to_csv(&lines(&squad)).as_bytes(), TODAY)
            .unwrap()
            .into_iter()
            .map(|row| row.player.unwrap())
            .collect();
        assert_eq!(read, squad);
        assert!(to_csv(&lines(&[player("=1+1", Side::Left)])).contains("\"'=1+1\""));
    }

    #[test]
    fn semicolons_quotes_a_mark_at_the_start_and_twins() {
        let file = "\u{feff}Name;Born;Foot\n\"Brae; Una\";2023-04;left\n\nbrae; una;2023-04;left\nOlo;2023-05;right\nOLO;2023-06;left\n";
        let rows = read(file.as_bytes(), TODAY).unwrap();
        assert_eq!(rows[0].player.as_ref().unwrap().name, "Brae; Una");
        assert_eq!(rows[3].line, 6);
        assert_eq!(rows[3].errors, [RowFault::SameName { line: 5 }.into()]);
    }

    proptest! {
        #[test]
        fn any_bytes_are_read_or_refused(bytes in proptest::collection::vec(any::<u8>(), 0..400)) {
            let _ = read(&bytes, TODAY);
            let _ = read(&[HEAD.as_bytes(), &bytes].concat(), TODAY);
        }
    }
}
