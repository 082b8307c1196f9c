//! Making a curriculum: what it may begin from, and the first plan.

use crate::facts::Thing;
use std::collections::{BTreeMap, BTreeSet};

use actix_web::HttpResponse;
use actix_web::web::{Data, Path, Query};
use actix_web::{get, post};
use jiff::civil::Date;
use jogo_core::academy::band::Band;
use jogo_core::assessment::milestones::ready::{of_squad, stage_reached};
use jogo_core::ground::fit::Ground;
use jogo_core::ids::{BandId, SkillId};
use jogo_core::plan::carry_over::Believed;
use jogo_core::plan::curriculum::{Curriculum, Goal, Season};
use jogo_core::plan::search::solve::usual_steps;
use jogo_core::plan::{Approach, Plan, solve};
use jogo_core::technique::skill::Stage;
use jogo_core::units::Minutes;
use jogo_store::academy::teams::Team;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use uuid::Uuid;

use super::drafts::{aside, draft, edition, problem_of, with_tests_laid};
use super::view::{Came, CurriculumView, view};
use crate::json::Json;
use crate::problem::{Answer, Problem};
use crate::sign_in::SignedIn;
use crate::sign_in::rights::Act;
use crate::state::State;
use crate::views::assessment::{Assessment, Bands, stands};
use crate::views::year::brought_to;

/// What a new curriculum may begin from.
#[derive(Serialize, ToSchema)]
pub(crate) struct Beginning {
    #[serde(flatten)]
    from: BeginsFrom,
    /// Its wishes.
    wishes: Curriculum,
}

/// What there is to begin with.
#[derive(Serialize, ToSchema)]
pub(crate) struct Beginnings {
    /// The approaches that come with Jogo.
    approaches: Vec<NamedApproach>,
    /// The templates, then the curricula of earlier seasons, then the skills of each band.
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
pub(crate) enum BeginsFrom {
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
    /// Nothing but the skills that a band begins.
    Skills {
        /// Which band.
        band: BandId,
    },
}

/// The templates, the curricula of earlier seasons, and the skills of each band.
#[utoipa::path(operation_id = "curricula_beginnings", responses((status = 200, body = Beginnings)),
)]
#[get("/curricula/beginnings")]
pub(crate) async fn beginnings(who: SignedIn, state: Data<State>) -> Answer<Json<Beginnings>> {
    who.may(Act::Plan)?;
    let named = |(name, approach): (&str, Approach)| NamedApproach { name: name.to_owned(), approach };
    let (mut from, bands) = (from_written(&state).await?, from_bands(&state).await?);
    from.extend(bands);
    Ok(Json(Beginnings { approaches: Approach::PRESETS.map(named).into(), from }))
}

/// The templates, then the curricula of earlier seasons.
async fn from_written(state: &State) -> Answer<Vec<Beginning>> {
    let template = |(template, wishes)| Beginning { from: BeginsFrom::Template { template }, wishes };
    let earlier = state.store.curricula().await?.into_iter().map(|draft| Beginning {
        from: BeginsFrom::Curriculum { curriculum: draft.id },
        wishes: draft.curriculum,
    });
    Ok(state.store.templates().await?.into_iter().map(template).chain(earlier).collect())
}

/// The skills that each band begins.
async fn from_bands(state: &State) -> Answer<Vec<Beginning>> {
    let (bands, skills) = (state.store.bands().await?, state.store.skills().await?);
    let (ground, today) = (state.store.settings().await?.0.largest_ground(), state.today().await?);
    let bands: Vec<Band> = bands.into_iter().map(|kept| kept.band).collect();
    let first = |band: &Band| {
        let wishes = Curriculum::first(band, &bands, &skills, ground, today)?;
        Some(Beginning { from: BeginsFrom::Skills { band: band.id.clone() }, wishes })
    };
    Ok(bands.iter().filter_map(first).collect())
}

/// A new curriculum.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct NewCurriculum {
    /// Made by the sender, so that sending twice makes one.
    id: Uuid,
    from: BeginsFrom,
    /// As people say it.
    name: String,
    season: Season,
    /// Technical minutes of every session.
    session_min: Minutes,
    approach: Approach,
    ground: Ground,
    /// Where the squads stand at the beginning.
    #[serde(default)]
    present: Present,
}

impl NewCurriculum {
    /// The settings of the new curriculum, with the squads at the stage they have reached.
    async fn wishes(self, state: &State) -> Answer<Curriculum> {
        let base = self.from.wishes(state, self.ground, self.season.start).await?;
        let wishes = base.copied(self.name, &self.season, self.session_min, self.approach, self.ground);
        let wishes = wishes.map_err(Problem::input)?;
        self.present.applied(state, wishes).await
    }
}

impl BeginsFrom {
    /// The settings that are written there.
    async fn wishes(&self, state: &State, ground: Ground, start: Date) -> Answer<Curriculum> {
        let found = match self {
            BeginsFrom::Template { template } => {
                let all = state.store.templates().await?;
                all.into_iter().find(|(id, _)| id == template).map(|(_, wishes)| wishes)
            }
            BeginsFrom::Curriculum { curriculum } => {
                state.store.curriculum(*curriculum).await?.map(|draft| draft.curriculum)
            }
            BeginsFrom::Skills { band } => {
                let (bands, skills) = (state.store.bands().await?, state.store.skills().await?);
                let bands: Vec<Band> = bands.into_iter().map(|kept| kept.band).collect();
                let band = bands.iter().find(|each| each.id == *band);
                band.and_then(|band| Curriculum::first(band, &bands, &skills, ground, start))
            }
        };
        found.ok_or_else(|| Problem::not_found(Thing::Start))
    }
}

/// Where squads stand when a curriculum begins.
#[derive(Clone, Copy, Default, Deserialize, ToSchema)]
#[serde(tag = "kind", rename_all = "snake_case", deny_unknown_fields)]
pub(crate) enum Present {
    /// As it is written in what it begins from.
    #[default]
    AsWritten,
    /// As the curricula of the band before it end.
    AsBefore {
        /// What is believed of them.
        believed: Believed,
    },
    /// As the milestones of all squads of the band say.
    OfBand,
    /// As the milestones of one squad say.
    OfTeam {
        /// Which.
        team: Uuid,
    },
}

impl Present {
    /// Sets where the squads of some wishes stand, and when each skill was last shown before them.
    async fn applied(self, state: &State, wishes: Curriculum) -> Answer<Curriculum> {
        let believed = match self {
            Present::AsBefore { believed } => believed,
            _ => Believed::Planned,
        };
        let brought = brought_to(state, &wishes.band, wishes.start, believed).await?;
        if let Present::AsBefore { .. } = self {
            return Ok(wishes.carrying(&brought));
        }
        let reached = self.reached(state, &wishes.band).await?;
        Ok(wishes.from_where_they_stand(&reached).rested_since(&brought))
    }

    /// How far most players have come with each skill that milestones speak of; nothing of a skill that they have not
    /// met.
    async fn reached(self, state: &State, band: &BandId) -> Answer<BTreeMap<SkillId, Stage>> {
        let of_band = state.store.teams().await?.into_iter().filter(|team| team.band == *band);
        let teams: Vec<Team> = match self {
            Present::AsWritten | Present::AsBefore { .. } => return Ok(BTreeMap::new()),
            Present::OfBand => of_band.collect(),
            Present::OfTeam { team } => of_band.filter(|known| known.id == team).collect(),
        };
        let today = state.today().await?;
        let mut reached: BTreeMap<SkillId, Vec<Option<Stage>>> = BTreeMap::new();
        for team in teams {
            let assessment = Assessment::of(state, &team, today).await?;
            for player in &assessment.players {
                let standings = assessment.standings(player, Bands::UpToOwn);
                let stands = stands(&standings);
                let skills: BTreeSet<&SkillId> = stands.iter().map(|(m, _)| &m.skill).collect();
                for skill in skills {
                    reached.entry(skill.clone()).or_default().push(stage_reached(&stands, skill));
                }
            }
        }
        Ok(reached.into_iter().filter_map(|(skill, all)| Some((skill, of_squad(&all)?))).collect())
    }
}

/// Makes a curriculum and lays its first plan.
#[utoipa::path(operation_id = "curricula_create", request_body = NewCurriculum,
    responses((status = 200, body = CurriculumView), (status = 404, body = Problem)))]
#[post("/curricula")]
pub(crate) async fn create(
    who: SignedIn,
    state: Data<State>,
    new: Json<NewCurriculum>,
) -> Answer<HttpResponse> {
    who.may(Act::Plan)?;
    let id = new.id;
    if let Some(made) = state.store.curriculum(id).await? {
        return view(&state, made, Came::default()).await;
    }
    let wishes = new.into_inner().wishes(&state).await?;
    let edition = with_tests_laid(&state, edition(&state, wishes, Plan::default()).await?).await?;
    let problem = problem_of(&edition)?;
    let solved = aside(move || solve(&problem, 1, usual_steps(&problem))).await?.map_err(Problem::clash)?;
    let now = state.clock.now();
    state.store.add_curriculum(id, &edition.curriculum, &solved.plan, who.0.id, now).await?;
    let came = Came { clash: solved.clash, ..Came::default() };
    view(&state, draft(&state, id).await?, came).await
}

/// Whose squads are asked for.
#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(crate) struct OfSquads {
    /// One team of the band; all of them without it.
    team: Option<Uuid>,
    /// What to assume of the band's earlier curricula, to begin where they end.
    believed: Option<Believed>,
}

/// The goals of a curriculum as they would be from where the squads stand today. Nothing is changed by asking.
#[utoipa::path(operation_id = "curricula_goals_of_squads", params(("id" = Uuid, Path), OfSquads),
    responses((status = 200, body = Vec<Goal>)),
)]
#[get("/curricula/{id}/goals")]
pub(crate) async fn goals_of_squads(
    who: SignedIn,
    state: Data<State>,
    id: Path<Uuid>,
    asked: Query<OfSquads>,
) -> Answer<Json<Vec<Goal>>> {
    who.may(Act::Plan)?;
    let wishes = draft(&state, *id).await?.curriculum;
    let of_squads = asked.team.map_or(Present::OfBand, |team| Present::OfTeam { team });
    let present = asked.believed.map_or(of_squads, |believed| Present::AsBefore { believed });
    Ok(Json(present.applied(&state, wishes).await?.goals))
}
