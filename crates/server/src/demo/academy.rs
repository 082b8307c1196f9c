//! Who there is: clubs, teams, coaches.

use std::collections::{BTreeMap, BTreeSet};

use jiff::Timestamp;
use jogo_core::fact::Fact;
use jogo_core::season::slots::{Place, Slot, TimeOfDay};
use jogo_core::statistics::chance::Chance;
use jogo_core::units::{Metres, Minutes};
use jogo_store::Store;
use jogo_store::academy::places::TeamSlots;
use jogo_store::people::{NewPerson, Person, Role};
use uuid::Uuid;

use super::{Failed, PASSWORD};
use crate::sign_in::passwords;

/// A team in a few strokes.
pub struct Sketch {
    pub club: &'static str,
    pub name: &'static str,
    pub band: &'static str,
    /// Login and name of a coach whom the sign-in page offers; the others have invented names.
    pub coach: Option<(&'static str, &'static str)>,
    /// How reliably the coach keeps to the plan, 0 to 1.
    pub keeping: f64,
    /// Players; none if the team is new.
    pub squad: usize,
    /// How able the squad is on the whole, in standard deviations.
    pub knack: f64,
    /// A session (from 0) that was cancelled.
    pub lost: Option<usize>,
    /// Whether it trains a day later than its curriculum.
    pub a_day_later: bool,
}

impl Sketch {
    const fn of(
        club: &'static str,
        name: &'static str,
        band: &'static str,
        squad: usize,
        keeping: f64,
        knack: f64,
    ) -> Sketch {
        Sketch { club, name, band, coach: None, keeping, squad, knack, lost: None, a_day_later: false }
    }

    const fn by(self, login: &'static str, name: &'static str) -> Sketch {
        Sketch { coach: Some((login, name)), ..self }
    }

    const fn losing(self, session: usize) -> Sketch {
        Sketch { lost: Some(session), ..self }
    }

    const fn a_day_later(self) -> Sketch {
        Sketch { a_day_later: true, ..self }
    }
}

/// All teams, in the order in which they are added.
pub const SKETCHES: [Sketch; 24] = [
    Sketch::of("Harbour Lane", "Harbour Lane Blue", "u8-u9", 14, 0.92, 0.25).by("keya", "Keya Gairlow"),
    Sketch::of("North Beacon", "North Beacon Green", "u8-u9", 12, 0.62, -0.3).by("torik", "Torik Lundock"),
    Sketch::of("North Beacon", "North Beacon Red", "u8-u9", 13, 0.78, 0.0).by("fenik", "Fenik Voeby"),
    Sketch::of("Peat Hill", "Peat Hill U8–U9", "u8-u9", 15, 0.85, 0.1),
    Sketch::of("Tern Cove", "Tern Cove U8–U9", "u8-u9", 14, 0.7, -0.1),
    Sketch::of("Old Quarry", "Old Quarry U8–U9", "u8-u9", 12, 0.95, 0.3),
    Sketch::of("Harbour Lane", "Harbour Lane White", "u8-u9", 0, 0.9, 0.0).by("doven", "Doven Brinwick"),
    Sketch::of("Harbour Lane", "Harbour Lane U6–U7", "u6-u7", 16, 0.88, 0.2),
    Sketch::of("Peat Hill", "Peat Hill U6–U7", "u6-u7", 14, 0.75, 0.0).by("lorin", "Lorin Merrstay"),
    Sketch::of("Saltpan", "Saltpan U6–U7", "u6-u7", 15, 0.9, -0.2).losing(3),
    Sketch::of("Tern Cove", "Tern Cove U6–U7", "u6-u7", 13, 0.66, 0.1),
    Sketch::of("Millpond", "Millpond U6–U7", "u6-u7", 14, 0.83, -0.1).a_day_later(),
    Sketch::of("Harbour Lane", "Harbour Lane U10–U12", "u10-u12", 16, 0.93, 0.3).by("selo", "Selo Torrwick"),
    Sketch::of("North Beacon", "North Beacon U10–U12", "u10-u12", 14, 0.7, -0.2).losing(5),
    Sketch::of("Peat Hill", "Peat Hill U10–U12", "u10-u12", 15, 0.86, 0.0),
    Sketch::of("Saltpan", "Saltpan U10–U12", "u10-u12", 13, 0.81, 0.1).a_day_later(),
    Sketch::of("Tern Cove", "Tern Cove U10–U12", "u10-u12", 14, 0.58, -0.1),
    Sketch::of("Old Quarry", "Old Quarry U10–U12", "u10-u12", 16, 0.96, 0.2),
    Sketch::of("Millpond", "Millpond U10–U12", "u10-u12", 14, 0.79, 0.0),
    Sketch::of("Harbour Lane", "Harbour Lane U13–U15", "u13-u15", 16, 0.9, 0.2),
    Sketch::of("North Beacon", "North Beacon U13–U15", "u13-u15", 15, 0.72, -0.2),
    Sketch::of("Saltpan", "Saltpan U13–U15", "u13-u15", 14, 0.87, 0.0).losing(7),
    Sketch::of("Old Quarry", "Old Quarry U13–U15", "u13-u15", 15, 0.94, 0.3).by("hala", "Hala Skarlow"),
    Sketch::of("Millpond", "Millpond U13–U15", "u13-u15", 13, 0.68, -0.1),
];

/// A hall or pitch of a club, with its floor and who trains there: the team, from when, for how many minutes.
struct Trained {
    club: &'static str,
    place: &'static str,
    /// Width and depth, in metres; markers; teams at a time.
    floor: (f64, f64, u32, u32),
    teams: &'static [(&'static str, &'static str, u32)],
}

/// Where and when one club trains: two teams share the hall for three quarters of an hour.
const TRAINED: [Trained; 2] = [
    Trained {
        club: "Harbour Lane",
        place: "School hall",
        floor: (36.0, 12.0, 160, 2),
        teams: &[("Harbour Lane Blue", "17:00", 75), ("Harbour Lane White", "17:30", 75)],
    },
    Trained {
        club: "Harbour Lane",
        place: "Harbour grass",
        floor: (50.0, 40.0, 100, 1),
        teams: &[("Harbour Lane U10–U12", "18:30", 90)],
    },
];

/// There are not many more first names than this.
const FIRST_NAMES: usize = 60;

/// Teams with a second coach.
const WITH_TWO: [&str; 2] = ["Harbour Lane U10–U12", "Saltpan U6–U7"];

/// Puts people, clubs and teams into the database.
pub struct Cast<'s> {
    store: &'s Store,
    now: Timestamp,
    /// All sample people share one password.
    password: String,
    names: Chance,
    logins: BTreeSet<String>,
    clubs: BTreeMap<&'static str, Uuid>,
}

/// A team that is in the database.
#[derive(Clone, Copy)]
pub struct Team {
    pub id: Uuid,
    pub coach: Uuid,
}

impl<'s> Cast<'s> {
    pub fn new(store: &'s Store, now: Timestamp) -> Result<Cast<'s>, Failed> {
        let taken = SKETCHES.iter().filter_map(|sketch| sketch.coach).map(|(login, _)| login.to_owned());
        Ok(Cast {
            store,
            now,
            password: passwords::hash(PASSWORD).map_err(|fault| fault.to_string())?,
            names: Chance::seeded(1931),
            // Those who are added by name.
            logins: taken.chain(["director", "nelun"].map(str::to_owned)).collect(),
            clubs: BTreeMap::new(),
        })
    }

    pub async fn director(&mut self) -> Result<Uuid, Failed> {
        self.person("director", "Pelya Sullstay", Role::Director, true).await
    }

    /// Somebody who leads a club that is there.
    pub async fn lead(&mut self, login: &str, name: &str, club: &str) -> Result<(), Failed> {
        let person = self.person(login, name, Role::Coach, true).await?;
        let club = self.clubs.get(club).ok_or("a lead needs a club")?;
        Ok(self.store.add_lead(*club, person).await?)
    }

    async fn person(&mut self, login: &str, name: &str, role: Role, sample: bool) -> Result<Uuid, Failed> {
        let id = Uuid::now_v7();
        let person = Person { id, login: login.to_owned(), name: name.to_owned(), role };
        let new = NewPerson { person, password: self.password.clone(), sample };
        self.store.add_person(&new, self.now).await?;
        Ok(id)
    }

    /// Somebody with an invented name, who signs in by the first one.
    pub async fn invented(&mut self) -> Result<Uuid, Failed> {
        loop {
            let name = self.names.name();
            // Where all first names are taken, the whole name has to do.
            let whole = self.logins.len() > FIRST_NAMES;
            let login = if whole { &name } else { name.split(' ').next().unwrap_or_default() };
            let login = login.to_lowercase().replace(' ', ".");
            if self.logins.insert(login.clone()) {
                return self.person(&login, &name, Role::Coach, false).await;
            }
        }
    }

    /// Says when and where the teams of one club train: on two evenings of every week.
    pub async fn trains(&self) -> Result<(), Failed> {
        for Trained { club, place: name, floor: (width, depth, markers, at_once), teams } in TRAINED {
            let place = Uuid::now_v7();
            let id = self.clubs.get(club).ok_or("a place needs a club")?;
            let (width, depth) = (Metres(width), Metres(depth));
            let about = Place { name: name.into(), width, depth, markers, wall: true, teams: at_once };
            self.store.put_place(place, *id, &about).await?;
            for TeamSlots { team, .. } in self.store.slots_of_club(club).await? {
                let Some((_, from, minutes)) = teams.iter().find(|(name, ..)| *name == team.name) else {
                    continue;
                };
                let from = from.parse::<TimeOfDay>().map_err(|fault| Fact::from(fault).to_string())?;
                let minutes = Minutes(*minutes);
                let slots = [1, 4].map(|weekday| Slot { weekday, from, minutes, place: Some(place) });
                self.store.set_slots(team.id, &slots).await?;
            }
        }
        Ok(())
    }

    /// Adds a team with its coaches, and its club if that is new.
    pub async fn team(&mut self, sketch: &Sketch) -> Result<Team, Failed> {
        let club = match self.clubs.get(sketch.club) {
            Some(club) => *club,
            None => {
                let club = Uuid::now_v7();
                self.store.add_club(club, sketch.club).await?;
                self.clubs.insert(sketch.club, club);
                club
            }
        };
        let coach = match sketch.coach {
            Some((login, name)) => {
                let coach = self.person(login, name, Role::Coach, true).await?;
                self.store.set_email(coach, Some(&format!("{login}@skerrow.example"))).await?;
                coach
            }
            None => self.invented().await?,
        };
        let mut coaches = vec![coach];
        if WITH_TWO.contains(&sketch.name) {
            coaches.push(self.invented().await?);
        }
        let id = Uuid::now_v7();
        let band = sketch.band.parse()?;
        self.store.add_team(id, club, &band, sketch.name, &coaches).await?;
        Ok(Team { id, coach })
    }
}
