//! A team's sessions on days off: they are cancelled before anybody has to think of it.

use jiff::civil::Date;

use crate::delivery::Said;
use crate::delivery::edition::Edition;
use crate::delivery::team_plan::{TeamPlan, Upset};
use crate::input::InputError;
use crate::plan::search::solve::STEPS_NEAR;
use crate::plan::upset::fitting;
use crate::plan::{Problem, advised, solve_rest};
use crate::season::days_off::DaysOff;
use crate::units::Minutes;

impl TeamPlan {
    /// The same with no session on a day off, from a day on: each is cancelled with the remedy that breaks fewest
    /// rules, and one whose day is off no more is held again, with blocks near the rest of the plan. Sessions keep
    /// their numbers, so that a log from a phone that has not heard of it lands where it belongs. Nothing that was
    /// logged changes, and what a coach cancelled stays so. Some hundred milliseconds for each session that changes.
    ///
    /// Errs with the faults of what the team has of its own.
    pub fn with_days_off(
        &self,
        published: &Edition,
        said: &Said,
        off: &[DaysOff],
        from: Date,
    ) -> Result<TeamPlan, Vec<InputError>> {
        let mut own = self.clone();
        let days = self.on_its_days(published)?.curriculum.session_days();
        let ahead = days.iter().enumerate().skip(said.next_session()).filter(|(_, day)| day.date >= from);
        for (session, day) in ahead {
            let is_off = off.iter().any(|each| each.has(day.date));
            match own.upsets.get(&session) {
                Some(Upset { day_off: true, .. }) if !is_off => {
                    own = own.held_again(published, said, session)?
                }
                Some(Upset { left: Minutes(0), .. }) => (),
                _ if is_off => own = own.off(published, said, session)?,
                _ => (),
            }
        }
        Ok(own)
    }

    fn off(self, published: &Edition, said: &Said, session: usize) -> Result<TeamPlan, Vec<InputError>> {
        let found = self.remedies(published, said, session, Minutes(0))?;
        let best = advised(&found);
        let Some(going_on) = found.into_iter().find(|each| Some(each.remedy) == best) else {
            return Ok(self);
        };
        let remedy = going_on.remedy;
        let mut own = self.gone_on(session, Minutes(0), going_on);
        own.upsets.insert(session, Upset { left: Minutes(0), remedy, day_off: true });
        Ok(own)
    }

    fn held_again(
        mut self,
        published: &Edition,
        said: &Said,
        session: usize,
    ) -> Result<TeamPlan, Vec<InputError>> {
        self.upsets.remove(&session);
        self.moved_tests.retain(|moved| moved.from != session);
        let laid = self.edition(published)?.knowing(said)?;
        let problem = Problem { locks: Vec::new(), ..laid.problem()? };
        let plan = solve_rest(&problem, &fitting(&problem, &laid.plan), session, 1, STEPS_NEAR);
        self.plan = Some(plan);
        Ok(self)
    }

    /// The same with every session held that was cancelled for a day off, as long as no other was: what it has planned
    /// there is empty.
    pub(super) fn without_days_off(mut self) -> TeamPlan {
        self.upsets.retain(|_, upset| !upset.day_off);
        if self.upsets.is_empty() {
            self.moved_tests.clear();
        }
        self
    }
}
