//! What happened: curricula that were published, sessions that were run or cancelled, results that were taken.

use crate::facts::Changed;
use jogo_core::fact::Fact;
use std::collections::BTreeMap;

use jiff::civil::Date;
use jiff::tz::TimeZone;
use jiff::{Timestamp, ToSpan};
use jogo_core::assessment::benchmarks::{Protocol, Test};
use jogo_core::assessment::results::{Origin, Trial};
use jogo_core::assessment::standards::{self, Standard};
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::log::BlockSaid;
use jogo_core::delivery::team_plan::TeamPlan;
use jogo_core::delivery::{Outcome, Said};
use jogo_core::plan::curriculum::{Curriculum, Season};
use jogo_core::plan::{BlockId, Plan, Remedy, solve};
use jogo_core::statistics::chance::Chance;
use jogo_core::technique::skill::Side;
use jogo_core::units::Minutes;
use jogo_store::Store;
use jogo_store::academy::teams::Player;
use jogo_store::assessment::trials::NewTrial;
use jogo_store::delivery::log::{LogEntries, NoteEntry, OutcomeEntry, PresenceEntry};
use jogo_store::library::Library;
use jogo_store::plan::NewEdition;
use uuid::Uuid;

use super::academy::{Sketch, Team};
use super::{Failed, file};

/// Steps of the planner for each plan of the demo: a demo is there soon rather than perfect.
const STEPS: u64 = 120_000;
/// How often a player is there.
const PRESENT: f64 = 0.88;
/// What a coach writes now and then.
const NOTES: [&str; 4] = [
    "Two balls were flat, bring the pump",
    "The hall was cold: shorter talk, more work",
    "Good eyes up today, one up next time",
    "We began ten minutes late",
];

pub struct Story<'s> {
    pub store: &'s Store,
    pub shelf: &'s Library,
    pub chance: Chance,
    pub now: Timestamp,
    pub today: Date,
    pub director: Uuid,
}

/// A curriculum of the story.
pub struct Told {
    pub id: Uuid,
    pub edition: Edition,
}

/// An edition that teams work by.
pub struct Published {
    pub id: Uuid,
    pub edition: Edition,
}

impl Story<'_> {
    /// Adds a curriculum in the wishes of a file, with a session on the weekday of its start and one three days later.
    pub async fn curriculum(
        &self,
        wishes: &str,
        name: Option<&str>,
        (start, weeks): (Date, u32),
        seed: u64,
    ) -> Result<Told, Failed> {
        let wishes: Curriculum = file(wishes)?;
        let later = start + 3.days();
        let weekdays = [start, later].map(|day| day.weekday().to_monday_one_offset()).to_vec();
        let season = Season { start, weeks, weekdays, holidays: Vec::new(), days_off: Vec::new() };
        let moved = wishes.in_season(&Plan::default(), &season);
        let (mut curriculum, _) = moved.map_err(|faults| faults[0].fact.to_string())?;
        curriculum.name = name.map_or(curriculum.name, str::to_owned);
        let band = self.shelf.bands.iter().find(|b| b.id == curriculum.band);
        let edition = Edition {
            academy: file("academy.json")?,
            curriculum,
            band: band.ok_or("the demo's band is missing")?.clone(),
            skills: self.shelf.skills.clone(),
            drills: self.shelf.drills.clone(),
            tests: self.shelf.tests.clone(),
            plan: Plan::default(),
            left: BTreeMap::new(),
            knack: 0.0,
        };
        let edition = edition.with_tests_laid(&self.shelf.milestones);
        let mut edition = edition.map_err(|faults| faults[0].fact.to_string())?;
        let problem = edition.problem().map_err(|faults| faults[0].fact.to_string())?;
        let solved = solve(&problem, seed, STEPS).map_err(|clash| clash.says.to_string())?;
        edition.plan = solved.plan.named(|| BlockId(Uuid::now_v7()));
        let id = Uuid::now_v7();
        self.store.add_curriculum(id, &edition.curriculum, &edition.plan, self.director, self.now).await?;
        Ok(Told { id, edition: edition.trimmed() })
    }

    /// Publishes a curriculum to the teams of its band, the day before it begins.
    pub async fn publishes(&self, told: Told) -> Result<Published, Failed> {
        let id = Uuid::now_v7();
        let edition = told.edition;
        let new =
            NewEdition { id, curriculum: told.id, edition: &edition, note: "First curriculum of the season" };
        let eve = at_six(edition.curriculum.start.yesterday()?)?;
        self.store.publish(new, &[], self.director, eve).await?;
        Ok(Published { id, edition })
    }

    /// What a team made of an edition: its squad, its results on some sessions, and its log of those that are over.
    pub async fn tells(
        &mut self,
        sketch: &Sketch,
        team: Team,
        published: &Published,
        sittings: &[usize],
    ) -> Result<(), Failed> {
        let own = self.own_plan(sketch, team, published).await?;
        let laid = own.edition(&published.edition).map_err(|faults| faults[0].fact.to_string())?;
        let squad = self.squad(sketch, team, &laid, sittings).await?;
        let log = self.log(sketch, published.id, &laid, &squad)?;
        Ok(self.store.add_log(team.id, &log, team.coach, self.now).await?)
    }

    /// What a team logs of the sessions of an edition that are over.
    pub fn log(
        &self,
        sketch: &Sketch,
        edition: Uuid,
        laid: &Edition,
        squad: &[Uuid],
    ) -> Result<LogEntries, Failed> {
        let mut log = self.outcomes(sketch, edition, laid)?;
        // Who was there is drawn on its own, so that it changes nothing else of the story.
        let chance =
            Chance::seeded(u64::from_be_bytes(*b"presence") ^ sketch.name.len() as u64 ^ sketch.squad as u64);
        present(&mut log, laid, squad, chance)?;
        Ok(log)
    }

    /// What the team has of its own: other days, a session that was cancelled.
    async fn own_plan(&self, sketch: &Sketch, team: Team, published: &Published) -> Result<TeamPlan, Failed> {
        let mut own = TeamPlan::default();
        let mut changes: Vec<(Fact, Date)> = Vec::new();
        let edition = &published.edition;
        if sketch.a_day_later {
            let mut season = edition.curriculum.season();
            season.start = season.start.tomorrow()?;
            season.weekdays.iter_mut().for_each(|day| *day = *day % 7 + 1);
            own.season = Some(season);
            changes.push((Changed::OwnDays.into(), edition.curriculum.start));
        }
        if let Some(session) = sketch.lost {
            let found = own.remedies(edition, &Said::default(), session, Minutes(0));
            let found = found.map_err(|faults| faults[0].fact.to_string())?;
            let squeezed = found.into_iter().find(|each| each.remedy == Remedy::Squeeze);
            own = own.gone_on(session, Minutes(0), squeezed.ok_or("a session cannot be squeezed in")?);
            let day = edition.curriculum.session_days()[session].date;
            changes.push((Changed::Cancelled { date: day.into() }.into(), day));
        }
        if let Some((what, day)) = changes.pop() {
            let assigned =
                self.store.editions_of_team(team.id).await?.pop().ok_or("a team has no edition")?;
            self.store.change_team_plan(team.id, &assigned, &own, &what, team.coach, at_six(day)?).await?;
            // As it is kept: its blocks have names.
            own = self.store.editions_of_team(team.id).await?.pop().ok_or("a team has no edition")?.own;
        }
        Ok(own)
    }

    /// A squad, and its results on some sessions; what was learned grows from the first to the last.
    async fn squad(
        &mut self,
        sketch: &Sketch,
        team: Team,
        laid: &Edition,
        sittings: &[usize],
    ) -> Result<Vec<Uuid>, Failed> {
        let born = self.today.year() - i16::from(laid.band.oldest) - 1;
        let mut players: Vec<Player> = Vec::new();
        while players.len() < sketch.squad {
            let about = self.chance.player(born);
            // Children of one squad are called by their first names.
            let called = |name: &str| name.split(' ').next().map(str::to_owned);
            if players.iter().all(|p| called(&p.about.name) != called(&about.name)) {
                players.push(Player { id: Uuid::now_v7(), about });
            }
        }
        self.store.add_players(team.id, &players, team.coach, self.now).await?;
        let knacks: Vec<f64> = players.iter().map(|_| sketch.knack + self.chance.normal()).collect();
        let mut trials = Vec::new();
        for test in &self.shelf.tests {
            let dates: Vec<Date> = laid.curriculum.session_days().iter().map(|day| day.date).collect();
            let (name, keeping, band) = (sketch.name, sketch.keeping, laid.band.id.as_str());
            let sat = Sat { name, keeping, band, dates: &dates, test, standards: &self.shelf.standards };
            trials.extend(sat.trials(&players, &knacks, sittings)?);
        }
        self.store.add_trials(team.id, &trials, &[], team.coach, self.now).await?;
        Ok(players.into_iter().map(|player| player.id).collect())
    }

    /// How the sessions went that are over; now and then a whole one goes without a log. It is drawn on its
    /// own, so that other plans do not give the players of the teams after it other names.
    fn outcomes(&self, sketch: &Sketch, edition: Uuid, laid: &Edition) -> Result<LogEntries, Failed> {
        let dates = laid.curriculum.session_days();
        let mut chance = Chance::named(&format!("evenings of {} of {}", sketch.name, sketch.club));
        let mut glance = Chance::named(&format!("tenths of {} of {}", sketch.name, sketch.club));
        let mut log = LogEntries::default();
        let over =
            laid.plan.sessions.iter().zip(&dates).enumerate().filter(|(_, (_, e))| e.date < self.today);
        for (session, (blocks, day)) in over {
            if chance.outcome(0.6 + 0.4 * sketch.keeping, Minutes(1)).0 == Outcome::Skipped {
                continue;
            }
            for (place, laid) in blocks.iter().enumerate() {
                let (outcome, minutes) = chance.outcome(sketch.keeping, laid.minutes);
                let said_at = at_six(day.date)? + (place as i64 * 10).minutes();
                let block = laid.id.ok_or("a block of the demo has no name")?;
                // Who keeps to the plan says of every other block how much came off.
                let tenths = (7.1 + 0.5 * sketch.knack + 1.2 * glance.normal()).round().clamp(1.0, 10.0);
                let is_said = glance.happens(sketch.keeping / 2.0) && outcome == Outcome::Done;
                let success = is_said.then_some(10 * tenths as u8);
                let said = BlockSaid { block, outcome, minutes, success, ran: None };
                log.outcomes.push(OutcomeEntry {
                    id: Uuid::now_v7(),
                    edition,
                    session: session as u32,
                    said,
                    said_at,
                });
            }
        }
        Ok(log)
    }
}

/// A test that a team sat.
pub struct Sat<'s> {
    pub name: &'s str,
    /// How reliably its coach keeps to the plan.
    pub keeping: f64,
    pub band: &'s str,
    /// Its sessions.
    pub dates: &'s [Date],
    pub test: &'s Test,
    pub standards: &'s [Standard],
}

/// Teams that keep to the plan as well as this take a test with one trial again on the session after the first.
const RETESTS: f64 = 0.9;

impl Sat<'_> {
    /// What was measured on some sessions; each test has a seed of its own, so that adding one leaves the
    /// results of the others as they were.
    pub fn trials(
        &self,
        players: &[Player],
        knacks: &[f64],
        sittings: &[usize],
    ) -> Result<Vec<NewTrial>, Failed> {
        let Sat { name, keeping, band, dates, test, standards } = *self;
        let mut chance = Chance::named(&format!("{name} {}", test.id));
        let of_test = |s: &&Standard| s.test == test.id && s.band == band;
        let of_test: Vec<Standard> = standards.iter().filter(of_test).cloned().collect();
        let last = sittings.len().max(2) - 1;
        let mut test_days: Vec<(usize, f64)> =
            sittings.iter().enumerate().map(|(nth, at)| (*at, nth as f64 / last as f64)).collect();
        if test.trials == 1 && keeping >= RETESTS {
            test_days.extend(sittings.first().map(|first| (first + 1, 0.0)));
        }
        let sides: &[Option<Side>] =
            if test.per_side { &[Some(Side::Left), Some(Side::Right)] } else { &[None] };
        let mut trials = Vec::new();
        for (date, part) in test_days.iter().filter_map(|(at, part)| Some((*dates.get(*at)?, *part))) {
            let Some(standard) = standards::on(&of_test, date) else { continue };
            for (player, knack) in players.iter().zip(knacks) {
                for (side, _) in sides.iter().flat_map(|side| (0..test.trials).map(move |n| (*side, n))) {
                    let other = side.is_some_and(|side| side != player.about.strong_foot);
                    let practice = keeping * part;
                    let value = chance.trial(test, &standard.thresholds, *knack, other, practice);
                    let marks = match &test.protocol {
                        Protocol::Points { points } => chance.marks(points.len(), value),
                        _ => Vec::new(),
                    };
                    let (player, test) = (player.id, test.id.clone());
                    let trial = Trial { player, test, taken_on: date, side, value, marks };
                    let (id, said_at) = (Uuid::now_v7(), at_six(date)?);
                    trials.push(NewTrial { id, trial, said_at, origin: Origin::Entered });
                }
            }
        }
        Ok(trials)
    }
}

/// Who was there on the sessions that have a log, and a line now and then.
fn present(log: &mut LogEntries, laid: &Edition, squad: &[Uuid], mut chance: Chance) -> Result<(), Failed> {
    let dates = laid.curriculum.session_days();
    let mut sessions: Vec<u32> = log.outcomes.iter().map(|entry| entry.session).collect();
    sessions.dedup();
    for session in sessions {
        let day = dates[session as usize].date;
        let said_at = at_six(day)? + 5.minutes();
        for player in squad {
            let present = chance.happens(PRESENT);
            log.presence.push(PresenceEntry { id: Uuid::now_v7(), player: *player, day, present, said_at });
        }
        if chance.happens(0.2) {
            let says = NOTES[(session as usize + squad.len()) % NOTES.len()].to_owned();
            log.notes.push(NoteEntry {
                id: Uuid::now_v7(),
                day,
                says,
                about: Vec::new(),
                said_at: said_at + 45.minutes(),
            });
        }
    }
    Ok(())
}

fn at_six(day: Date) -> Result<Timestamp, jiff::Error> {
    TimeZone::UTC.to_timestamp(day.at(18, 0, 0, 0))
}
