//! One player: their passport, everything that is kept of them, and erasing it.

use std::collections::BTreeMap;

use actix_web::HttpResponse;
use actix_web::http::header;
use actix_web::web::{Data, Json, Path, ServiceConfig, delete, get};
use jiff::civil::Date;
use jogo_core::levels::NearTheLine;
use jogo_core::milestones::ready::{Missing, for_skill, stage_reached};
use jogo_core::results::TestResult;
use jogo_core::skill::{Gate, Side, Skill, SkillId, Stage, Strand};
use jogo_core::tests::TestId;
use jogo_store::teams::{Player, Team};
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use super::board::{FeetView, StandingView};
use super::squad::{ResultView, TestView};
use crate::assessment::{Assessment, Bands, stands};
use crate::problem::{Answer, Problem};
use crate::rights::Act;
use crate::sign_in::SignedIn;
use crate::state::State;

pub fn routes(config: &mut ServiceConfig) {
    config
        .route("/teams/{team}/players/{player}", get().to(passport))
        .route("/teams/{team}/players/{player}", delete().to(erase))
        .route("/teams/{team}/players/{player}/export", get().to(export));
}

/// A milestone with where the player stands.
#[derive(Serialize, ToSchema)]
pub(super) struct PassportMilestone {
    says: String,
    skill: SkillId,
    skill_name: String,
    strand: Strand,
    stage: Stage,
    standing: StandingView,
}

/// How many milestones of a strand a player had on a date.
#[derive(Serialize, ToSchema)]
pub(super) struct LinePoint {
    date: String,
    had: u32,
}

/// The line of a strand over time.
#[derive(Serialize, ToSchema)]
pub(super) struct StrandLine {
    strand: Strand,
    /// All milestones of the strand in the band.
    of: u32,
    points: Vec<LinePoint>,
}

/// A result, and how it stands beside the one before.
#[derive(Serialize, ToSchema)]
pub(super) struct PassportResult {
    result: ResultView,
    /// Whether it is near a line.
    near: Option<NearTheLine>,
    /// By how much it differs from the result before.
    change: Option<f64>,
    /// Whether that is more than the noise of the test; nothing while too little is known of it.
    real: Option<bool>,
}

/// A skill that a player could begin next, and what is missing for it.
#[derive(Serialize, ToSchema)]
pub(super) struct NextSkill {
    skill: SkillId,
    name: String,
    strand: Strand,
    /// What is missing, in words; nothing if they are ready.
    missing: Vec<String>,
    /// Needs that no milestone speaks of, by name: the coach's eye decides.
    unspoken: Vec<String>,
}

/// What a player can do.
#[derive(Serialize, ToSchema)]
pub(super) struct Passport {
    id: Uuid,
    name: String,
    birth_month: String,
    strong_foot: Side,
    team: String,
    club: String,
    band: String,
    on: String,
    lines: Vec<StrandLine>,
    milestones: Vec<PassportMilestone>,
    tests: Vec<TestView>,
    /// Skills of the band that nothing shows yet, those that they are ready for first.
    next: Vec<NextSkill>,
    /// By test, side and date.
    results: Vec<PassportResult>,
    /// By test and date.
    feet: Vec<FeetView>,
    /// What can be handed to guardians, in whole sentences.
    note: Vec<String>,
}

async fn of_team(state: &State, team: &Team, player: Uuid) -> Answer<Player> {
    let squad = state.store.players(team.id).await?;
    squad
        .into_iter()
        .find(|known| known.id == player)
        .ok_or_else(|| Problem::not_found("player of this squad"))
}

/// The passport of a player.
#[utoipa::path(get, operation_id = "players_passport", path = "/teams/{team}/players/{player}",
    params(("team" = Uuid, Path), ("player" = Uuid, Path)),
    responses((status = 200, body = Passport), (status = 404, body = Problem)))]
pub(super) async fn passport(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid)>,
) -> Answer<Json<Passport>> {
    let (team, player) = path.into_inner();
    let team = who.team(&state, team, Act::SeeTeam).await?;
    let player = of_team(&state, &team, player).await?;
    let today = state.today().await?;
    let assessment = Assessment::of(&state, &team, today).await?;
    let skills = state.store.skills().await?;
    let standings = assessment.standings(&player, Bands::Own);
    let milestones: Vec<PassportMilestone> = standings
        .iter()
        .map(|stands| {
            let skill = skills.iter().find(|skill| skill.id == stands.0.skill);
            PassportMilestone {
                says: stands.0.says.clone(),
                skill: stands.0.skill.clone(),
                skill_name: skill.map_or_else(|| stands.0.skill.clone(), |s| s.name.clone()),
                strand: skill.map_or(Strand::BallMastery, |s| s.strand),
                stage: stands.0.stage,
                standing: StandingView::of(stands),
            }
        })
        .collect();
    let strand_of = |id: &str| skills.iter().find(|skill| skill.id == id).map(|skill| skill.strand);
    let mut dates: Vec<Date> = assessment.results_of(player.id).iter().map(|r| r.date).collect();
    dates.push(today);
    dates.sort();
    dates.dedup();
    let had_by: Vec<(Date, Vec<Strand>)> = dates
        .into_iter()
        .map(|date| {
            let then = assessment.standings_on(&player, Bands::Own, date);
            let had = then.iter().filter(|(_, standing)| standing.state.is_had());
            (date, had.filter_map(|(milestone, _)| strand_of(&milestone.skill)).collect())
        })
        .collect();
    let lines = Strand::ALL.map(|strand| StrandLine {
        strand,
        of: milestones.iter().filter(|m| m.strand == strand).count() as u32,
        points: had_by
            .iter()
            .map(|(date, had)| LinePoint {
                date: date.to_string(),
                had: had.iter().filter(|of| **of == strand).count() as u32,
            })
            .collect(),
    });
    let feet = assessment.feet(&player);
    let first_name = player.about.name.split(' ').next().unwrap_or_default();
    let has: Vec<&str> =
        standings.iter().filter(|(_, s)| s.state.is_had()).map(|(m, _)| m.says.as_str()).collect();
    let next = standings.iter().filter(|(_, s)| !s.state.is_had() && s.state != Default::default());
    let next: Vec<&str> = next.map(|(m, _)| m.says.as_str()).take(3).collect();
    Ok(Json(Passport {
        note: note(first_name, &has, &next),
        next: next_skills(&assessment, &player, &team.band, &skills),
        results: with_changes(&assessment, player.id),
        feet: feet
            .iter()
            .flat_map(|(test, dates)| dates.iter().map(|both| FeetView::of(&test.id, both)))
            .collect(),
        id: player.id,
        name: player.about.name.clone(),
        birth_month: player.about.birth_month.to_string(),
        strong_foot: player.about.strong_foot,
        band: state.store.band(&team.band).await?.map_or(team.band, |band| band.name),
        team: team.name,
        club: team.club,
        on: today.to_string(),
        lines: lines.into(),
        milestones,
        tests: assessment.tests.iter().map(TestView::from).collect(),
    }))
}

/// Each result beside the one before of the same test and side.
fn with_changes(assessment: &Assessment, player: Uuid) -> Vec<PassportResult> {
    let mut before: BTreeMap<(&TestId, Option<Side>), &TestResult<Uuid>> = BTreeMap::new();
    let mut all = Vec::new();
    for result in assessment.results_of(player) {
        let last = before.insert((&result.test, result.side), result);
        let change = last.map(|last| result.value - last.value);
        let known = assessment.known.get(&result.test);
        all.push(PassportResult {
            result: ResultView::from(result),
            near: assessment.near(result),
            change,
            real: change.and_then(|change| Some(known?.is_real(change))),
        });
    }
    all
}

/// The skills of a band that a player has not come to any stage of, and what is missing for each.
fn next_skills(assessment: &Assessment, player: &Player, band: &str, skills: &[Skill]) -> Vec<NextSkill> {
    let standings = assessment.standings(player, Bands::UpToOwn);
    let stands = stands(&standings);
    let name =
        |id: &str| skills.iter().find(|s| s.id == id).map_or_else(|| id.to_owned(), |s| s.name.clone());
    let open = skills.iter().filter(|s| s.band == band && stage_reached(&stands, &s.id).is_none());
    let next = open.map(|skill| {
        let gate = skill.gate.as_ref().and_then(|gate| assessment.gate(player, gate));
        let readiness = for_skill(skill, &stands, gate);
        let says = |missing: &Missing| match missing {
            Missing::Need { skill, stage } => format!("{} at {stage}", name(skill)),
            Missing::Milestone { milestone } => milestone.clone(),
            Missing::Gate => match &skill.gate {
                Some(Gate::Milestone { milestone, times, of_last }) => {
                    format!("“{milestone}”, {times} of the last {of_last}")
                }
                Some(Gate::Test { test, value, times, of_last }) => {
                    format!("{test} {value}, {times} of the last {of_last}")
                }
                None => String::new(),
            },
        };
        NextSkill {
            skill: skill.id.clone(),
            name: skill.name.clone(),
            strand: skill.strand,
            missing: readiness.missing.iter().map(says).collect(),
            unspoken: readiness.unspoken.iter().map(|id| name(id)).collect(),
        }
    });
    let mut next: Vec<NextSkill> = next.collect();
    next.sort_by_key(|skill| skill.missing.len());
    next
}

/// A few sentences for guardians: what the child can do, what comes next, nothing about others.
fn note(name: &str, has: &[&str], next: &[&str]) -> Vec<String> {
    let mut says = Vec::new();
    if !has.is_empty() {
        says.push(format!("{name} says, and we have seen it:"));
        says.extend(has.iter().map(|sentence| format!("“{sentence}.”")));
    }
    if !next.is_empty() {
        says.push(format!("What {name} is working on now:"));
        says.extend(next.iter().map(|sentence| format!("“{sentence}.”")));
    }
    if says.is_empty() {
        says.push(format!("{name} has begun. What {name} can do stands here after the first test evening."));
    }
    says
}

/// Everything that is kept of a player, as a file.
#[utoipa::path(get, operation_id = "players_export", path = "/teams/{team}/players/{player}/export",
    params(("team" = Uuid, Path), ("player" = Uuid, Path)),
    responses((status = 200, description = "Everything that is kept of them, as JSON", content_type = "application/json"), (status = 404, body = Problem)))]
pub(super) async fn export(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid)>,
) -> Answer<HttpResponse> {
    let (team, player) = path.into_inner();
    let team = who.team(&state, team, Act::SeeTeam).await?;
    let player = of_team(&state, &team, player).await?;
    let facts = state.store.player_facts(&team, &player).await?;
    let file = (header::CONTENT_DISPOSITION, "attachment; filename=\"player.json\"");
    Ok(HttpResponse::Ok().insert_header(file).json(facts))
}

/// Erases a player with everything that is kept of them. What remains (planned and run evenings, lines of note) names
/// nobody.
#[utoipa::path(delete, operation_id = "players_erase", path = "/teams/{team}/players/{player}",
    params(("team" = Uuid, Path), ("player" = Uuid, Path)),
    responses((status = 204), (status = 404, body = Problem)))]
pub(super) async fn erase(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid)>,
) -> Answer<HttpResponse> {
    let (team, player) = path.into_inner();
    let team = who.team(&state, team, Act::Coach).await?;
    let player = of_team(&state, &team, player).await?;
    state.store.erase_player(player.id).await?;
    let about = format!("a player of {}", team.name);
    state.store.note(state.clock.now(), Some(who.0.id), "player erased", &about).await?;
    Ok(HttpResponse::NoContent().finish())
}
