//! Teams, and the players of their squads.

use std::collections::BTreeMap;

use jiff::Timestamp;
use jiff::civil::Date;
use jogo_core::academy::roster::{BirthMonth, NewPlayer};
use jogo_core::ids::BandId;
use jogo_core::technique::skill::Side;
use uuid::Uuid;

use crate::{Store, StoreError, Stored, Taken, assessment::counts, from_word, parsed, stamp, taken, to_word};

/// A team, with the name of its club.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Team {
    /// Id.
    pub id: Uuid,
    /// Its name.
    pub name: String,
    /// Its club.
    pub club: String,
    /// Its band.
    pub band: BandId,
}

/// A team as it is kept.
struct TeamRow {
    id: Uuid,
    name: String,
    club: String,
    band: String,
}

impl TryFrom<TeamRow> for Team {
    type Error = StoreError;

    fn try_from(row: TeamRow) -> Stored<Team> {
        let band = parsed("the band of a team", &row.band)?;
        Ok(Team { id: row.id, name: row.name, club: row.club, band })
    }
}

/// A child in a squad.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Player {
    /// Id.
    pub id: Uuid,
    /// What is known of them.
    pub about: NewPlayer,
}

/// A player as they are kept.
fn player(id: Uuid, name: String, birth_month: &str, strong_foot: &str) -> Stored<Player> {
    let birth_month = parsed("a birth month", birth_month)?;
    let strong_foot = from_word::<Side>("a strong foot", strong_foot)?;
    Ok(Player { id, about: NewPlayer { name, birth_month, strong_foot } })
}

impl Store {
    /// All teams of the academy, by club and name.
    pub async fn teams(&self) -> Stored<Vec<Team>> {
        let rows = sqlx::query_as!(
            TeamRow,
            r#"SELECT team.id AS "id: Uuid", team.name, club.name AS club, band FROM team JOIN club ON club.id = club
               ORDER BY club.name, team.name"#
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter().map(Team::try_from).collect()
    }

    /// The teams of a coach, by club and name.
    pub async fn teams_of(&self, person: Uuid) -> Stored<Vec<Team>> {
        let rows = sqlx::query_as!(
            TeamRow,
            r#"SELECT team.id AS "id: Uuid", team.name, club.name AS club, band
               FROM team_coach JOIN team ON team.id = team_coach.team JOIN club ON club.id = club
               WHERE person = ? ORDER BY club.name, team.name"#,
            person
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter().map(Team::try_from).collect()
    }

    /// A team.
    pub async fn team(&self, id: Uuid) -> Stored<Option<Team>> {
        let rows = sqlx::query_as!(
            TeamRow,
            r#"SELECT team.id AS "id: Uuid", team.name, club.name AS club, band FROM team JOIN club ON club.id = club
               WHERE team.id = ?"#,
            id
        )
        .fetch_optional(&self.read)
        .await?;
        rows.map(Team::try_from).transpose()
    }

    /// The squad of a team, in its order.
    pub async fn players(&self, team: Uuid) -> Stored<Vec<Player>> {
        let rows = sqlx::query!(
            r#"SELECT id AS "id: Uuid", name, birth_month, strong_foot FROM player
               WHERE team = ? AND left_on IS NULL ORDER BY place, id"#,
            team
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter().map(|row| player(row.id, row.name, &row.birth_month, &row.strong_foot)).collect()
    }

    /// The squads of all teams, each in its order, with the teams.
    pub async fn all_players(&self) -> Stored<Vec<(Uuid, Player)>> {
        let rows = sqlx::query!(
            r#"SELECT team AS "team: Uuid", id AS "id: Uuid", name, birth_month, strong_foot FROM player
               WHERE left_on IS NULL ORDER BY team, place, id"#
        );
        let rows = rows.fetch_all(&self.read).await?;
        rows.into_iter()
            .map(|row| Ok((row.team, player(row.id, row.name, &row.birth_month, &row.strong_foot)?)))
            .collect()
    }

    /// In teams of which bands the players of a team were before, each up to a day: the first one in another team.
    pub async fn earlier_bands(&self, team: Uuid) -> Stored<BTreeMap<Uuid, Vec<(Date, BandId)>>> {
        let rows = sqlx::query!(
            r#"SELECT player AS "player: Uuid", until, was.band FROM player
                   JOIN player_before ON player = player.id JOIN team AS was ON was.id = player_before.team
               WHERE player.team = ? ORDER BY player, until"#,
            team
        );
        let mut bands: BTreeMap<Uuid, Vec<(Date, BandId)>> = BTreeMap::new();
        for row in rows.fetch_all(&self.read).await? {
            let until = parsed("the day on which a player moved", &row.until)?;
            bands.entry(row.player).or_default().push((until, parsed("the band of a team", &row.band)?));
        }
        Ok(bands)
    }

    /// In which teams the players of a team were before, by name, each up to a day: the first one in another team.
    pub async fn earlier_teams(&self, team: Uuid) -> Stored<Vec<(Uuid, Date, String)>> {
        let rows = sqlx::query!(
            r#"SELECT player AS "player: Uuid", until, was.name FROM player
                   JOIN player_before ON player = player.id JOIN team AS was ON was.id = player_before.team
               WHERE player.team = ? ORDER BY player, until"#,
            team
        );
        let rows = rows.fetch_all(&self.read).await?.into_iter();
        rows.map(|row| Ok((row.player, parsed("the day on which a player moved", &row.until)?, row.name)))
            .collect()
    }

    /// When those were born who are, or once were, in a team of a band.
    pub async fn birth_months(&self, band: &BandId) -> Stored<BTreeMap<Uuid, BirthMonth>> {
        let band = band.as_str();
        let rows = sqlx::query!(
            r#"SELECT player.id AS "id!: Uuid", birth_month AS "birth_month!" FROM team
                   JOIN player ON player.team = team.id WHERE band = ?1
               UNION SELECT player.id, birth_month FROM team
                   JOIN player_before ON player_before.team = team.id
                   JOIN player ON player.id = player_before.player WHERE band = ?1"#,
            band
        )
        .fetch_all(&self.read)
        .await?;
        rows.into_iter().map(|row| Ok((row.id, parsed("a birth month", &row.birth_month)?))).collect()
    }

    /// Adds players to a squad, all of them or none. A player whose id the squad has already is left as they are, so
    /// that the same list may be sent twice.
    pub async fn add_players(&self, team: Uuid, players: &[Player], by: Uuid, at: Timestamp) -> Stored<u64> {
        let at = stamp(at);
        let mut tx = self.begin().await?;
        let first = sqlx::query_scalar!(
            r#"SELECT COALESCE(MAX(place) + 1, 0) AS "place!: i64" FROM player WHERE team = ?"#,
            team
        )
        .fetch_one(&mut *tx)
        .await?;
        let mut added = 0;
        for (place, Player { id, about }) in (first..).zip(players) {
            let owner = sqlx::query_scalar!(r#"SELECT team AS "team: Uuid" FROM player WHERE id = ?"#, id)
                .fetch_optional(&mut *tx)
                .await?;
            match owner {
                Some(owner) if owner == team => continue,
                Some(_) => {
                    return Err(Taken::OtherSquad.into());
                }
                None => {}
            }
            let (born, foot) = (about.birth_month.to_string(), to_word("a strong foot", &about.strong_foot)?);
            sqlx::query!(
                "INSERT INTO player (id, team, name, birth_month, strong_foot, place, added_by, added_at)
                 VALUES (?, ?, ?, ?, ?, ?, ?, ?)",
                id,
                team,
                about.name,
                born,
                foot,
                place,
                by,
                at
            )
            .execute(&mut *tx)
            .await
            .map_err(|e| taken(e, Taken::PlayerName { name: about.name.clone() }))?;
            added += 1;
        }
        counts::forget(&mut tx, team).await?;
        tx.commit().await?;
        Ok(added)
    }
}
