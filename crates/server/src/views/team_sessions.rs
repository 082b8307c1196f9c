//! The sessions of a team: which edition holds on which day, and how each went.

use crate::facts::{Letter, Thing};
use jogo_core::fact::Fact;
use std::collections::BTreeMap;

use jiff::civil::Date;
use jogo_core::academy::phrases::Phrases;
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::team_plan::{Held, Upset, holding};
use jogo_core::delivery::{Outcome, Said};
use jogo_core::plan::curriculum::Sitting;
use jogo_core::plan::{Block, BlockId};
use jogo_core::units::Minutes;
use jogo_store::delivery::team_plans::Assigned;
use jogo_words::say;
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::problem::{Answer, Problem};
use crate::state::State;

/// A session in the list of weeks.
#[derive(Serialize, ToSchema)]
pub struct SessionEntry {
    pub edition: Uuid,
    pub edition_number: i64,
    pub curriculum: String,
    pub session: usize,
    pub week: u32,
    pub date: String,
    pub minutes: Minutes,
    /// How it was cancelled or cut short; absent if it takes place as planned.
    pub upset: Option<Upset>,
    pub blocks: usize,
    /// The running order: for letters, the page asks for the whole session.
    #[serde(skip)]
    pub order: Vec<OrderLine>,
    pub done: usize,
    pub short: usize,
    pub skipped: usize,
}

/// The last change that a team made to an edition.
#[derive(Serialize, ToSchema)]
pub struct LastChange {
    edition: Uuid,
    version: i64,
    what: Fact,
}

/// An edition as a team works by it.
pub struct TeamEdition {
    pub assigned: Assigned,
    /// With what the team has of its own.
    pub edition: Edition,
    pub said: Said,
}

impl TeamEdition {
    /// With every block where it was run, even if the log came after the plan had moved on.
    pub async fn of(state: &State, team: Uuid, mut assigned: Assigned) -> Answer<TeamEdition> {
        let said = state.store.said(team, assigned.published.id).await?;
        let misplaced = assigned.own.misplaced(&assigned.edition, &said).map_err(Problem::input)?;
        if !misplaced.is_empty() {
            let earlier = state.store.team_plan_states(team, assigned.published.id).await?;
            let mended = assigned.own.with_run(&assigned.edition, &misplaced, &earlier);
            assigned.own = mended.map_err(Problem::input)?;
        }
        let edition = assigned.own.edition(&assigned.edition).map_err(Problem::input)?;
        Ok(TeamEdition { assigned, edition, said })
    }
}

impl TeamEdition {
    /// The title of a block's drill, also of one that the team's plan no longer has.
    pub fn title_of(&self, block: BlockId) -> String {
        let there = [&self.edition, &self.assigned.edition].into_iter().find_map(|edition| {
            let (session, place) = edition.plan.place_of(block)?;
            let drill = &edition.plan.sessions[session][place].variant.drill;
            Some(edition.drill(drill).map_or(drill.as_str(), |found| found.title.as_str()).to_owned())
        });
        there.unwrap_or_default()
    }
}

/// The editions that a team works by, by curriculum; of each curriculum in the order of their numbers.
pub async fn editions_of(state: &State, team: Uuid) -> Answer<BTreeMap<Uuid, Vec<TeamEdition>>> {
    let mut all: BTreeMap<Uuid, Vec<TeamEdition>> = BTreeMap::new();
    for assigned in state.store.editions_of_team(team).await? {
        let of_curriculum = all.entry(assigned.published.curriculum).or_default();
        of_curriculum.push(TeamEdition::of(state, team, assigned).await?);
    }
    all.values_mut().for_each(|editions| editions.sort_by_key(|each| each.assigned.published.number));
    Ok(all)
}

/// When each of the editions of one curriculum holds.
pub fn held(editions: &[TeamEdition]) -> Vec<Held> {
    editions.iter().map(|each| Held::of(each.assigned.from, &each.edition, &each.said)).collect()
}

pub async fn of_team(state: &State, team: Uuid, edition: Uuid) -> Answer<TeamEdition> {
    let all = state.store.editions_of_team(team).await?;
    let found = all.into_iter().find(|assigned| assigned.published.id == edition);
    TeamEdition::of(state, team, found.ok_or_else(|| Problem::not_found(Thing::Edition))?).await
}

/// How many blocks of a session have an outcome.
fn count(said: &Said, session: usize, blocks: &[Block], wanted: Outcome) -> usize {
    blocks
        .iter()
        .filter(|block| said.of(session, block).is_some_and(|(outcome, _)| *outcome == wanted))
        .count()
}

/// The sessions of a team in the order of their dates.
pub async fn entries(state: &State, team: Uuid) -> Answer<Vec<SessionEntry>> {
    Ok(with_changes(state, team).await?.0)
}

/// The same, with what the team changed last in its editions.
pub async fn with_changes(state: &State, team: Uuid) -> Answer<(Vec<SessionEntry>, Vec<LastChange>)> {
    let (mut entries, mut changes) = (Vec::new(), Vec::new());
    for editions in editions_of(state, team).await?.values() {
        let days = held(editions);
        for (place, TeamEdition { assigned, edition, said }) in editions.iter().enumerate() {
            let (version, edition_id) = (assigned.version, assigned.published.id);
            changes.extend(assigned.what.clone().map(|what| LastChange {
                edition: edition_id,
                version,
                what,
            }));
            let dates = edition.curriculum.session_days();
            let sessions = dates.iter().zip(&edition.plan.sessions).enumerate();
            let holds = |day: Date| holding(&days, day) == Some(place);
            for (session, (day, blocks)) in sessions.filter(|(_, (day, _))| holds(day.date)) {
                entries.push(SessionEntry {
                    edition: edition_id,
                    edition_number: assigned.published.number,
                    curriculum: edition.curriculum.name.clone(),
                    session,
                    week: day.week,
                    date: day.date.to_string(),
                    minutes: edition.curriculum.minutes.get(session).copied().unwrap_or_default(),
                    upset: assigned.own.upsets.get(&session).copied(),
                    blocks: blocks.len(),
                    order: order_of(edition, session),
                    done: count(said, session, blocks, Outcome::Done),
                    short: count(said, session, blocks, Outcome::Short),
                    skipped: count(said, session, blocks, Outcome::Skipped),
                });
            }
        }
    }
    entries.sort_by(|a, b| a.date.cmp(&b.date));
    Ok((entries, changes))
}

/// A line of a running order.
pub struct OrderLine {
    pub minutes: Minutes,
    pub title: String,
    /// Whether it is a test; else it is a drill.
    pub is_test: bool,
}

impl OrderLine {
    /// As letters and calendars say it, in the language of a phrase book.
    pub fn said(&self, phrases: &Phrases) -> String {
        let (minutes, title) = (self.minutes, phrases.said(&self.title).to_owned());
        say(
            phrases.language,
            match self.is_test {
                true => Letter::TestLine { minutes, title },
                false => Letter::BlockLine { minutes, title },
            },
        )
    }
}

/// The running order of a session: its tests, then its blocks.
pub fn order_of(edition: &Edition, session: usize) -> Vec<OrderLine> {
    let line = |block: &Block| {
        let drill = &block.variant.drill;
        let title = edition.drill(drill).map_or(drill.as_str(), |found| found.title.as_str());
        OrderLine { minutes: block.minutes, title: title.to_owned(), is_test: false }
    };
    let test = |sitting: &Sitting| {
        let known = edition.tests.iter().find(|test| test.id == sitting.test);
        let title = known.map_or(sitting.test.as_str(), |test| test.name.as_str()).to_owned();
        OrderLine { minutes: sitting.minutes, title, is_test: true }
    };
    let tests = edition.curriculum.tests.iter().filter(|sitting| sitting.session == session).map(test);
    let blocks = edition.plan.sessions.get(session).into_iter().flatten().map(line);
    tests.chain(blocks).collect()
}
