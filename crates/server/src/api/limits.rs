//! How long texts and lists may be, as the description of the interface says it.

use jogo_core::academy::band::Band;
use jogo_core::academy::roster;
use jogo_core::assessment::benchmarks::Test;
use jogo_core::assessment::milestones::Milestone;
use jogo_core::drill::Drill;
use jogo_core::plan::curriculum::Curriculum;
use jogo_core::technique::skill::Skill;
use utoipa::openapi::schema::Components;
use utoipa::openapi::{RefOr, Schema};

use super::academy::clubs;
use crate::said;

/// The longest texts that people write, in characters: the form, its field, the length.
const LONGEST: [(&str, &str, usize); 23] = [
    ("Band", "name", Band::LONGEST_NAME),
    ("Corrected", "name", roster::LONGEST_NAME),
    ("Curriculum", "name", Curriculum::LONGEST_NAME),
    ("Drill", "title", Drill::LONGEST_TITLE),
    ("Drill", "purpose", Drill::LONGEST_SENTENCE),
    ("Drill", "in_game", Drill::LONGEST_SENTENCE),
    ("EditionWish", "note", super::plan::publishing::LONGEST_NOTE),
    ("Milestone", "says", Milestone::LONGEST_SENTENCE),
    ("Milestone", "short", Milestone::LONGEST_SHORT),
    ("NewClub", "name", clubs::LONGEST_NAME),
    ("NewInvitation", "name", clubs::LONGEST_NAME),
    ("NewTeam", "name", clubs::LONGEST_NAME),
    ("NewCurriculum", "name", Curriculum::LONGEST_NAME),
    ("Newcomer", "name", roster::LONGEST_NAME),
    ("AnswerSaid", "says", super::delivery::voices::LONGEST_ANSWER),
    ("NoteSaid", "says", said::log::LONGEST_NOTE),
    ("ScoreText", "text", super::technique::LONGEST_SCORE),
    ("Skill", "name", Skill::LONGEST_NAME),
    ("Test", "name", Test::LONGEST_NAME),
    ("Test", "short", Test::LONGEST_SHORT),
    ("Test", "how", Test::LONGEST_HOW),
    ("VoiceSaid", "says", said::voices::LONGEST_LINE),
    ("WordSaid", "reason", said::words::LONGEST_REASON),
];

/// The longest lists that are taken at once: the form, its field, the number.
const MOST: [(&str, &str, usize); 9] = [
    ("LogSaid", "outcomes", said::log::MOST_ENTRIES),
    ("LogSaid", "presence", said::log::MOST_ENTRIES),
    ("LogSaid", "notes", said::log::MOST_ENTRIES),
    ("Newcomers", "players", roster::MOST_PLAYERS),
    ("ReportsSaid", "reports", said::reports::MOST_REPORTS),
    ("TrialsSaid", "trials", said::trials::MOST_TRIALS),
    ("NextTimesSaid", "next_times", said::next_times::MOST_DECISIONS),
    ("VoicesSaid", "voices", said::voices::MOST_VOICES),
    ("WordsSaid", "words", said::words::MOST_WORDS),
];

/// Writes the limits beside the fields that they hold for.
///
/// # Panics
/// If a form or a field of the tables is not described: a test describes them all.
pub fn add_to(components: &mut Components) {
    for (form, field, longest) in LONGEST {
        match field_of(components, form, field) {
            Some(Schema::Object(text)) => text.max_length = Some(longest),
            _ => unreachable!("{form} has no text `{field}`"),
        }
    }
    for (form, field, most) in MOST {
        match field_of(components, form, field) {
            Some(Schema::Array(list)) => list.max_items = Some(most),
            _ => unreachable!("{form} has no list `{field}`"),
        }
    }
}

fn field_of<'c>(components: &'c mut Components, form: &str, field: &str) -> Option<&'c mut Schema> {
    let form = match components.schemas.get_mut(form)? {
        RefOr::T(Schema::Object(form)) => form,
        _ => return None,
    };
    match form.properties.get_mut(field)? {
        RefOr::T(schema) => Some(schema),
        RefOr::Ref(_) => None,
    }
}
