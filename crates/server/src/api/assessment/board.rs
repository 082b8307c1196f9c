//! The squad board: players and milestones, groups for next week, and what coaches say against the evidence.

use actix_web::HttpResponse;
use actix_web::web::{Data, Path, Query};
use actix_web::{get, post};
use jiff::Timestamp;
use jiff::civil::Date;
use jogo_core::assessment::milestones::{Milestone, Override, Verdict};
use jogo_core::ids::MilestoneId;
use jogo_core::input::short_text;
use jogo_store::assessment::milestones::NewWord;
use serde::Deserialize;
use utoipa::{IntoParams, ToSchema};
use utoipa_actix_web::service_config::ServiceConfig;
use uuid::Uuid;

use crate::api::{SaidBy, Sender, day_of_season, read_each, said_at, when_said};
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::board::Board;

pub fn routes(config: &mut ServiceConfig) {
    config.service(show).service(say);
}

#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(in crate::api) struct OnDay {
    /// As it stood at the end of this day; today if it is not said.
    pub(in crate::api) on: Option<String>,
}

impl OnDay {
    pub(in crate::api) async fn day(&self, state: &State) -> Answer<Date> {
        match &self.on {
            Some(day) => day.parse().map_err(|_| Problem::fault("/on", "write the day as 2031-02-10")),
            None => state.today().await,
        }
    }
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
    let on = asked.day(&state).await?;
    Ok(Json(Board::of(&state, team, on).await?))
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
