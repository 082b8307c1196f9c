//! Hinges of a team: which skill is about to begin, and how does the team go on if it is not ready?

use jiff::civil::Date;

use crate::delivery::Said;
use crate::delivery::edition::Edition;
use crate::delivery::team_plan::{TeamPlan, Wait, as_run};
use crate::ids::SkillId;
use crate::input::InputError;
use crate::plan::curriculum::Mastery;
use crate::plan::hinge::meanwhile;
use crate::plan::search::solve::STEPS_NEAR;
use crate::plan::upset::fitting;
use crate::plan::{Problem, check, solve_rest};

/// A skill that waits for a team, and the session in which it would begin.
#[derive(Clone, Debug, PartialEq)]
pub struct Ahead {
    /// What has to be so.
    pub mastery: Mastery,
    /// The session, from 0.
    pub session: usize,
    /// Whether it is settled now: the session before it is over.
    pub due: bool,
}

impl TeamPlan {
    /// The hinges that a team has still before it: of each skill that it asks mastery for, the session in which the
    /// team would meet it. What was begun, what a coach let begin, and what lies behind is none.
    pub fn hinges(&self, own: &Edition, problem: &Problem, said: &Said, today: Date) -> Vec<Ahead> {
        let days = own.curriculum.session_days();
        let logged = said.next_session();
        // What was left out did not begin.
        let run = as_run(&own.plan, said);
        let ahead = |mastery: &Mastery| {
            let hinge = problem.hinges.iter().find(|hinge| hinge.skill == mastery.skill)?;
            let session = hinge.session(problem, &run)?;
            let day = days.get(session)?.date;
            let before = session.checked_sub(1).and_then(|before| days.get(before));
            let due = before.is_none_or(|before| before.date < today);
            let begun = day < today || session < logged || self.let_begin.contains(&mastery.skill);
            (!begun).then(|| Ahead { mastery: mastery.clone(), session, due })
        };
        own.curriculum.mastery.iter().filter_map(ahead).collect()
    }

    /// Goes on without a skill that was to begin in a session: that session has something else in its place, and the
    /// sessions after it are replanned, near what they were. `None` if nothing can stand there without a breach.
    ///
    /// Errs with the faults of the edition.
    pub fn waited(
        mut self,
        published: &Edition,
        said: &Said,
        session: usize,
        skill: &SkillId,
    ) -> Result<Option<TeamPlan>, Vec<InputError>> {
        let own = self.edition(published)?.knowing(said)?;
        let problem = Problem { locks: Vec::new(), ..own.problem()? };
        let hinge = problem.hinges.iter().find(|hinge| hinge.skill == *skill);
        let Some(instead) = hinge.and_then(|hinge| meanwhile(&problem, &own.plan, hinge, session)) else {
            return Ok(None);
        };
        let mut plan = own.plan;
        plan.sessions[session] = instead;
        let plan = plan.continuing(&published.plan);
        self.plan = Some(solve_rest(&problem, &fitting(&problem, &plan), session + 1, 1, STEPS_NEAR));
        let wait = Wait { session, skill: skill.clone() };
        if !self.waits.contains(&wait) {
            self.waits.push(wait);
        }
        Ok(Some(self))
    }

    /// The state to go back to when this one is undone. A skill that only this one waits for may begin there, or the
    /// team would wait for it again.
    #[must_use]
    pub fn taken_back(&self, mut before: TeamPlan) -> TeamPlan {
        let only_here = self.waits.iter().filter(|wait| !before.waits.contains(wait));
        let skills: Vec<SkillId> = only_here.map(|wait| wait.skill.clone()).collect();
        before.let_begin.extend(skills);
        before
    }

    /// Lets a skill begin by the coach's word. Where the team waits for it in a session that is still ahead, that
    /// session and those after it are again as they were published, and replanned where that breaks a rule.
    ///
    /// Errs with the faults of the edition.
    pub fn with_begun(
        mut self,
        published: &Edition,
        said: &Said,
        skill: &SkillId,
        today: Date,
    ) -> Result<TeamPlan, Vec<InputError>> {
        self.let_begin.insert(skill.clone());
        let own = self.edition(published)?.knowing(said)?;
        let days = own.curriculum.session_days();
        let logged = said.next_session();
        let still_ahead = |wait: &&Wait| {
            wait.skill == *skill
                && wait.session >= logged
                && days.get(wait.session).is_some_and(|day| day.date >= today)
        };
        let Some(from) = self.waits.iter().filter(still_ahead).map(|wait| wait.session).min() else {
            return Ok(self);
        };
        let problem = Problem { locks: Vec::new(), ..own.problem()? };
        let meant = self.on_its_days(published)?.plan;
        let mut plan = own.plan;
        for (laid, blocks) in plan.sessions.iter_mut().zip(meant.sessions).skip(from) {
            *laid = blocks;
        }
        let mut plan = fitting(&problem, &plan);
        if check(&problem, &plan).iter().any(|breach| breach.session >= from) {
            plan = solve_rest(&problem, &plan, from, 1, STEPS_NEAR);
        }
        self.waits.retain(|wait| wait.skill != *skill || wait.session < from);
        self.plan = Some(plan);
        Ok(self)
    }
}
