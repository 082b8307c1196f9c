//! The sessions of a team: which edition holds on which day, and how each went.

use crate::facts::{Letter, Thing};
use jogo_core::fact::{Fact, Value};
use std::collections::BTreeMap;
use std::sync::Arc;

use jiff::civil::Date;
use jogo_core::academy::phrases::Phrases;
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::session::ThemeSaid;
use jogo_core::delivery::team_plan::{Held, TeamPlan, Upset, holding};
use jogo_core::delivery::{Outcome, Said};
use jogo_core::ids::BandId;
use jogo_core::plan::curriculum::Sitting;
use jogo_core::plan::knack::{Glance, Knack};
use jogo_core::plan::{Block, BlockId};
use jogo_core::units::Minutes;
use jogo_store::academy::teams::Team;
use jogo_store::delivery::team_plans::Assigned;
use jogo_words::say;
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::problem::{Answer, Problem};
use crate::state::State;
use crate::views::times::{Times, WhenWhere};

/// A session in the list of weeks.
#[derive(Serialize, ToSchema)]
pub struct SessionEntry {
    pub edition: Uuid,
    pub edition_number: i64,
    pub curriculum: String,
    pub session: usize,
    pub week: u32,
    pub date: String,
    /// When and where; absent where no time is known.
    pub when: Option<WhenWhere>,
    pub minutes: Minutes,
    /// What the week is about; absent if nothing is planned in it.
    pub theme: Option<ThemeSaid>,
    /// How it was cancelled or cut short; absent if it takes place as planned.
    pub upset: Option<Upset>,
    /// What it is called why its day is off; absent if it is not.
    pub off: Option<String>,
    pub blocks: usize,
    /// The running order: for letters, the page asks for the whole session.
    #[serde(skip)]
    pub order: Vec<OrderLine>,
    pub done: usize,
    pub short: usize,
    pub skipped: usize,
}

/// What came off by an edition, by what the team's coaches said.
#[derive(Serialize, ToSchema)]
pub struct CameOff {
    edition: Uuid,
    knack: Knack,
}

/// What a team's editions come to.
#[derive(Default)]
pub struct OfTeam {
    /// The sessions in the order of their dates.
    pub entries: Vec<SessionEntry>,
    /// What the team changed last in its editions.
    pub changes: Vec<LastChange>,
    /// What came off, of each edition of which that was said.
    pub came_off: Vec<CameOff>,
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
    /// With what the team has of its own; the published one itself if it has nothing.
    pub edition: Arc<Edition>,
    pub said: Said,
}

impl TeamEdition {
    /// With every block where it was run, even if the log came after the plan had moved on.
    pub async fn of(state: &State, team: Uuid, assigned: Assigned) -> Answer<TeamEdition> {
        let said = state.store.said(team, assigned.published.id).await?;
        TeamEdition::with(state, team, assigned, said).await
    }

    async fn with(state: &State, team: Uuid, mut assigned: Assigned, said: Said) -> Answer<TeamEdition> {
        let misplaced = assigned.own.misplaced(&assigned.edition, &said).map_err(Problem::input)?;
        if !misplaced.is_empty() {
            let earlier = state.store.team_plan_states(team, assigned.published.id).await?;
            let mended = assigned.own.with_run(&assigned.edition, &misplaced, &earlier);
            assigned.own = mended.map_err(Problem::input)?;
        }
        let edition = match assigned.own == TeamPlan::default() {
            true => assigned.edition.clone(),
            false => Arc::new(assigned.own.edition(&assigned.edition).map_err(Problem::input)?),
        };
        Ok(TeamEdition { assigned, edition, said })
    }
}

impl TeamEdition {
    /// The title of a block's drill, also of one that the team's plan no longer has.
    pub fn title_of(&self, block: BlockId) -> String {
        let there = [&*self.edition, &*self.assigned.edition].into_iter().find_map(|edition| {
            let (session, place) = edition.plan.place_of(block)?;
            let drill = &edition.plan.sessions[session][place].variant.drill;
            Some(edition.drill(drill).map_or(drill.as_str(), |found| found.title.as_str()).to_owned())
        });
        there.unwrap_or_default()
    }
}

/// The editions that a team works by, by curriculum; of each curriculum in the order of their numbers.
pub type Editions = BTreeMap<Uuid, Vec<TeamEdition>>;

/// Those of a team.
pub async fn editions_of(state: &State, team: Uuid) -> Answer<Editions> {
    let mut all = Editions::new();
    for assigned in state.store.editions_of_team(team).await? {
        let of_curriculum = all.entry(assigned.published.curriculum).or_default();
        of_curriculum.push(TeamEdition::of(state, team, assigned).await?);
    }
    all.values_mut().for_each(|editions| editions.sort_by_key(|each| each.assigned.published.number));
    Ok(all)
}

/// The editions of a curriculum by which each team works, in the order of their numbers.
pub async fn by_editions_of(state: &State, curriculum: Uuid) -> Answer<BTreeMap<Uuid, Vec<TeamEdition>>> {
    let mut said = state.store.said_of_curriculum(curriculum).await?;
    let mut teams: BTreeMap<Uuid, Vec<TeamEdition>> = BTreeMap::new();
    for (team, assigned) in state.store.teams_by_editions_of(curriculum).await? {
        for assigned in assigned {
            let said = said.remove(&(team, assigned.published.id)).unwrap_or_default();
            let own = TeamEdition::with(state, team, assigned, said).await?;
            teams.entry(team).or_default().push(own);
        }
    }
    Ok(teams)
}

/// What a team's coaches saw come off by some editions.
pub fn glances_of(editions: &[TeamEdition]) -> Answer<Vec<Glance>> {
    let mut glances = Vec::new();
    for TeamEdition { edition, said, .. } in editions.iter().filter(|each| !each.said.is_empty()) {
        glances.extend(edition.glances(&edition.problem().map_err(Problem::input)?, said));
    }
    Ok(glances)
}

/// The knack of all the squads of a band together that work by a curriculum.
pub async fn knack_by(state: &State, curriculum: Uuid, band: &BandId) -> Answer<Knack> {
    let mut glances = Vec::new();
    let mut by_editions = by_editions_of(state, curriculum).await?;
    for team in state.store.teams().await?.into_iter().filter(|team| team.band == *band) {
        glances.extend(glances_of(&by_editions.remove(&team.id).unwrap_or_default())?);
    }
    Ok(Knack::of(&glances))
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
    blocks.iter().filter(|block| said.of(session, block).is_some_and(|went| went.outcome == wanted)).count()
}

/// The sessions of a team in the order of their dates.
pub async fn entries(state: &State, team: &Team) -> Answer<Vec<SessionEntry>> {
    let times = Times::of(state, team).await?;
    Ok(of_editions(&editions_of(state, team.id).await?, &times)?.entries)
}

/// What the editions of a team come to.
pub fn of_editions(editions: &Editions, times: &Times) -> Answer<OfTeam> {
    let mut all = OfTeam::default();
    for editions in editions.values() {
        let days = held(editions);
        for (place, TeamEdition { assigned, edition, said }) in editions.iter().enumerate() {
            let (version, edition_id) = (assigned.version, assigned.published.id);
            all.changes.extend(assigned.what.clone().map(|what| LastChange {
                edition: edition_id,
                version,
                what,
            }));
            let dates = edition.curriculum.session_days();
            let problem = edition.problem().map_err(Problem::input)?;
            let knack = Knack::of(&edition.glances(&problem, said));
            all.came_off.extend((knack.logs > 0).then_some(CameOff { edition: edition_id, knack }));
            let sessions = dates.iter().zip(&edition.plan.sessions).enumerate();
            let holds = |day: Date| holding(&days, day) == Some(place);
            for (session, (day, blocks)) in sessions.filter(|(_, (day, _))| holds(day.date)) {
                all.entries.push(SessionEntry {
                    edition: edition_id,
                    edition_number: assigned.published.number,
                    curriculum: edition.curriculum.name.clone(),
                    session,
                    week: day.week,
                    date: day.date.to_string(),
                    when: times.on(day.date),
                    minutes: edition.curriculum.minutes.get(session).copied().unwrap_or_default(),
                    theme: edition.theme_of(&problem, day.week),
                    upset: assigned.own.upsets.get(&session).copied(),
                    off: times.off(day.date),
                    blocks: blocks.len(),
                    order: order_of(edition, session),
                    done: count(said, session, blocks, Outcome::Done),
                    short: count(said, session, blocks, Outcome::Short),
                    skipped: count(said, session, blocks, Outcome::Skipped),
                });
            }
        }
    }
    all.entries.sort_by(|a, b| a.date.cmp(&b.date));
    Ok(all)
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

/// What a week is about, as letters say it; `None` if it has no name for it.
pub fn theme_said(theme: &ThemeSaid, phrases: &Phrases) -> Option<String> {
    let skills = Value::quoted(theme.skills.iter().map(|name| phrases.said(name)));
    let theme: Value = match (theme.strand, theme.skills.is_empty()) {
        (Some(strand), true) => strand.into(),
        (Some(strand), false) => Letter::ThemeStrand { strand, skills }.into(),
        (None, false) => skills,
        (None, true) => return None,
    };
    Some(say(phrases.language, Letter::ThemeLine { theme }))
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
