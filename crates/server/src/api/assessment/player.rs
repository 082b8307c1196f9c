//! One player: their passport, everything that is kept of them, and erasing it.

use actix_web::HttpResponse;
use actix_web::http::header;
use actix_web::web::{Data, Path};
use actix_web::{delete, get};
use jiff::civil::Date;
use jogo_core::assessment::levels::{Level, NearTheLine};
use jogo_core::assessment::milestones::ready::Readiness;
use jogo_core::assessment::milestones::{Milestone, Standing};
use jogo_core::assessment::passport::{Change, StrandLine, changes, lines, next_skills, note};
use jogo_core::ids::{BandId, SkillId, TestId};
use jogo_core::technique::skill::{Side, Skill, Stage, Strand};
use jogo_store::academy::teams::{Player, Team};
use serde::Serialize;
use utoipa::ToSchema;
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::api::assessment::board::{FeetView, StandingView};
use crate::api::assessment::squad::{ResultView, TestView};
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::assessment::{Assessment, Bands, stands};

pub fn routes(config: &mut ServiceConfig) {
    config.service(passport).service(erase).service(export);
}

/// A milestone with where the player stands.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct PassportMilestone {
    says: String,
    skill: SkillId,
    skill_name: String,
    /// Nothing if the library has the skill no more.
    strand: Option<Strand>,
    stage: Stage,
    standing: StandingView,
}

/// A result, and how it stands beside the one before.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct PassportResult {
    result: ResultView,
    /// Whether it is near a line.
    near: Option<NearTheLine>,
    /// Its level under the standard of today; nothing if none holds.
    today: Option<Level>,
    /// By how much it differs from the result before.
    change: Option<f64>,
    /// Whether that is more than the noise of the test; nothing while too little is known of it.
    real: Option<bool>,
}

/// A skill that a player could begin next, and what is missing for it.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct NextSkill {
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
pub(in crate::api) struct Passport {
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
#[utoipa::path(operation_id = "players_passport", params(("team" = Uuid, Path), ("player" = Uuid, Path)),
    responses((status = 200, body = Passport)))]
#[get("/teams/{team}/players/{player}")]
pub(in crate::api) async fn passport(
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
                skill_name: skill.map_or_else(|| stands.0.skill.to_string(), |s| s.name.clone()),
                strand: skill.map(|s| s.strand),
                stage: stands.0.stage,
                standing: StandingView::of(stands),
            }
        })
        .collect();
    let strand_of = |id: &SkillId| skills.iter().find(|skill| skill.id == *id).map(|skill| skill.strand);
    let mut dates: Vec<Date> = assessment.results_of(player.id).iter().map(|r| r.date).collect();
    dates.push(today);
    dates.sort();
    dates.dedup();
    let then = |date| -> Vec<_> {
        let standings = assessment.standings_on(&player, Bands::Own, date).into_iter();
        let of_strand = |(milestone, standing): (&Milestone, Standing)| {
            Some((strand_of(&milestone.skill)?, standing.state))
        };
        standings.filter_map(of_strand).collect()
    };
    let dates: Vec<_> = dates.into_iter().map(|date| (date, then(date))).collect();
    let feet = assessment.feet(&player);
    let first_name = player.about.name.split(' ').next().unwrap_or_default();
    Ok(Json(Passport {
        note: note(first_name, &stands(&standings)),
        next: next_of(&assessment, &player, &team.band, &skills),
        results: with_changes(&assessment, player.id),
        feet: feet
            .iter()
            .flat_map(|(test, dates)| dates.iter().map(|both| FeetView::of(&test.id, both)))
            .collect(),
        id: player.id,
        name: player.about.name.clone(),
        birth_month: player.about.birth_month.to_string(),
        strong_foot: player.about.strong_foot,
        band: state.store.band(&team.band).await?.map_or_else(|| team.band.to_string(), |band| band.name),
        team: team.name,
        club: team.club,
        on: today.to_string(),
        lines: lines(&dates).into(),
        milestones,
        tests: assessment.tests.iter().map(TestView::from).collect(),
    }))
}

fn with_changes(assessment: &Assessment, player: Uuid) -> Vec<PassportResult> {
    let known = |test: &TestId| assessment.known(test).copied();
    let changes = changes(assessment.results_of(player), known).into_iter();
    let view = |Change { result, by, real }| PassportResult {
        result: ResultView::from(result),
        near: assessment.near(result),
        today: assessment.level_now(result),
        change: by,
        real,
    };
    changes.map(view).collect()
}

/// The skills of a band that a player has not come to any stage of, and what is missing for each.
fn next_of(assessment: &Assessment, player: &Player, band: &BandId, skills: &[Skill]) -> Vec<NextSkill> {
    let standings = assessment.standings(player, Bands::UpToOwn);
    let name =
        |id: &str| skills.iter().find(|s| s.id == id).map_or_else(|| id.to_owned(), |s| s.name.clone());
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
        missing: readiness.missing.iter().map(|missing| missing.says(skill, name, sentence)).collect(),
        unspoken: readiness.unspoken.iter().map(|id| name(id)).collect(),
    };
    next.map(view).collect()
}

/// Everything that is kept of a player, as a file.
#[utoipa::path(operation_id = "players_export", params(("team" = Uuid, Path), ("player" = Uuid, Path)),
    responses(
        (status = 200, description = "Everything that is kept of them, as JSON", content_type = "application/json"),
    ),
)]
#[get("/teams/{team}/players/{player}/export")]
pub(in crate::api) async fn export(
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
#[utoipa::path(operation_id = "players_erase", params(("team" = Uuid, Path), ("player" = Uuid, Path)),
    responses((status = 204)))]
#[delete("/teams/{team}/players/{player}")]
pub(in crate::api) async fn erase(
    who: SignedIn,
    state: Data<State>,
    path: Path<(Uuid, Uuid)>,
) -> Answer<HttpResponse> {
    let (team, player) = path.into_inner();
    let team = who.team(&state, team, Act::Coach).await?;
    let player = of_team(&state, &team, player).await?;
    state.store.erase_player(&team, player.id, who.0.id, state.clock.now()).await?;
    Ok(HttpResponse::NoContent().finish())
}
