//! The progress sheet of a player: what they can do, how it came, and what they could begin next.

use std::collections::BTreeMap;

use jiff::civil::Date;
use jogo_core::assessment::benchmarks::{Protocol, Test};
use jogo_core::assessment::levels::{Level, NearTheLine};
use jogo_core::assessment::milestones::ready::Readiness;
use jogo_core::assessment::milestones::{Milestone, MilestoneState, Standing};
use jogo_core::assessment::progress::{Change, StrandLine, changes, lines, next_skills, note};
use jogo_core::assessment::tempo::CountedRound;
use jogo_core::fact::Fact;
use jogo_core::ids::{BandId, SkillId, TestId};
use jogo_core::technique::skill::{Side, Skill, Stage, Strand};
use jogo_core::units::Seconds;
use jogo_store::academy::teams::{Player, Team};
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::problem::Answer;
use crate::state::State;
use crate::views::assessment::{Assessment, Bands, stands};
use crate::views::board::{FeetView, StandingView};
use crate::views::presence::not_met_by;
use crate::views::promise::Promise;
use crate::views::skills::{name_of, strand_of};
use crate::views::squad::{ResultView, TestView};
use crate::views::team_sessions::editions_of;

/// A milestone with where the player stands.
#[derive(Serialize, ToSchema)]
pub struct ProgressMilestone {
    says: String,
    skill: SkillId,
    skill_name: String,
    /// Absent if the library no longer has the skill.
    strand: Option<Strand>,
    stage: Stage,
    standing: StandingView,
    /// Whether this term promises it.
    promised: bool,
}

/// A result, and how it stands beside the one before.
#[derive(Serialize, ToSchema)]
pub struct ProgressResult {
    result: ResultView,
    /// Whether it is near a line.
    near: Option<NearTheLine>,
    /// Its level under the standard of today; absent if none holds.
    today: Option<Level>,
    /// By how much it differs from the result before.
    change: Option<f64>,
    /// Whether that is more than the noise of the test; absent while too little is known of it.
    real: Option<bool>,
    /// From touch to touch, where the test counts a score.
    touch_s: Option<Seconds>,
}

/// A skill that a player could begin next, and what is missing for it.
#[derive(Serialize, ToSchema)]
pub struct NextSkill {
    skill: SkillId,
    name: String,
    strand: Strand,
    /// What is missing, in words; absent if they are ready.
    missing: Vec<Fact>,
    /// Needs that no milestone speaks of, by name: the coach's eye decides.
    unspoken: Vec<String>,
}

/// What a player can do.
#[derive(Serialize, ToSchema)]
pub struct ProgressSheet {
    id: Uuid,
    name: String,
    birth_month: String,
    strong_foot: Side,
    team: String,
    club: String,
    band: String,
    on: String,
    lines: Vec<StrandLine>,
    milestones: Vec<ProgressMilestone>,
    tests: Vec<TestView>,
    /// Skills of the band that nothing shows yet, those that they are ready for first.
    next: Vec<NextSkill>,
    /// Of tests that measure, by test, side and date.
    results: Vec<ProgressResult>,
    /// By test and date.
    feet: Vec<FeetView>,
    /// Skills that the team has met in its curricula while they were away, by name.
    away_for: Vec<String>,
    /// What can be handed to guardians.
    note: Vec<Fact>,
}

impl ProgressSheet {
    /// The progress sheet of a player, as of today.
    pub async fn of(state: &State, team: Team, player: &Player) -> Answer<ProgressSheet> {
        let today = state.today().await?;
        let assessment = Assessment::of(state, &team, today).await?;
        let skills = state.store.skills().await?;
        let standings = assessment.standings(player, Bands::Own);
        let feet = assessment.feet(player);
        let promise = Promise::of(state, &team.band, today).await?;
        // What is seen of points shows in the milestones; it is no series of measurements.
        let seen = |test: &&Test| matches!(test.protocol, Protocol::Points { .. });
        let measured: Vec<&Test> = assessment.tests.iter().filter(|test| !seen(test)).collect();
        let is_measured = |id: &TestId| measured.iter().any(|test| test.id == *id);
        let band = state.store.band(&team.band).await?;
        let round = |test: &&Test| Some((test.id.clone(), test.counted_round(band.as_ref()?, &skills)?));
        let rounds: BTreeMap<TestId, CountedRound> = measured.iter().filter_map(round).collect();
        let not_met = not_met_by(state, &team, &editions_of(state, team.id).await?, today)
            .await?
            .remove(&player.id)
            .unwrap_or_default();
        let first_name = player.about.name.split(' ').next().unwrap_or_default();
        Ok(ProgressSheet {
            away_for: not_met.iter().map(|skill| name_of(&skills, skill)).collect(),
            note: note(first_name, &stands(&standings)).into_iter().map(Fact::from).collect(),
            next: next_of(&assessment, player, &team.band, &skills),
            results: with_changes(&assessment, player.id, &rounds)
                .into_iter()
                .filter(|result| is_measured(&result.result.test))
                .collect(),
            feet: feet
                .iter()
                .flat_map(|(test, dates)| dates.iter().map(|both| FeetView::of(&test.id, both)))
                .collect(),
            id: player.id,
            name: player.about.name.clone(),
            birth_month: player.about.birth_month.to_string(),
            strong_foot: player.about.strong_foot,
            band: band.as_ref().map_or_else(|| team.band.to_string(), |band| band.name.clone()),
            team: team.name,
            club: team.club,
            on: today.to_string(),
            lines: lines(&states(&assessment, player, &skills)).into(),
            milestones: standings
                .iter()
                .map(|stands| ProgressMilestone::of(stands, &skills, promise.has(stands.0)))
                .collect(),
            tests: measured.iter().map(|test| TestView::from(*test)).collect(),
        })
    }
}

impl ProgressMilestone {
    fn of(stands: &(&Milestone, Standing), skills: &[Skill], promised: bool) -> ProgressMilestone {
        let milestone = stands.0;
        ProgressMilestone {
            says: milestone.says.clone(),
            skill: milestone.skill.clone(),
            skill_name: name_of(skills, &milestone.skill),
            strand: strand_of(skills, &milestone.skill),
            stage: milestone.stage,
            standing: StandingView::of(stands),
            promised,
        }
    }
}

/// Where a player was with the milestones of each strand, on every day with a result and today.
fn states(
    assessment: &Assessment,
    player: &Player,
    skills: &[Skill],
) -> Vec<(Date, Vec<(Strand, MilestoneState)>)> {
    let mut dates: Vec<Date> = assessment.results_of(player.id).iter().map(|r| r.date).collect();
    dates.push(assessment.on);
    dates.sort();
    dates.dedup();
    let of_strand = |(milestone, standing): (&Milestone, Standing)| {
        Some((strand_of(skills, &milestone.skill)?, standing.state))
    };
    let then = |date| assessment.standings_on(player, Bands::Own, date).into_iter().filter_map(of_strand);
    dates.into_iter().map(|date| (date, then(date).collect())).collect()
}

fn with_changes(
    assessment: &Assessment,
    player: Uuid,
    rounds: &BTreeMap<TestId, CountedRound>,
) -> Vec<ProgressResult> {
    let known = |test: &TestId| assessment.known(test).copied();
    let changes = changes(assessment.results_of(player), known).into_iter();
    let view = |Change { result, by, real }| ProgressResult {
        result: ResultView::from(result),
        near: assessment.near(result),
        today: assessment.level_now(result),
        change: by,
        real,
        touch_s: rounds.get(&result.test).and_then(|round| round.touch(result.value)),
    };
    changes.map(view).collect()
}

/// The skills of a band that a player has not come to any stage of, and what is missing for each.
fn next_of(assessment: &Assessment, player: &Player, band: &BandId, skills: &[Skill]) -> Vec<NextSkill> {
    let standings = assessment.standings(player, Bands::UpToOwn);
    let name = |id: &str| name_of(skills, id);
    let passed = |skill: &Skill| skill.gate.as_ref().map(|gate| assessment.gate(player, gate));
    let sentence = |id: &str| {
        let milestone = assessment.milestones.iter().find(|milestone| milestone.id == id);
        milestone.map(|milestone| milestone.says.clone())
    };
    let of_band = skills.iter().filter(|skill| skill.band == *band);
    let next = next_skills(of_band, &stands(&standings), passed).into_iter();
    let view = |(skill, readiness): (&Skill, Readiness)| NextSkill {
        skill: skill.id.clone(),
        name: skill.name.clone(),
        strand: skill.strand,
        missing: {
            let said = readiness.missing.iter().map(|missing| missing.said(skill, name, sentence));
            said.map(Fact::from).collect()
        },
        unspoken: readiness.unspoken.iter().map(|id| name(id)).collect(),
    };
    next.map(view).collect()
}
