//! What a squad brings to the curriculum that it begins.

use std::collections::BTreeMap;

use jiff::civil::Date;
use jogo_core::ids::{BandId, SkillId};
use jogo_core::plan::curriculum::Curriculum;
use jogo_core::season::calendar::last_day;
use jogo_core::season::handover::{Brings, Child, MilestoneBrought, brings, milestones_brought};
use jogo_core::technique::skill::{Skill, Stage, Strand};
use jogo_store::academy::teams::{Player, Team};
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::problem::Answer;
use crate::state::State;
use crate::views::assessment::{Assessment, Bands, stands};
use crate::views::skills::{name_of, strand_of};

/// A handover: one page for the coach who takes a squad.
#[derive(Serialize, ToSchema)]
pub struct Handover {
    team: String,
    club: String,
    on: String,
    players: usize,
    /// Who has come from another team in the last four months.
    new: Vec<CameFrom>,
    /// The curriculum that the squad begins or runs; absent if the band has none ahead.
    curriculum: Option<FirstCurriculum>,
    expected: Vec<ExpectedSkill>,
    milestones: Vec<BroughtMilestone>,
    /// Whose other foot is called behind in a test, by name.
    other_foot: Vec<String>,
}

/// A curriculum that a squad begins.
#[derive(Serialize, ToSchema)]
pub struct FirstCurriculum {
    name: String,
    start: String,
    /// Whether coaches have it.
    published: bool,
    /// Its sessions in the first three weeks.
    first_sessions: usize,
}

/// Somebody who has come from another team.
#[derive(Serialize, ToSchema)]
pub struct CameFrom {
    name: String,
    /// The team that they were in before.
    from: String,
}

/// A skill that the curriculum expects.
#[derive(Serialize, ToSchema)]
pub struct ExpectedSkill {
    skill: SkillId,
    name: String,
    strand: Option<Strand>,
    stage: Stage,
    /// The new skills that need it, by name; none where the curriculum goes on from it.
    needed_by: Vec<String>,
    have: u32,
    short: Vec<ShortPlayer>,
    /// Whether no milestone speaks of it.
    unspoken: bool,
    /// Exposures to add to the first three weeks.
    bridge: Option<u32>,
}

/// Somebody who comes short of what is expected.
#[derive(Serialize, ToSchema)]
pub struct ShortPlayer {
    name: String,
    reached: Option<Stage>,
    unseen: bool,
}

/// How a squad stands with a milestone.
#[derive(Serialize, ToSchema)]
pub struct BroughtMilestone {
    says: String,
    skill_name: String,
    strand: Option<Strand>,
    stage: Stage,
    /// The name of its band.
    band: String,
    #[serde(flatten)]
    brought: MilestoneBrought,
}

/// Whoever came from another team since then is new, in days.
const NEW_FOR_DAYS: i32 = 120;
/// A bridge belongs into the first weeks.
const BRIDGE_WEEKS: u32 = 3;

impl Handover {
    /// The handover of a team's squad as it stands. Curricula that are not published count for whoever may see them.
    pub async fn of(state: &State, team: Team, sees_drafts: bool) -> Answer<Handover> {
        let today = state.today().await?;
        let assessment = Assessment::of(state, &team, today).await?;
        let skills = state.store.skills().await?;
        let found = next(state, &team.band, today, sees_drafts).await?;
        let standings: Vec<_> =
            assessment.players.iter().map(|player| assessment.standings(player, Bands::UpToOwn)).collect();
        let squad = assessment.players.iter().zip(&standings);
        let squad: Vec<Child<'_, &Player>> =
            squad.map(|(player, standings)| Child { player, stands: stands(standings) }).collect();
        let expected = found.as_ref().map(|(wishes, _)| wishes.expects(&skills)).unwrap_or_default();
        let exposures = found.as_ref().map(|(wishes, _)| wishes.approach.exposures).unwrap_or_default();
        let expected = brings(expected, &squad, exposures);
        let bands: BTreeMap<BandId, String> =
            state.store.bands().await?.into_iter().map(|kept| (kept.band.id, kept.band.name)).collect();
        let by_id: BTreeMap<_, _> = assessment.milestones.iter().map(|each| (&each.id, each)).collect();
        let milestones = milestones_brought(&squad).into_iter().filter_map(|brought| {
            let milestone = by_id.get(&brought.milestone)?;
            Some(BroughtMilestone {
                says: milestone.says.clone(),
                skill_name: name_of(&skills, &milestone.skill),
                strand: strand_of(&skills, &milestone.skill),
                stage: milestone.stage,
                band: bands.get(&milestone.band).cloned().unwrap_or_else(|| milestone.band.to_string()),
                brought,
            })
        });
        let behind = |player: &&Player| !assessment.behind(player).is_empty();
        Ok(Handover {
            on: today.to_string(),
            players: assessment.players.len(),
            new: new_in(state, &team, &assessment.players, today).await?,
            curriculum: found.map(|(wishes, published)| FirstCurriculum::of(&wishes, published)),
            expected: expected.into_iter().map(|each| ExpectedSkill::of(each, &skills)).collect(),
            milestones: milestones.collect(),
            other_foot: assessment.players.iter().filter(behind).map(|p| p.about.name.clone()).collect(),
            team: team.name,
            club: team.club,
        })
    }
}

impl FirstCurriculum {
    fn of(wishes: &Curriculum, published: bool) -> FirstCurriculum {
        let first = wishes.session_days().iter().filter(|day| day.week <= BRIDGE_WEEKS).count();
        let (name, start) = (wishes.name.clone(), wishes.start.to_string());
        FirstCurriculum { name, start, published, first_sessions: first }
    }
}

impl ExpectedSkill {
    fn of(brings: Brings<&Player>, skills: &[Skill]) -> ExpectedSkill {
        let Brings { expected, have, short, unspoken, bridge } = brings;
        let short = short.into_iter().map(|each| ShortPlayer {
            name: each.player.about.name.clone(),
            reached: each.reached,
            unseen: each.unseen,
        });
        ExpectedSkill {
            name: name_of(skills, &expected.skill),
            strand: strand_of(skills, &expected.skill),
            stage: expected.stage,
            needed_by: expected.needed_by.iter().map(|skill| name_of(skills, skill)).collect(),
            skill: expected.skill,
            have,
            short: short.collect(),
            unspoken,
            bridge,
        }
    }
}

/// The curriculum that squads of a band begin next, or run if none is ahead, and whether it is published.
async fn next(
    state: &State,
    band: &BandId,
    today: Date,
    sees_drafts: bool,
) -> Answer<Option<(Curriculum, bool)>> {
    let published = state.store.published_wishes(band).await?.into_iter().map(|wishes| (wishes, true));
    let mut all: Vec<(Curriculum, bool)> = published.collect();
    if sees_drafts {
        let drafts = state.store.curricula().await?.into_iter();
        let drafts = drafts.filter(|draft| draft.edition.is_none() && draft.curriculum.band == *band);
        all.extend(drafts.map(|draft| (draft.curriculum, false)));
    }
    all.retain(|(wishes, _)| last_day(wishes.start, wishes.weeks) >= today);
    all.sort_by_key(|(wishes, published)| (wishes.start, !published));
    let ahead = all.iter().position(|(wishes, _)| wishes.start >= today);
    Ok(match (ahead, all.is_empty()) {
        (_, true) => None,
        (ahead, false) => Some(all.swap_remove(ahead.unwrap_or(0))),
    })
}

/// Who has come from another team lately.
async fn new_in(state: &State, team: &Team, squad: &[Player], today: Date) -> Answer<Vec<CameFrom>> {
    let earlier = state.store.earlier_teams(team.id).await?;
    let lately = earlier.into_iter().filter(|(_, until, _)| (today - *until).get_days() <= NEW_FOR_DAYS);
    let came: BTreeMap<Uuid, String> = lately.map(|(player, _, from)| (player, from)).collect();
    let new = squad.iter().filter_map(|player| {
        Some(CameFrom { name: player.about.name.clone(), from: came.get(&player.id)?.clone() })
    });
    Ok(new.collect())
}
