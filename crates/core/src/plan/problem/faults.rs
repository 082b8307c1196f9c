//! What is wrong with a problem that somebody else has written?

use std::collections::BTreeSet;

use crate::input::InputError;
use crate::plan::{Lock, Problem, SessionWish, SkillWish, Variant, VariantId};
use crate::units::Share;

/// So many sessions, skills and variants are taken at most: far more than any curriculum has, and few enough to answer.
const MOST: [(&str, usize); 3] = [("sessions", 140), ("skills", 200), ("variants", 2_000)];

pub(super) fn of(problem: &Problem) -> Vec<InputError> {
    let mut faults = Vec::new();
    if problem.version != 1 {
        faults.push(InputError::at("/version", format!("version {}: this reads version 1", problem.version)));
    }
    let counts = [problem.sessions.len(), problem.skills.len(), problem.variants.len()];
    for ((what, most), count) in MOST.iter().zip(counts).filter(|((_, most), count)| count > most) {
        faults.push(InputError::at(format!("/{what}"), format!("{count} {what}: at most {most}")));
    }
    if !faults.is_empty() {
        return faults;
    }
    faults.extend(problem.approach.faults().into_iter().map(|fault| fault.inside("/approach")));
    sessions(problem, &mut faults);
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
        let at = format!("/shares/{}", strand.to_string().replace(' ', "_"));
        faults.push(InputError::at(at, format!("{}: a share lies between 0 and 1", share.0)));
    }
    for (i, lock) in problem.locks.iter().enumerate() {
        faults.extend(lock_faults(problem, lock).into_iter().map(|f| f.inside(&format!("/locks/{i}"))));
    }
    faults
}

fn is_share(share: Share) -> bool {
    (0.0..=1.0).contains(&share.0)
}

fn twice(ids: impl Iterator<Item = String>, list: &str, faults: &mut Vec<InputError>) {
    let mut seen = BTreeSet::new();
    for (i, id) in ids.enumerate().filter(|(_, id)| !seen.insert(id.clone())) {
        faults.push(InputError::at(format!("/{list}/{i}/id"), format!("`{id}` stands here twice: keep one")));
    }
}

fn sessions(problem: &Problem, faults: &mut Vec<InputError>) {
    for (i, session) in problem.sessions.iter().enumerate() {
        let mut wrong = |at: &str, says: String| {
            faults.push(InputError::at(format!("/sessions/{i}{at}"), says));
        };
        if !(1..=240).contains(&session.minutes.0) {
            wrong("/minutes", format!("{}: a session has 1 to 240 min", session.minutes));
        }
        if !(1..=60).contains(&session.week) {
            wrong("/week", format!("week {}: weeks are counted from 1 to 60", session.week));
        }
        let before = i.checked_sub(1).map(|before| &problem.sessions[before]);
        if before.is_some_and(|b: &SessionWish| b.date > session.date || b.week > session.week) {
            wrong("/date", "sessions stand in the order of their dates and weeks: move it".into());
        }
        let tests: u64 = session.tests.iter().map(|test| u64::from(test.minutes.0)).sum();
        if tests > u64::from(session.minutes.0) {
            wrong("/tests", format!("the tests take {tests} min of {}: take one out", session.minutes));
        }
        for (t, test) in session.tests.iter().enumerate() {
            for id in test.skills.iter().filter(|id| problem.skill_index(id).is_none()) {
                wrong(&format!("/tests/{t}/skills"), unknown_skill(id));
            }
        }
    }
}

fn unknown_skill(id: &str) -> String {
    format!("no skill is called `{id}`: add it to `skills`, or leave it out here")
}

fn skill_faults(problem: &Problem, skill: &SkillWish) -> Vec<InputError> {
    let unknown = skill.needs.iter().enumerate().filter(|(_, n)| problem.skill_index(&n.skill).is_none());
    unknown.map(|(i, n)| InputError::at(format!("/needs/{i}/skill"), unknown_skill(&n.skill))).collect()
}

fn variant_faults(problem: &Problem, variant: &Variant) -> Vec<InputError> {
    let mut faults = Vec::new();
    let mut wrong = |at: &str, says: String| faults.push(InputError::at(at, says));
    let id = VariantId { drill: variant.drill.clone(), stage: variant.stage };
    if variant.id != id {
        wrong("/id", format!("`{}` is not its drill at its stage: write `{id}`", variant.id));
    }
    if variant.skills.is_empty() {
        wrong("/skills", "name at least one skill".into());
    }
    let distinct: BTreeSet<_> = variant.skills.iter().collect();
    if distinct.len() < variant.skills.len() {
        wrong("/skills", "a skill stands here twice: keep one".into());
    }
    for id in variant.skills.iter().filter(|id| problem.skill_index(id).is_none()) {
        wrong("/skills", unknown_skill(id));
    }
    if variant.least.0 == 0 || variant.least > variant.most || variant.most.0 > 240 {
        wrong("/least_min", "a block has 1 to 240 min, and its least is not over its most".into());
    }
    if variant.laying_out.0 > 240 {
        wrong("/laying_out_min", "laying out takes at most 240 min".into());
    }
    let touches = &variant.touches;
    for (at, share) in [
        ("/waiting", variant.waiting),
        ("/working", variant.working),
        ("/touches/other_wanted", touches.other_wanted),
    ] {
        if !is_share(share) {
            wrong(at, format!("{}: a share lies between 0 and 1", share.0));
        }
    }
    for (strand, share) in variant.strands.iter().filter(|(_, share)| !is_share(**share)) {
        wrong("/strands", format!("{} for {strand}: a share lies between 0 and 1", share.0));
    }
    for (at, value, most) in [
        ("/difficulty", variant.difficulty.0, 100.0),
        ("/bout_s", variant.bout.0, 14_400.0),
        ("/headers_per_min", variant.headers_per_min, 1_000.0),
        ("/touches/strong_per_min", touches.strong_per_min, 10_000.0),
        ("/touches/other_per_min", touches.other_per_min, 10_000.0),
    ] {
        if !(0.0..=most).contains(&value) {
            wrong(at, format!("{value}: between 0 and {most}"));
        }
    }
    faults
}

fn lock_faults(problem: &Problem, lock: &Lock) -> Vec<InputError> {
    let mut faults = Vec::new();
    if lock.session >= problem.sessions.len() {
        let says = format!("session {}: there are {}", lock.session, problem.sessions.len());
        faults.push(InputError::at("/session", says));
    }
    let ids = [Some(&lock.block.variant), lock.block.beside.as_ref()];
    for id in ids.into_iter().flatten().filter(|id| problem.variant(id).is_none()) {
        faults.push(InputError::at("/block", format!("no variant is called `{id}`: unlock it, or add it")));
    }
    faults
}
