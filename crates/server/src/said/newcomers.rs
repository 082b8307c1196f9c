//! Players who come to a squad.

use jiff::civil::Date;
use jogo_core::academy::roster::{BirthMonth, LONGEST_NAME, MOST_PLAYERS, NewPlayer};
use jogo_core::fact::Fact;
use jogo_core::input::RangeFault;
use jogo_core::input::What;
use jogo_core::input::{InputError, short_text};
use jogo_core::technique::skill::Side;
use jogo_store::academy::teams::Player;
use serde::Deserialize;
use utoipa::ToSchema;
use uuid::Uuid;

use super::{Faults, Wrong};
use crate::problem::{Answer, Problem};

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Newcomer {
    /// Made on the device.
    id: Uuid,
    name: String,
    birth_month: String,
    strong_foot: Side,
}

#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Newcomers {
    players: Vec<Newcomer>,
}

impl Newcomers {
    /// The players, or what is wrong with them: with each field, so that a list is mended in one go.
    pub fn read(self, today: Date) -> Answer<Vec<Player>> {
        let (mut players, mut faults) = (Vec::new(), Faults::default());
        let count = self.players.len();
        if !(1..=MOST_PLAYERS).contains(&count) {
            let fault = RangeFault::Count { count, least: 1, most: MOST_PLAYERS };
            faults.0.push(InputError::at("/players", fault));
        }
        for (i, new) in self.players.into_iter().take(MOST_PLAYERS).enumerate() {
            match new.read(today) {
                Ok(player) => players.push(player),
                Err(wrong) => faults.0.extend(
                    wrong.into_iter().map(|(key, fact)| InputError::at(format!("/players/{i}/{key}"), fact)),
                ),
            }
        }
        faults.none()?;
        Ok(players)
    }
}

/// What is known of a player, corrected.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Corrected {
    name: String,
    birth_month: String,
    strong_foot: Side,
}

impl Corrected {
    /// What is known of them from now on, or what is wrong with it.
    pub fn read(self, today: Date) -> Answer<NewPlayer> {
        let Corrected { name, birth_month, strong_foot } = self;
        let read = Newcomer { id: Uuid::nil(), name, birth_month, strong_foot }.read(today);
        read.map(|player| player.about).map_err(|wrong| {
            Problem::input(
                wrong.into_iter().map(|(key, fact)| InputError::at(format!("/{key}"), fact)).collect(),
            )
        })
    }
}

impl Newcomer {
    fn read(self, today: Date) -> Result<Player, Vec<Wrong>> {
        let name = short_text(&self.name, LONGEST_NAME, What::Name);
        let name = name.map_err(|fault| ("name", Fact::from(fault)));
        let born = self.birth_month.parse().and_then(|month: BirthMonth| month.plausible(today));
        match (name, born.map_err(|fault| ("birth_month", Fact::from(fault)))) {
            (Ok(name), Ok(birth_month)) => {
                let about = NewPlayer { name, birth_month, strong_foot: self.strong_foot };
                Ok(Player { id: self.id, about })
            }
            (name, born) => Err([name.err(), born.err()].into_iter().flatten().collect()),
        }
    }
}
