//! The club list: clubs, their teams and who coaches them, from one file.
//!
//! Reads CSV (RFC 4180; commas, semicolons or tabs) or the cells of a spreadsheet, with the columns *club*, *team*,
//! *band* and *coach*. A team has one row for each coach, or several coaches in one cell with `/`, `&` or a new line
//! between them; it may have none. A coach is a name, or a name with an email address in angle brackets. Each row is
//! read on its own and gives either a team or what is wrong.
//!
//! ```
//! use jogo_core::academy::club_list::rows;
//! use jogo_core::input::sheet::Sheet;
//!
//! let sheet = Sheet::from_csv(b"club,team,band,coach\nHarbour Lane,Blue,U8-U9,Keya Strand / Olo Firth\n").unwrap();
//! let bands = [("u8-u9".parse().unwrap(), "U8\u{2013}U9".to_owned())];
//! let rows = rows(&sheet, &bands).unwrap();
//! let names: Vec<_> = rows[0].team.as_ref().unwrap().coaches.iter().map(|coach| &coach.name).collect();
//! assert_eq!(names, ["Keya Strand", "Olo Firth"]);
//! ```

use std::collections::{BTreeMap, BTreeSet};

use serde::{Deserialize, Serialize};

use crate::fact::{Fact, facts};
use crate::ids::BandId;
use crate::input::sheet::{Sheet, SheetError, shown};
use crate::input::{What, short_text};

/// The most rows in one file.
pub const MOST_ROWS: usize = 1_000;
/// The most coaches in one row.
pub const MOST_COACHES: usize = 8;
/// The longest name of a club, a team or a coach, in characters.
pub const LONGEST_NAME: usize = 60;

facts! {
    /// Why a list could not be read.
    pub enum ClubListError {
        Sheet = "club-list-sheet" { fault: SheetError },
        Column = "club-list-column" { column: &'static str },
        Rows = "club-list-rows" { most: usize },
        Empty = "club-list-empty",
    }

    /// What is wrong with a row.
    pub enum ClubRowFault {
        NoBand = "club-row-no-band" { written: String, known: Vec<String> },
        OtherBand = "club-row-other-band" { line: u64 },
        Coaches = "club-row-coaches" { most: usize },
        HasBand = "club-row-has-band" { band: String },
        NoAddress = "club-row-no-address" { written: String },
    }
}

impl From<SheetError> for ClubListError {
    fn from(fault: SheetError) -> ClubListError {
        ClubListError::Sheet { fault }
    }
}

/// A team as a row says it.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct ListedTeam {
    /// The club's name.
    pub club: String,
    /// The team's name.
    pub team: String,
    /// Its band.
    pub band: BandId,
    /// Who coaches it.
    pub coaches: Vec<ListedCoach>,
}

/// A coach as a row says it.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct ListedCoach {
    /// The name.
    pub name: String,
    /// Where an invitation can be sent.
    #[serde(default)]
    pub email: Option<String>,
}

/// The longest mail address, in characters.
const LONGEST_ADDRESS: usize = 120;

impl ListedCoach {
    /// Reads a name, or a name with an address in angle brackets.
    fn read(written: &str) -> ListedCoach {
        let parts = written.split_once('<').and_then(|(name, rest)| Some((name, rest.strip_suffix('>')?)));
        let (name, email) =
            parts.map_or((written, None), |(name, email)| (name, Some(email.trim().to_owned())));
        ListedCoach { name: name.trim().to_owned(), email }
    }

    fn faults(&self) -> Vec<Fact> {
        let name = short_text(&self.name, LONGEST_NAME, What::Coach).err().map(Fact::from);
        let is_address = |email: &&String| {
            let parts = email.split_once('@');
            parts.is_some_and(|(who, host)| !who.is_empty() && host.contains('.') && !host.contains('@'))
                && email.len() <= LONGEST_ADDRESS
                && !email.contains(char::is_whitespace)
        };
        let wrong = self.email.iter().filter(|email| !is_address(email));
        let wrong = wrong.map(|email| ClubRowFault::NoAddress { written: shown(email) }.into());
        name.into_iter().chain(wrong).collect()
    }
}

impl ListedTeam {
    /// What is wrong with a team. It is checked again when it is sent, after its row was read.
    pub fn faults(&self, bands: &[(BandId, String)]) -> Vec<Fact> {
        let names = [(&self.club, What::Club), (&self.team, What::Team)].into_iter();
        let wrong = names.filter_map(|(name, what)| short_text(name, LONGEST_NAME, what).err());
        let mut faults: Vec<Fact> = wrong.map(Fact::from).collect();
        faults.extend(self.coaches.iter().flat_map(ListedCoach::faults));
        if self.coaches.len() > MOST_COACHES {
            faults.push(ClubRowFault::Coaches { most: MOST_COACHES }.into());
        }
        if !bands.iter().any(|(id, _)| *id == self.band) {
            faults.push(no_band(&self.band, bands).into());
        }
        faults
    }
}

fn no_band(written: &str, bands: &[(BandId, String)]) -> ClubRowFault {
    ClubRowFault::NoBand {
        written: shown(written),
        known: bands.iter().map(|(_, name)| name.clone()).collect(),
    }
}

/// A row of the file.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ClubRow {
    /// Line in the file, from 1.
    pub line: u64,
    /// The row as written, so that people recognise it.
    pub written: String,
    /// The team, if nothing is wrong.
    pub team: Option<ListedTeam>,
    /// What is wrong, with the mend.
    pub errors: Vec<Fact>,
}

/// Reads each row on its own. `bands` are the ids and names of the academy's bands; either may be written, with any
/// dash.
///
/// # Errors
/// If a column is missing, or there are no lines or too many.
pub fn rows(sheet: &Sheet, bands: &[(BandId, String)]) -> Result<Vec<ClubRow>, ClubListError> {
    let head: Vec<String> = sheet.head.iter().map(|name| heading(name)).collect();
    let column = |name: &'static str| {
        head.iter().position(|column| column == name).ok_or(ClubListError::Column { column: name })
    };
    let (club, team, band) = (column("club")?, column("team")?, column("band")?);
    let coach = column("coach").ok();
    if sheet.lines.len() > MOST_ROWS {
        return Err(ClubListError::Rows { most: MOST_ROWS });
    }
    if sheet.lines.is_empty() {
        return Err(ClubListError::Empty);
    }
    let cell = |cells: &[String], at: usize| cells.get(at).map_or("", |cell| cell.trim()).to_owned();
    let read = |(line, cells): &(u64, Vec<String>)| {
        let coach = coach.map(|at| cell(cells, at)).unwrap_or_default();
        row(*line, [cell(cells, club), cell(cells, team), cell(cells, band), coach], bands)
    };
    let mut rows: Vec<ClubRow> = sheet.lines.iter().map(read).collect();
    note_other_bands(&mut rows);
    Ok(rows)
}

/// A name for comparison: upper and lower case are the same.
pub fn folded(name: &str) -> String {
    name.trim().to_lowercase()
}

fn heading(head: &str) -> String {
    let head = head.trim().to_lowercase();
    match head.as_str() {
        "clubs" | "verein" => "club".into(),
        "teams" | "squad" | "mannschaft" => "team".into(),
        "age band" | "age" | "altersband" | "altersgruppe" => "band".into(),
        "coaches" | "trainer" | "trainerin" => "coach".into(),
        _ => head,
    }
}

/// Letters and figures alone: `U8–U9` and `u8-u9` are one band.
fn plain(band: &str) -> String {
    band.chars().filter(|letter| letter.is_alphanumeric()).flat_map(char::to_lowercase).collect()
}

fn row(line: u64, written: [String; 4], bands: &[(BandId, String)]) -> ClubRow {
    let [club, team, band, coach] = &written;
    let coaches = coach.split(['/', '&', '\n']).map(str::trim).filter(|coach| !coach.is_empty());
    let is_it = |(id, name): &&(BandId, String)| [plain(id), plain(name)].contains(&plain(band));
    let team = bands.iter().find(is_it).map(|(id, _)| ListedTeam {
        club: club.clone(),
        team: team.clone(),
        band: id.clone(),
        coaches: coaches.map(ListedCoach::read).collect(),
    });
    let errors = match &team {
        Some(team) => team.faults(bands),
        None => vec![no_band(band, bands).into()],
    };
    let team = team.filter(|_| errors.is_empty());
    ClubRow { line, written: written.each_ref().map(|cell| shown(cell)).join(" · "), team, errors }
}

/// A team in several rows has one band.
fn note_other_bands(rows: &mut [ClubRow]) {
    let mut seen: BTreeMap<(String, String), (u64, BandId)> = BTreeMap::new();
    for row in rows {
        let Some(ListedTeam { club, team, band, .. }) = &row.team else { continue };
        let first = seen.entry((folded(club), folded(team))).or_insert((row.line, band.clone()));
        if first.1 != *band {
            row.errors.push(ClubRowFault::OtherBand { line: first.0 }.into());
            row.team = None;
        }
    }
}

/// The teams of rows, each once with all its coaches, in their order.
///
/// ```
/// use jogo_core::academy::club_list::{ListedCoach, ListedTeam, together};
/// let line = |coach: &str| ListedTeam {
///     club: "Harbour Lane".into(), team: "Blue".into(), band: "u8-u9".parse().unwrap(),
///     coaches: vec![ListedCoach { name: coach.into(), email: None }],
/// };
/// let teams = together(vec![line("Keya Strand"), line("Olo Firth"), line("keya strand")]);
/// assert_eq!(teams.len(), 1);
/// let names: Vec<_> = teams[0].coaches.iter().map(|coach| &coach.name).collect();
/// assert_eq!(names, ["Keya Strand", "Olo Firth"]);
/// ```
pub fn together(lines: Vec<ListedTeam>) -> Vec<ListedTeam> {
    let (mut teams, mut places): (Vec<ListedTeam>, BTreeMap<(String, String), usize>) = Default::default();
    for line in lines {
        let place = places.entry((folded(&line.club), folded(&line.team))).or_insert(teams.len());
        match teams.get_mut(*place) {
            Some(known) => known.coaches.extend(line.coaches),
            None => teams.push(line),
        }
    }
    for team in &mut teams {
        let mut seen = BTreeSet::new();
        team.coaches.retain(|coach| seen.insert(folded(&coach.name)));
    }
    teams
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::input::TextFault;
    use rstest::rstest;

    fn bands() -> Vec<(BandId, String)> {
        [("u6-u7", "U6–U7"), ("u8-u9", "U8–U9")]
            .map(|(id, name)| (id.parse().unwrap(), name.to_owned()))
            .to_vec()
    }

    fn read(file: &str) -> Result<Vec<ClubRow>, ClubListError> {
        rows(&Sheet::from_csv(file.as_bytes()).unwrap(), &bands())
    }

    #[test]
    fn each_row_is_read_on_its_own() {
        let list = "Club;Team;Age band;Coach\n\
            Harbour Lane;Blue;U8–U9;Keya Strand\n\
            Harbour Lane;White;u8/u9;\n\
            ;Reds;U6-U7;Doven Brinwick\n\
            North Beacon;Reds;U12;Nelun Torrby\n\
            HARBOUR LANE;blue;U6-U7;Olo Firth\n";
        let rows = read(list).unwrap();
        let found: Vec<bool> = rows.iter().map(|row| row.team.is_some()).collect();
        assert_eq!(found, [true, true, false, false, false]);
        assert_eq!(rows[1].team.as_ref().unwrap().coaches, []);
        let known = vec!["U6–U7".to_owned(), "U8–U9".to_owned()];
        assert_eq!(rows[3].errors, [ClubRowFault::NoBand { written: "U12".into(), known }.into()]);
        assert_eq!(rows[4].errors, [ClubRowFault::OtherBand { line: 2 }.into()]);
        assert_eq!(rows[2].errors, [TextFault::Empty { what: What::Club }.into()]);
    }

    #[rstest]
    #[case::no_band("club,team,coach\nA,B,C\n", ClubListError::Column { column: "band" })]
    #[case::nothing("club,team,band\n", ClubListError::Empty)]
    #[case::a_league(
        &format!("club,team,band\n{}", "A,B,U6-U7\n".repeat(1_001)), ClubListError::Rows { most: 1_000 }
    )]
    fn a_list_that_cannot_be_read_says_why(#[case] file: &str, #[case] error: ClubListError) {
        assert_eq!(read(file), Err(error));
    }

    #[test]
    fn a_team_is_checked_again_when_it_is_sent() {
        let team = |club: &str, band: &str, coaches: usize| ListedTeam {
            club: club.into(),
            team: "Blue".into(),
            band: band.parse().unwrap(),
            coaches: vec![ListedCoach::read("Keya Strand <keya@skerrow.example>"); coaches],
        };
        assert_eq!(team("Harbour Lane", "u6-u7", 8).faults(&bands()), []);
        assert_eq!(team(" ", "u9-u7", 9).faults(&bands()).len(), 3);
    }

    #[rstest]
    #[case::a_name("Keya Strand", "Keya Strand", None, true)]
    #[case::with_an_address(
        " Keya Strand < keya@skerrow.example>",
        "Keya Strand",
        Some("keya@skerrow.example"),
        true
    )]
    #[case::half_open("Keya <keya@skerrow.example", "Keya <keya@skerrow.example", None, true)]
    #[case::no_name("<keya@skerrow.example>", "", Some("keya@skerrow.example"), false)]
    #[case::no_host("Keya <keya@>", "Keya", Some("keya@"), false)]
    #[case::two("Keya <a@b.example, c@d.example>", "Keya", Some("a@b.example, c@d.example"), false)]
    fn a_coach_is_a_name_or_a_name_with_an_address(
        #[case] written: &str,
        #[case] name: &str,
        #[case] email: Option<&str>,
        #[case] good: bool,
    ) {
        let read = ListedCoach::read(written);
        assert_eq!((read.name.as_str(), read.email.as_deref()), (name, email));
        assert_eq!(read.faults().is_empty(), good, "{:?}", read.faults());
    }

    #[test]
    fn a_cell_of_many_names_is_no_list_of_coaches() {
        let rows = read(&format!("club,team,band,coach\nA,B,U6-U7,{}\n", "C / ".repeat(9))).unwrap();
        assert_eq!(rows[0].errors, [ClubRowFault::Coaches { most: 8 }.into()]);
    }
}
