//! What is wrong with a problem that somebody else has written?

use std::collections::BTreeSet;

use super::{LayoutChange, ProblemFault, VERSION};
use crate::fact::Fact;
use crate::ids::{DrillId, SkillId};
use crate::input::{InputError, RangeFault};
use crate::plan::{Lock, Problem, SessionWish, SkillWish, Theme, Variant, VariantId, Weekly, WeeklyOf};
use crate::units::Share;

/// The most sessions, skills and variants of a problem: far more than any curriculum has, and few enough to answer.
const MOST: [(&str, usize); 3] = [("sessions", 140), ("skills", 200), ("variants", 2_000)];
const MOST_CHANGES: usize = 10_000;

pub(super) fn of(problem: &Problem) -> Vec<InputError> {
    let mut faults = Vec::new();
    if !(1..=VERSION).contains(&problem.version) {
        let version = ProblemFault::Version { version: problem.version, known: VERSION };
        faults.push(InputError::at("/version", version));
    }
    let counts = [problem.sessions.len(), problem.skills.len(), problem.variants.len()];
    for ((what, most), count) in MOST.iter().zip(counts).filter(|((_, most), count)| count > most) {
        faults.push(InputError::at(format!("/{what}"), RangeFault::Most { count, most: *most }));
    }
    if !faults.is_empty() {
        return faults;
    }
    faults.extend(problem.approach.faults().into_iter().map(|fault| fault.inside("/approach")));
    let knack = RangeFault::Between { value: problem.knack, least: -10.0, most: 10.0 };
    if !knack.holds() {
        faults.push(InputError::at("/knack", knack));
    }
    sessions(problem, &mut faults);
    for (week, theme) in &problem.themes {
        faults.extend(theme_fault(problem, *week, theme).map(|f| f.inside(&format!("/themes/{week}"))));
    }
    if problem.weekly.len() > Weekly::MOST_WISHES {
        let (count, most) = (problem.weekly.len(), Weekly::MOST_WISHES);
        faults.push(InputError::at("/weekly", RangeFault::Most { count, most }));
    }
    for (i, wish) in problem.weekly.iter().enumerate() {
        faults.extend(weekly_fault(problem, wish).map(|f| f.inside(&format!("/weekly/{i}"))));
    }
    for (i, hinge) in problem.hinges.iter().enumerate() {
        let named = [("/skill".to_owned(), &hinge.skill)].into_iter();
        let named =
            named.chain(hinge.meanwhile.iter().enumerate().map(|(n, id)| (format!("/meanwhile/{n}"), id)));
        for (at, id) in named.filter(|(_, id)| problem.skill_index(id).is_none()) {
            faults.push(InputError::at(format!("/hinges/{i}{at}"), unknown_skill(id)));
        }
    }
    if problem.layout_changes.len() > MOST_CHANGES {
        let (count, most) = (problem.layout_changes.len(), MOST_CHANGES);
        faults.push(InputError::at("/layout_changes", RangeFault::Most { count, most }));
        return faults;
    }
    let drills: BTreeSet<&DrillId> = problem.variants.iter().map(|variant| &variant.drill).collect();
    for (i, change) in problem.layout_changes.iter().enumerate() {
        faults.extend(change_fault(&drills, change).map(|f| f.inside(&format!("/layout_changes/{i}"))));
    }
    for (i, skill) in problem.skills.iter().enumerate() {
        faults.extend(skill_faults(problem, skill).into_iter().map(|f| f.inside(&format!("/skills/{i}"))));
    }
    for (i, variant) in problem.variants.iter().enumerate() {
        let found = variant_faults(problem, variant);
        faults.extend(found.into_iter().map(|f| f.inside(&format!("/variants/{i}"))));
    }
    twice(problem.skills.iter().map(|s| s.id.to_string()), "skills", &mut faults);
    twice(problem.variants.iter().map(|v| v.id.to_string()), "variants", &mut faults);
    for (strand, share) in problem.shares.iter().filter(|(_, share)| !is_share(**share)) {
        let at = format!("/shares/{}", strand.word());
        faults.push(InputError::at(at, RangeFault::Share { value: share.0 }));
    }
    for (i, lock) in problem.locks.iter().enumerate() {
        faults.extend(lock_faults(problem, lock).into_iter().map(|f| f.inside(&format!("/locks/{i}"))));
    }
    faults
}

/// A theme has few skills, all of them known, and a week that has sessions.
fn theme_fault(problem: &Problem, week: u32, theme: &Theme) -> Option<InputError> {
    if !problem.weeks().contains(&week) {
        return Some(InputError::at("", ProblemFault::ThemeWeek { week }));
    }
    let Theme::Skills(skills) = theme else { return None };
    let unknown = |(i, skill): (usize, &SkillId)| {
        let fault = ProblemFault::NoSkill { id: skill.to_string() };
        problem.skill_index(skill).is_none().then(|| InputError::at(format!("/skills/{i}"), fault))
    };
    theme.fault().or_else(|| skills.iter().enumerate().find_map(unknown))
}

/// A weekly wish names what the problem has, and times that a week may have.
fn weekly_fault(problem: &Problem, wish: &Weekly) -> Option<InputError> {
    let unknown: Option<Fact> = match &wish.of {
        WeeklyOf::Skill(id) if problem.skill_index(id).is_none() => Some(unknown_skill(id).into()),
        WeeklyOf::Drill(id) if !problem.variants.iter().any(|variant| variant.drill == *id) => {
            Some(ProblemFault::NoDrill { id: id.to_string() }.into())
        }
        _ => None,
    };
    unknown.map(|fault| InputError::at("/of", fault)).or_else(|| wish.fault())
}

/// A layout change names drills that the problem has, and minutes that a session may have.
fn change_fault(drills: &BTreeSet<&DrillId>, change: &LayoutChange) -> Option<InputError> {
    let unknown = |at: &str, drill: &DrillId| {
        let fault = ProblemFault::NoDrill { id: drill.to_string() };
        (!drills.contains(drill)).then(|| InputError::at(at, fault))
    };
    let minutes = RangeFault::Minutes { value: change.laying_out.0.into(), least: 0.0, most: 240.0 };
    let too_long = (!minutes.holds()).then(|| InputError::at("/laying_out_min", minutes));
    unknown("/from", &change.from).or_else(|| unknown("/to", &change.to)).or(too_long)
}

fn is_share(share: Share) -> bool {
    (0.0..=1.0).contains(&share.0)
}

fn twice(ids: impl Iterator<Item = String>, list: &str, faults: &mut Vec<InputError>) {
    let mut seen = BTreeSet::new();
    for (i, id) in ids.enumerate().filter(|(_, id)| !seen.insert(id.clone())) {
        faults.push(InputError::at(format!("/{list}/{i}/id"), RangeFault::Twice { id }));
    }
}

fn sessions(problem: &Problem, faults: &mut Vec<InputError>) {
    for (i, session) in problem.sessions.iter().enumerate() {
        let mut wrong = |at: &str, fact: Fact| {
            faults.push(InputError::at(format!("/sessions/{i}{at}"), fact));
        };
        let numbers = [
            ("/minutes", RangeFault::Minutes { value: session.minutes.0.into(), least: 1.0, most: 240.0 }),
            ("/week", RangeFault::Between { value: session.week.into(), least: 1.0, most: 60.0 }),
        ];
        for (at, fault) in numbers.into_iter().filter(|(_, fault)| !fault.holds()) {
            wrong(at, fault.into());
        }
        let before = i.checked_sub(1).map(|before| &problem.sessions[before]);
        if before.is_some_and(|b: &SessionWish| b.date > session.date || b.week > session.week) {
            wrong("/date", ProblemFault::Order.into());
        }
        let tests: u64 = session.tests.iter().map(|test| u64::from(test.minutes.0)).sum();
        if tests > u64::from(session.minutes.0) {
            let (tests, minutes) = (tests as f64, session.minutes);
            wrong("/tests", ProblemFault::TestsTooLong { tests, minutes }.into());
        }
        for (t, test) in session.tests.iter().enumerate() {
            for id in test.skills.iter().filter(|id| problem.skill_index(id).is_none()) {
                wrong(&format!("/tests/{t}/skills"), unknown_skill(id).into());
            }
        }
    }
}

fn unknown_skill(id: &str) -> ProblemFault {
    ProblemFault::NoSkill { id: id.to_owned() }
}

fn skill_faults(problem: &Problem, skill: &SkillWish) -> Vec<InputError> {
    let unknown = skill.needs.iter().enumerate().filter(|(_, n)| problem.skill_index(&n.skill).is_none());
    unknown.map(|(i, n)| InputError::at(format!("/needs/{i}/skill"), unknown_skill(&n.skill))).collect()
}

fn variant_faults(problem: &Problem, variant: &Variant) -> Vec<InputError> {
    let mut faults = Vec::new();
    let mut wrong = |at: &str, fact: Fact| faults.push(InputError::at(at, fact));
    let id = VariantId {
        drill: variant.drill.clone(),
        stage: variant.stage,
        rung: variant.id.rung,
        foot: variant.id.foot,
    };
    if variant.id != id {
        wrong("/id", ProblemFault::OtherId { id: variant.id.clone(), wanted: id }.into());
    }
    if variant.skills.is_empty() {
        wrong("/skills", RangeFault::NoneNamed.into());
    }
    let distinct: BTreeSet<_> = variant.skills.iter().collect();
    if distinct.len() < variant.skills.len() {
        wrong("/skills", ProblemFault::SkillTwice.into());
    }
    for id in variant.skills.iter().filter(|id| problem.skill_index(id).is_none()) {
        wrong("/skills", unknown_skill(id).into());
    }
    if variant.least.0 == 0 || variant.least > variant.most || variant.most.0 > 240 {
        wrong("/least_min", ProblemFault::BlockMinutes.into());
    }
    if variant.laying_out.0 > 240 {
        let value = variant.laying_out.0.into();
        wrong("/laying_out_min", RangeFault::Minutes { value, least: 0.0, most: 240.0 }.into());
    }
    let touches = &variant.touches;
    for (at, share) in [
        ("/waiting", variant.waiting),
        ("/working", variant.working),
        ("/touches/other_wanted", touches.other_wanted),
    ] {
        if !is_share(share) {
            wrong(at, RangeFault::Share { value: share.0 }.into());
        }
    }
    for (_, share) in variant.strands.iter().filter(|(_, share)| !is_share(**share)) {
        wrong("/strands", RangeFault::Share { value: share.0 }.into());
    }
    for (at, value, most) in [
        ("/difficulty", variant.difficulty.0, 100.0),
        ("/bout_s", variant.bout.0, 14_400.0),
        ("/headers_per_min", variant.headers_per_min, 1_000.0),
        ("/touches/strong_per_min", touches.strong_per_min, 10_000.0),
        ("/touches/other_per_min", touches.other_per_min, 10_000.0),
    ] {
        let fault = RangeFault::Between { value, least: 0.0, most };
        if !fault.holds() {
            wrong(at, fault.into());
        }
    }
    faults
}

fn lock_faults(problem: &Problem, lock: &Lock) -> Vec<InputError> {
    let mut faults = Vec::new();
    if lock.session >= problem.sessions.len() {
        let fault = ProblemFault::NoSession { session: lock.session, sessions: problem.sessions.len() };
        faults.push(InputError::at("/session", fault));
    }
    let ids = [Some(&lock.block.variant), lock.block.beside.as_ref()];
    for id in ids.into_iter().flatten().filter(|id| problem.variant(id).is_none()) {
        faults.push(InputError::at("/block", ProblemFault::NoVariant { id: id.clone() }));
    }
    faults
}
