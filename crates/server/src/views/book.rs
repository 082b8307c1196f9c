//! A curriculum as a book: everything that is handed out on paper, read at once.

use std::collections::BTreeMap;

use jogo_core::assessment::benchmarks::{Better, Test};
use jogo_core::assessment::levels::Thresholds;
use jogo_core::assessment::milestones::{Evidence, Milestone};
use jogo_core::assessment::standards;
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::session::{Gear, RunningOrder};
use jogo_core::drill::cautions::Caution;
use jogo_core::ids::{SkillId, TestId};
use jogo_core::plan::curriculum::Goal;
use jogo_core::plan::{Approach, Problem as PlanProblem};
use jogo_core::technique::skill::{Stage, Strand};
use jogo_core::units::{Pace, Share};
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::problem::Answer;
use crate::state::State;
use crate::views::skills::{name_of, strand_of};

/// A curriculum as a book, as it is on the desk.
#[derive(Serialize, ToSchema)]
pub struct Book {
    id: Uuid,
    academy: String,
    name: String,
    band: String,
    /// The first day of its first week.
    start: String,
    weeks: u32,
    /// The number of its latest edition; absent if none was published.
    edition: Option<i64>,
    approach: Approach,
    shares: BTreeMap<Strand, Share>,
    sessions: Vec<RunningOrder>,
    skills: Vec<BookSkill>,
    tests: Vec<BookTest>,
    /// Markers to have, by colour: the most that any session needs.
    kit: BTreeMap<String, u32>,
    /// What to have besides.
    gear: Gear,
    /// What could hurt in any of its drills.
    cautions: Vec<Caution>,
}

/// A skill of the book.
#[derive(Serialize, ToSchema)]
pub struct BookSkill {
    skill: SkillId,
    name: String,
    strand: Option<Strand>,
    present: Option<Stage>,
    goal: Stage,
    /// The milestones towards its goal.
    milestones: Vec<BookMilestone>,
}

/// A milestone of the book.
#[derive(Serialize, ToSchema)]
pub struct BookMilestone {
    says: String,
    stage: Stage,
    evidence: Evidence,
}

/// A test of the book.
#[derive(Serialize, ToSchema)]
pub struct BookTest {
    id: TestId,
    name: String,
    how: String,
    unit: &'static str,
    /// Whether more is better.
    rises: bool,
    /// What the band's levels ask for on the first day; absent if no standard holds then.
    thresholds: Option<Thresholds>,
    /// The sessions in which it is taken, from 0.
    sessions: Vec<usize>,
}

impl Book {
    /// The book of a draft.
    pub async fn of(
        state: &State,
        id: Uuid,
        edition: &Edition,
        problem: &PlanProblem,
        pace: Pace,
    ) -> Answer<Book> {
        let milestones = state.store.milestones().await?;
        let all = state.store.standards(&edition.band.id).await?;
        let number = state.store.editions(id).await?.first().map(|published| published.number);
        let wishes = &edition.curriculum;
        let orders = (0..problem.sessions.len()).filter_map(|session| {
            let mut order = edition.running_order(problem, session, pace)?;
            order.looks = edition.looks(problem, session, &milestones, &edition.tests);
            Some(order)
        });
        let sessions: Vec<RunningOrder> = orders.collect();
        let promised: Vec<&Milestone> = milestones.iter().filter(|each| wishes.promises(each)).collect();
        let used = |test: &&Test| {
            wishes.tests.iter().any(|sitting| sitting.test == test.id)
                || promised.iter().any(|milestone| milestone.evidence.rests_on(&test.id))
        };
        let of_test = |test: &Test| BookTest {
            thresholds: standards::on(all.iter().filter(|each| each.test == test.id), wishes.start)
                .map(|standard| standard.thresholds),
            id: test.id.clone(),
            name: test.name.clone(),
            how: test.how.clone(),
            unit: test.protocol.unit(),
            rises: test.protocol.better() == Better::Higher,
            sessions: wishes.tests.iter().filter(|s| s.test == test.id).map(|s| s.session).collect(),
        };
        let mut cautions: Vec<Caution> = Vec::new();
        for caution in sessions.iter().flat_map(|order| &order.blocks).flat_map(|block| &block.cautions) {
            if !cautions.contains(caution) {
                cautions.push(*caution);
            }
        }
        Ok(Book {
            id,
            academy: state.store.academy().await?.unwrap_or_default(),
            name: wishes.name.clone(),
            band: edition.band.name.clone(),
            start: wishes.start.to_string(),
            weeks: wishes.weeks,
            edition: number,
            approach: wishes.approach,
            shares: wishes.shares.clone(),
            skills: wishes.goals.iter().map(|goal| BookSkill::of(goal, edition, &promised)).collect(),
            tests: edition.tests.iter().filter(used).map(of_test).collect(),
            kit: kit_of(&sessions),
            gear: sessions.iter().fold(Gear::default(), |most, order| most.or_more(order.gear)),
            cautions,
            sessions,
        })
    }
}

impl BookSkill {
    fn of(goal: &Goal, edition: &Edition, promised: &[&Milestone]) -> BookSkill {
        let of_skill = promised.iter().filter(|milestone| milestone.skill == goal.skill);
        let mut milestones: Vec<BookMilestone> = of_skill
            .map(|milestone| BookMilestone {
                says: milestone.says.clone(),
                stage: milestone.stage,
                evidence: milestone.evidence.clone(),
            })
            .collect();
        milestones.sort_by_key(|milestone| milestone.stage);
        BookSkill {
            name: name_of(&edition.skills, &goal.skill),
            strand: strand_of(&edition.skills, &goal.skill),
            skill: goal.skill.clone(),
            present: goal.present,
            goal: goal.goal,
            milestones,
        }
    }
}

/// Markers by colour: the most that any session needs.
fn kit_of(sessions: &[RunningOrder]) -> BTreeMap<String, u32> {
    let mut kit: BTreeMap<String, u32> = BTreeMap::new();
    for (colour, n) in sessions.iter().flat_map(|order| &order.kit) {
        let most = kit.entry(colour.clone()).or_default();
        *most = (*most).max(*n);
    }
    kit
}
