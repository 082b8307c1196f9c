//! A curriculum as the Plan surface shows it.

use actix_web::HttpResponse;
use jogo_core::delivery::edition::Edition;
use jogo_core::fact::Fact;
use jogo_core::ids::{SkillId, TestId};
use jogo_core::plan::curriculum::Curriculum;
use jogo_core::plan::hinge::{Hinge, meanwhile};
use jogo_core::plan::score::{minutes_by_strand, missing};
use jogo_core::plan::{
    Alternative, Block, BlockId, Breach, Clash, Edit, Mending, Plan, Price, Problem as PlanProblem, Score,
    Stitch, VariantId, WeekTheme, check, mend, score, stitches, week_themes,
};
use jogo_core::technique::skill::{Skill, Stage, Strand};
use jogo_core::units::{Minutes, Share};
use jogo_store::delivery::Published;
use jogo_store::plan::{Change, Draft};
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use super::drafts::{aside, draft, edition, problem_of};
use crate::api::versioned;
use crate::problem::Answer;
use crate::sign_in::SignedIn;
use crate::state::State;

/// A curriculum with its plan.
#[derive(Serialize, ToSchema)]
pub(crate) struct CurriculumView {
    id: Uuid,
    version: i64,
    changed_at: String,
    band: String,
    /// The wishes.
    wishes: Curriculum,
    skills: Vec<SkillLine>,
    sessions: Vec<SessionColumn>,
    stitches: Vec<Stitch>,
    /// What each week with blocks is about.
    themes: Vec<WeekTheme>,
    /// Where skills begin that a squad has to be ready for.
    hinges: Vec<HingeHere>,
    /// Minutes of the whole plan by strand.
    minutes_by_strand: [f64; 4],
    score: Score,
    breaches: Vec<BreachHere>,
    editions: Vec<EditionEntry>,
    /// Whether the draft differs from the latest edition; absent if none was published.
    changed_since_edition: Option<bool>,
    /// What is different from the latest edition, in words.
    changes: Vec<Fact>,
    /// What undo would take back.
    undo: Option<Fact>,
    /// What came of the change that this answers.
    came: Came,
}

/// What came of a change.
#[derive(Default, Serialize, ToSchema)]
pub(crate) struct Came {
    /// What it cost.
    pub price: Option<Price>,
    /// Wishes that cannot all be met.
    pub clash: Option<Clash>,
    /// Where the block stands that was changed.
    pub place: Option<BlockPlace>,
}

/// A block's place.
#[derive(Serialize, ToSchema)]
pub(crate) struct BlockPlace {
    pub session: usize,
    pub block: usize,
}

/// A skill of the curriculum: one line of the plan.
#[derive(Serialize, ToSchema)]
struct SkillLine {
    #[serde(flatten)]
    skill: Skill,
    /// Whether this is the ladder of the other foot; its id is then not one of the library.
    other_foot: bool,
    /// Whether both feet share this ladder although the strong one should come first: no drill is for one foot alone.
    not_parted: bool,
    present: Option<Stage>,
    goal: Stage,
    /// Exposures that the plan still misses on the way to the goal.
    missing: u32,
}

/// A session of the plan: one column.
#[derive(Serialize, ToSchema)]
struct SessionColumn {
    session: usize,
    week: u32,
    date: String,
    minutes: Minutes,
    /// Minutes of blocks by strand, in the order of the strands.
    by_strand: [f64; 4],
    /// Minutes of layout changes.
    changes: Minutes,
    tests: Vec<TestPeg>,
    blocks: Vec<BlockHere>,
}

/// A test that is taken in a session.
#[derive(Serialize, ToSchema)]
struct TestPeg {
    test: TestId,
    name: String,
    minutes: Minutes,
    skills: Vec<SkillId>,
}

/// A block where it stands.
#[derive(Serialize, ToSchema)]
struct BlockHere {
    id: Option<BlockId>,
    variant: VariantId,
    title: String,
    stage: Option<Stage>,
    strand: Option<Strand>,
    minutes: Minutes,
    least: Minutes,
    most: Minutes,
    /// What those do beside it who move on.
    beside: Option<Alternative>,
    locked: bool,
}

/// A breach where it stands, and what mends it.
#[derive(Serialize, ToSchema)]
struct BreachHere {
    #[serde(flatten)]
    breach: Breach,
    mend: Option<Mending>,
}

/// A skill that a squad begins in a session only when it is ready for it.
#[derive(Serialize, ToSchema)]
struct HingeHere {
    skill: SkillId,
    session: usize,
    /// Which share of a squad has to pass its gate; absent where the coach says when it begins.
    share: Option<Share>,
    /// The titles of what a squad does there until then, beside what stands; absent if nothing can be left out there.
    meanwhile: Option<Vec<String>>,
}

impl HingeHere {
    fn all(wishes: &Curriculum, problem: &PlanProblem, plan: &Plan) -> Vec<HingeHere> {
        let here = |hinge: &Hinge| {
            let session = hinge.session(problem, plan)?;
            let mastery = wishes.mastery.iter().find(|mastery| mastery.skill == hinge.skill)?;
            let stood = plan.sessions.get(session)?;
            let instead = meanwhile(problem, plan, hinge, session).map(|blocks| {
                let new = blocks.into_iter().filter(|block| !stood.iter().any(|there| there.is_like(block)));
                new.map(|block| problem.title(&block.variant).to_owned()).collect()
            });
            Some(HingeHere { skill: hinge.skill.clone(), session, share: mastery.share, meanwhile: instead })
        };
        problem.hinges.iter().filter_map(here).collect()
    }
}

#[derive(Serialize, ToSchema)]
struct EditionEntry {
    id: Uuid,
    number: i64,
    note: String,
    by: String,
    at: String,
}

impl From<Published> for EditionEntry {
    fn from(p: Published) -> EditionEntry {
        EditionEntry { id: p.id, number: p.number, note: p.note, by: p.by, at: p.at.to_string() }
    }
}

/// How many breaches are given a mend: looking for one takes a while, and the next are found when these are gone.
const MENDED: usize = 3;

/// The view of a draft, with what came of the change before it.
pub(super) async fn view(state: &State, draft: Draft, came: Came) -> Answer<HttpResponse> {
    let editions = state.store.editions(draft.id).await?;
    let latest = match editions.first() {
        Some(latest) => state.store.edition(latest.id).await?,
        None => None,
    };
    let undo = state.store.last_change(draft.id).await?;
    let edition = edition(state, draft.curriculum, draft.plan).await?;
    let problem = problem_of(&edition)?;
    let plan = &edition.plan;
    let missing = missing(&problem, plan);
    let not_parted = edition.curriculum.feet_not_parted(&problem, &edition.skills);
    let skills = problem.skills.iter().zip(missing).filter_map(|(wish, missing)| {
        let known = edition.skill(wish.carries.as_ref().unwrap_or(&wish.id))?.clone();
        Some(SkillLine {
            skill: Skill { id: wish.id.clone(), needs: wish.needs.clone(), ..known },
            other_foot: wish.carries.is_some(),
            not_parted: not_parted.contains(&wish.id),
            present: wish.present,
            goal: wish.goal,
            missing: missing.iter().sum(),
        })
    });
    let (breaches, hinges) = {
        let (wishes, problem, plan) = (edition.curriculum.clone(), problem.clone(), plan.clone());
        aside(move || (with_mends(&problem, &plan), HingeHere::all(&wishes, &problem, &plan))).await?
    };
    let trimmed = edition.clone().trimmed();
    let view = CurriculumView {
        id: draft.id,
        version: draft.version,
        changed_at: draft.changed_at.to_string(),
        band: edition.band.name.clone(),
        skills: skills.collect(),
        sessions: (0..problem.sessions.len()).map(|at| column(&edition, &problem, at)).collect(),
        stitches: stitches(&problem, plan),
        themes: week_themes(&problem, plan),
        hinges,
        minutes_by_strand: minutes_by_strand(&problem, plan),
        score: score(&problem, plan),
        breaches,
        changed_since_edition: latest.as_ref().map(|(_, latest)| *latest != trimmed),
        changes: latest
            .map(|(_, latest)| trimmed.changes_since(&latest))
            .into_iter()
            .flatten()
            .map(Fact::from)
            .collect(),
        editions: editions.into_iter().map(EditionEntry::from).collect(),
        undo,
        came,
        wishes: edition.curriculum,
    };
    Ok(versioned(view.version, &view))
}

/// Keeps a change and answers with the view.
pub(super) async fn kept(
    who: &SignedIn,
    state: &State,
    read: Draft,
    (curriculum, plan): (&Curriculum, &Plan),
    what: impl Into<Fact>,
    came: Came,
) -> Answer<HttpResponse> {
    let what = what.into();
    let change = Change { what: &what, by: who.0.id, at: state.clock.now() };
    state.store.change_curriculum(&read, curriculum, plan, change).await?;
    view(state, draft(state, read.id).await?, came).await
}

fn column(edition: &Edition, problem: &PlanProblem, session: usize) -> SessionColumn {
    let wish = &problem.sessions[session];
    let alone = Plan { sessions: vec![edition.plan.sessions.get(session).cloned().unwrap_or_default()] };
    let peg = |test: &jogo_core::plan::TestWish| TestPeg {
        test: test.id.clone(),
        name: test.name.clone(),
        minutes: test.minutes,
        skills: test.skills.clone(),
    };
    let mut locks: Vec<&Block> =
        problem.locks.iter().filter(|lock| lock.session == session).map(|lock| &lock.block).collect();
    let here = |block: &Block| {
        let at = locks.iter().position(|locked| locked.is_like(block));
        let locked = at.map(|at| locks.swap_remove(at)).is_some();
        let variant = problem.variant(&block.variant);
        let strand = edition.drill(&block.variant.drill);
        BlockHere {
            id: block.id,
            variant: block.variant.clone(),
            title: problem.title(&block.variant).to_owned(),
            stage: variant.map(|v| v.stage),
            strand: strand.map(|drill| drill.main_strand()),
            minutes: block.minutes,
            least: variant.map_or(block.minutes, |v| v.least),
            most: variant.map_or(block.minutes, |v| v.most),
            beside: block.beside.as_ref().and_then(|id| problem.variant(id)).map(Alternative::of),
            locked,
        }
    };
    SessionColumn {
        session,
        week: wish.week,
        date: wish.date.to_string(),
        minutes: wish.minutes,
        by_strand: minutes_by_strand(problem, &alone),
        changes: problem.changes_in(&alone.sessions[0]),
        tests: wish.tests.iter().map(peg).collect(),
        blocks: alone.sessions[0].iter().map(here).collect(),
    }
}

/// The breaches of a plan, the first ones with what would mend them.
fn with_mends(problem: &PlanProblem, plan: &Plan) -> Vec<BreachHere> {
    let mut breaches: Vec<BreachHere> =
        check(problem, plan).into_iter().map(|breach| BreachHere { breach, mend: None }).collect();
    let mut offered: Vec<Edit> = Vec::new();
    for here in breaches.iter_mut().take(MENDED) {
        // What mends several breaches is offered once.
        here.mend = mend(problem, plan, &here.breach).filter(|mending| !offered.contains(&mending.edit));
        offered.extend(here.mend.iter().map(|mending| mending.edit.clone()));
    }
    breaches
}
