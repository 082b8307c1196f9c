//! Invented problems, random but like those of an academy: to measure planners, and to test them.

use std::collections::BTreeMap;

use jiff::ToSpan;
use jiff::civil::date;
use rand::{Rng, RngExt, SeedableRng};
use rand_chacha::ChaCha8Rng;

use crate::drill::levers::Intensity;
use crate::ids::{DrillId, SkillId, TestId};
use crate::plan::problem::VERSION;
use crate::plan::{Approach, Limits, Problem, SessionWish, SidedTouches, SkillWish, TestWish, Variant};
use crate::technique::skill::{Need, Stage, Strand};
use crate::units::{Difficulty, Minutes, Seconds, Share};

/// How large an example is.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct ExampleSize {
    /// Weeks, 1 to 20.
    pub weeks: u32,
    /// Sessions in a week, 1 to 7.
    pub sessions: u32,
    /// Skills to be reached.
    pub skills: u32,
    /// Variants that may be laid.
    pub variants: u32,
}

/// A problem of a size; the same seed gives the same one.
///
/// Skills rest on earlier ones of their strand; every fifth is under way already. The drills take turns to serve the
/// skills, each at all stages up to the skill's goal, every third one another skill of the strand with it.
///
/// ```
/// use jogo_core::plan::problem::example::{ExampleSize, example};
/// let size = ExampleSize { weeks: 6, sessions: 2, skills: 10, variants: 40 };
/// let problem = example(size, 7);
/// assert_eq!((problem.sessions.len(), problem.skills.len(), problem.variants.len()), (12, 10, 40));
/// assert_eq!(problem.faults(), []);
/// ```
pub fn example(size: ExampleSize, seed: u64) -> Problem {
    let mut rng = ChaCha8Rng::seed_from_u64(seed);
    let skills: Vec<SkillWish> = (0..size.skills).map(|i| skill(i, size, &mut rng)).collect();
    let variants = variants(&skills, size.variants as usize, &mut rng);
    let sessions = sessions(&skills, size, &mut rng);
    Problem {
        version: VERSION,
        skills_per_session: 4,
        themes: BTreeMap::new(),
        knack: 0.0,
        weekly: Vec::new(),
        // As many as the weeks ask for, if every skill is to be met before the last weeks.
        new_skills_per_week: (size.skills * 4 / 5).div_ceil((size.weeks * 4 / 5).max(1)).clamp(1, 4),
        limits: Limits::default(),
        sessions,
        shares: [
            (Strand::BallMastery, Share(0.3)),
            (Strand::Dribbling, Share(0.25)),
            (Strand::Receiving, Share(0.25)),
            (Strand::Passing, Share(0.2)),
        ]
        .into(),
        approach: Approach::BALANCED,
        skills,
        variants,
        layout_changes: Vec::new(),
        hinges: Vec::new(),
        locks: Vec::new(),
    }
}

fn skill(i: u32, size: ExampleSize, rng: &mut impl Rng) -> SkillWish {
    let strand = Strand::ALL[i as usize % 4];
    // Skills of one strand stand four apart: each rests on one or two of the three before it.
    let under: Vec<u32> = (1..=3).filter_map(|back| i.checked_sub(4 * back)).collect();
    let mut needs: Vec<Need> = Vec::new();
    for need in under {
        if needs.len() < 2 && rng.random::<f64>() < 0.45 {
            let stage = if rng.random::<f64>() < 0.7 { Stage::Form } else { Stage::Flow };
            needs.push(Need { skill: SkillId::numbered(need + 1), stage });
        }
    }
    let late = f64::from(i) / f64::from(size.skills.max(1));
    let goal = match rng.random::<f64>() + late {
        luck if luck < 0.35 => Stage::Contest,
        luck if luck < 0.75 => Stage::Scan,
        _ => Stage::Flow,
    };
    SkillWish {
        id: SkillId::numbered(i + 1),
        name: format!("Skill {}", i + 1),
        strand,
        present: i.is_multiple_of(5).then_some(if i.is_multiple_of(2) { Stage::Form } else { Stage::Flow }),
        goal,
        needs,
        carries: None,
        last_shown: None,
    }
}

fn variants(skills: &[SkillWish], wanted: usize, rng: &mut impl Rng) -> Vec<Variant> {
    let mut all = Vec::new();
    let mut drill = 0;
    while all.len() < wanted && !skills.is_empty() {
        let at = drill % skills.len();
        let skill = &skills[at];
        // A third of the drills serves an earlier skill of the strand with it.
        let second = (drill % 3 == 2).then(|| at.checked_sub(4)).flatten();
        let served: Vec<SkillId> =
            [Some(at), second].into_iter().flatten().map(|at| skills[at].id.clone()).collect();
        let floor = Floor {
            drill: DrillId::numbered(drill as u32 + 1),
            base: 1.0 + rng.random_range(0.0..3.0),
            laying_out: rng.random_range(1..=3),
            waiting: rng.random_range(0.0..0.45),
            aerial: skill.strand == Strand::Receiving && rng.random::<f64>() < 0.2,
            other: rng.random_range(0.3..0.55),
        };
        let stages = Stage::ALL.into_iter().filter(|stage| *stage <= skill.goal);
        for stage in stages {
            if all.len() < wanted {
                all.push(variant(&floor, skill.strand, stage, &served, rng));
            }
        }
        drill += 1;
    }
    all
}

/// What the stages of a drill share.
struct Floor {
    drill: DrillId,
    base: f64,
    laying_out: u32,
    waiting: f64,
    aerial: bool,
    other: f64,
}

fn variant(floor: &Floor, strand: Strand, stage: Stage, skills: &[SkillId], rng: &mut impl Rng) -> Variant {
    let least = rng.random_range(5..=7);
    let intensity = match stage {
        Stage::Form => Intensity::Easy,
        Stage::Contest if rng.random::<f64>() < 0.6 => Intensity::Hard,
        _ if rng.random::<f64>() < 0.15 => Intensity::Hard,
        _ => Intensity::Brisk,
    };
    let side = Strand::ALL[rng.random_range(0..4)];
    let strands = match side == strand {
        true => BTreeMap::from([(strand, Share(1.0))]),
        false => BTreeMap::from([(strand, Share(0.75)), (side, Share(0.25))]),
    };
    Variant {
        title: floor.drill.replace('-', " "),
        strands,
        least: Minutes(least),
        most: Minutes(least + rng.random_range(3..=7)),
        laying_out: Minutes(floor.laying_out),
        difficulty: Difficulty(floor.base + 1.1 * stage.index() as f64),
        intensity,
        warm_up: stage <= Stage::Flow && intensity < Intensity::Hard && !floor.aerial,
        bout: Seconds(30.0),
        aerial: floor.aerial,
        touches: SidedTouches {
            strong_per_min: 20.0 * (1.0 - floor.other),
            other_per_min: 20.0 * floor.other,
            other_wanted: Share(0.5),
        },
        waiting: Share(floor.waiting),
        working: Share(0.6 * (1.0 - floor.waiting)),
        halves: floor.laying_out < 3,
        ..Variant::of(&floor.drill, stage, skills)
    }
}

fn sessions(skills: &[SkillWish], size: ExampleSize, rng: &mut impl Rng) -> Vec<SessionWish> {
    let mut all = Vec::new();
    for week in 0..size.weeks {
        for nth in 0..size.sessions {
            let day = i64::from(week * 7 + nth * 7 / size.sessions.max(1));
            let minutes = Minutes([40, 45, 45, 50][rng.random_range(0..4)]);
            all.push(SessionWish {
                date: date(2031, 9, 1) + day.days(),
                week: week + 1,
                minutes,
                tests: Vec::new(),
            });
        }
    }
    // One test in the last session, of the first skill that was not met before.
    let tested = skills.iter().find(|skill| skill.present.is_none() && skill.needs.is_empty());
    if let (Some(last), Some(skill), true) = (all.last_mut(), tested, size.weeks > 2) {
        last.tests.push(TestWish {
            id: TestId::numbered(1),
            name: "Test 1".into(),
            minutes: Minutes(12),
            skills: vec![skill.id.clone()],
            shows: Vec::new(),
        });
    }
    all
}
