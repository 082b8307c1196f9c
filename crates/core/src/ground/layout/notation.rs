//! Reads a layout text into statements.
//!
//! One small function for each phrase of the grammar. A fault in a statement does not stop the reading: the next
//! statement is read as if nothing had happened, so that all faults show at once.
//!
//! ```text
//! text      = { separator | statement | "}" }
//! separator = newline | ";"
//! statement = unit | mark | walk | back | turn | face | go | line | gate | box | wall | goal
//!           | player | server | defender | ball | repeat | path
//! repeat    = "repeat" count "{" { separator | statement } "}"
//! ```
//!
//! A `#` and what follows it in its line counts as blank.

use winnow::combinator::{opt, repeat};
use winnow::error::ParserError;
use winnow::prelude::*;
use winnow::stream::{LocatingSlice, Location, Stream};
use winnow::token::{one_of, take_till, take_while};

use super::fault::{Expected, Mend, did_you_mean};
use super::{BarrierKind, Colour, Fault, LONGEST_TEXT, PathKind, Role};
use crate::input::notation::{
    Input, Place, Places, blanks, digits, ends_statement, left_of_statement, letters, opt_keyword, separators,
};
use crate::units::LengthUnit;

/// The most statements that a text may hold, and the most that are followed once repeats are unrolled.
pub const MOST_STATEMENTS: usize = 2_000;
/// How deep repeats may stand inside each other.
pub const DEEPEST: usize = 8;

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

/// Whither the walker looks.
#[derive(Clone, Debug, PartialEq)]
pub enum Facing {
    /// As at the start.
    Ahead,
    /// Towards a named point.
    Toward(Named),
}

/// How a path takes one of its points.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Passing {
    /// Through it.
    Through,
    /// Weaving through all markers of a line, `NAME*`.
    Weave,
    /// Once around a marker, `NAME~`.
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
    Face(Facing),
    Go(Named),
    Line { count: u32, name: Option<Named>, every: Length, colour: Option<Colour> },
    Gate { name: Option<Named>, wide: Length, colour: Option<Colour> },
    Box { name: Option<Named>, wide: Length, deep: Length, colours: [Option<Colour>; 4] },
    Barrier { kind: BarrierKind, wide: Length },
    Person { role: Role, name: Named },
    Ball { name: Option<Named> },
    Repeat { times: u32, body: Vec<Placed> },
    Path { kind: PathKind, points: Vec<(Named, Passing)>, times: u32 },
}

/// A statement and where it begins.
#[derive(Clone, Debug, PartialEq)]
pub struct Placed {
    /// Where it begins.
    pub place: Place,
    /// What it says.
    pub statement: Statement,
}

/// The most rounds of a repeat, markers of a line and times of a path.
const MOST_TIMES: u32 = 100;

const WORDS: [&str; 18] = [
    "unit", "mark", "walk", "back", "turn", "face", "go", "line", "gate", "box", "wall", "goal", "player",
    "server", "defender", "ball", "repeat", "path",
];

/// Reads every statement of a text; what could not be read comes back as faults.
pub fn parse(text: &str) -> (Vec<Placed>, Vec<Fault>) {
    let places = Places::of(text);
    if text.len() > LONGEST_TEXT {
        let mend = Mend::SplitText { bytes: text.len() };
        let fault = places.at(0).fault(Expected::BytesAtMost { most: LONGEST_TEXT }, Some(mend));
        return (Vec::new(), vec![fault]);
    }
    let mut reader = Reader { places, open: Vec::new(), read: Vec::new(), count: 0, faults: Vec::new() };
    reader.text(&mut LocatingSlice::new(text));
    while let Some(open) = reader.open.pop() {
        reader.faults.push(open.place.fault(Expected::Closing, Some(Mend::Close)));
        reader.read = open.before;
    }
    (reader.read, reader.faults)
}

/// Puts statements together, and the repeats that they stand in.
struct Reader<'t> {
    places: Places<'t>,
    open: Vec<Open>,
    /// Statements of the innermost repeat, or of the text.
    read: Vec<Placed>,
    count: usize,
    faults: Vec<Fault>,
}

/// A repeat whose end has not come yet.
struct Open {
    place: Place,
    times: u32,
    before: Vec<Placed>,
}

/// What stands at the head of a statement.
enum Head {
    Whole(Statement),
    RepeatOf(u32),
}

impl Reader<'_> {
    // text = { separator | statement | "}" }
    fn text(&mut self, input: &mut Input<'_>) {
        loop {
            let _: Read<()> = separators(input, None);
            let at = input.current_token_start();
            if input.is_empty() {
                return;
            }
            if input.starts_with('}') {
                let _ = input.next_token();
                self.close(at);
                continue;
            }
            if self.count == MOST_STATEMENTS {
                let place = self.places.at(at);
                let expected = Expected::StatementsAtMost { most: MOST_STATEMENTS };
                self.faults.push(place.fault(expected, Some(Mend::SplitDrill)));
                return;
            }
            self.count += 1;
            match statement(input, &self.places) {
                Ok(Head::Whole(statement)) => {
                    self.read.push(Placed { place: self.places.at(at), statement });
                }
                Ok(Head::RepeatOf(times)) => self.begin(at, times),
                Err(lost) => {
                    self.faults.push(self.places.at(lost.at).fault(lost.expected, lost.mend));
                    self.recover(input);
                }
            }
        }
    }

    fn begin(&mut self, at: usize, times: u32) {
        let place = self.places.at(at);
        if self.open.len() == DEEPEST {
            self.faults.push(place.fault(Expected::RepeatsAtMost { most: DEEPEST }, Some(Mend::WriteOut)));
        }
        self.open.push(Open { place, times, before: std::mem::take(&mut self.read) });
    }

    fn close(&mut self, at: usize) {
        match self.open.pop() {
            Some(Open { place, times, before }) => {
                let body = std::mem::replace(&mut self.read, before);
                self.read.push(Placed { place, statement: Statement::Repeat { times, body } });
            }
            None => {
                let fault = self.places.at(at).fault(Expected::Statement, Some(Mend::ClosesNothing));
                self.faults.push(fault);
            }
        }
    }

    /// Goes on after a fault: to the next separator, or into the braces that a misspelt repeat has opened.
    fn recover(&mut self, input: &mut Input<'_>) {
        let at = input.current_token_start();
        let _: Read<&str> = take_till(0.., ['\n', ';', '#', '{', '}']).parse_next(input);
        if input.starts_with('{') {
            let _ = input.next_token();
            self.begin(at, 1);
        }
    }
}

/// Where the reader lost the thread.
#[derive(Debug)]
struct Lost {
    at: usize,
    expected: Expected,
    mend: Option<Mend>,
}

type Read<T> = Result<T, Lost>;

impl<'t> ParserError<Input<'t>> for Lost {
    type Inner = Lost;

    fn from_input(input: &Input<'t>) -> Lost {
        Lost { at: input.current_token_start(), expected: Expected::Statement, mend: None }
    }

    fn into_inner(self) -> Result<Lost, Lost> {
        Ok(self)
    }
}

impl Lost {
    fn expecting(self, expected: Expected) -> Lost {
        Lost { expected, ..self }
    }
}

fn lost<T>(at: usize, expected: Expected, mend: Option<Mend>) -> Read<T> {
    Err(Lost { at, expected, mend })
}

fn statement(input: &mut Input<'_>, places: &Places<'_>) -> Read<Head> {
    let at = input.current_token_start();
    let word = word(input, Expected::Statement)?;
    let statement = match word.to_lowercase().as_str() {
        "repeat" => return repeated(input).map(Head::RepeatOf),
        "unit" => unit(input).map(Statement::Unit),
        "mark" => mark(input, places),
        "walk" => length(input).map(Statement::Walk),
        "back" => length(input).map(Statement::Back),
        "turn" => turn(input).map(Statement::Turn),
        "face" => facing(input, places).map(Statement::Face),
        "go" => reference(input, places).map(Statement::Go),
        "line" => line(input, places),
        "gate" => gate(input, places),
        "box" => square(input, places),
        "wall" => length(input).map(|wide| Statement::Barrier { kind: BarrierKind::Wall, wide }),
        "goal" => length(input).map(|wide| Statement::Barrier { kind: BarrierKind::Goal, wide }),
        "player" => person(input, places, Role::Player),
        "server" => person(input, places, Role::Server),
        "defender" => person(input, places, Role::Defender),
        "ball" => optional_name(input, places, &[]).map(|name| Statement::Ball { name }),
        "path" => path(input, places),
        _ => lost(at, Expected::Statement, did_you_mean(word, WORDS).or_else(|| one_of_words(&WORDS))),
    }?;
    end(input)?;
    Ok(Head::Whole(statement))
}

// repeat = "repeat" count "{"
fn repeated(input: &mut Input<'_>) -> Read<u32> {
    let times = count(input, Expected::Times { most: MOST_TIMES })?;
    let at = input.current_token_start();
    match opt('{').parse_next(input)? {
        Some(_) => Ok(times),
        None => lost(at, Expected::Opening, Some(Mend::WriteRepeat)),
    }
}

// unit = "pace" | "paces" | "m" | "yd" | "ft"
fn unit(input: &mut Input<'_>) -> Read<LengthUnit> {
    let at = input.current_token_start();
    let word = word(input, Expected::Unit)?;
    match unit_word(word) {
        Some(unit) => Ok(unit),
        None => lost(at, Expected::Unit, one_of_words(&["pace", "m", "yd", "ft"])),
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
fn mark(input: &mut Input<'_>, places: &Places<'_>) -> Read<Statement> {
    let name = optional_name(input, places, &[])?;
    Ok(Statement::Mark { name, colour: optional_colour(input)? })
}

// turn = "around" | ( "left" | "right" ) degrees
fn turn(input: &mut Input<'_>) -> Read<Turn> {
    let at = input.current_token_start();
    let word = word(input, Expected::Turn)?;
    match word.to_lowercase().as_str() {
        "around" => Ok(Turn::Around),
        "left" => degrees(input).map(|d| Turn::Right(-d)),
        "right" => degrees(input).map(Turn::Right),
        _ => lost(at, Expected::Turn, did_you_mean(word, ["left", "right", "around"])),
    }
}

fn degrees(input: &mut Input<'_>) -> Read<f64> {
    let at = input.current_token_start();
    let degrees = number(input, Expected::Degrees)?;
    match degrees <= 360.0 {
        true => Ok(degrees),
        false => lost(at, Expected::DegreesAtMost { most: 360 }, None),
    }
}

// face = "ahead" | reference
fn facing(input: &mut Input<'_>, places: &Places<'_>) -> Read<Facing> {
    if opt_keyword(input, "ahead")? {
        return Ok(Facing::Ahead);
    }
    reference(input, places).map(Facing::Toward)
}

// line = count [ name ] "every" length [ colour ]
fn line(input: &mut Input<'_>, places: &Places<'_>) -> Read<Statement> {
    let count = count(input, Expected::Markers { most: MOST_TIMES })?;
    let name = optional_name(input, places, &["every"])?;
    keyword(input, "every")?;
    let every = length(input)?;
    Ok(Statement::Line { count, name, every, colour: optional_colour(input)? })
}

// gate = [ name ] "wide" length [ colour ]
fn gate(input: &mut Input<'_>, places: &Places<'_>) -> Read<Statement> {
    let name = optional_name(input, places, &["wide"])?;
    keyword(input, "wide")?;
    let wide = length(input)?;
    Ok(Statement::Gate { name, wide, colour: optional_colour(input)? })
}

// box = [ name ] length "by" length [ colour [ "," colour "," colour "," colour ] ]
fn square(input: &mut Input<'_>, places: &Places<'_>) -> Read<Statement> {
    let name = optional_name(input, places, &[])?;
    let wide = length(input)?;
    keyword(input, "by")?;
    let deep = length(input)?;
    let at = input.current_token_start();
    let mut colours = vec![optional_colour(input)?];
    while opt(',').parse_next(input)?.is_some() {
        blanks(input)?;
        let at = input.current_token_start();
        match optional_colour(input)? {
            Some(colour) => colours.push(Some(colour)),
            None => return lost(at, Expected::Colour, colours_known()),
        }
    }
    let colours = match colours[..] {
        [one] => [one; 4],
        [near_left, far_left, far_right, near_right] => [near_left, far_left, far_right, near_right],
        _ => return lost(at, Expected::Colours, Some(Mend::ColourOrder)),
    };
    Ok(Statement::Box { name, wide, deep, colours })
}

fn person(input: &mut Input<'_>, places: &Places<'_>, role: Role) -> Read<Statement> {
    Ok(Statement::Person { role, name: name(input, places)? })
}

// path = kind point "->" point { "->" point } [ "x" count ]
fn path(input: &mut Input<'_>, places: &Places<'_>) -> Read<Statement> {
    let at = input.current_token_start();
    let said = word(input, Expected::PathKind)?;
    let Some(&(_, kind)) = PathKind::ALL.iter().find(|(w, _)| w.eq_ignore_ascii_case(said)) else {
        return lost(at, Expected::PathKind, did_you_mean(said, PathKind::ALL.map(|(w, _)| w)));
    };
    let mut points = vec![point(input, places)?];
    while arrow(input)? {
        points.push(point(input, places)?);
    }
    // A weave alone is a way already: from the first marker of the line to its last.
    if points.len() < 2 && points[0].1 != Passing::Weave {
        return lost(input.current_token_start(), Expected::SecondPoint, None);
    }
    let times = match opt_keyword(input, "x")? {
        true => count(input, Expected::Times { most: MOST_TIMES })?,
        false => 1,
    };
    Ok(Statement::Path { kind, points, times })
}

// point = reference [ "*" | "~" ]
fn point(input: &mut Input<'_>, places: &Places<'_>) -> Read<(Named, Passing)> {
    let named = reference_tight(input, places)?;
    let passing = match opt(one_of(['*', '~'])).parse_next(input)? {
        Some('*') => Passing::Weave,
        Some(_) => Passing::Around,
        None => Passing::Through,
    };
    blanks(input)?;
    Ok((named, passing))
}

// length = number [ unit ]
fn length(input: &mut Input<'_>) -> Read<Length> {
    let count = number(input, Expected::Length)?;
    let before = input.checkpoint();
    let unit = opt(letters).parse_next(input)?.and_then(unit_word);
    if unit.is_none() {
        input.reset(&before);
    }
    blanks(input)?;
    Ok(Length { count, unit })
}

// number = digit { digit } [ "." digit { digit } ]
fn number(input: &mut Input<'_>, expected: Expected) -> Read<f64> {
    let at = input.current_token_start();
    let digits = digits(input).map_err(|e: Lost| e.expecting(expected.clone()))?;
    blanks(input)?;
    digits.parse().or_else(|_| lost(at, expected, None))
}

fn count(input: &mut Input<'_>, expected: Expected) -> Read<u32> {
    let at = input.current_token_start();
    let count = number(input, expected.clone())?;
    if count.fract() == 0.0 && (1.0..=f64::from(MOST_TIMES)).contains(&count) {
        Ok(count as u32)
    } else {
        lost(at, expected, None)
    }
}

// name = letter { letter | digit | "_" | "-" }
fn name(input: &mut Input<'_>, places: &Places<'_>) -> Read<Named> {
    let at = input.current_token_start();
    let name = word(input, Expected::Name)?.to_owned();
    Ok(Named { name, place: places.at(at) })
}

// reference = name { "." digits }: what a repeat has named carries the number of its round.
fn reference(input: &mut Input<'_>, places: &Places<'_>) -> Read<Named> {
    let named = reference_tight(input, places)?;
    blanks(input)?;
    Ok(named)
}

fn reference_tight(input: &mut Input<'_>, places: &Places<'_>) -> Read<Named> {
    let at = input.current_token_start();
    let rounds = repeat::<_, _, (), _, _>(0.., ('.', take_while(1..=3, '0'..='9')));
    let name = (letters, rounds).take().parse_next(input).map_err(|e: Lost| e.expecting(Expected::Name))?;
    Ok(Named { name: name.to_owned(), place: places.at(at) })
}

/// A name, unless the next word is a colour or one of the words that go on with the statement.
fn optional_name(input: &mut Input<'_>, places: &Places<'_>, next: &[&str]) -> Read<Option<Named>> {
    let before = input.checkpoint();
    match opt(letters).parse_next(input)? {
        None => Ok(None),
        Some(word) => {
            input.reset(&before);
            let taken = colour(word).is_some() || next.iter().any(|n| n.eq_ignore_ascii_case(word));
            if taken { Ok(None) } else { name(input, places).map(Some) }
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
        None => lost(at, Expected::Colour, colours_known()),
    }
}

fn colour(word: &str) -> Option<Colour> {
    Colour::ALL.iter().find(|(w, _)| w.eq_ignore_ascii_case(word)).map(|(_, c)| *c)
}

fn colours_known() -> Option<Mend> {
    one_of_words(&Colour::ALL.map(|(word, _)| word))
}

fn one_of_words(words: &[&str]) -> Option<Mend> {
    Some(Mend::OneOf { known: words.iter().map(|word| (*word).to_owned()).collect() })
}

fn keyword(input: &mut Input<'_>, word: &str) -> Read<()> {
    let at = input.current_token_start();
    if opt_keyword(input, word)? { Ok(()) } else { lost(at, Expected::Word { word: word.to_owned() }, None) }
}

fn arrow(input: &mut Input<'_>) -> Read<bool> {
    let found = opt("->").parse_next(input)?.is_some();
    blanks(input)?;
    Ok(found)
}

fn word<'t>(input: &mut Input<'t>, expected: Expected) -> Read<&'t str> {
    let word = letters.parse_next(input).map_err(|e: Lost| e.expecting(expected))?;
    blanks(input)?;
    Ok(word)
}

fn end(input: &mut Input<'_>) -> Read<()> {
    if input.chars().next().is_none_or(ends_statement) {
        return Ok(());
    }
    let mend = Mend::NewStatement { written: left_of_statement(input, ends_statement) };
    lost(input.current_token_start(), Expected::End, Some(mend))
}
