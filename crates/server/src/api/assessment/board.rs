//! The squad board: players and milestones, groups for next week, and what coaches say against the evidence.

use std::collections::BTreeSet;

use actix_web::HttpResponse;
use actix_web::web::{Data, Path, Query};
use actix_web::{get, post};
use jiff::Timestamp;
use jiff::civil::Date;
use jogo_core::assessment::milestones::{Milestone, MilestoneState, Override, Standing, Verdict};
use jogo_core::assessment::other_foot::BothFeet;
use jogo_core::delivery::edition::Ahead;
use jogo_core::ids::{MilestoneId, SkillId, TestId};
use jogo_core::input::short_text;
use jogo_core::review::groups::{self, Group, Reason, urgency};
use jogo_core::technique::skill::{Side, Stage, Strand};
use jogo_store::assessment::milestones::NewWord;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::api::assessment::squad::TestView;
use crate::api::{SaidBy, Sender, day_of_season, read_each, said_at, when_said};
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::assessment::{Assessment, Bands, stands};
use crate::views::team_sessions::editions_of;

pub fn routes(config: &mut ServiceConfig) {
    config.service(show).service(say);
}

/// A milestone as a column of the board.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct MilestoneView {
    id: MilestoneId,
    says: String,
    short: String,
    skill: SkillId,
    skill_name: String,
    /// Nothing if the library has the skill no more.
    strand: Option<Strand>,
    stage: Stage,
    /// Whether its skill comes in the week that groups are made for.
    next: bool,
}

/// The word of a coach against the evidence.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct WordView {
    verdict: Verdict,
    reason: String,
    by: String,
    on: String,
}

/// Where a player stands with a milestone.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct StandingView {
    milestone: MilestoneId,
    state: MilestoneState,
    /// What the evidence alone says.
    by_evidence: MilestoneState,
    since: Option<String>,
    overridden: Option<WordView>,
}

impl StandingView {
    pub(in crate::api) fn of((milestone, standing): &(&Milestone, Standing)) -> StandingView {
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
pub(in crate::api) struct FeetView {
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
    pub(in crate::api) fn of(test: &TestId, both: &BothFeet) -> FeetView {
        let BothFeet { date, strong, other, deficit, called } = *both;
        FeetView { test: test.to_owned(), date: date.to_string(), strong, other, deficit, called }
    }
}

#[derive(Serialize, ToSchema)]
pub(in crate::api) struct BoardPlayer {
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
pub(in crate::api) struct NextWeek {
    /// Its first evening.
    from: String,
    curriculum: String,
    week: u32,
}

/// Players and milestones.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct Board {
    team: String,
    on: String,
    milestones: Vec<MilestoneView>,
    tests: Vec<TestView>,
    players: Vec<BoardPlayer>,
    /// What each verdict of a coach says, so that a phone without network can show it.
    verdicts: Vec<VerdictSays>,
    /// Nothing if no evening lies ahead: then groups are made by all milestones of the band.
    next_week: Option<NextWeek>,
}

/// What a verdict says.
#[derive(Serialize, ToSchema)]
pub(in crate::api) struct VerdictSays {
    verdict: Verdict,
    /// Nothing if the evidence speaks.
    state: Option<MilestoneState>,
}

#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(in crate::api) struct OnDay {
    /// As it stood at the end of this day; today if it is not said.
    pub(in crate::api) on: Option<String>,
}

/// The squad board.
#[utoipa::path(operation_id = "board_show", params(("team" = Uuid, Path), OnDay),
    responses((status = 200, body = Board), (status = 422, body = Problem)))]
#[get("/teams/{team}/board")]
pub(in crate::api) async fn show(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    asked: Query<OnDay>,
) -> Answer<Json<Board>> {
    let team = who.team(&state, *team, Act::SeeTeam).await?;
    let on = match &asked.on {
        Some(day) => day.parse().map_err(|_| Problem::fault("/on", "write the day as 2031-02-10"))?,
        None => state.today().await?,
    };
    let assessment = Assessment::of(&state, &team, on).await?;
    let skills = state.store.skills().await?;
    let (next_week, trained) = trained_next(&state, team.id, on).await?.unzip();
    let trained = trained.unwrap_or_default();
    let milestones: Vec<&Milestone> = assessment.milestones.iter().filter(|m| m.band == team.band).collect();
    let any_trained = milestones.iter().any(|m| trained.contains(&m.skill));
    let is_next = |milestone: &Milestone| !any_trained || trained.contains(&milestone.skill);
    let mut urgencies = Vec::new();
    let mut players: Vec<BoardPlayer> = Vec::new();
    for player in &assessment.players {
        let standings = assessment.standings(player, Bands::Own);
        let of_week: Vec<_> = stands(&standings).into_iter().filter(|(m, _)| is_next(m)).collect();
        let (group, reason) = groups::next_week(&of_week, &assessment.behind(player));
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
    Ok(Json(Board {
        players,
        verdicts: Verdict::ALL.map(|verdict| VerdictSays { verdict, state: verdict.state() }).into(),
        milestones: milestones
            .iter()
            .map(|milestone| {
                let skill = skills.iter().find(|skill| skill.id == milestone.skill);
                MilestoneView {
                    id: milestone.id.clone(),
                    says: milestone.says.clone(),
                    short: milestone.short.clone(),
                    skill: milestone.skill.clone(),
                    skill_name: skill.map_or_else(|| milestone.skill.to_string(), |s| s.name.clone()),
                    strand: skill.map(|s| s.strand),
                    stage: milestone.stage,
                    next: is_next(milestone),
                }
            })
            .collect(),
        tests: assessment.tests.iter().map(TestView::from).collect(),
        team: team.name,
        on: on.to_string(),
        next_week,
    }))
}

/// The week that lies ahead in whichever of a team's editions begins soonest, and the skills that come in it.
async fn trained_next(state: &State, team: Uuid, on: Date) -> Answer<Option<(NextWeek, BTreeSet<SkillId>)>> {
    let editions = editions_of(state, team).await?;
    let latest = editions.values().filter_map(|editions| editions.last());
    let ahead = latest.filter_map(|held| Some((held.edition.week_after(on)?, &held.edition.curriculum.name)));
    let soonest = ahead.min_by_key(|(ahead, _)| ahead.from);
    Ok(soonest.map(|(Ahead { from, week, skills }, curriculum)| {
        (NextWeek { from: from.to_string(), curriculum: curriculum.clone(), week }, skills)
    }))
}

/// What a coach says against the evidence.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct WordSaid {
    /// Made on the device.
    id: Uuid,
    player: Uuid,
    milestone: MilestoneId,
    verdict: Verdict,
    /// Why: it is kept, and shows.
    reason: String,
    day: String,
    said_at: String,
    /// The device's own count of what was entered on it.
    count: Option<i64>,
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(in crate::api) struct WordsSaid {
    words: Vec<WordSaid>,
    sender: Option<Sender>,
}

/// The most words that are taken in at once.
const MOST_WORDS: usize = 200;
/// The longest reason, in characters.
const LONGEST_REASON: usize = 200;

/// Takes in what a coach says: all of it or nothing, each once.
#[utoipa::path(operation_id = "board_say", params(("team" = Uuid, Path)),
    request_body = WordsSaid,
    responses((status = 204), (status = 409, body = Problem)),
)]
#[post("/teams/{team}/words")]
pub(in crate::api) async fn say(
    who: SignedIn,
    state: Data<State>,
    team: Path<Uuid>,
    said: Json<WordsSaid>,
) -> Answer<HttpResponse> {
    let team = who.team(&state, *team, Act::Coach).await?;
    let WordsSaid { words: said, sender } = said.into_inner();
    let counts: Vec<Option<i64>> = said.iter().map(|word| word.count).collect();
    if said.len() > MOST_WORDS {
        let says = format!("at most {MOST_WORDS} at once: send the rest after these");
        return Err(Problem::fault("/words", says));
    }
    let squad: Vec<Uuid> = state.store.players(team.id).await?.into_iter().map(|p| p.id).collect();
    let milestones = state.store.milestones().await?;
    let today = state.today().await?;
    let mut faults = Vec::new();
    let mut words = read_each("/words", said, &mut faults, |word| new_word(today, &milestones, &squad, word));
    if !faults.is_empty() {
        return Err(Problem::input(faults));
    }
    let said: Vec<SaidBy> =
        counts.into_iter().zip(&words).map(|(count, word)| SaidBy { count, at: word.said_at }).collect();
    let when = when_said(&state, sender, &said).await?;
    words.iter_mut().zip(when).for_each(|(word, at)| word.said_at = at);
    state.store.add_words(team.id, &words, who.0.id, state.clock.now()).await?;
    Ok(HttpResponse::NoContent().finish())
}

fn new_word(
    today: Date,
    milestones: &[Milestone],
    squad: &[Uuid],
    said: WordSaid,
) -> Result<NewWord, (&'static str, String)> {
    if !squad.contains(&said.player) {
        return Err(("player", "this squad has no such player".to_owned()));
    }
    if !milestones.iter().any(|milestone| milestone.id == said.milestone) {
        return Err(("milestone", "there is no such milestone".to_owned()));
    }
    let reason =
        short_text(&said.reason, LONGEST_REASON).map_err(|e| ("reason", format!("the reason {e}")))?;
    let at: Timestamp = said_at(&said.said_at).map_err(|says| ("said_at", says))?;
    let on = day_of_season(&said.day, today).map_err(|says| ("day", says))?;
    let word = Override { on, verdict: said.verdict, reason, by: String::new() };
    Ok(NewWord { id: said.id, player: said.player, milestone: said.milestone, word, said_at: at })
}
