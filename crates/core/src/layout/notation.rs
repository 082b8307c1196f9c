//! Reads a layout text into statements.
//!
//! One small function for each phrase of the grammar. A fault in a statement does not stop the reading: the next
//! statement is read as if nothing had happened, so that all faults show at once.

use winnow::combinator::{alt, not, opt, repeat};
use winnow::error::ParserError;
use winnow::prelude::*;
use winnow::stream::{LocatingSlice, Location, Stream};
use winnow::token::{one_of, take_while};

use super::fault::did_you_mean;
use super::{Colour, Fault, LONGEST_TEXT, PathKind, Role};
use crate::units::LengthUnit;

/// The most statements that a text may hold.
pub const MOST_STATEMENTS: usize = 2_000;

/// A place in the text.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Place {
    /// Line, from 1.
    pub line: u32,
    /// Column in characters, from 1.
    pub column: u32,
}

impl Place {
    /// A fault at this place.
    pub(super) fn fault(self, expected: impl Into<String>, mend: Option<String>) -> Fault {
        Fault { line: self.line, column: self.column, expected: expected.into(), mend }
    }
}

/// A number with the unit that is written beside it, if one is.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Length {
    /// The number as written.
    pub count: f64,
    /// Its own unit; else what `unit` said last.
    pub unit: Option<LengthUnit>,
}

/// A name that a statement uses, and where it stands.
#[derive(Clone, Debug, PartialEq)]
pub struct Named {
    /// The name as written.
    pub name: String,
    /// Where.
    pub place: Place,
}

/// Which way the walker turns.
#[derive(Clone, Copy, Debug, PartialEq)]
pub enum Turn {
    /// Degrees to the right; to the left if negative.
    Right(f64),
    /// Half a turn.
    Around,
}

/// One thing that the walker does.
#[derive(Clone, Debug, PartialEq)]
#[allow(missing_docs)]
pub enum Statement {
    Unit(LengthUnit),
    Mark { name: Option<Named>, colour: Option<Colour> },
    Walk(Length),
    Back(Length),
    Turn(Turn),
    Go(Named),
    Line { count: u32, name: Option<Named>, every: Length, colour: Option<Colour> },
    Gate { name: Option<Named>, wide: Length, colour: Option<Colour> },
    Person { role: Role, name: Named },
    Path { kind: PathKind, points: Vec<Named>, times: u32 },
}

/// A statement and where it begins.
#[derive(Clone, Debug, PartialEq)]
pub struct Placed {
    /// Where it begins.
    pub place: Place,
    /// What it says.
    pub statement: Statement,
}

const KNOWN: [&str; 11] =
    ["unit", "mark", "walk", "back", "turn", "line", "gate", "go", "player", "server", "path"];
const NOT_YET: [&str; 7] = ["face", "box", "wall", "goal", "defender", "ball", "repeat"];

/// Reads every statement of a text; what could not be read comes back as faults.
pub fn parse(text: &str) -> (Vec<Placed>, Vec<Fault>) {
    let mut statements = Vec::new();
    let mut faults = Vec::new();
    if text.len() > LONGEST_TEXT {
        let mend = format!("this one has {} bytes: split the layout in two drills", text.len());
        let place = Place { line: 1, column: 1 };
        return (
            statements,
            vec![place.fault(format!("a text of at most {LONGEST_TEXT} bytes"), Some(mend))],
        );
    }
    'text: for (line, content) in (1..).zip(text.lines()) {
        let code = content.split_once('#').map_or(content, |(code, _comment)| code);
        let mut start = 0;
        for piece in code.split(';') {
            let columns = Columns { line, content, start };
            start += piece.len() + 1;
            if piece.trim().is_empty() {
                continue;
            }
            if statements.len() + faults.len() == MOST_STATEMENTS {
                let place = columns.place(leading_blanks(piece));
                faults.push(place.fault(
                    format!("at most {MOST_STATEMENTS} statements"),
                    Some("split the layout in two drills".into()),
                ));
                break 'text;
            }
            match statement(&mut LocatingSlice::new(piece), columns) {
                Ok(statement) => {
                    statements.push(Placed { place: columns.place(leading_blanks(piece)), statement })
                }
                Err(lost) => faults.push(columns.place(lost.at).fault(lost.expected, lost.mend)),
            }
        }
    }
    (statements, faults)
}

fn leading_blanks(piece: &str) -> usize {
    piece.len() - piece.trim_start().len()
}

/// Turns a byte offset inside a statement into a line and column of the text.
#[derive(Clone, Copy)]
struct Columns<'t> {
    line: u32,
    content: &'t str,
    start: usize,
}

impl Columns<'_> {
    fn place(self, at: usize) -> Place {
        let column = self.content[..self.start + at].chars().count() as u32 + 1;
        Place { line: self.line, column }
    }
}

type Input<'t> = LocatingSlice<&'t str>;

/// Where the reader lost the thread.
#[derive(Debug)]
struct Lost {
    at: usize,
    expected: String,
    mend: Option<String>,
}

type Read<T> = Result<T, Lost>;

impl<'t> ParserError<Input<'t>> for Lost {
    type Inner = Lost;

    fn from_input(input: &Input<'t>) -> Lost {
        Lost { at: input.current_token_start(), expected: String::new(), mend: None }
    }

    fn into_inner(self) -> Result<Lost, Lost> {
        Ok(self)
    }
}

impl Lost {
    fn expecting(self, expected: impl Into<String>) -> Lost {
        Lost { expected: expected.into(), ..self }
    }
}

fn lost<T>(at: usize, expected: impl Into<String>, mend: Option<String>) -> Read<T> {
    Err(Lost { at, expected: expected.into(), mend })
}

// statement = unit | mark | walk | back | turn | go | line | gate | player | server | path
fn statement(input: &mut Input<'_>, columns: Columns<'_>) -> Read<Statement> {
    blanks(input)?;
    let at = input.current_token_start();
    let word = word(input, "a statement")?;
    let statement = match word.to_lowercase().as_str() {
        "unit" => unit(input).map(Statement::Unit),
        "mark" => mark(input, columns),
        "walk" => length(input).map(Statement::Walk),
        "back" => length(input).map(Statement::Back),
        "turn" => turn(input).map(Statement::Turn),
        "go" => name(input, columns).map(Statement::Go),
        "line" => line(input, columns),
        "gate" => gate(input, columns),
        "player" => person(input, columns, Role::Player),
        "server" => person(input, columns, Role::Server),
        "path" => path(input, columns),
        later if NOT_YET.contains(&later) => lost(
            at,
            "a statement that this version of Jogo reads",
            Some(format!("`{later}` is not yet known here; known are {}", KNOWN.join(", "))),
        ),
        _ => lost(
            at,
            "a statement",
            did_you_mean(word, KNOWN).or_else(|| Some(format!("one of {}", KNOWN.join(", ")))),
        ),
    }?;
    end(input)?;
    Ok(statement)
}

// unit = "pace" | "paces" | "m" | "yd" | "ft"
fn unit(input: &mut Input<'_>) -> Read<LengthUnit> {
    let at = input.current_token_start();
    let word = word(input, "a unit")?;
    match unit_word(word) {
        Some(unit) => Ok(unit),
        None => lost(at, "a unit", Some("one of pace, m, yd, ft".into())),
    }
}

fn unit_word(word: &str) -> Option<LengthUnit> {
    match word.to_lowercase().as_str() {
        "pace" | "paces" => Some(LengthUnit::Pace),
        "m" => Some(LengthUnit::Metre),
        "yd" => Some(LengthUnit::Yard),
        "ft" => Some(LengthUnit::Foot),
        _ => None,
    }
}

// mark = [ name ] [ colour ]
fn mark(input: &mut Input<'_>, columns: Columns<'_>) -> Read<Statement> {
    let name = optional_name(input, columns, &[])?;
    Ok(Statement::Mark { name, colour: optional_colour(input)? })
}

// turn = "around" | ( "left" | "right" ) degrees
fn turn(input: &mut Input<'_>) -> Read<Turn> {
    let at = input.current_token_start();
    let word = word(input, "left, right or around")?;
    match word.to_lowercase().as_str() {
        "around" => Ok(Turn::Around),
        "left" => degrees(input).map(|d| Turn::Right(-d)),
        "right" => degrees(input).map(Turn::Right),
        _ => lost(at, "left, right or around", did_you_mean(word, ["left", "right", "around"])),
    }
}

fn degrees(input: &mut Input<'_>) -> Read<f64> {
    let at = input.current_token_start();
    let degrees = number(input, "how far to turn in degrees, as `45`")?;
    if degrees <= 360.0 { Ok(degrees) } else { lost(at, "at most 360 degrees", None) }
}

// line = count [ name ] "every" length [ colour ]
fn line(input: &mut Input<'_>, columns: Columns<'_>) -> Read<Statement> {
    let count = count(input, "how many markers, 1 to 100")?;
    let name = optional_name(input, columns, &["every"])?;
    keyword(input, "every")?;
    let every = length(input)?;
    Ok(Statement::Line { count, name, every, colour: optional_colour(input)? })
}

// gate = [ name ] "wide" length [ colour ]
fn gate(input: &mut Input<'_>, columns: Columns<'_>) -> Read<Statement> {
    let name = optional_name(input, columns, &["wide"])?;
    keyword(input, "wide")?;
    let wide = length(input)?;
    Ok(Statement::Gate { name, wide, colour: optional_colour(input)? })
}

fn person(input: &mut Input<'_>, columns: Columns<'_>, role: Role) -> Read<Statement> {
    Ok(Statement::Person { role, name: name(input, columns)? })
}

// path = kind name "->" name { "->" name } [ "x" count ]
fn path(input: &mut Input<'_>, columns: Columns<'_>) -> Read<Statement> {
    const KINDS: &str = "dribble, run, pass or serve";
    let at = input.current_token_start();
    let said = word(input, KINDS)?;
    let Some(&(_, kind)) = PathKind::ALL.iter().find(|(w, _)| w.eq_ignore_ascii_case(said)) else {
        return lost(at, KINDS, did_you_mean(said, PathKind::ALL.map(|(w, _)| w)));
    };
    let mut points = vec![name(input, columns)?];
    while arrow(input)? {
        points.push(name(input, columns)?);
    }
    if points.len() < 2 {
        return lost(input.current_token_start(), "`->` and a second point", None);
    }
    let times = match opt_keyword(input, "x")? {
        true => count(input, "how many times, 1 to 100")?,
        false => 1,
    };
    Ok(Statement::Path { kind, points, times })
}

// length = number [ unit ]
fn length(input: &mut Input<'_>) -> Read<Length> {
    let count = number(input, "a length, as `3` or `2.5m`")?;
    let before = input.checkpoint();
    let unit = opt(letters).parse_next(input)?.and_then(unit_word);
    if unit.is_none() {
        input.reset(&before);
    }
    blanks(input)?;
    Ok(Length { count, unit })
}

// number = digit { digit } [ "." digit { digit } ]
fn number(input: &mut Input<'_>, expected: &str) -> Read<f64> {
    let at = input.current_token_start();
    let digits: &str = (take_while(1..=9, '0'..='9'), opt(('.', take_while(1..=9, '0'..='9'))))
        .take()
        .parse_next(input)
        .map_err(|e: Lost| e.expecting(expected))?;
    blanks(input)?;
    digits.parse().or_else(|_| lost(at, expected, None))
}

fn count(input: &mut Input<'_>, expected: &str) -> Read<u32> {
    let at = input.current_token_start();
    let count = number(input, expected)?;
    if count.fract() == 0.0 && (1.0..=100.0).contains(&count) {
        Ok(count as u32)
    } else {
        lost(at, expected, None)
    }
}

// name = letter { letter | digit | "_" | "-" }
fn name(input: &mut Input<'_>, columns: Columns<'_>) -> Read<Named> {
    let at = input.current_token_start();
    let name = word(input, "a name")?.to_owned();
    match opt(one_of(['*', '~'])).parse_next(input)? {
        Some(sign) => lost(
            at + name.len(),
            "the end of the name",
            Some(format!("`{sign}` (weave and go round) is not yet known here: name each point")),
        ),
        None => Ok(Named { name, place: columns.place(at) }),
    }
}

/// A name, unless the next word is a colour or one of the words that go on with the statement.
fn optional_name(input: &mut Input<'_>, columns: Columns<'_>, next: &[&str]) -> Read<Option<Named>> {
    let before = input.checkpoint();
    match opt(letters).parse_next(input)? {
        None => Ok(None),
        Some(word) => {
            input.reset(&before);
            let taken = colour(word).is_some() || next.iter().any(|n| n.eq_ignore_ascii_case(word));
            if taken { Ok(None) } else { name(input, columns).map(Some) }
        }
    }
}

fn optional_colour(input: &mut Input<'_>) -> Read<Option<Colour>> {
    let at = input.current_token_start();
    let Some(word) = opt(letters).parse_next(input)? else {
        return Ok(None);
    };
    blanks(input)?;
    match colour(word) {
        Some(colour) => Ok(Some(colour)),
        None => lost(at, "a colour", Some(format!("one of {}", Colour::ALL.map(|(w, _)| w).join(", ")))),
    }
}

fn colour(word: &str) -> Option<Colour> {
    Colour::ALL.iter().find(|(w, _)| w.eq_ignore_ascii_case(word)).map(|(_, c)| *c)
}

fn keyword(input: &mut Input<'_>, word: &str) -> Read<()> {
    let at = input.current_token_start();
    if opt_keyword(input, word)? { Ok(()) } else { lost(at, format!("`{word}`"), None) }
}

fn opt_keyword(input: &mut Input<'_>, word: &str) -> Read<bool> {
    let before = input.checkpoint();
    let found = opt(letters).parse_next(input)?.is_some_and(|w| w.eq_ignore_ascii_case(word));
    if !found {
        input.reset(&before);
    }
    blanks(input)?;
    Ok(found)
}

fn arrow(input: &mut Input<'_>) -> Read<bool> {
    let found = opt("->").parse_next(input)?.is_some();
    blanks(input)?;
    Ok(found)
}

fn word<'t>(input: &mut Input<'t>, expected: &str) -> Read<&'t str> {
    let word = (one_of(|c: char| c.is_ascii_alphabetic()), word_tail)
        .take()
        .parse_next(input)
        .map_err(|e: Lost| e.expecting(expected))?;
    blanks(input)?;
    Ok(word)
}

fn letters<'t>(input: &mut Input<'t>) -> Read<&'t str> {
    (one_of(|c: char| c.is_ascii_alphabetic()), word_tail).take().parse_next(input)
}

// A dash belongs to the name unless it begins an arrow, as in `A->B`.
fn word_tail(input: &mut Input<'_>) -> Read<()> {
    let plain = one_of(|c: char| c.is_ascii_alphanumeric() || c == '_').void();
    repeat(0.., alt((plain, ('-', not('>')).void()))).parse_next(input)
}

fn blanks(input: &mut Input<'_>) -> Read<()> {
    take_while(0.., char::is_whitespace).void().parse_next(input)
}

fn end(input: &mut Input<'_>) -> Read<()> {
    let rest = input.trim_end();
    if rest.is_empty() {
        return Ok(());
    }
    let shown: String = rest.chars().take(20).collect();
    lost(
        input.current_token_start(),
        "the end of the statement",
        Some(format!("`{shown}` does not belong here; a new statement stands on its own line or after `;`")),
    )
}
