//! Publishing: the draft becomes the next edition, and every team of its band takes it.

use std::collections::HashMap;

use actix_web::web::{Data, Path};
use actix_web::{HttpRequest, HttpResponse, Responder, post};
use jiff::civil::Date;
use jogo_core::delivery::Said;
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::team_plan::{TeamPlan, takes_over};
use jogo_core::input::{What, short_text};
use jogo_core::plan::check;
use jogo_core::season::days_off::DaysOff;
use jogo_store::academy::teams::Team;
use jogo_store::audit::Deed;
use jogo_store::delivery::team_plans::{Assigned, Joining};
use jogo_store::plan::NewEdition;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use uuid::Uuid;

use super::drafts::{draft, edition, problem_of, read_as};
use super::view::{Came, CurriculumView, view};
use crate::api::version;
use crate::facts::Entered;
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::team_sessions::{TeamEdition, by_editions_of};
use crate::views::times::ClubTimes;
use crate::worked_out::{Progress, Stamp, UnderWay, WorkedOut};

/// The teams that take a new edition in their own way: those that run an earlier one, and those that have days or a
/// floor of their own.
async fn joining(
    state: &State,
    curriculum: Uuid,
    new: &Edition,
    progress: &Progress,
) -> Answer<Vec<Joining>> {
    let (today, mut by_editions) = (state.today().await?, by_editions_of(state, curriculum).await?);
    let (mut joining, mut clubs) = (Vec::new(), HashMap::new());
    let teams: Vec<Team> =
        state.store.teams().await?.into_iter().filter(|team| team.band == new.band.id).collect();
    progress.of(teams.len());
    for team in teams {
        let latest = by_editions.remove(&team.id).and_then(|mut editions| editions.pop());
        progress.step();
        if !clubs.contains_key(&team.club) {
            clubs.insert(team.club.clone(), ClubTimes::of(state, &team.club).await?);
        }
        let times = &clubs[&team.club];
        let off = times.days_off(team.id);
        let running = latest.map(|latest| merged(latest, new, &off, today)).transpose()?;
        if let Some((from, own)) = running.flatten() {
            joining.push(Joining { team: team.id, from: Some(from), own });
            continue;
        }
        let own = times.own_from_the_start(team.id, new, today)?;
        joining.push(Joining { team: team.id, from: None, own });
    }
    Ok(joining)
}

/// What a running team makes of a new edition, and from which day on; `None` if it has not begun.
fn merged(
    latest: TeamEdition,
    new: &Edition,
    off: &[DaysOff],
    today: Date,
) -> Answer<Option<(Date, TeamPlan)>> {
    let TeamEdition { assigned: Assigned { edition, own, .. }, said, .. } = latest;
    let days = own.on_its_days(&edition).map_err(Problem::input)?;
    let Some(from) = takes_over(&own, &days, &said, today) else { return Ok(None) };
    let merged = own.merged(&edition, new, &said, from);
    let merged = merged.and_then(|own| own.with_days_off(new, &Said::default(), off, from));
    Ok(Some((from, merged.map_err(Problem::input)?)))
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct EditionWish {
    /// Made by the sender, so that sending twice publishes once.
    id: Uuid,
    /// A note on the edition; may be empty.
    note: String,
}

impl EditionWish {
    fn note(&self) -> Answer<String> {
        match self.note.trim() {
            "" => Ok(String::new()),
            note => {
                short_text(note, LONGEST_NOTE, What::Note).map_err(|fault| Problem::fault("/note", fault))
            }
        }
    }
}

/// The longest note of an edition, in characters.
pub(crate) const LONGEST_NOTE: usize = 200;

fn breaks_nothing(edition: &Edition) -> Answer<()> {
    match check(&problem_of(edition)?, &edition.plan).first() {
        None => Ok(()),
        Some(breach) => {
            let (session, broken) = (breach.session + 1, breach.says.clone().into());
            Err(Problem::fault("", Entered::BreaksRule { session, broken }))
        }
    }
}

/// Publishes the draft as the next edition, to every team of its band.
#[utoipa::path(operation_id = "curricula_publish",
    params(("id" = Uuid, Path), ("If-Match" = String, Header)), request_body = EditionWish,
    responses((status = 200, body = CurriculumView), (status = 202, body = UnderWay)),
)]
#[post("/curricula/{id}/editions")]
pub(crate) async fn publish(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    request: HttpRequest,
    new: Json<EditionWish>,
) -> Answer<HttpResponse> {
    who.may(Act::Plan)?;
    let (note, version) = (new.note()?, version(&request)?);
    let (aside, by, (of, new)) = (state.clone(), who.0.id, (*id, new.id));
    let publishing = Publishing { curriculum: of, version, id: new, note, by };
    let work = move |progress| async move { publishing.done(&aside, &progress).await };
    // Whoever sends the same edition again hears how far it has come.
    match state.aside.results().of((of, new), Stamp::ONCE, work).await? {
        WorkedOut::Done(_) => view(&state, draft(&state, of).await?, Came::default()).await,
        under_way => Ok(under_way.respond_to(&request)),
    }
}

/// A draft that is being published.
struct Publishing {
    curriculum: Uuid,
    /// The version that was read.
    version: i64,
    /// The id of the edition.
    id: Uuid,
    note: String,
    by: Uuid,
}

/// An edition is out.
#[derive(Serialize)]
struct Published;

impl Publishing {
    /// Hands the draft to the teams of its band, to each from where it stands.
    async fn done(self, state: &State, progress: &Progress) -> Answer<Published> {
        let Publishing { curriculum, version, id, note, by } = self;
        let read = read_as(state, curriculum, version).await?;
        let edition = edition(state, read.curriculum, read.plan).await?;
        breaks_nothing(&edition)?;
        let (now, edition) = (state.clock.now(), edition.trimmed());
        let joining = joining(state, curriculum, &edition, progress).await?;
        let new = NewEdition { id, curriculum, edition: &edition, note: &note };
        let number = state.store.publish(new, &joining, by, now).await?;
        let about = format!("{} edition {number}", edition.curriculum.name);
        state.store.note(now, Some(by), Deed::Published, &about).await?;
        Ok(Published)
    }
}
