//! What a plan would be worth with other blocks in some sessions, without laying them: most changes that a search tries
//! are thrown away.

use crate::plan::search::ledger::{Ledger, Sum};
use crate::plan::search::line::{Exposure, Line};
use crate::plan::search::session::SessionSums;
use crate::plan::search::table::BlockRow;

/// A session as a change would lay it.
#[derive(Debug, Default)]
pub(in crate::plan) struct Relaid {
    pub session: usize,
    pub blocks: Vec<BlockRow>,
    pub sums: SessionSums,
}

/// What a point of the score, a block that left its session and a breach count.
#[derive(Clone, Copy, Debug)]
pub(in crate::plan) struct Prices {
    pub point: f64,
    pub breach: f64,
    /// Blocks of the plan that it is to stay near.
    pub stood: f64,
    /// What each block over a tenth of them costs that leaves its session, beside its point.
    pub loyalty: f64,
    /// What a minute of laying out counts beside its points.
    pub laying_out: f64,
}

impl Prices {
    /// The score of a plan, and what it costs that blocks have left their sessions.
    pub fn points(&self, ledger: &Ledger<'_>, sum: &Sum) -> f64 {
        let moved = f64::from(sum.sessions.moved);
        ledger.points(sum) + moved + self.loyalty * (moved - self.stood / 10.0).max(0.0)
    }

    /// What a plan is worth: its points and its breaches, each at its price.
    pub fn worth(&self, ledger: &Ledger<'_>, sum: &Sum) -> f64 {
        let points = self.points(ledger, sum) + self.laying_out * f64::from(sum.sessions.laying_out);
        self.point * points + self.breach * sum.all_breaches() as f64
    }
}

/// Room to reckon in.
#[derive(Default)]
pub(in crate::plan) struct Scales {
    touched: Vec<usize>,
    lines: Vec<(usize, Line)>,
    shown: Vec<Exposure>,
    sessions: Vec<usize>,
    /// Skills met first in a week: how many more or less.
    new: Vec<(usize, i32)>,
    needs: Vec<usize>,
}

impl Ledger<'_> {
    /// What the plan would be worth with these sessions, each named once; `None` if that is surely more than `most`.
    pub fn weigh(&self, relaid: &[Relaid], prices: &Prices, most: f64, scales: &mut Scales) -> Option<f64> {
        let mut sum = self.sum;
        for at in 0..relaid.len() {
            let new = &relaid[at];
            sum.sessions.exchange(&self.sums[new.session], &new.sums);
            let week = self.table.sessions[new.session].week;
            if !relaid[..at].iter().any(|other| self.table.sessions[other.session].week == week) {
                self.exchange_week(week, relaid, &mut sum);
            }
        }

        scales.touched.clear();
        for new in relaid {
            self.touch(new.session, &new.blocks, &new.sums, &mut scales.touched);
        }
        // The lines that are not reckoned yet may lose all their points, and every breach may go.
        let edge = self.edge_of(&sum.sessions);
        let points_of = |line: &Line| line.points + line.outside * edge;
        let mut rest: f64 = scales.touched.iter().map(|skill| points_of(&self.lines[*skill])).sum();
        let breaches = sum.breaches.max(0) as f64;
        let mut worth = prices.worth(self, &sum);
        let again = self.table.costs.again;
        let same = again * f64::from(self.sum.same);
        let floor =
            |worth: f64, rest: f64| worth - prices.point * (rest + same) - prices.breach * breaches - 1e-6;
        scales.lines.clear();
        for &skill in &scales.touched {
            if floor(worth, rest) > most {
                return None;
            }
            let old = &self.lines[skill];
            let new = self.line_with(skill, relaid, &mut scales.shown);
            worth += prices.point * (points_of(&new) - points_of(old));
            worth += prices.breach * (new.breaches - old.breaches) as f64;
            rest -= points_of(old);
            scales.lines.push((skill, new));
        }
        if floor(worth, 0.0) > most {
            return None;
        }
        let broken = self.newness_with(&scales.lines, &mut scales.new)
            + self.needs_with(&scales.lines, &mut scales.needs);
        worth += prices.breach * broken as f64
            + prices.point * again * self.sameness_with(relaid, &mut scales.sessions);
        (worth <= most).then_some(worth)
    }

    /// S5 and the headers of a week.
    fn exchange_week(&self, week: usize, relaid: &[Relaid], sum: &mut Sum) {
        let ((mut all, mut open), mut headers) = (self.week_minutes[week], self.headers[week]);
        for new in relaid.iter().filter(|new| self.table.sessions[new.session].week == week) {
            let old = &self.sums[new.session];
            all = all + new.sums.minutes - old.minutes;
            open = open + new.sums.open - old.open;
            headers += new.sums.headers - old.headers;
        }
        sum.open_play +=
            self.open_play_of(week, (all, open)) - self.open_play_of(week, self.week_minutes[week]);
        let with = |at: usize| match relaid.iter().find(|new| new.session == at) {
            Some(new) => &new.sums,
            None => &self.sums[at],
        };
        sum.off_theme += self.off_theme_of(week, with) - self.off_theme_of(week, |at| &self.sums[at]);
        sum.off_weekly =
            sum.off_weekly + self.off_weekly_of(week, with) - self.off_weekly_of(week, |at| &self.sums[at]);
        sum.breaches += self.too_many_headers(headers) - self.too_many_headers(self.headers[week]);
    }

    /// How many points of S7 come or go.
    fn sameness_with(&self, relaid: &[Relaid], reached: &mut Vec<usize>) -> f64 {
        reached.clear();
        for new in relaid {
            let old = &self.sessions[new.session];
            let stays = old.len() == new.blocks.len()
                && old.iter().zip(&new.blocks).all(|(old, new)| old.variant == new.variant);
            if !stays {
                for at in new.session..(new.session + 3).min(self.sessions.len()) {
                    if !reached.contains(&at) {
                        reached.push(at);
                    }
                }
            }
        }
        let same = |session: &usize| {
            let same = self.sameness_of(*session, |at| match relaid.iter().find(|new| new.session == at) {
                Some(new) => &new.blocks,
                None => &self.sessions[at],
            });
            f64::from(same) - f64::from(self.same[*session])
        };
        reached.iter().map(same).sum()
    }

    /// The line of a skill.
    fn line_with(&self, skill: usize, relaid: &[Relaid], shown: &mut Vec<Exposure>) -> Line {
        shown.clear();
        let changed = |session: usize| relaid.iter().find(|new| new.session == session);
        shown.extend(self.shown[skill].iter().filter(|shown| changed(shown.session).is_none()));
        for new in relaid {
            self.show_in(skill, new.session, &new.blocks, shown);
        }
        self.table.line(skill, shown, |session| match changed(session) {
            Some(new) => self.begins_late(skill, &new.blocks, new.sums.early),
            None => self.begins_late(skill, &self.sessions[session], self.sums[session].early),
        })
    }

    /// How many breaches of H4 come or go with other lines.
    fn newness_with(&self, lines: &[(usize, Line)], weeks: &mut Vec<(usize, i32)>) -> i64 {
        weeks.clear();
        for (skill, new) in lines.iter().filter(|(skill, _)| self.table.skills[*skill].new) {
            let old = self.lines[*skill].first;
            if old == new.first {
                continue;
            }
            for (first, by) in [(old, -1), (new.first, 1)] {
                let Some(first) = first.session() else { continue };
                let week = self.table.sessions[first].week;
                match weeks.iter_mut().find(|(there, _)| *there == week) {
                    Some((_, sum)) => *sum += by,
                    None => weeks.push((week, by)),
                }
            }
        }
        let broken = |(week, by): &(usize, i32)| {
            let met = self.new[*week];
            self.too_many_new(met.wrapping_add_signed(*by)) - self.too_many_new(met)
        };
        weeks.iter().map(broken).sum()
    }

    /// How many breaches of H2 come or go with other lines.
    fn needs_with(&self, lines: &[(usize, Line)], skills: &mut Vec<usize>) -> i64 {
        skills.clear();
        let mut reaches = |skill: usize| {
            if !skills.contains(&skill) {
                skills.push(skill);
            }
        };
        for (skill, new) in lines {
            let old = &self.lines[*skill];
            if old.first != new.first {
                reaches(*skill);
            }
            if old.done != new.done {
                self.table.skills[*skill].opens.iter().for_each(|opened| reaches(*opened));
            }
        }
        let line = |skill: usize| match lines.iter().find(|(there, _)| *there == skill) {
            Some((_, new)) => new,
            None => &self.lines[skill],
        };
        skills.iter().map(|skill| self.needs_broken(*skill, line) - self.needs[*skill]).sum()
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::plan::search::ledger::tests::{Edit, any_edits, any_problem, edited};
    use crate::plan::search::table::Table;
    use proptest::prelude::*;

    /// The change that edits come to, the last one of each session.
    fn change(ledger: &Ledger<'_>, edits: &[Edit]) -> Vec<Relaid> {
        let mut change: Vec<Relaid> = Vec::new();
        for edit in edits {
            let (session, blocks) = edited(ledger, edit);
            change.retain(|new| new.session != session);
            let sums = ledger.sums_with(session, &blocks);
            change.push(Relaid { session, blocks, sums });
        }
        change
    }

    proptest! {
        #![proptest_config(ProptestConfig::with_cases(96))]

        #[test]
        fn a_change_is_weighed_as_if_it_were_laid(
            made: u64, edits in any_edits(), headers: u32, at_once in 1usize..4, short in -60.0..60.0f64, near: bool
        ) {
            let problem = any_problem(made, headers);
            let table = Table::of(&problem);
            let mut laid = vec![Vec::new(); problem.sessions.len()];
            laid[0].push(BlockRow { variant: table.usable[0], minutes: 6, beside: None, locked: false });
            let mut ledger = Ledger::of(&table, laid.clone(), near.then_some(laid));
            let prices = Prices { point: 0.7, breach: 9.0, stood: 5.0, loyalty: 8.0, laying_out: 0.4 };
            let mut scales = Scales::default();
            for edits in edits.chunks(at_once) {
                let change = change(&ledger, edits);
                let weighed = ledger.weigh(&change, &prices, f64::INFINITY, &mut scales).unwrap_or(f64::NAN);
                let most = weighed + short;
                let within = ledger.weigh(&change, &prices, most, &mut scales);
                prop_assert_eq!(within.is_some(), short >= 0.0, "{} against {}", weighed, most);
                for new in &change {
                    ledger.put(new.session, &new.blocks, new.sums);
                }
                let worth = prices.worth(&ledger, &ledger.sum);
                prop_assert!((weighed - worth).abs() < 1e-6, "{} against {}", weighed, worth);
            }
        }
    }
}
