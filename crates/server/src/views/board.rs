//! The squad board: where each player is with each milestone, and what they do next week.

use std::collections::{BTreeMap, BTreeSet};

use jiff::civil::Date;
use jogo_core::assessment::milestones::{Milestone, MilestoneState, Standing, Verdict};
use jogo_core::assessment::other_foot::BothFeet;
use jogo_core::delivery::edition::Ahead;
use jogo_core::ids::{MilestoneId, SkillId, TestId};
use jogo_core::review::groups::{self, Group, Reason, urgency};
use jogo_core::technique::skill::{Side, Skill, Stage, Strand};
use jogo_store::academy::teams::Team;
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::problem::Answer;
use crate::state::State;
use crate::views::assessment::{Assessment, Bands, stands};
use crate::views::presence::not_met_by;
use crate::views::promise::Promise;
use crate::views::skills::{name_of, strand_of};
use crate::views::squad::TestView;
use crate::views::team_sessions::{Editions, editions_of};

/// A milestone as a column of the board.
#[derive(Serialize, ToSchema)]
pub struct MilestoneView {
    id: MilestoneId,
    says: String,
    short: String,
    skill: SkillId,
    skill_name: String,
    /// Absent if the library no longer has the skill.
    strand: Option<Strand>,
    stage: Stage,
    /// Whether its skill comes in the week that groups are made for.
    next: bool,
    /// Whether this term promises it: it is on the way to a goal of the curriculum that the band runs.
    promised: bool,
}

/// The word of a coach against the evidence.
#[derive(Serialize, ToSchema)]
pub struct WordView {
    verdict: Verdict,
    reason: String,
    by: String,
    on: String,
}

/// Where a player stands with a milestone.
#[derive(Serialize, ToSchema)]
pub struct StandingView {
    milestone: MilestoneId,
    state: MilestoneState,
    /// What the evidence alone says.
    by_evidence: MilestoneState,
    since: Option<String>,
    overridden: Option<WordView>,
}

impl StandingView {
    pub fn of((milestone, standing): &(&Milestone, Standing)) -> StandingView {
        StandingView {
            milestone: milestone.id.clone(),
            state: standing.state,
            by_evidence: standing.by_evidence,
            since: standing.since.map(|day| day.to_string()),
            overridden: standing.overridden.as_ref().map(|word| WordView {
                verdict: word.verdict,
                reason: word.reason.clone(),
                by: word.by.clone(),
                on: word.on.to_string(),
            }),
        }
    }
}

/// Both feet in a test on one date.
#[derive(Serialize, ToSchema)]
pub struct FeetView {
    test: TestId,
    date: String,
    strong: f64,
    other: f64,
    /// The deficit of the other foot, as a share of the strong one's result.
    deficit: f64,
    /// Whether it is larger than the noise of the test.
    called: bool,
}

impl FeetView {
    pub fn of(test: &TestId, both: &BothFeet) -> FeetView {
        let BothFeet { date, strong, other, deficit, called } = *both;
        FeetView { test: test.to_owned(), date: date.to_string(), strong, other, deficit, called }
    }
}

#[derive(Serialize, ToSchema)]
pub struct BoardPlayer {
    id: Uuid,
    name: String,
    strong_foot: Side,
    /// In the order of the board's milestones.
    standings: Vec<StandingView>,
    /// Both feet where the other one is to be looked at first, at the last date.
    foot: Option<FeetView>,
    group: Group,
    reason: Reason,
    /// Their place in the order in which a coach decides, from 0.
    decided: u32,
}

/// The week that groups are made for.
#[derive(Serialize, ToSchema)]
pub struct NextWeek {
    /// Its first session.
    from: String,
    curriculum: String,
    week: u32,
}

/// Players and milestones.
#[derive(Serialize, ToSchema)]
pub struct Board {
    team: String,
    on: String,
    milestones: Vec<MilestoneView>,
    tests: Vec<TestView>,
    players: Vec<BoardPlayer>,
    /// What each verdict of a coach says, so that a phone without network can show it.
    verdicts: Vec<VerdictSays>,
    /// Absent if no session lies ahead: then groups are made by all milestones of the band.
    next_week: Option<NextWeek>,
}

/// What a verdict says.
#[derive(Serialize, ToSchema)]
pub struct VerdictSays {
    verdict: Verdict,
    /// Absent if the evidence speaks.
    state: Option<MilestoneState>,
}

impl Board {
    /// A team's board as it was at the end of a day.
    pub async fn of(state: &State, team: Team, on: Date) -> Answer<Board> {
        let assessment = Assessment::of(state, &team, on).await?;
        let skills = state.store.skills().await?;
        let editions = editions_of(state, team.id).await?;
        let (next_week, trained) = trained_next(&editions, on).unzip();
        let milestones: Vec<&Milestone> =
            assessment.milestones.iter().filter(|m| m.band == team.band).collect();
        let promise = Promise::of(state, &team.band, on).await?;
        let next = groups::of_week(&milestones, &trained.unwrap_or_default());
        Ok(Board {
            players: players(&assessment, &next, &not_met_by(state, &team, &editions, on).await?),
            verdicts: Verdict::ALL.map(|verdict| VerdictSays { verdict, state: verdict.state() }).into(),
            milestones: milestones
                .iter()
                .map(|m| MilestoneView {
                    promised: promise.has(m),
                    ..MilestoneView::of(m, &skills, next.contains(&m.id))
                })
                .collect(),
            tests: assessment.tests.iter().map(TestView::from).collect(),
            team: team.name,
            on: on.to_string(),
            next_week,
        })
    }
}

impl MilestoneView {
    fn of(milestone: &Milestone, skills: &[Skill], next: bool) -> MilestoneView {
        MilestoneView {
            id: milestone.id.clone(),
            says: milestone.says.clone(),
            short: milestone.short.clone(),
            skill: milestone.skill.clone(),
            skill_name: name_of(skills, &milestone.skill),
            strand: strand_of(skills, &milestone.skill),
            stage: milestone.stage,
            next,
            promised: false,
        }
    }
}

/// The players in the order of the squad, each with the place in which a coach decides on them.
fn players(
    assessment: &Assessment,
    next: &BTreeSet<MilestoneId>,
    not_met: &BTreeMap<Uuid, BTreeSet<SkillId>>,
) -> Vec<BoardPlayer> {
    let nothing = BTreeSet::new();
    let mut urgencies = Vec::new();
    let mut players: Vec<BoardPlayer> = Vec::new();
    for player in &assessment.players {
        let standings = assessment.standings(player, Bands::Own);
        let of_week: Vec<_> =
            stands(&standings).into_iter().filter(|(milestone, _)| next.contains(&milestone.id)).collect();
        let away_for = not_met.get(&player.id).unwrap_or(&nothing);
        let (group, reason) = groups::next_week(&of_week, &assessment.behind(player), away_for);
        urgencies.push((urgency(group, &of_week), players.len()));
        players.push(BoardPlayer {
            id: player.id,
            name: player.about.name.clone(),
            strong_foot: player.about.strong_foot,
            standings: standings.iter().map(StandingView::of).collect(),
            foot: assessment.foremost_foot(player).map(|(test, both)| FeetView::of(&test.id, &both)),
            group,
            reason,
            decided: 0,
        });
    }
    urgencies.sort();
    urgencies.iter().zip(0..).for_each(|((_, at), place)| players[*at].decided = place);
    players
}

/// The week that lies ahead in whichever of a team's editions begins soonest, and the skills that come in it.
fn trained_next(editions: &Editions, on: Date) -> Option<(NextWeek, BTreeMap<SkillId, Stage>)> {
    let latest = editions.values().filter_map(|editions| editions.last());
    let ahead = latest.filter_map(|held| Some((held.edition.week_after(on)?, &held.edition.curriculum.name)));
    let soonest = ahead.min_by_key(|(ahead, _)| ahead.from);
    soonest.map(|(Ahead { from, week, skills }, curriculum)| {
        (NextWeek { from: from.to_string(), curriculum: curriculum.clone(), week }, skills)
    })
}
