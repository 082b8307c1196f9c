//! The demo academy: an autumn that is over, with what happened in it, and a winter that waits to be published.

use std::collections::BTreeMap;

use jiff::civil::Date;
use jiff::tz::TimeZone;
use jiff::{Timestamp, ToSpan};
use jogo_core::curriculum::Curriculum;
use jogo_core::delivery::Outcome;
use jogo_core::edition::Edition;
use jogo_core::plan::solve;
use jogo_core::results::Trial;
use jogo_core::simulate::Chance;
use jogo_core::skill::{Side, Skill, Strand};
use jogo_core::standards;
use jogo_core::units::Minutes;
use jogo_store::Store;
use jogo_store::curricula::NewEdition;
use jogo_store::library::Library;
use jogo_store::log::{BlockSaid, LogEntries, OutcomeEntry};
use jogo_store::people::{NewPerson, Person, Role};
use jogo_store::teams::Player;
use jogo_store::trials::NewTrial;
use rust_embed::Embed;
use serde::de::DeserializeOwned;
use uuid::Uuid;

use crate::clock::Clock;
use crate::passwords;

/// The password of every sample person.
pub const PASSWORD: &str = "skerrow-floor";

/// Steps of the planner for each plan of the demo: a demo is there soon rather than perfect.
const STEPS_OF_DEMO: u64 = 60_000;

#[derive(Embed)]
#[folder = "../../demo"]
struct Files;

/// Why the demo could not be made.
type Failed = Box<dyn std::error::Error>;

fn file<T: DeserializeOwned>(name: &str) -> Result<T, Failed> {
    let file = Files::get(name).ok_or_else(|| format!("demo/{name} is missing"))?;
    serde_json::from_slice(&file.data).map_err(|e| format!("demo/{name}: {e}").into())
}

/// The demo's library.
pub fn library() -> Result<Library, Failed> {
    let mut names: Vec<_> = Files::iter().filter(|name| name.starts_with("drills/")).collect();
    names.sort();
    let mut skills = Vec::new();
    for strand in Strand::ALL {
        let name = strand.to_string().replace(' ', "_");
        skills.extend(file::<Vec<Skill>>(&format!("skills/{name}.json"))?);
    }
    Ok(Library {
        bands: file("bands.json")?,
        skills,
        drills: names.iter().map(|name| file(name)).collect::<Result<_, _>>()?,
        tests: file("tests.json")?,
        standards: file("standards.json")?,
    })
}

/// A team of the demo, its coach, and how reliably the coach keeps to the plan.
struct TeamPlan {
    club: &'static str,
    name: &'static str,
    coach: (&'static str, &'static str),
    keeping: f64,
    squad: usize,
    knack: f64,
}

const TEAMS: [TeamPlan; 4] = [
    TeamPlan {
        club: "Harbour Lane",
        name: "Harbour Lane Blue",
        coach: ("keya", "Keya Gairlow"),
        keeping: 0.92,
        squad: 14,
        knack: 0.25,
    },
    TeamPlan {
        club: "Harbour Lane",
        name: "Harbour Lane White",
        coach: ("doven", "Doven Brinwick"),
        keeping: 0.9,
        squad: 0,
        knack: 0.0,
    },
    TeamPlan {
        club: "North Beacon",
        name: "North Beacon Green",
        coach: ("torik", "Torik Lundock"),
        keeping: 0.62,
        squad: 12,
        knack: -0.3,
    },
    TeamPlan {
        club: "North Beacon",
        name: "North Beacon Red",
        coach: ("fenik", "Fenik Voeby"),
        keeping: 0.78,
        squad: 13,
        knack: 0.0,
    },
];

/// Fills an empty database.
pub async fn fill(store: &Store, clock: &Clock) -> Result<(), Failed> {
    let now = clock.now();
    let today = clock.today(&TimeZone::UTC);
    let library = library()?;
    store.set_academy("Skerrow Islands Youth Football", "UTC").await?;
    store.change_settings(&file("academy.json")?, 1).await?;
    store.put_library(&library, now).await?;
    let director = add_person(store, ("director", "Pelya Sullstay"), Role::Director, now).await?;

    for (place, band) in (0_i64..).zip(&library.bands) {
        let template = file(&format!("templates/{}.json", band.id))?;
        store.put_template(&band.id, place, &template).await?;
    }
    let mut story = Story { store, shelf: &library, chance: Chance::seeded(2031), now, today };
    let (autumn_id, autumn) =
        story.curriculum("Autumn with the ball", today - 42.days(), 11, director).await?;
    let mut clubs: Vec<(&str, Uuid)> = Vec::new();
    let mut teams = Vec::new();
    for plan in &TEAMS {
        let club = match clubs.iter().find(|(name, _)| *name == plan.club) {
            Some((_, id)) => *id,
            None => {
                let id = Uuid::now_v7();
                store.add_club(id, plan.club).await?;
                clubs.push((plan.club, id));
                id
            }
        };
        let coach = add_person(store, plan.coach, Role::Coach, now).await?;
        teams.push((plan, Uuid::now_v7(), club, coach));
    }
    // A team without a squad is new this winter: it joins after the autumn.
    for (plan, id, club, coach) in teams.iter().filter(|(plan, ..)| plan.squad > 0) {
        store.add_team(*id, *club, &autumn.band.id, plan.name, &[*coach]).await?;
    }
    let edition = Uuid::now_v7();
    store
        .publish(
            NewEdition {
                id: edition,
                curriculum: autumn_id,
                edition: &autumn,
                note: "First curriculum of the season",
            },
            &[],
            director,
            now - (43 * 24).hours(),
        )
        .await?;
    for (plan, id, _, coach) in teams.iter().filter(|(plan, ..)| plan.squad > 0) {
        story.squad(plan, *id, *coach, &autumn).await?;
        story.evenings(plan, *id, *coach, edition, &autumn).await?;
    }
    for (plan, id, club, coach) in teams.iter().filter(|(plan, ..)| plan.squad == 0) {
        store.add_team(*id, *club, &autumn.band.id, plan.name, &[*coach]).await?;
    }
    story.curriculum("Winter with the ball", today, 7, director).await?;
    Ok(())
}

async fn add_person(
    store: &Store,
    (login, name): (&str, &str),
    role: Role,
    now: Timestamp,
) -> Result<Uuid, Failed> {
    let id = Uuid::now_v7();
    let person = Person { id, login: login.to_owned(), name: name.to_owned(), role };
    let password = passwords::hash(PASSWORD)?;
    store.add_person(&NewPerson { person, password, sample: true }, now).await?;
    Ok(id)
}

struct Story<'s> {
    store: &'s Store,
    shelf: &'s Library,
    chance: Chance,
    now: Timestamp,
    today: Date,
}

impl Story<'_> {
    /// Adds a curriculum that begins on a day, with an evening on that weekday and one three days later.
    async fn curriculum(
        &self,
        name: &str,
        start: Date,
        seed: u64,
        by: Uuid,
    ) -> Result<(Uuid, Edition), Failed> {
        let mut curriculum: Curriculum = file("curriculum.json")?;
        curriculum.name = name.to_owned();
        curriculum.start = start;
        let later = start + 3.days();
        curriculum.weekdays = [start, later].map(|day| day.weekday().to_monday_one_offset()).to_vec();
        let band =
            self.shelf.bands.iter().find(|b| b.id == curriculum.band).ok_or("the demo's band is missing")?;
        let mut edition = Edition {
            academy: file("academy.json")?,
            curriculum,
            band: band.clone(),
            skills: self.shelf.skills.clone(),
            drills: self.shelf.drills.clone(),
            tests: self.shelf.tests.clone(),
            plan: jogo_core::plan::Plan::default(),
            left: BTreeMap::new(),
        };
        let problem = edition.problem().map_err(|faults| faults[0].detail.clone())?;
        edition.plan = solve(&problem, seed, STEPS_OF_DEMO).map_err(|clash| clash.says)?.plan;
        let id = Uuid::now_v7();
        self.store.add_curriculum(id, &edition.curriculum, &edition.plan, by, self.now).await?;
        Ok((id, edition.trimmed()))
    }

    /// A squad, and its results on the second and the last evening of a curriculum.
    async fn squad(
        &mut self,
        plan: &TeamPlan,
        team: Uuid,
        coach: Uuid,
        edition: &Edition,
    ) -> Result<(), Failed> {
        let born = self.today.year() - i16::from(edition.band.oldest) - 1;
        let mut players: Vec<Player> = Vec::new();
        while players.len() < plan.squad {
            let about = self.chance.player(born);
            // Children of one squad are called by their first names.
            let called = |name: &str| name.split(' ').next().map(str::to_owned);
            if players.iter().all(|p| called(&p.about.name) != called(&about.name)) {
                players.push(Player { id: Uuid::now_v7(), about });
            }
        }
        self.store.add_players(team, &players, coach, self.now).await?;
        let dates = edition.curriculum.evenings();
        let mut trials = Vec::new();
        let knacks: Vec<f64> = players.iter().map(|_| plan.knack + self.chance.normal()).collect();
        for (evening, practice) in [(dates[1], 0.0), (dates[dates.len() - 1], plan.keeping)] {
            for test in &self.shelf.tests {
                let of_test: Vec<_> =
                    self.shelf.standards.iter().filter(|s| s.test == test.id).cloned().collect();
                let Some(standard) = standards::on(&of_test, evening.date) else { continue };
                for (player, knack) in players.iter().zip(&knacks) {
                    let sides: &[Option<Side>] =
                        if test.per_side { &[Some(Side::Left), Some(Side::Right)] } else { &[None] };
                    for side in sides {
                        let other = side.is_some_and(|s| s != player.about.strong_foot);
                        for _ in 0..test.trials {
                            let value =
                                self.chance.trial(test, &standard.thresholds, *knack, other, practice);
                            trials.push(NewTrial {
                                said_at: at_six(evening.date)?,
                                id: Uuid::now_v7(),
                                trial: Trial {
                                    player: player.id,
                                    test: test.id.clone(),
                                    taken_on: evening.date,
                                    side: *side,
                                    value,
                                },
                            });
                        }
                    }
                }
            }
        }
        Ok(self.store.add_trials(team, &trials, &[], coach, self.now).await?)
    }

    /// What became of every evening; now and then a whole one goes without a log.
    async fn evenings(
        &mut self,
        plan: &TeamPlan,
        team: Uuid,
        coach: Uuid,
        edition: Uuid,
        laid: &Edition,
    ) -> Result<(), Failed> {
        let dates = laid.curriculum.evenings();
        let mut entries = Vec::new();
        for (session, (blocks, evening)) in laid.plan.sessions.iter().zip(&dates).enumerate() {
            if self.chance.outcome(0.6 + 0.4 * plan.keeping, Minutes(1)).0 == Outcome::Skipped {
                continue;
            }
            for (block, laid) in blocks.iter().enumerate() {
                let (outcome, minutes) = self.chance.outcome(plan.keeping, laid.minutes);
                let said_at = at_six(evening.date)? + (block as i64 * 10).minutes();
                let (session, block) = (session as u32, block as u32);
                let said = BlockSaid { block, outcome, minutes, success: None, ran: None };
                entries.push(OutcomeEntry { id: Uuid::now_v7(), edition, session, said, said_at });
            }
        }
        let entries = LogEntries { outcomes: entries, ..LogEntries::default() };
        Ok(self.store.add_log(team, &entries, coach, self.now).await?)
    }
}

fn at_six(day: Date) -> Result<Timestamp, jiff::Error> {
    TimeZone::UTC.to_timestamp(day.at(18, 0, 0, 0))
}
