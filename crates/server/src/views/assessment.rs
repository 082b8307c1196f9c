//! What a team's players have shown by a day: results with their levels, milestones, both feet.

use std::collections::BTreeMap;
use std::sync::OnceLock;

use jiff::civil::Date;
use jogo_core::assessment::benchmarks::Test;
use jogo_core::assessment::levels::{Level, NearTheLine, Thresholds};
use jogo_core::assessment::milestones::ready::{Stands, stages_had};
use jogo_core::assessment::milestones::tally::Tally;
use jogo_core::assessment::milestones::{Milestone, Override, Shown, Standing};
use jogo_core::assessment::other_foot::{BothFeet, both_feet, foremost};
use jogo_core::assessment::reliability::Repeatability;
use jogo_core::assessment::results::{TestResult, Trial, counts, latest, results, results_of_their_day};
use jogo_core::assessment::standards::{self, Standard};
use jogo_core::delivery::eyes_on::Wanted;
use jogo_core::ids::{BandId, MilestoneId, SkillId, TestId};
use jogo_core::review::groups::FootBehind;
use jogo_core::technique::skill::Gate;
use jogo_store::Store;
use jogo_store::academy::teams::{Player, Team};
use jogo_store::assessment::levels::TeamCounts;
use jogo_store::assessment::milestones::KnownWord;
use uuid::Uuid;

use crate::problem::Answer;
use crate::state::State;
use crate::views::repeatability::Known;

/// Everything that has been measured, seen and said of a squad.
pub struct Assessment {
    /// The day by which it stands.
    pub on: Date,
    /// The tests for which the band has a standard, or in which the squad has results.
    pub tests: Vec<Test>,
    /// All tests.
    pub tests_known: Vec<Test>,
    /// The standards of the band.
    pub standards: Vec<Standard>,
    /// The squad.
    pub players: Vec<Player>,
    /// The milestones of all bands.
    pub milestones: Vec<Milestone>,
    /// How well the tests repeat themselves.
    repeatability: Known,
    band: BandId,
    /// Its band and the younger ones.
    up_to: Vec<BandId>,
    /// All results up to the day, by player, each with the level that it had in the band of its day.
    results: Vec<TestResult<Uuid>>,
    /// What they follow from.
    trials: Vec<Trial<Uuid>>,
    /// In which bands players were before, each up to a day.
    earlier: BTreeMap<Uuid, Vec<(Date, BandId)>>,
    /// The standards of all bands.
    all_standards: Vec<Standard>,
    /// The same results by the standards of each band that has milestones, worked out when they are asked for.
    judged: BTreeMap<BandId, OnceLock<Vec<TestResult<Uuid>>>>,
    words: Vec<KnownWord>,
}

/// Milestones of which bands?
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Bands {
    /// Those of the squad's own band.
    Own,
    /// Those of its own and of younger bands, each judged by the standards of its own band: nobody's milestone slips
    /// because they have grown older.
    UpToOwn,
}

/// The tests of a band: those for which it has a standard.
pub fn of_band(tests: Vec<Test>, standards: &[Standard]) -> Vec<Test> {
    tests.into_iter().filter(|test| standards.iter().any(|s| s.test == test.id)).collect()
}

/// By what the squads of a band are measured.
#[derive(Clone)]
pub struct Yardsticks {
    standards: Vec<Standard>,
    all_standards: Vec<Standard>,
    tests: Vec<Test>,
    milestones: Vec<Milestone>,
    up_to: Vec<BandId>,
    repeatability: Known,
}

impl Yardsticks {
    /// Those of a band.
    pub async fn of(state: &State, band: &BandId) -> Answer<Yardsticks> {
        let repeatability = state.repeatability(band).await?;
        Ok(Yardsticks { repeatability, ..Yardsticks::of_levels(&state.store, band).await? })
    }

    /// The same without how well tests repeat themselves: levels and milestones do not ask.
    pub async fn of_levels(store: &Store, band: &BandId) -> Answer<Yardsticks> {
        let bands = store.bands().await?;
        let oldest = bands.iter().find(|kept| kept.band.id == *band).map_or(0, |kept| kept.band.oldest);
        let up_to = bands.into_iter().filter(|kept| kept.band.oldest <= oldest);
        let all_standards = store.all_standards().await?;
        Ok(Yardsticks {
            standards: of_one(&all_standards, band),
            all_standards,
            tests: store.tests().await?,
            milestones: store.milestones().await?,
            up_to: up_to.map(|kept| kept.band.id).collect(),
            repeatability: Known::default(),
        })
    }
}

impl Assessment {
    /// As it stood at the end of a day.
    pub async fn of(state: &State, team: &Team, on: Date) -> Answer<Assessment> {
        let yardsticks = Yardsticks::of(state, &team.band).await?;
        Assessment::by(&yardsticks, &state.store, team, on).await
    }

    /// How many players stand on each level and have each milestone, by everything that is kept. No day decides it: a
    /// state moves with evidence alone.
    pub async fn counts(yardsticks: &Yardsticks, store: &Store, team: &Team) -> Answer<TeamCounts> {
        let all = Assessment::by(yardsticks, store, team, Date::MAX).await?;
        let players: Vec<_> =
            all.players.iter().map(|player| (player.id, player.about.strong_foot)).collect();
        let levels =
            counts(&of_band(all.tests.clone(), &all.standards), &players, &latest(all.judged_by(&all.band)));
        let standings: Vec<_> = all.players.iter().map(|player| all.standings(player, Bands::Own)).collect();
        let milestones = all.milestones.iter().filter(|milestone| milestone.band == all.band).enumerate();
        let tally = |place: usize| Tally::of(standings.iter().map(|of_player| of_player[place].1.state));
        let milestones = milestones.map(|(place, milestone)| (milestone.id.clone(), tally(place))).collect();
        Ok(TeamCounts { levels, milestones })
    }

    /// The same as [`Assessment::of`], by what has been read already of the band.
    pub async fn by(yardsticks: &Yardsticks, store: &Store, team: &Team, on: Date) -> Answer<Assessment> {
        let Yardsticks { standards, all_standards, tests, milestones, up_to, repeatability } =
            yardsticks.clone();
        let trials = store.trials(team.id).await?.into_iter().map(|known| known.trial);
        let trials: Vec<_> = trials.filter(|trial| trial.taken_on <= on).collect();
        let earlier = store.earlier_bands(team.id).await?;
        let results = results_of_their_day(&tests, &all_standards, &trials, |player, day| {
            band_then(&earlier, player, day).unwrap_or(&team.band)
        });
        let used = |test: &Test| {
            standards.iter().any(|s| s.test == test.id) || results.iter().any(|r| r.test == test.id)
        };
        Ok(Assessment {
            on,
            band: team.band.clone(),
            up_to,
            repeatability,
            players: store.players(team.id).await?,
            judged: milestones.iter().map(|milestone| (milestone.band.clone(), OnceLock::new())).collect(),
            trials,
            earlier,
            all_standards,
            milestones,
            words: store.words(team.id).await?,
            tests: tests.iter().filter(|test| used(test)).cloned().collect(),
            tests_known: tests,
            standards,
            results,
        })
    }

    /// All results of the squad.
    pub fn results(&self) -> &[TestResult<Uuid>] {
        &self.results
    }

    /// Of whom in the squad something is still to be seen for a milestone.
    pub fn wanted(&self, milestone: &Milestone) -> Vec<Wanted<Uuid>> {
        let of_player = |player: &Player| {
            let said = self.said(player, &milestone.id);
            let to_see =
                milestone.still_to_see(&self.tests, &self.shown(player, &milestone.band), &said, self.on)?;
            Some(Wanted { player: player.id, milestone: milestone.id.clone(), to_see })
        };
        self.players.iter().filter_map(of_player).collect()
    }

    /// A player's results, in the order of tests, sides and dates.
    pub fn results_of(&self, player: Uuid) -> &[TestResult<Uuid>] {
        of_player(&self.results, player)
    }

    /// Of a player's results, the latest of each test and side.
    pub fn latest_of(&self, player: Uuid) -> Vec<TestResult<Uuid>> {
        latest(self.results_of(player))
    }

    /// The milestones of these bands.
    pub fn milestones_of(&self, bands: Bands) -> impl Iterator<Item = &Milestone> {
        self.milestones.iter().filter(move |milestone| match bands {
            Bands::Own => milestone.band == self.band,
            Bands::UpToOwn => self.up_to.contains(&milestone.band),
        })
    }

    /// Where a player stands with each milestone of these bands.
    pub fn standings(&self, player: &Player, bands: Bands) -> Vec<(&Milestone, Standing)> {
        self.standings_on(player, bands, self.on)
    }

    /// The same as it was on an earlier day.
    pub fn standings_on(&self, player: &Player, bands: Bands, on: Date) -> Vec<(&Milestone, Standing)> {
        let stands = self.milestones_of(bands).map(|milestone| {
            let shown = self.shown(player, &milestone.band);
            let said = self.said(player, &milestone.id);
            (milestone, milestone.standing(&self.tests, &shown, &said, on))
        });
        stands.collect()
    }

    /// How many stages of a skill a player had by each of some days; nothing where nothing was known. Milestones of
    /// younger bands count as well.
    pub fn stages_by(&self, player: &Player, skill: &SkillId, days: &[Date]) -> Vec<Option<usize>> {
        let of_skill = self.milestones_of(Bands::UpToOwn).filter(|milestone| milestone.skill == *skill);
        let standings: Vec<(&Milestone, Vec<Standing>)> = of_skill
            .map(|milestone| {
                let shown = self.shown(player, &milestone.band);
                let said = self.said(player, &milestone.id);
                (milestone, milestone.standings(&self.tests, &shown, &said, days))
            })
            .collect();
        let on = |day: usize| standings.iter().map(move |(milestone, by_day)| (*milestone, &by_day[day]));
        (0..days.len()).map(|day| stages_had(&on(day).collect::<Vec<_>>(), skill)).collect()
    }

    /// Whether a player has passed a gate.
    pub fn gate(&self, player: &Player, gate: &Gate) -> bool {
        let said = gate.milestone().map(|milestone| self.said(player, milestone)).unwrap_or_default();
        let asked = self.milestones.iter().find(|milestone| Some(&milestone.id) == gate.milestone());
        let shown = self.shown(player, asked.map_or(&self.band, |milestone| &milestone.band));
        gate.is_passed(&self.milestones, &self.tests, &shown, &said, self.on)
    }

    /// The words of coaches on a player and a milestone, in their order.
    fn said(&self, player: &Player, milestone: &MilestoneId) -> Vec<Override> {
        let those = self.words.iter().filter(|w| w.player == player.id && w.milestone == *milestone);
        those.map(|known| known.word.clone()).collect()
    }

    /// What a player has shown, by the standards of a band: those of its milestones are asked of it.
    fn shown(&self, player: &Player, band: &BandId) -> Shown<'_, Uuid> {
        let results = of_player(self.judged_by(band), player.id);
        Shown { player: player.id, strong: player.about.strong_foot, results }
    }

    /// All results, each with the level that it has by the standards of a band on its day.
    fn judged_by(&self, band: &BandId) -> &[TestResult<Uuid>] {
        match self.judged.get(band) {
            Some(judged) if *band != self.band || !self.earlier.is_empty() => judged
                .get_or_init(|| results(&self.tests_known, &of_one(&self.all_standards, band), &self.trials)),
            _ => &self.results,
        }
    }

    /// What is known of how well a test repeats itself.
    pub fn known(&self, test: &TestId) -> Option<&Repeatability> {
        self.repeatability.get(test)?.as_ref().ok()
    }

    /// The thresholds of a test in a band that held on a day, with the test.
    fn thresholds(&self, test: &TestId, band: &BandId, day: Date) -> Option<(&Test, Thresholds)> {
        let test = self.tests.iter().find(|known| known.id == *test)?;
        let of_test = self.all_standards.iter().filter(|s| s.test == test.id && s.band == *band);
        Some((test, standards::on(of_test, day)?.thresholds))
    }

    /// Whether a result is near a line of the standard of its day.
    pub fn near(&self, result: &TestResult<Uuid>) -> Option<NearTheLine> {
        let band = band_then(&self.earlier, result.player, result.date).unwrap_or(&self.band);
        let (test, thresholds) = self.thresholds(&result.test, band, result.date)?;
        let error = self.known(&test.id)?.typical_error;
        thresholds.near_the_line(result.value, test.protocol.better(), error)
    }

    /// The level that a result has under the standard of the day by which this stands.
    pub fn level_now(&self, result: &TestResult<Uuid>) -> Option<Level> {
        let (test, thresholds) = self.thresholds(&result.test, &self.band, self.on)?;
        Some(thresholds.level(result.value, test.protocol.better()))
    }

    /// The dates on which a player was tested with both feet, by test.
    pub fn feet(&self, player: &Player) -> Vec<(&Test, Vec<BothFeet>)> {
        let of_player = (player.id, player.about.strong_foot);
        let per_side = self.tests.iter().filter(|test| test.per_side);
        let feet = per_side
            .map(|test| (test, both_feet(test, of_player, self.results_of(player.id), self.known(&test.id))));
        feet.filter(|(_, dates)| !dates.is_empty()).collect()
    }

    /// The test in which a player's other foot is to be looked at first, at its last date.
    pub fn foremost_foot(&self, player: &Player) -> Option<(&Test, BothFeet)> {
        let last: Vec<(&Test, BothFeet)> =
            self.feet(player).into_iter().filter_map(|(test, dates)| Some((test, *dates.last()?))).collect();
        foremost(&last).copied()
    }

    /// The tests in which a player's other foot is called behind at the last date.
    pub fn behind(&self, player: &Player) -> Vec<FootBehind> {
        let latest = self.latest_of(player.id);
        let last = self.feet(player).into_iter().filter_map(|(test, dates)| {
            let both = dates.last().copied().filter(|both| both.called)?;
            let strong = latest
                .iter()
                .find(|r| r.test == test.id && r.side == Some(player.about.strong_foot))
                .and_then(|r| r.level);
            Some(FootBehind { test: test.id.clone(), deficit: both.deficit, strong })
        });
        last.collect()
    }
}

/// Of standards, those of one band.
fn of_one(standards: &[Standard], band: &BandId) -> Vec<Standard> {
    standards.iter().filter(|standard| standard.band == *band).cloned().collect()
}

/// Of results by player, those of one.
fn of_player(results: &[TestResult<Uuid>], player: Uuid) -> &[TestResult<Uuid>] {
    let first = results.partition_point(|result| result.player < player);
    let after = results.partition_point(|result| result.player <= player);
    &results[first..after]
}

/// The band in which a player was on a day, if it is not certain that they were in the one of today.
fn band_then(earlier: &BTreeMap<Uuid, Vec<(Date, BandId)>>, player: Uuid, day: Date) -> Option<&BandId> {
    earlier.get(&player)?.iter().find(|(until, _)| day < *until).map(|(_, band)| band)
}

/// Standings as the rules ask for them.
pub fn stands<'a>(standings: &'a [(&'a Milestone, Standing)]) -> Vec<Stands<'a>> {
    standings.iter().map(|(milestone, standing)| (*milestone, standing)).collect()
}
