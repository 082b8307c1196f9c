//! When and where teams meet: the times of a club, what its teams share, and the floor that follows for each.

use std::collections::BTreeMap;

use jiff::Timestamp;
use jiff::civil::Date;
use jiff::tz::TimeZone;
use jogo_core::delivery::Said;
use jogo_core::delivery::edition::Edition;
use jogo_core::delivery::team_plan::TeamPlan;
use jogo_core::fact::Fact;
use jogo_core::ground::fit::Ground;
use jogo_core::ids::BandId;
use jogo_core::plan::curriculum::{Curriculum, Season};
use jogo_core::season::days_off::{DaysOff, Whose};
use jogo_core::season::slots::{Meeting, Place, Slot, TimeOfDay, meetings, slot_on, sure_ground};
use jogo_store::academy::places::TeamSlots;
use jogo_store::academy::teams::Team;
use jogo_store::season::days_off::KeptDaysOff;
use serde::Serialize;
use utoipa::ToSchema;
use uuid::Uuid;

use crate::facts::Letter;
use crate::problem::{Answer, Problem};
use crate::state::State;

/// When and where a session takes place.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, ToSchema)]
pub struct WhenWhere {
    /// When it begins, as `17:30`.
    #[schema(value_type = String)]
    pub from: TimeOfDay,
    /// When it ends.
    #[schema(value_type = String)]
    pub to: TimeOfDay,
    /// The same as moments, for calendars and for clocks elsewhere.
    #[schema(value_type = [String; 2])]
    pub moments: [Timestamp; 2],
    /// Where; absent if it is not known.
    pub place: Option<String>,
    /// Who else is there at that time.
    pub beside: Vec<String>,
    /// By which clock.
    #[serde(skip)]
    pub zone: TimeZone,
}

impl WhenWhere {
    /// As letters say it.
    pub fn said(&self) -> Letter {
        let (from, to) = (self.from, self.to);
        match self.place.clone() {
            Some(place) => Letter::WhenWhereLine { from, to, place },
            None => Letter::WhenLine { from, to },
        }
    }
}

/// When and where a team meets.
pub struct Times {
    team: Uuid,
    club: ClubTimes,
    zone: TimeZone,
}

/// The places of a club and the times of all its teams.
pub struct ClubTimes {
    /// Places by id.
    pub places: BTreeMap<Uuid, Place>,
    /// Teams by name.
    pub teams: Vec<TeamSlots>,
    meetings: Vec<Meeting<Uuid>>,
    /// Days off that concern the academy, the club or one of its teams.
    off: Vec<KeptDaysOff>,
}

impl ClubTimes {
    /// Those of a club by its name.
    pub async fn of(state: &State, club: &str) -> Answer<ClubTimes> {
        let (places, teams) = (state.store.places(club).await?, state.store.slots_of_club(club).await?);
        let of_team = |of: &TeamSlots| of.slots.iter().map(|slot| (of.team.id, *slot)).collect::<Vec<_>>();
        let meetings = meetings(&teams.iter().flat_map(of_team).collect::<Vec<_>>());
        let off = state.store.days_off_of_club(club).await?;
        Ok(ClubTimes { places, teams, meetings, off })
    }

    /// What is shared, in words: all of it, or what concerns one team.
    pub fn sharing(&self, team: Option<Uuid>) -> Vec<Fact> {
        let concerned =
            self.meetings.iter().filter(|meeting| team.is_none_or(|team| meeting.teams.contains(&team)));
        let said = concerned.filter_map(|meeting| {
            Some(meeting.said(self.places.get(&meeting.place)?, |team| self.name(*team)).into())
        });
        said.collect()
    }

    fn name(&self, team: Uuid) -> String {
        self.teams.iter().find(|of| of.team.id == team).map(|of| of.team.name.clone()).unwrap_or_default()
    }

    /// The slots of a team.
    pub fn slots(&self, team: Uuid) -> &[Slot] {
        self.teams.iter().find(|of| of.team.id == team).map_or(&[], |of| &of.slots)
    }

    /// The days on which a team has no session.
    pub fn days_off(&self, team: Uuid) -> Vec<DaysOff> {
        let concerns = |off: &&KeptDaysOff| match off.whose {
            Whose::Academy | Whose::Club { .. } => true,
            Whose::Team { team: of } => of == team,
        };
        self.off.iter().filter(concerns).map(|off| off.days.clone()).collect()
    }

    /// The days and the floor that a team is to have in a curriculum, where they are not those of the curriculum.
    pub fn wished(&self, team: Uuid, curriculum: &Curriculum) -> (Option<Season>, Option<Ground>) {
        let season = curriculum.season();
        let on_slots = season.on_slots(self.slots(team));
        let ground = self.ground(team, &curriculum.ground).filter(|ground| *ground != curriculum.ground);
        ((on_slots != season).then_some(on_slots), ground)
    }

    /// What a team has of its own in an edition that is new to it: its days and its floor, and no session on its days
    /// off.
    pub fn own_from_the_start(&self, team: Uuid, edition: &Edition, today: Date) -> Answer<TeamPlan> {
        let (own, nothing) = (TeamPlan::default(), Said::default());
        let settled = match self.wished(team, &edition.curriculum) {
            (None, None) => Ok(own),
            (season, ground) => own.settled(edition, season, ground, &nothing, today),
        };
        let off = self.days_off(team);
        settled.and_then(|own| own.with_days_off(edition, &nothing, &off, today)).map_err(Problem::input)
    }

    /// The floor of which a team is sure, beside what is its own.
    pub fn ground(&self, team: Uuid, own: &Ground) -> Option<Ground> {
        sure_ground(&team, self.slots(team), &self.places, &self.meetings, own)
    }
}

impl Times {
    /// Those of a team.
    pub async fn of(state: &State, team: &Team) -> Answer<Times> {
        let club = ClubTimes::of(state, &team.club).await?;
        Ok(Times { team: team.id, club, zone: state.zone().await? })
    }

    /// What it is called why there is no session on a day, if that day is off.
    pub fn off(&self, day: Date) -> Option<String> {
        self.club.days_off(self.team).into_iter().find(|off| off.has(day)).map(|off| off.name)
    }

    /// When and where the team meets on a day; `None` where no time is known.
    pub fn on(&self, day: Date) -> Option<WhenWhere> {
        let slot = slot_on(self.club.slots(self.team), day)?;
        let beside = self.club.meetings.iter().filter(|meeting| meeting.concerns(&self.team, slot));
        let mut beside: Vec<Uuid> = beside.flat_map(|meeting| &meeting.teams).copied().collect();
        beside.sort_unstable();
        beside.dedup();
        beside.retain(|team| *team != self.team);
        Some(WhenWhere {
            from: slot.from,
            to: slot.to(),
            moments: slot.on(day, &self.zone)?,
            place: slot.place.and_then(|place| self.club.places.get(&place)).map(|place| place.name.clone()),
            beside: beside.into_iter().map(|team| self.club.name(team)).collect(),
            zone: self.zone.clone(),
        })
    }
}

/// A team with its times.
#[derive(Serialize, ToSchema)]
pub struct TeamTimes {
    id: Uuid,
    name: String,
    band: BandId,
    slots: Vec<Slot>,
}

impl From<&TeamSlots> for TeamTimes {
    fn from(of: &TeamSlots) -> TeamTimes {
        let Team { id, name, band, .. } = of.team.clone();
        TeamTimes { id, name, band, slots: of.slots.clone() }
    }
}
