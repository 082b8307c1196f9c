//! Making a curriculum: what it may begin from, and the first plan.

use actix_web::HttpResponse;
use actix_web::web::{Data, Json};
use jogo_core::curriculum::{Curriculum, Season};
use jogo_core::fit::Ground;
use jogo_core::plan::solve::STEPS;
use jogo_core::plan::{Approach, Plan, solve};
use jogo_core::units::Minutes;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use uuid::Uuid;

use super::view::{Came, CurriculumView, view};
use super::{aside, draft, edition, problem_of};
use crate::problem::{Answer, Problem};
use crate::rights::Act;
use crate::sign_in::SignedIn;
use crate::state::State;

/// What a new curriculum may begin from.
#[derive(Serialize, ToSchema)]
pub(crate) struct Beginning {
    #[serde(flatten)]
    from: From,
    /// Its wishes.
    wishes: Curriculum,
}

/// What there is to begin with.
#[derive(Serialize, ToSchema)]
pub(crate) struct Beginnings {
    /// The approaches that come with Jogo.
    approaches: Vec<NamedApproach>,
    /// The templates, then the curricula of earlier seasons.
    from: Vec<Beginning>,
}

/// An approach by its name.
#[derive(Serialize, ToSchema)]
pub(crate) struct NamedApproach {
    /// As `balanced`.
    name: String,
    /// Its numbers, all of them assumptions.
    approach: Approach,
}

/// Where wishes come from.
#[derive(Clone, Serialize, Deserialize, ToSchema)]
#[serde(tag = "kind", rename_all = "snake_case", deny_unknown_fields)]
pub(crate) enum From {
    /// A template.
    Template {
        /// Its name in files.
        template: String,
    },
    /// A curriculum of an earlier season.
    Curriculum {
        /// Which one.
        curriculum: Uuid,
    },
}

/// The templates, and the curricula of earlier seasons.
#[utoipa::path(get, operation_id = "curricula_beginnings", path = "/curricula/beginnings", responses((status = 200, body = Beginnings)))]
pub(crate) async fn beginnings(who: SignedIn, state: Data<State>) -> Answer<Json<Beginnings>> {
    who.may(Act::Plan)?;
    let template = |(template, wishes)| Beginning { from: From::Template { template }, wishes };
    let earlier =
        state.store.curricula().await?.into_iter().map(|draft| Beginning {
            from: From::Curriculum { curriculum: draft.id },
            wishes: draft.curriculum,
        });
    let named = |(name, approach): (&str, Approach)| NamedApproach { name: name.to_owned(), approach };
    Ok(Json(Beginnings {
        approaches: Approach::PRESETS.map(named).into(),
        from: state.store.templates().await?.into_iter().map(template).chain(earlier).collect(),
    }))
}

/// A new curriculum.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct NewCurriculum {
    /// Made by the sender, so that sending twice makes one.
    id: Uuid,
    from: From,
    /// As people say it.
    name: String,
    season: Season,
    /// Technical minutes of every session.
    session_min: Minutes,
    approach: Approach,
    ground: Ground,
}

/// Makes a curriculum and lays its first plan.
#[utoipa::path(post, operation_id = "curricula_create", path = "/curricula", request_body = NewCurriculum,
    responses((status = 200, body = CurriculumView), (status = 404, body = Problem), (status = 422, body = Problem)))]
pub(crate) async fn create(
    who: SignedIn,
    state: Data<State>,
    new: Json<NewCurriculum>,
) -> Answer<HttpResponse> {
    who.may(Act::Plan)?;
    if let Some(made) = state.store.curriculum(new.id).await? {
        return view(&state, made, Came::default()).await;
    }
    let base = match &new.from {
        From::Template { template } => {
            let all = state.store.templates().await?;
            all.into_iter().find(|(id, _)| id == template).map(|(_, wishes)| wishes)
        }
        From::Curriculum { curriculum } => {
            state.store.curriculum(*curriculum).await?.map(|draft| draft.curriculum)
        }
    };
    let base = base.ok_or_else(|| Problem::not_found("template or curriculum to begin from"))?;
    let NewCurriculum { id, name, season, session_min, approach, ground, .. } = new.into_inner();
    let wishes = base.anew(name, &season, session_min, approach, ground).map_err(Problem::input)?;
    let edition = edition(&state, wishes, Plan::default()).await?;
    let problem = problem_of(&edition)?;
    let solved = aside(move || solve(&problem, 1, STEPS)).await?.map_err(Problem::clash)?;
    let now = state.clock.now();
    state.store.add_curriculum(id, &edition.curriculum, &solved.plan, who.0.id, now).await?;
    let came = Came { clash: solved.clash, ..Came::default() };
    view(&state, draft(&state, id).await?, came).await
}
