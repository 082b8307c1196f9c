//! Reads the text of a score into statements.
//!
//! One small function for each phrase of the grammar. A fault in a statement does not stop the reading: the next
//! statement is read as if nothing had happened, so that all faults show at once.
//!
//! ```text
//! text      = { separator | statement | "}" }
//! separator = newline | ";" | ","
//! statement = start | travel | wait | block | do | deed { "and" deed }
//! start     = "start" "ball" ( "left" | "right" | "middle" | "hands" )
//! travel    = "travel" way length
//! wait      = "wait" count
//! block     = ( "repeat" count | "mirror" | "part" name ) "{" { separator | statement } "}"
//! do        = "do" ( name | "skill" id )
//! deed      = foot surface touch | foot "step" step | side ( "thigh" | "shoulder" ) touch
//!           | ( "chest" | "head" ) touch | "hop" | "lunge" way | "fake" ( "pass" | "shot" )
//!           | "drop" side [ "shoulder" ] | "turn" turn | "look" [ side | "behind" ] | "bounce" | "toss"
//! foot      = side | "same" | "other"
//! side      = "left" | "right"
//! touch     = "lift" [ height ] | "cushion" "up" | action [ way ] [ length ]
//! step      = "over" ( "in" | "out" ) | "round" | way
//! turn      = "around" | side degrees
//! length    = number [ unit ]
//! ```
//!
//! Case does not matter. A length without a unit is in metres. A `#` and what follows it in its line counts as blank.

use winnow::combinator::opt;
use winnow::error::ParserError;
use winnow::prelude::*;
use winnow::stream::{Location, Stream};
use winnow::token::{take_till, take_while};

use super::fault::{Expected, Fault, Mend, owned};
use super::lie::{Height, Lie};
use super::touch::{Action, Way};
use super::{LONGEST_TEXT, MOST_BEATS};
use crate::input::notation::{
    Input, Place, Places, blanks, digits, ends_statement, left_of_statement, letters, opt_keyword, separators,
};
use crate::technique::skill::Side;
use crate::technique::surface::Surface;
use crate::units::{LengthUnit, Metres, Pace};

/// The most statements that a text may hold.
pub const MOST_STATEMENTS: usize = 2_000;
/// How deep blocks may stand inside each other.
pub const DEEPEST: usize = 6;
/// The shortest and the longest way of a touch, in metres.
const LENGTHS: (f64, f64) = (0.05, 20.0);
/// A cushion lets the ball drop within this, in metres.
const CUSHIONED: f64 = 0.30;

/// A foot, as a statement names it.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Named {
    /// By its side.
    Side(Side),
    /// The one that moved last.
    Same,
    /// The one that did not move last.
    Other,
}

/// What meets the ball.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Limb {
    /// The surface.
    pub surface: Surface,
    /// On which side; the chest and the head have none.
    pub side: Option<Named>,
}

/// A step without the ball.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Step {
    /// Over the ball, inward or outward.
    Over(Way),
    /// Round the ball.
    Round,
    /// The body goes with it.
    To(Way),
}

/// What happens in a beat.
#[derive(Clone, Copy, Debug, PartialEq)]
#[allow(missing_docs)]
pub enum Deed {
    Touch {
        limb: Limb,
        action: Action,
        way: Option<Way>,
        length: Metres,
        up: Option<Height>,
    },
    Step {
        foot: Named,
        step: Step,
    },
    Hop,
    Lunge(Way),
    FakePass,
    FakeShot,
    Drop(Side),
    /// Degrees to the right; to the left if negative.
    Turn(f64),
    Look(Option<Glance>),
    Bounce,
    Toss,
}

/// Where the eyes go.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
#[allow(missing_docs)]
pub enum Glance {
    To(Side),
    Behind,
}

/// A statement and where it begins.
#[derive(Clone, Debug, PartialEq)]
pub struct Placed<T> {
    /// Where.
    pub place: Place,
    /// What.
    pub says: T,
}

/// One statement of a score.
#[derive(Clone, Debug, PartialEq)]
#[allow(missing_docs)]
pub enum Statement {
    Start(Lie),
    Travel(Way, Metres),
    /// What happens in one beat.
    Beat(Vec<Placed<Deed>>),
    Wait(u32),
    Repeat(u32, Vec<Placed<Statement>>),
    Mirror(Vec<Placed<Statement>>),
    Part(String, Vec<Placed<Statement>>),
    Do(String),
    DoSkill(String),
}

const STATEMENTS: [&str; 21] = [
    "right", "left", "same", "other", "chest", "head", "hop", "lunge", "fake", "drop", "turn", "look",
    "bounce", "toss", "wait", "repeat", "mirror", "part", "do", "start", "travel",
];

/// Reads every statement of a text; what could not be read comes back as faults.
pub fn parse(text: &str) -> (Vec<Placed<Statement>>, Vec<Fault>) {
    let places = Places::of(text);
    if text.len() > LONGEST_TEXT {
        let mend = Mend::SplitText { bytes: text.len() };
        return (
            Vec::new(),
            vec![Fault::at(places.at(0), Expected::BytesAtMost { most: LONGEST_TEXT }, mend)],
        );
    }
    let mut reader = Reader { places, open: Vec::new(), read: Vec::new(), count: 0, faults: Vec::new() };
    reader.text(&mut Input::new(text));
    while let Some(open) = reader.open.pop() {
        reader.faults.push(Fault::at(open.place, Expected::Closing, Mend::Close));
        reader.read = open.before;
    }
    (reader.read, reader.faults)
}

/// Puts statements together, and the blocks that they stand in.
struct Reader<'t> {
    places: Places<'t>,
    open: Vec<Open>,
    /// Statements of the innermost block, or of the text.
    read: Vec<Placed<Statement>>,
    count: usize,
    faults: Vec<Fault>,
}

/// A block whose end has not come yet.
struct Open {
    place: Place,
    block: Block,
    before: Vec<Placed<Statement>>,
}

/// What a block does with its statements.
enum Block {
    Repeat(u32),
    Mirror,
    Part(String),
    /// It has a fault itself; its statements are read for their faults alone.
    Unread,
}

/// What stands at the head of a statement.
enum Head {
    Whole(Statement),
    Block(Block),
}

impl Reader<'_> {
    // text = { separator | statement | "}" }
    fn text(&mut self, input: &mut Input<'_>) {
        loop {
            let _: Read<()> = separators(input, Some(','));
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
                let expected = Expected::StatementsAtMost { most: MOST_STATEMENTS };
                return self.faults.push(Fault::at(self.places.at(at), expected, Mend::RepeatLess));
            }
            self.count += 1;
            match statement(input, &self.places) {
                Ok(Head::Whole(says)) => self.read.push(Placed { place: self.places.at(at), says }),
                Ok(Head::Block(block)) => self.begin(at, block),
                Err(lost) => {
                    self.faults.push(Fault::at(
                        self.places.at(lost.at),
                        lost.expected,
                        lost.mend.map(|mend| *mend),
                    ));
                    self.recover(input);
                }
            }
        }
    }

    fn begin(&mut self, at: usize, block: Block) {
        let place = self.places.at(at);
        if self.open.len() == DEEPEST {
            let expected = Expected::NestedAtMost { most: DEEPEST };
            self.faults.push(Fault::at(place, expected, Mend::WriteOut));
        }
        // What stands too deep is read for its faults alone: whatever follows the statements never goes deeper either.
        let block = if self.open.len() < DEEPEST { block } else { Block::Unread };
        self.open.push(Open { place, block, before: std::mem::take(&mut self.read) });
    }

    fn close(&mut self, at: usize) {
        let Some(Open { place, block, before }) = self.open.pop() else {
            return self.faults.push(Fault::at(self.places.at(at), Expected::Statement, Mend::ClosesNothing));
        };
        let body = std::mem::replace(&mut self.read, before);
        let says = match block {
            Block::Repeat(times) => Statement::Repeat(times, body),
            Block::Mirror => Statement::Mirror(body),
            Block::Part(name) => Statement::Part(name, body),
            Block::Unread => return,
        };
        self.read.push(Placed { place, says });
    }

    /// Goes on after a fault: to the next separator, or into the braces that a misspelt block has opened.
    fn recover(&mut self, input: &mut Input<'_>) {
        let at = input.current_token_start();
        let _: Read<&str> = take_till(0.., |c| c == '{' || ends(c)).parse_next(input);
        if input.starts_with('{') {
            let _ = input.next_token();
            self.begin(at, Block::Unread);
        }
    }
}

/// Where the reader lost the thread.
#[derive(Debug)]
struct Lost {
    at: usize,
    expected: Expected,
    /// Apart from it, so that what could not be read stays small.
    mend: Option<Box<Mend>>,
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

fn lost<T>(at: usize, expected: Expected, mend: impl Into<Option<Mend>>) -> Read<T> {
    Err(Lost { at, expected, mend: mend.into().map(Box::new) })
}

/// A statement ends before a comma too.
fn ends(letter: char) -> bool {
    letter == ',' || ends_statement(letter)
}

// statement = start | travel | wait | block | do | deed { "and" deed }
fn statement(input: &mut Input<'_>, places: &Places<'_>) -> Read<Head> {
    let before = input.checkpoint();
    let word = word(input, Expected::Statement, &STATEMENTS)?.to_lowercase();
    let says = match word.as_str() {
        "repeat" => {
            let times = count(input, Expected::Times { most: MOST_BEATS as u32 })?;
            return opens(input, "repeat 2").map(|()| Head::Block(Block::Repeat(times)));
        }
        "mirror" => return opens(input, "mirror").map(|()| Head::Block(Block::Mirror)),
        "part" => {
            let name = name(input)?;
            return opens(input, "part name").map(|()| Head::Block(Block::Part(name)));
        }
        "do" if opt_keyword(input, "skill")? => Statement::DoSkill(id(input)?),
        "do" => Statement::Do(name(input)?),
        "start" => start(input)?,
        "travel" => travel(input)?,
        "wait" => Statement::Wait(count(input, Expected::Beats { most: MOST_BEATS as u32 })?),
        _ => {
            input.reset(&before);
            Statement::Beat(beat(input, places)?)
        }
    };
    end(input)?;
    Ok(Head::Whole(says))
}

fn opens(input: &mut Input<'_>, head: &str) -> Read<()> {
    let at = input.current_token_start();
    match opt('{').parse_next(input)? {
        Some(_) => Ok(()),
        None => lost(at, Expected::Opening, Mend::WriteBlock { head: head.to_owned() }),
    }
}

// start = "start" "ball" ( "left" | "right" | "middle" | "hands" )
fn start(input: &mut Input<'_>) -> Read<Statement> {
    let at = input.current_token_start();
    if !opt_keyword(input, "ball")? {
        return lost(at, Expected::Ball, None);
    }
    one_of(input, Expected::Lie, &Lie::ALL).map(Statement::Start)
}

// travel = "travel" way length
fn travel(input: &mut Input<'_>) -> Read<Statement> {
    const WAYS: [(&str, Way); 4] =
        [("ahead", Way::Ahead), ("back", Way::Back), ("left", Way::Left), ("right", Way::Right)];
    let way = one_of(input, Expected::Way, &WAYS)?;
    Ok(Statement::Travel(way, length(input, LENGTHS)?))
}

fn beat(input: &mut Input<'_>, places: &Places<'_>) -> Read<Vec<Placed<Deed>>> {
    let mut deeds = Vec::with_capacity(1);
    loop {
        let at = input.current_token_start();
        deeds.push(Placed { place: places.at(at), says: deed(input)? });
        if !opt_keyword(input, "and")? {
            return Ok(deeds);
        }
    }
}

// deed = foot surface touch | foot "step" step | …
fn deed(input: &mut Input<'_>) -> Read<Deed> {
    let at = input.current_token_start();
    let said = word(input, Expected::Statement, &STATEMENTS)?;
    Ok(match said.to_lowercase().as_str() {
        "right" => of_foot(input, Named::Side(Side::Right))?,
        "left" => of_foot(input, Named::Side(Side::Left))?,
        "same" => of_foot(input, Named::Same)?,
        "other" => of_foot(input, Named::Other)?,
        "chest" => touch(input, Limb { surface: Surface::Chest, side: None }, at)?,
        "head" => touch(input, Limb { surface: Surface::Head, side: None }, at)?,
        paired @ ("thigh" | "shoulder") => {
            return lost(at, Expected::Left, Mend::WhichSide { surface: paired.to_owned() });
        }
        "hop" => Deed::Hop,
        "lunge" => lunge(input)?,
        "fake" => one_of(input, Expected::Feint, &[("pass", Deed::FakePass), ("shot", Deed::FakeShot)])?,
        "drop" => {
            let shoulder = one_of(input, Expected::Left, &[("left", Side::Left), ("right", Side::Right)])?;
            opt_keyword(input, "shoulder")?;
            Deed::Drop(shoulder)
        }
        "turn" => turn(input)?,
        "look" => look(input)?,
        "bounce" => Deed::Bounce,
        "toss" => Deed::Toss,
        "repeat" | "mirror" | "part" | "do" | "start" | "travel" | "wait" => {
            return lost(at, Expected::Joinable, Mend::OnItsOwn);
        }
        _ => return lost(at, Expected::Statement, Mend::one_of(said, &STATEMENTS)),
    })
}

// foot surface touch | foot "step" step
fn of_foot(input: &mut Input<'_>, foot: Named) -> Read<Deed> {
    if opt_keyword(input, "step")? {
        return step(input, foot);
    }
    let at = input.current_token_start();
    let paired = Surface::ALL.into_iter().filter(|surface| surface.is_paired());
    let surfaces: Vec<(&str, Surface)> = paired.map(|surface| (surface.word(), surface)).collect();
    let surface = one_of(input, Expected::Surface, &surfaces)?;
    touch(input, Limb { surface, side: Some(foot) }, at)
}

// step = "over" ( "in" | "out" ) | "round" | way
fn step(input: &mut Input<'_>, foot: Named) -> Read<Deed> {
    let steps: Vec<(&str, Option<Step>)> = [("over", None), ("round", Some(Step::Round))]
        .into_iter()
        .chain(Way::ALL.map(|(word, way)| (word, Some(Step::To(way)))))
        .collect();
    let step = match one_of(input, Expected::Step, &steps)? {
        Some(step) => step,
        None => Step::Over(one_of(input, Expected::Over, &[("in", Way::In), ("out", Way::Out)])?),
    };
    Ok(Deed::Step { foot, step })
}

// touch = "lift" [ height ] | "cushion" "up" | action [ way ] [ length ]
fn touch(input: &mut Input<'_>, limb: Limb, surface_at: usize) -> Read<Deed> {
    let action = one_of(input, Expected::Action, &Action::ALL)?;
    let Some(ways) = action.ways(limb.surface) else {
        let surfaces = owned(action.surfaces().map(Surface::word));
        let expected = Expected::SurfaceFor { action: action.word().to_owned() };
        return lost(surface_at, expected, Mend::OneOf { known: surfaces });
    };
    let up = match action {
        Action::Lift => Some(opt_one_of(input, &Height::LIFTS)?.unwrap_or(Height::Knee)),
        Action::Cushion if opt_keyword(input, "up")? => Some(Height::of_surface(limb.surface)),
        _ => None,
    };
    let stays = up.is_some() || ways.is_empty();
    let way = if stays { None } else { way_of(input, limb, action, ways)? };
    let length = if stays { Metres(0.0) } else { length_of(input, action, way)? };
    Ok(Deed::Touch { limb, action, way, length, up })
}

/// The way that is said, if it is one that the surface can send the ball; else the usual one.
fn way_of(input: &mut Input<'_>, limb: Limb, action: Action, ways: &[Way]) -> Read<Option<Way>> {
    let at = input.current_token_start();
    let Some(said) = opt_one_of(input, &Way::ALL)? else {
        return match action {
            Action::Cut => {
                let expected = Expected::WayAsked { action: action.word().to_owned() };
                lost(at, expected, Mend::OneOf { known: owned(ways.iter().map(|way| way.word())) })
            }
            _ => Ok(action.usual_way(limb.surface)),
        };
    };
    let way = match limb.side {
        Some(Named::Side(side)) => said.of_foot(side),
        // Left and right become in and out once the foot is known.
        Some(Named::Same | Named::Other) if matches!(said, Way::Left | Way::Right) => return Ok(Some(said)),
        _ => said,
    };
    match ways.contains(&way) {
        true => Ok(Some(said)),
        false => {
            lost(at, Expected::cannot(limb.surface, action, ways), Mend::other_surface(action, way, said))
        }
    }
}

fn length_of(input: &mut Input<'_>, action: Action, way: Option<Way>) -> Read<Metres> {
    if !input.starts_with(|c: char| c.is_ascii_digit()) {
        return Ok(if way.is_some() { action.usual_length() } else { Metres(0.0) });
    }
    let (least, most) = LENGTHS;
    length(input, (least, if action == Action::Cushion { CUSHIONED } else { most }))
}

// lunge = "lunge" way
fn lunge(input: &mut Input<'_>) -> Read<Deed> {
    let ways: Vec<(&str, Way)> = Way::ALL.into_iter().filter(|(_, way)| !way.needs_foot()).collect();
    one_of(input, Expected::Way, &ways).map(Deed::Lunge)
}

// turn = "around" | side degrees
fn turn(input: &mut Input<'_>) -> Read<Deed> {
    let sides = [("left", Some(-1.0)), ("right", Some(1.0)), ("around", None)];
    let Some(side) = one_of(input, Expected::Turn, &sides)? else {
        return Ok(Deed::Turn(180.0));
    };
    let at = input.current_token_start();
    let degrees = number(input, Expected::Degrees)?;
    match degrees <= 360.0 {
        true => Ok(Deed::Turn(side * degrees)),
        false => lost(at, Expected::DegreesAtMost { most: 360 }, None),
    }
}

// look = "look" [ side | "behind" ]
fn look(input: &mut Input<'_>) -> Read<Deed> {
    let glances =
        [("left", Glance::To(Side::Left)), ("right", Glance::To(Side::Right)), ("behind", Glance::Behind)];
    opt_one_of(input, &glances).map(Deed::Look)
}

// length = number [ unit ]
fn length(input: &mut Input<'_>, (least, most): (f64, f64)) -> Read<Metres> {
    const UNITS: [(&str, LengthUnit); 5] = [
        ("m", LengthUnit::Metre),
        ("yd", LengthUnit::Yard),
        ("ft", LengthUnit::Foot),
        ("pace", LengthUnit::Pace),
        ("paces", LengthUnit::Pace),
    ];
    let at = input.current_token_start();
    let count = number(input, Expected::Length)?;
    let unit = opt_one_of(input, &UNITS)?.unwrap_or(LengthUnit::Metre);
    let metres = unit.in_metres(count, Pace::default());
    match (least..=most).contains(&metres.0) {
        true => Ok(metres),
        false => lost(at, Expected::LengthBetween { least, most }, Mend::ThisLength { metres: metres.0 }),
    }
}

fn number(input: &mut Input<'_>, expected: Expected) -> Read<f64> {
    let at = input.current_token_start();
    let Some(digits) = opt(digits::<Lost>).parse_next(input)? else {
        return lost(at, expected, None);
    };
    blanks(input)?;
    digits.parse().or_else(|_| lost(at, expected, None))
}

fn count(input: &mut Input<'_>, expected: Expected) -> Read<u32> {
    let at = input.current_token_start();
    let count = number(input, expected.clone())?;
    match count.fract() == 0.0 && (1.0..=MOST_BEATS as f64).contains(&count) {
        true => Ok(count as u32),
        false => lost(at, expected, None),
    }
}

// name = letter { letter | digit | "_" | "-" }
fn name(input: &mut Input<'_>) -> Read<String> {
    word(input, Expected::Name, &[]).map(str::to_lowercase)
}

// id = ( letter | digit | "-" ) { letter | digit | "-" }
fn id(input: &mut Input<'_>) -> Read<String> {
    let at = input.current_token_start();
    let id: Read<&str> = take_while(1.., |c: char| c.is_ascii_alphanumeric() || c == '-').parse_next(input);
    let Ok(id) = id else { return lost(at, Expected::Skill, None) };
    blanks(input)?;
    Ok(id.to_lowercase())
}

/// The next word, whatever it is.
fn word<'t>(input: &mut Input<'t>, expected: Expected, known: &[&str]) -> Read<&'t str> {
    let at = input.current_token_start();
    let Some(word) = opt(letters::<Lost>).parse_next(input)? else {
        return lost(
            at,
            expected,
            (!known.is_empty()).then(|| Mend::OneOf { known: owned(known.iter().copied()) }),
        );
    };
    blanks(input)?;
    Ok(word)
}

/// The value of the next word, which must be one of these.
fn one_of<T: Copy>(input: &mut Input<'_>, expected: Expected, words: &[(&str, T)]) -> Read<T> {
    let at = input.current_token_start();
    let known: Vec<&str> = words.iter().map(|(word, _)| *word).collect();
    let said = word(input, expected.clone(), &known)?;
    match words.iter().find(|(word, _)| word.eq_ignore_ascii_case(said)) {
        Some((_, stands_for)) => Ok(*stands_for),
        None => lost(at, expected, Mend::one_of(said, &known)),
    }
}

/// The value of the next word, if it is one of these.
fn opt_one_of<T: Copy>(input: &mut Input<'_>, words: &[(&str, T)]) -> Read<Option<T>> {
    let before = input.checkpoint();
    let said = opt(letters::<Lost>).parse_next(input)?;
    let found = said.and_then(|said| words.iter().find(|(word, _)| word.eq_ignore_ascii_case(said)));
    match found {
        Some((_, stands_for)) => {
            blanks(input)?;
            Ok(Some(*stands_for))
        }
        None => {
            input.reset(&before);
            Ok(None)
        }
    }
}

fn end(input: &mut Input<'_>) -> Read<()> {
    if input.chars().next().is_none_or(ends) {
        return Ok(());
    }
    let mend = Mend::NewStatement { written: left_of_statement(input, ends) };
    lost(input.current_token_start(), Expected::End, mend)
}
