//! Clubs: who leads them, their teams, and who coaches these.

use std::collections::BTreeMap;

use jogo_core::ids::BandId;
use uuid::Uuid;

use crate::academy::teams::Team;
use crate::{Store, Stored, Taken, parsed, taken};

/// Somebody, by name.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Named {
    /// Id.
    pub id: Uuid,
    /// The name that is shown.
    pub name: String,
}

/// A team with its coaches.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct StaffedTeam {
    /// The team.
    pub team: Team,
    /// Who coaches it, by name.
    pub coaches: Vec<Named>,
    /// How many players it has.
    pub players: i64,
}

/// A club with all that belongs to it.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Club {
    /// Id.
    pub id: Uuid,
    /// Its name.
    pub name: String,
    /// Who leads it, by name.
    pub leads: Vec<Named>,
    /// Its teams, by name.
    pub teams: Vec<StaffedTeam>,
}

impl Store {
    /// Adds a club; one whose id is known already is left as it is.
    pub async fn add_club(&self, id: Uuid, name: &str) -> Stored<()> {
        sqlx::query!("INSERT INTO club (id, name) VALUES (?, ?) ON CONFLICT (id) DO NOTHING", id, name)
            .execute(&self.write)
            .await
            .map_err(|e| taken(e, Taken::ClubName { name: name.to_owned() }))?;
        Ok(())
    }

    /// The name of a club.
    pub async fn club_name(&self, id: Uuid) -> Stored<Option<String>> {
        Ok(sqlx::query_scalar!("SELECT name FROM club WHERE id = ?", id).fetch_optional(&self.read).await?)
    }

    /// Gives a club another name; false if there is none.
    pub async fn rename_club(&self, id: Uuid, name: &str) -> Stored<bool> {
        let renamed = sqlx::query!("UPDATE club SET name = ? WHERE id = ?", name, id)
            .execute(&self.write)
            .await
            .map_err(|e| taken(e, Taken::ClubName { name: name.to_owned() }))?;
        Ok(renamed.rows_affected() > 0)
    }

    /// Adds a team to a club, with its coaches; one whose id is known already is left as it is.
    pub async fn add_team(
        &self,
        id: Uuid,
        club: Uuid,
        band: &BandId,
        name: &str,
        coaches: &[Uuid],
    ) -> Stored<()> {
        let band = band.as_str();
        let mut tx = self.begin().await?;
        let added = sqlx::query!(
            "INSERT INTO team (id, club, band, name) VALUES (?, ?, ?, ?) ON CONFLICT (id) DO NOTHING",
            id,
            club,
            band,
            name
        )
        .execute(&mut *tx)
        .await
        .map_err(|e| taken(e, Taken::TeamName { name: name.to_owned() }))?;
        if added.rows_affected() > 0 {
            for coach in coaches {
                sqlx::query!("INSERT INTO team_coach (team, person) VALUES (?, ?)", id, coach)
                    .execute(&mut *tx)
                    .await?;
            }
        }
        Ok(tx.commit().await?)
    }

    /// Gives a team another name and other coaches.
    pub async fn change_team(&self, id: Uuid, name: &str, coaches: &[Uuid]) -> Stored<()> {
        let mut tx = self.begin().await?;
        sqlx::query!("UPDATE team SET name = ? WHERE id = ?", name, id)
            .execute(&mut *tx)
            .await
            .map_err(|e| taken(e, Taken::TeamName { name: name.to_owned() }))?;
        sqlx::query!("DELETE FROM team_coach WHERE team = ?", id).execute(&mut *tx).await?;
        for coach in coaches {
            sqlx::query!("INSERT INTO team_coach (team, person) VALUES (?, ?)", id, coach)
                .execute(&mut *tx)
                .await?;
        }
        Ok(tx.commit().await?)
    }

    /// Makes somebody the lead of a club.
    pub async fn add_lead(&self, club: Uuid, person: Uuid) -> Stored<()> {
        sqlx::query!(
            "INSERT INTO club_lead (club, person) VALUES (?, ?) ON CONFLICT DO NOTHING",
            club,
            person
        )
        .execute(&self.write)
        .await?;
        Ok(())
    }

    /// The clubs that somebody leads, by name.
    pub async fn clubs_led_by(&self, person: Uuid) -> Stored<Vec<Named>> {
        Ok(sqlx::query_as!(
            Named,
            r#"SELECT id AS "id: Uuid", name FROM club_lead JOIN club ON club.id = club WHERE person = ? ORDER BY name"#,
            person
        )
        .fetch_all(&self.read)
        .await?)
    }

    /// All clubs with their leads, teams and coaches, by name.
    pub async fn clubs(&self) -> Stored<Vec<Club>> {
        let clubs = sqlx::query!(r#"SELECT id AS "id: Uuid", name FROM club ORDER BY name"#);
        let mut clubs: Vec<Club> = clubs
            .fetch_all(&self.read)
            .await?
            .into_iter()
            .map(|r| Club { id: r.id, name: r.name, leads: Vec::new(), teams: Vec::new() })
            .collect();
        let place: BTreeMap<Uuid, usize> = clubs.iter().enumerate().map(|(i, club)| (club.id, i)).collect();
        let leads = sqlx::query!(
            r#"SELECT club AS "club: Uuid", person.id AS "id: Uuid", name FROM club_lead
               JOIN person ON person.id = person ORDER BY name"#
        );
        for r in leads.fetch_all(&self.read).await? {
            clubs[place[&r.club]].leads.push(Named { id: r.id, name: r.name });
        }
        let mut coaches: BTreeMap<Uuid, Vec<Named>> = BTreeMap::new();
        let of_teams = sqlx::query!(
            r#"SELECT team AS "team: Uuid", person.id AS "id: Uuid", name FROM team_coach
               JOIN person ON person.id = person ORDER BY name"#
        );
        for r in of_teams.fetch_all(&self.read).await? {
            coaches.entry(r.team).or_default().push(Named { id: r.id, name: r.name });
        }
        let teams = sqlx::query!(
            r#"SELECT team.id AS "id: Uuid", team.name, band, club AS "club_id: Uuid", club.name AS club,
                   (SELECT COUNT(*) FROM player WHERE player.team = team.id AND left_on IS NULL) AS "players!: i64"
               FROM team JOIN club ON club.id = club ORDER BY team.name"#
        );
        for r in teams.fetch_all(&self.read).await? {
            let team =
                Team { id: r.id, name: r.name, club: r.club, band: parsed("the band of a team", &r.band)? };
            let coaches = coaches.remove(&team.id).unwrap_or_default();
            clubs[place[&r.club_id]].teams.push(StaffedTeam { team, coaches, players: r.players });
        }
        Ok(clubs)
    }
}
